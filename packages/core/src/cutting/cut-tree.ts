import { ascending } from 'd3-array';
import { near, TOLERANCE } from '../length/tolerance.ts';
import type { ClothBox } from './placed.ts';

/**
 * How a piece of cloth is cut by straight cuts right through: as it is, into parts side by side (`x`) or over one
 * another (`y`). A part that holds nothing is an offcut.
 */
export type CutTree<T extends ClothBox> =
  | { readonly kind: 'piece'; readonly box: ClothBox; readonly piece: T }
  | { readonly kind: 'offcut'; readonly box: ClothBox }
  | {
      readonly kind: 'parts';
      readonly way: 'x' | 'y';
      readonly box: ClothBox;
      readonly parts: readonly CutTree<T>[];
    };

/**
 * The cuts that bring pieces out of the cloth they lie on; side by side first, then over one another, by turns.
 *
 * @throws when no straight cuts right through do it: a placing that cannot be cut is a fault
 */
export function cutTree<T extends ClothBox>(
  box: ClothBox,
  pieces: readonly T[],
  way: 'x' | 'y' = 'x',
  tried = false,
): CutTree<T> {
  const [first] = pieces;
  if (!first) return { kind: 'offcut', box };
  if (pieces.length === 1 && near(first.w, box.w) && near(first.h, box.h))
    return { kind: 'piece', box, piece: first };
  const other = way === 'x' ? 'y' : 'x';
  const groups = apart(pieces, way);
  if (groups.length === 1 && fills(groups[0]!, box, way)) {
    if (tried) throw new Error('Pieces that no straight cuts right through bring out.');
    return cutTree(box, pieces, other, true);
  }
  const parts: CutTree<T>[] = [];
  let at = start(box, way);
  for (const group of groups) {
    if (group.from > at + TOLERANCE) parts.push({ kind: 'offcut', box: slice(box, way, at, group.from) });
    parts.push(cutTree(slice(box, way, group.from, group.to), group.pieces, other));
    at = group.to;
  }
  const end = start(box, way) + extent(box, way);
  if (end > at + TOLERANCE) parts.push({ kind: 'offcut', box: slice(box, way, at, end) });
  return { kind: 'parts', way, box, parts };
}

interface Group<T> {
  readonly from: number;
  readonly to: number;
  readonly pieces: readonly T[];
}

/** Pieces that a cut right through does not part stay together. */
function apart<T extends ClothBox>(pieces: readonly T[], way: 'x' | 'y'): Group<T>[] {
  const groups: { from: number; to: number; pieces: T[] }[] = [];
  for (const piece of [...pieces].sort((a, b) => ascending(start(a, way), start(b, way)))) {
    const last = groups.at(-1);
    const [from, to] = [start(piece, way), start(piece, way) + extent(piece, way)];
    if (last && from < last.to - TOLERANCE) {
      last.pieces.push(piece);
      last.to = Math.max(last.to, to);
    } else groups.push({ from, to, pieces: [piece] });
  }
  return groups;
}

const start = (box: ClothBox, way: 'x' | 'y'): number => box[way];
const extent = (box: ClothBox, way: 'x' | 'y'): number => (way === 'x' ? box.w : box.h);
const fills = (group: Group<unknown>, box: ClothBox, way: 'x' | 'y'): boolean =>
  near(group.from, start(box, way)) && near(group.to, start(box, way) + extent(box, way));
const slice = (box: ClothBox, way: 'x' | 'y', from: number, to: number): ClothBox =>
  way === 'x' ? { ...box, x: from, w: to - from } : { ...box, y: from, h: to - from };
