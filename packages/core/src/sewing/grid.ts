import type { SeamLedger } from './seam-ledger.ts';
import { ACROSS, type Across, sewByHeight, slabs, someOf, splitAtStraightSeams, type Tree } from './tree.ts';
import type { Top } from './top.ts';
import { isFromRight, oneBlockEach, type SewingHabits, withRole } from './method.ts';

/** Level and upright seams. */
export const LEVEL = [ACROSS.rows, ACROSS.columns] as const;

/** The centre as rows of cells; a cell is what is made up before it goes into its row. */
export type Grid = readonly (readonly Tree[])[];

/** Splits the centre into rows one way and cells the other, each cell taken apart further. @throws NotSewable */
export function gridOf(
  top: Top,
  pieces: readonly number[],
  [rows, cells]: readonly [Across, Across],
  ways: readonly Across[] = LEVEL,
): Grid {
  return slabs(top, pieces, rows).map((row) => {
    const parts = slabs(top, row, cells);
    oneBlockEach(top, parts);
    return parts.map((cell) => splitAtStraightSeams(top, cell, ways));
  });
}

/** Makes up every cell of a grid: strips of sashes, frames round blocks. */
export function sewCells(bench: SeamLedger, grid: Grid): void {
  const { top } = bench;
  sewByHeight(bench, grid.flat(), (height, joined) => {
    const pieces = joined.flatMap((tree) => ('piece' in tree ? [] : tree.parts.map(someOf)));
    const title =
      withRole(top, pieces, 'coping-strip').length > 0
        ? height === 1
          ? 'Sew coping strips to two sides of the smaller blocks'
          : 'Sew coping strips to their other two sides'
        : withRole(top, pieces, 'frame-triangle').length > 0
          ? height === 1
            ? 'Sew opposite triangles to every block'
            : 'Sew the other two triangles on, and square up'
          : withRole(top, pieces, 'sash').length === pieces.length
            ? 'Piece the sashes of their strips'
            : 'Make up the parts of the rows';
    bench.step(`cells-${height}`, title);
  });
}

/** A sitting at the machine: its id and what it is called. */
type Sitting = readonly [id: string, title: string];

/** Makes up the cells, sews each row of them, then joins the rows in their order. */
export function sewGrid(
  bench: SeamLedger,
  grid: Grid,
  habits: SewingHabits,
  rows: Sitting,
  join: Sitting,
): void {
  sewCells(bench, grid);
  const sewn = sewRows(bench, grid, habits, ...rows);
  bench.step(...join);
  bench.inRow(sewn);
}

/** Sews the cells of each row together, in their order. */
export function sewRows(
  bench: SeamLedger,
  grid: Grid,
  habits: SewingHabits,
  id: string,
  title: string,
): number[] {
  bench.step(id, title);
  return grid.map((row, i) => bench.inRow(row.map(someOf), isFromRight(habits, i)));
}
