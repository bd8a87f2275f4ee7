import { deviation as deviationOf, mean as meanOf, sum } from 'd3-array';
import { randomNormal } from 'd3-random';
import type { Random } from '../random/random.ts';
import { NOISE } from '../length/tolerance.ts';

/** How evenly somebody cuts and sews, as standard deviations, and how many of each there are along a row. */
export interface RowScatter {
  readonly pieces: number;
  readonly seams: number;
  /** Of those, seams that slant at 45° and are crossed aslant; none where it does not say. */
  readonly slanting?: number;
  /** Of one cut width. */
  readonly cutting: number;
  /** Of one seam allowance, and how much fatter than meant it is on average. */
  readonly sewing: number;
  readonly fat: number;
}

/** What many rows sewn so come to, as differences from the planned width. */
export interface RowSpread {
  readonly mean: number;
  readonly deviation: number;
  /** Nine rows in ten lie between these. */
  readonly low: number;
  readonly high: number;
  /** Share of rows within the tolerance of the plan. */
  readonly within: number;
  /** How many rows fell into each of equally wide classes from `from`, `step` wide. */
  readonly classes: { readonly from: number; readonly step: number; readonly counts: readonly number[] };
}

const CLASSES = 31;

/**
 * Sews a row many times over: each piece is cut a little off, each seam takes up twice an allowance a
 * little off. Same random source, same answer.
 *
 * @param tolerance a row this near its plan still matches its sash
 */
export function simulateRow(scatter: RowScatter, tolerance: number, runs: number, random: Random): RowSpread {
  const off = new Float64Array(runs);
  const normal = randomNormal.source(random)(0, 1);
  const { slanting = 0 } = scatter;
  for (let run = 0; run < runs; run++) {
    let width = 0;
    for (let i = 0; i < scatter.pieces; i++) width += scatter.cutting * normal();
    for (let i = 0; i < scatter.seams; i++)
      width -= (i < slanting ? Math.SQRT2 : 2) * (scatter.fat + scatter.sewing * normal());
    off[run] = width;
  }
  off.sort();
  const mean = meanOf(off) ?? 0;
  const deviation = deviationOf(off) ?? 0;
  const within = sum(off, (v) => (Math.abs(v) <= tolerance ? 1 : 0)) / runs;
  const [from, to] = [off[0]!, off[runs - 1]!];
  const step = Math.max((to - from) / CLASSES, NOISE);
  const counts = Array.from({ length: CLASSES }, () => 0);
  for (const v of off) counts[Math.min(CLASSES - 1, Math.floor((v - from) / step))]!++;
  return {
    mean,
    deviation,
    low: off[Math.floor(runs * 0.05)]!,
    high: off[Math.min(runs - 1, Math.floor(runs * 0.95))]!,
    within,
    classes: { from, step, counts },
  };
}
