import { ACROSS } from '../tree.ts';
import { gridOf, sewGrid } from '../grid.ts';
import type { SewingMethod } from '../method.ts';

/** Rows of blocks and rows of sashes, joined by turns. */
export const rows: SewingMethod = {
  id: 'rows',
  name: 'In rows',
  says: 'Blocks and sashes into rows, then row to row from the top.',
  sewCentre(bench, { top, pieces, habits }) {
    const grid = gridOf(top, pieces, [ACROSS.rows, ACROSS.columns]);
    sewGrid(bench, grid, habits, ['rows', 'Sew the rows'], ['join-rows', 'Join the rows']);
  },
};
