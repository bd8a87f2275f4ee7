import type { Point } from '../geometry/point.ts';
import { type Assembly, type SeamLedger, NotSewable } from './seam-ledger.ts';
import type { Top } from './top.ts';

/** How a part of the top is put together: one piece, or parts that lie side by side and are sewn in a row. */
export type Tree = { readonly piece: number } | { readonly parts: readonly Tree[]; readonly height: number };

/** Across what a part is split: the unit vector at right angles to the seams. */
export const ACROSS = {
  /** Into rows, by level seams. */
  rows: { x: 0, y: 1 },
  /** Into columns, by upright seams. */
  columns: { x: 1, y: 0 },
  /** Into slanting rows that rise to the right. */
  rising: { x: Math.SQRT1_2, y: Math.SQRT1_2 },
  /** Into slanting rows that fall to the right. */
  falling: { x: Math.SQRT1_2, y: -Math.SQRT1_2 },
} as const satisfies Record<string, Point>;
export type Across = (typeof ACROSS)[keyof typeof ACROSS];

/** Splits pieces into slabs that straight seams part from one another, in order; one slab where there is no such seam. */
export function slabs(top: Top, pieces: readonly number[], across: Across): number[][] {
  const spans = pieces
    .map((piece) => {
      const at = top.pieces[piece]!.outline.map((p) => p.x * across.x + p.y * across.y);
      return { piece, from: Math.min(...at), to: Math.max(...at) };
    })
    .sort((a, b) => a.from - b.from);
  const found: number[][] = [];
  let reach = -Infinity;
  for (const { piece, from, to } of spans) {
    if (from >= reach - 4 * top.tolerance) found.push([]);
    found.at(-1)!.push(piece);
    reach = Math.max(reach, to);
  }
  return found;
}

/**
 * Takes a part of the top apart along straight seams, again and again, until single pieces are left.
 *
 * @param ways tried in this order at every level
 * @throws NotSewable where no straight seam goes through: a seam would have to be inset
 */
export function splitAtStraightSeams(top: Top, pieces: readonly number[], ways: readonly Across[]): Tree {
  if (pieces.length === 1) return { piece: pieces[0]! };
  for (const across of ways) {
    const found = slabs(top, pieces, across);
    if (found.length > 1) return inRow(found.map((slab) => splitAtStraightSeams(top, slab, ways)));
  }
  throw new NotSewable('No straight seam goes right through these pieces.');
}

/** Parts side by side; one alone is itself. */
export function inRow(parts: readonly Tree[]): Tree {
  if (parts.length === 1) return parts[0]!;
  return { parts, height: 1 + Math.max(...parts.map(heightOf)) };
}

/** How many times one goes to the iron before this is one. */
export const heightOf = (tree: Tree): number => ('piece' in tree ? 0 : tree.height);

/** Any piece of a part. */
export const someOf = (tree: Tree): Assembly => ('piece' in tree ? tree.piece : someOf(tree.parts[0]!));

/** The pieces of a part. */
export const piecesOf = (tree: Tree): number[] =>
  'piece' in tree ? [tree.piece] : tree.parts.flatMap(piecesOf);

/**
 * Sews parts by their height: what is lowest in all of them first, each height at one sitting.
 *
 * @param begin names the sitting that follows: how high it is, and what is sewn in it
 */
export function sewByHeight(
  bench: SeamLedger,
  trees: readonly Tree[],
  begin: (height: number, joined: readonly Tree[]) => void,
): void {
  const byHeight = new Map<number, Extract<Tree, { parts: unknown }>[]>();
  const gather = (tree: Tree) => {
    if ('piece' in tree) return;
    tree.parts.forEach(gather);
    byHeight.set(tree.height, [...(byHeight.get(tree.height) ?? []), tree]);
  };
  trees.forEach(gather);
  for (const height of [...byHeight.keys()].sort((a, b) => a - b)) {
    const joined = byHeight.get(height)!;
    begin(height, joined);
    for (const { parts } of joined) bench.inRow(parts.map(someOf));
  }
}
