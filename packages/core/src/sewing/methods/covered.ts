import { NotSewable } from '../seam-ledger.ts';
import { gridOf, sewCells, sewRows } from '../grid.ts';
import { isBlock, type SewingMethod } from '../method.ts';
import { ACROSS, piecesOf } from '../tree.ts';

/** Quilted blocks joined by covered sashing: rows, then rows in pairs, then the pairs. */
export const covered: SewingMethod = {
  id: 'covered',
  name: 'Covered sashing',
  says: 'Back strip, batting and folded strip between the blocks of a row; rows in pairs, then the pairs.',
  quilted: true,
  sewCentre(bench, { top, pieces, habits }) {
    const grid = gridOf(top, pieces, [ACROSS.rows, ACROSS.columns]);
    sewCells(bench, grid);
    const sewn = sewRows(bench, grid, habits, 'rows', 'Sew the blocks of each row to their sashes');
    let parts = sewn.map((assembly, i) => ({
      assembly,
      row: grid[i]!.some((cell) => piecesOf(cell).some((piece) => isBlock(top, piece))),
    }));
    for (let round = 1; parts.length > 1; round++) {
      bench.step(`pairs-${round}`, round === 1 ? 'Join the rows in pairs' : 'Join the pairs');
      const next: typeof parts = [];
      for (let i = 0; i < parts.length;) {
        // A row, the strip below it, and the row below that; what is left over waits for the next round.
        const three = parts.slice(i, i + 3);
        const whole = three.length === 3 && three[0]!.row && !three[1]!.row && three[2]!.row;
        if (whole) next.push({ assembly: bench.inRow(three.map(({ assembly }) => assembly)), row: true });
        else next.push(three[0]!);
        i += whole ? 3 : 1;
      }
      if (next.length === parts.length) throw new NotSewable('Rows and strips do not alternate here.');
      parts = next;
    }
  },
};
