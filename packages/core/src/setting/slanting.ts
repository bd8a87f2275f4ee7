import type { Spot } from '../layout/piece.ts';

/**
 * The spot of a block whose lattice column and row are both odd or both even, counted from 1, along the
 * slanting rows it is sewn in. The first block stands at 0, 0.
 */
export const slanting = (column: number, row: number): Spot => ({ column: (column + row) / 2 - 1, row: (row - column) / 2 });
