import { FACE_GROUND, FACES, type Patch } from '../face/face.ts';
import type { PileBlock } from '../plan/shape.ts';

/** What a block is shown in of which nobody has said how it looks: cool, to stand off from the cream of a sash. */
const PLAIN = { ground: '#dbe2e6', colours: ['#9fb0bb', '#6f8594'] } as const;
/** Such a block’s patches: unlike from every side, so that it shows how it is turned. */
const PLAIN_PATCHES: readonly Patch[] = [
  {
    tone: 1,
    outline: [
      [0, 0],
      [1, 1],
      [0, 1],
    ],
  },
  {
    tone: 2,
    outline: [
      [0.62, 0.14],
      [0.86, 0.14],
      [0.86, 0.38],
      [0.62, 0.38],
    ],
  },
];

/** Patches of one colour on the unit square. */
interface LookPatches {
  readonly colour: string;
  readonly outlines: readonly (readonly (readonly [x: number, y: number])[])[];
}

/** How a block looks, on the unit square: its picture, or a ground with patches on it. */
export interface BlockLook {
  /** Alike for blocks that look alike, so that each look is drawn once and used many times. */
  readonly key: string;
  /** Id of its picture. */
  readonly picture: string | null;
  readonly ground: string;
  readonly patches: readonly LookPatches[];
}

/** Looks by their keys: hundreds of blocks share a few. */
const known = new Map<string, BlockLook>();

/** A swapped block has its first colour for a ground, and the ground where that colour was. Pictures are not swapped. */
export function lookOf(block: PileBlock | undefined, swapped = false): BlockLook {
  if (block?.picture)
    return { key: `picture|${block.picture}`, picture: block.picture, ground: PLAIN.ground, patches: [] };
  const { face, colours = [] } = block ?? {};
  const key = `${swapped ? 'swapped' : ''}|${face ? [face, ...colours].join('|') : 'plain'}`;
  let look = known.get(key);
  if (!look) known.set(key, (look = { key, ...faceIn(face, colours, swapped) }));
  return look;
}

function faceIn(
  face: PileBlock['face'],
  colours: readonly string[],
  swapped: boolean,
): Omit<BlockLook, 'key'> {
  const drawn: readonly Patch[] = face ? FACES[face] : PLAIN_PATCHES;
  const under = face ? FACE_GROUND : PLAIN.ground;
  const [own = PLAIN.colours[0], second = own] = face ? colours : PLAIN.colours;
  const [ground, first] = swapped ? [own, under] : [under, own];
  const tones = [...new Set(drawn.map((patch) => patch.tone))];
  return {
    picture: null,
    ground,
    patches: tones.map((tone) => ({
      colour: tone === 0 ? ground : tone === 1 ? first : second,
      outlines: drawn.filter((patch) => patch.tone === tone).map((patch) => patch.outline),
    })),
  };
}
