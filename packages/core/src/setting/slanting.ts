import type { Spot } from '../piece/piece.ts';

/**
 * The spot of a block whose lattice column and row are both odd or both even, counted from 1: its row is
 * the slanting one it is sewn in, rising to the right (rule SW-1), its column counts from the row's
 * lower left. The first block stands at 0, 0.
 */
export const slanting = (column: number, row: number): Spot => ({
  column: (column - row) / 2,
  row: (column + row) / 2 - 1,
});
