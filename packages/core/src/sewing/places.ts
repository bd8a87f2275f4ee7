import { isBlock } from './method.ts';
import { ACROSS, type Across } from './tree.ts';
import type { Top } from './top.ts';

/** Where a block stands among its fellows, counted from 1: its row, and its place in it from the left. */
export interface BlockPlace {
  readonly row: number;
  readonly column: number;
}

/**
 * Rows and columns of the blocks, as they are sewn: slanting rows that rise to the right on point, level ones
 * otherwise. Plain blocks have their places too.
 */
export function blockPlaces(top: Top): ReadonlyMap<number, BlockPlace> {
  const slanting = top.pieces.some(({ role }) => role === 'corner-triangle');
  const [down, right]: readonly [Across, Across] = slanting
    ? [ACROSS.rising, ACROSS.falling]
    : [ACROSS.rows, ACROSS.columns];
  const blocks = top.pieces.flatMap((_, piece) => (isBlock(top, piece) ? [piece] : []));
  const [rows, columns] = [ranks(top, blocks, down), ranks(top, blocks, right)];
  return new Map(
    blocks.map((block) => [block, { row: rows.get(block)! + 1, column: columns.get(block)! + 1 }]),
  );
}

/** The how-manieth each piece is along a way; those level with one another are one. */
function ranks(top: Top, pieces: readonly number[], { x, y }: Across): Map<number, number> {
  const at = pieces
    .map((piece) => ({ piece, at: top.pieces[piece]!.middle.x * x + top.pieces[piece]!.middle.y * y }))
    .sort((a, b) => a.at - b.at);
  const found = new Map<number, number>();
  let rank = -1;
  at.forEach((one, i) => {
    if (i === 0 || one.at - at[i - 1]!.at > 100 * top.tolerance) rank++;
    found.set(one.piece, rank);
  });
  return found;
}
