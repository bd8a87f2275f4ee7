import { type Assembly, type SeamLedger, NotSewable } from '../seam-ledger.ts';
import { gridOf, sewCells } from '../grid.ts';
import { type Centre, isBlock, type SewingMethod, withRole } from '../method.ts';
import { ACROSS, piecesOf, someOf } from '../tree.ts';
import { sewUnits } from '../unit-parts.ts';

/** Column by column down all rows, threads uncut: the whole centre hangs together before a row is pressed. */
export const web: SewingMethod = {
  id: 'web',
  name: 'As a web',
  says: 'Column by column down all rows, threads uncut; then the rows together.',
  chained: true,
  sewCentre(bench, centre) {
    const grid = made(bench, centre);
    if (grid[0]!.length < 2 || grid.length < 2) throw new NotSewable('A web takes rows and columns.');
    bench.step('web', 'Web the rows, column by column');
    const order = grid[0]!.map((_, column) => column);
    if (centre.habits.fromRight) order.reverse();
    for (const column of order.slice(1)) for (const row of grid) bench.join(row[order[0]!]!, row[column]!);
    bench.step('join-rows', 'Join the rows');
    bench.inRow(grid.map((row) => row[0]!));
  },
};

/** Rows of parts with one block each, made up first where they have more to them than their block. */
function made(bench: SeamLedger, centre: Centre): Assembly[][] {
  const { top, pieces } = centre;
  if (withRole(top, pieces, 'sash').length > 0) return sewUnits(bench, centre).grid;
  const ways = [ACROSS.rows, ACROSS.columns, ACROSS.rising, ACROSS.falling];
  const grid = gridOf(top, pieces, [ACROSS.rows, ACROSS.columns], ways);
  const even = grid.every(
    (row) =>
      row.length === grid[0]!.length &&
      row.every((cell) => piecesOf(cell).filter((piece) => isBlock(top, piece)).length === 1),
  );
  if (!even) throw new NotSewable('A web needs a block in every place.');
  sewCells(bench, grid);
  return grid.map((row) => row.map(someOf));
}
