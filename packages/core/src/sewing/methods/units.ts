import { sewUnits } from '../unit-parts.ts';
import { isFromRight, type SewingMethod } from '../method.ts';

/** Every block with its own sashes and cornerstones, then joined like plain blocks: no long strip to manage. */
export const units: SewingMethod = {
  id: 'units',
  name: 'In units',
  says: 'Each block gets its left sash, then a sash with a cornerstone below; units then join like plain blocks.',
  sewCentre(bench, centre) {
    const { grid, lastFirst } = sewUnits(bench, centre);
    bench.step('rows', 'Sew the units into rows');
    // The unit with no sash of its own is kept for the end of its row.
    const sewn = grid.map((row, i) => bench.inRow(row, lastFirst || isFromRight(centre.habits, i)));
    bench.step('join-rows', 'Join the rows');
    bench.inRow(sewn);
  },
};
