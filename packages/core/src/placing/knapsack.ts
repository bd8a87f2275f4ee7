import type { Way } from './task.ts';
import { more } from '../length/tolerance.ts';

/** Columns of one way of a piece that a region could hold: each so wide, so high a stack, so many at most. */
export interface Columns {
  readonly way: Way;
  readonly stack: number;
  readonly most: number;
  /** What one column is worth. */
  readonly worth: number;
}

/** Pieces of 1, 2, 4 … columns, that make up every number of them. */
interface Lot {
  readonly of: Columns;
  readonly columns: number;
  readonly wide: number;
}

/**
 * Which columns stand side by side in a width, so that they are worth most together: the bounded knapsack, exact,
 * by lots of 1, 2, 4 … (from memory). Room for its tables is kept between calls.
 */
export class Knapsack {
  private best = new Float64Array(0);
  private took = new Uint8Array(0);
  /** Cells gone through so far: the measure of effort, the same on every machine. */
  effort = 0;

  /**
   * @param step every column's width is a whole number of these
   * @returns how many columns of each, the highest first
   */
  choose(offers: readonly Columns[], width: number, step: number): { of: Columns; columns: number }[] {
    const lots = offers.flatMap((of) => lotsOf(of, step));
    const row = Math.floor(width / step) + 1;
    if (this.best.length < row) this.best = new Float64Array(row);
    if (this.took.length < row * lots.length) this.took = new Uint8Array(row * lots.length);
    const { best, took } = this;
    best.fill(0, 0, row);
    took.fill(0, 0, row * lots.length);
    // A call costs something whatever its size.
    this.effort += row * lots.length + 300;
    lots.forEach(({ of, columns, wide }, i) => {
      const worth = columns * of.worth;
      const at = i * row;
      for (let v = row - 1; v >= wide; v--) {
        const sum = best[v - wide]! + worth;
        if (!more(sum, best[v]!)) continue;
        best[v] = sum;
        took[at + v] = 1;
      }
    });
    let v = row - 1;
    // The narrowest width of the same worth leaves most in one piece.
    while (v > 0 && !more(best[v]!, best[v - 1]!)) v--;
    const chosen = new Map<Columns, number>();
    for (let i = lots.length - 1; i >= 0 && v > 0; i--) {
      if (took[i * row + v] === 0) continue;
      const { of, columns, wide } = lots[i]!;
      chosen.set(of, (chosen.get(of) ?? 0) + columns);
      v -= wide;
    }
    return [...chosen].map(([of, columns]) => ({ of, columns })).sort((a, b) => b.of.way.h - a.of.way.h);
  }
}

function lotsOf(of: Columns, step: number): Lot[] {
  const lots: Lot[] = [];
  let left = of.most;
  for (let columns = 1; left > 0; columns *= 2) {
    const lot = Math.min(columns, left);
    lots.push({ of, columns: lot, wide: (lot * of.way.w) / step });
    left -= lot;
  }
  return lots;
}
