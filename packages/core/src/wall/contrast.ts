import { sum } from 'd3-array';
import { differenceOf, labOf } from '../colour/colour.ts';
import { FACE_GROUND, type FaceName, FACES, type Patch } from '../face/face.ts';
import type { PileBlock } from '../plan/shape.ts';

/** How a cloth stands beside the blocks it touches. */
export interface Contrast {
  readonly kind: 'disappears' | 'close' | 'same-value' | 'clear';
  /** Blocks it disappears beside, and those it only parts from by hue. */
  readonly lost: readonly PileBlock[];
  readonly greyed: readonly PileBlock[];
  readonly text: string;
}

/** Nearer than this a cloth and what it touches look like one: CIEDE2000 of 10 (from memory). */
const LOST = 10;
/** Nearer in lightness than this they are one in dim light or to a squint: 10 of 100 (from memory). */
const GREY = 10;
/** A block is lost when this much of its edge is. */
const MOST_OF_EDGE = 0.6;
/** Points looked at along each side of a drawn face: halves, thirds, quarters and eighths of a side come out whole. */
const SAMPLES = 48;

/** How much of a face's edge each tone has. A face does not change: each is looked over once. */
const tonesAlongEdge = new Map<FaceName, ReadonlyMap<number, number>>();
function toneSharesOf(face: FaceName): ReadonlyMap<number, number> {
  const known = tonesAlongEdge.get(face);
  if (known) return known;
  const shares = new Map<number, number>();
  const inset = 1e-3;
  for (let i = 0; i < SAMPLES; i++) {
    const along = (i + 0.5) / SAMPLES;
    for (const [x, y] of [
      [along, inset],
      [along, 1 - inset],
      [inset, along],
      [1 - inset, along],
    ] as const) {
      const tone = (FACES[face] as readonly Patch[]).findLast((p) => holds(p.outline, x, y))?.tone ?? 0;
      shares.set(tone, (shares.get(tone) ?? 0) + 1 / (4 * SAMPLES));
    }
  }
  tonesAlongEdge.set(face, shares);
  return shares;
}

/** The colours along a block's edge, each with its share; nothing when it has neither picture nor face. */
export function edgeColours(block: PileBlock): { readonly colour: string; readonly share: number }[] {
  if (block.edge) return [{ colour: block.edge, share: 1 }];
  if (!block.face) return block.colours?.[0] ? [{ colour: block.colours[0], share: 1 }] : [];
  const [first = '#d9d2c2', second = first] = block.colours ?? [];
  const shares = new Map<string, number>();
  for (const [tone, share] of toneSharesOf(block.face)) {
    const colour = tone === 0 ? FACE_GROUND : tone === 1 ? first : second;
    shares.set(colour, (shares.get(colour) ?? 0) + share);
  }
  return [...shares].map(([colour, share]) => ({ colour, share }));
}

/** A point lies inside an outline: an odd number of its sides lie to the right. */
function holds(outline: Patch['outline'], x: number, y: number): boolean {
  return outline.reduce((inside, [ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length]!;
    return ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax ? !inside : inside;
  }, false);
}

/**
 * Judges a cloth beside blocks, in words (rule WL-1: too little contrast and the sash disappears): by
 * the whole difference of colour, and by lightness alone for a squint.
 *
 * @param what as it opens a sentence: "This sash"
 */
export function judgeContrast(cloth: string, blocks: readonly PileBlock[], what: string): Contrast {
  const lab = labOf(cloth);
  const shareWhere = (block: PileBlock, near: (colour: string) => boolean) =>
    sum(edgeColours(block), ({ colour, share }) => (near(colour) ? share : 0));
  const seen = blocks.filter((b) => edgeColours(b).length > 0);
  const lost = seen.filter((b) => shareWhere(b, (c) => differenceOf(lab, c) < LOST) >= MOST_OF_EDGE);
  const greyed = seen.filter(
    (b) => !lost.includes(b) && shareWhere(b, (c) => Math.abs(lab.l - labOf(c).l) < GREY) >= MOST_OF_EDGE,
  );
  const of = (list: readonly PileBlock[]) =>
    list.length === seen.length
      ? list.length === 1
        ? 'your block'
        : `all ${list.length} of your blocks`
      : `${list.length} of your blocks`;
  if (seen.length === 0)
    return { kind: 'clear', lost, greyed, text: 'The blocks have no colours yet to hold it against.' };
  if (lost.length > 0)
    return {
      kind: lost.length * 2 > seen.length ? 'disappears' : 'close',
      lost,
      greyed,
      text: `${what} disappears beside ${of(lost)}.`,
    };
  if (greyed.length > 0)
    return {
      kind: 'same-value',
      lost,
      greyed,
      text: `${what} is as light as the edge of ${of(greyed)}: it parts them by colour only. Squint at it.`,
    };
  return { kind: 'clear', lost, greyed, text: `${what} stands clear of every block.` };
}
