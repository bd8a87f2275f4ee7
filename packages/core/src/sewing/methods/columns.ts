import { ACROSS } from '../tree.ts';
import { gridOf, sewGrid } from '../grid.ts';
import type { SewingMethod } from '../method.ts';

/** Columns, with long strips between them that are cut over-long and trimmed once they are on. */
export const columns: SewingMethod = {
  id: 'columns',
  name: 'In columns',
  says: 'Blocks and sashes into columns, then column to column from the left; long strips over-long, trimmed after.',
  sewCentre(bench, { top, pieces, habits }) {
    const grid = gridOf(top, pieces, [ACROSS.columns, ACROSS.rows]);
    sewGrid(bench, grid, habits, ['columns', 'Sew the columns'], ['join-columns', 'Join the columns']);
  },
};
