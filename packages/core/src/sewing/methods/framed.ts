import { NotSewable } from '../seam-ledger.ts';
import { gridOf, sewGrid } from '../grid.ts';
import { type SewingMethod, withRole } from '../method.ts';
import { ACROSS } from '../tree.ts';

/** Each block into its frame of triangles first, opposite ones before the others; the units then in straight rows. */
export const framed: SewingMethod = {
  id: 'framed',
  name: 'Framed units',
  says: 'Opposite triangles first, then the other two, squared up; the units then in straight rows.',
  sewCentre(bench, { top, pieces, habits }) {
    if (withRole(top, pieces, 'frame-triangle').length === 0)
      throw new NotSewable('No block is framed here.');
    const grid = gridOf(top, pieces, [ACROSS.rows, ACROSS.columns], [ACROSS.rising, ACROSS.falling]);
    sewGrid(bench, grid, habits, ['rows', 'Sew the units into rows'], ['join-rows', 'Join the rows']);
  },
};
