import { FACE_GROUND, FACES } from '../face/face.ts';
import type { PileBlock } from '../plan/shape.ts';

/** What a block without a drawn face is shown in. */
const PLAIN: readonly [string, string] = ['#d9d2c2', '#cfc7b5'];

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

/** A swapped block has its first colour for a ground, and the ground where that colour was. Pictures are not swapped. */
export function lookOf(block: PileBlock | undefined, swapped = false): BlockLook {
  const plain = { picture: null, ground: PLAIN[0], patches: [] };
  if (block?.picture) return { ...plain, key: `picture|${block.picture}`, picture: block.picture };
  const { face, colours = [] } = block ?? {};
  const drawn = FACES[face ?? 'square in square'];
  const [own = PLAIN[0], second = own] = face ? colours : PLAIN;
  const [ground, first] = swapped ? [own, FACE_GROUND] : [FACE_GROUND, own];
  const tones = [...new Set(drawn.map((patch) => patch.tone))];
  return {
    key: [swapped ? 'swapped' : '', ...(face ? [face, ...colours] : ['plain'])].join('|'),
    picture: null,
    ground,
    patches: tones.map((tone) => ({
      colour: tone === 0 ? ground : tone === 1 ? first : second,
      outlines: drawn.filter((patch) => patch.tone === tone).map((patch) => patch.outline),
    })),
  };
}
