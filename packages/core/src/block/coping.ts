import { formatLength, formatWithUnit } from '../length/format.ts';
import { limitIn, rulerUp } from '../length/rounding.ts';
import type { Unit } from '../length/unit.ts';
import type { BlockMeasure } from './measure.ts';

/** How a block that is too small is brought up to size: trimmed back a little, then framed. Lengths as cut. */
export interface Coping {
  /** What the block is trimmed to before the strips are sewn on. */
  readonly trimTo: { readonly width: number; readonly height: number };
  /** Cut width of every strip; two as long as the trimmed block is high, two as long as the finished cut size is wide. */
  readonly strip: number;
  readonly sideLength: number;
  readonly endLength: number;
  readonly text: string;
}

/** Coping strips narrower than this are hard to sew evenly: 1/2" finished (from memory). */
const LEAST_STRIP_INCHES = 1 / 2;

/**
 * Coping strips for a block short of a cut size (handbook 3): as narrow as can be sewn and still reach
 * it. Strips finishing `t` on each side bring a block cut `c` to `c + 2t`, so the block is trimmed to
 * `cut − 2t` first; a strip is cut `t + 2a` wide. Sides first, then top and bottom.
 */
export function copingFor(measure: BlockMeasure, cut: { width: number; height: number }, seam: number, unit: Unit): Coping {
  const short = Math.max(cut.width - measure.leastWidth, cut.height - measure.leastHeight);
  const strip = Math.max(limitIn(LEAST_STRIP_INCHES, unit), rulerUp(unit).apply(short / 2));
  const trimTo = { width: cut.width - 2 * strip, height: cut.height - 2 * strip };
  const show = (v: number) => formatLength(v, unit);
  return {
    trimTo, strip: strip + 2 * seam, sideLength: trimTo.height, endLength: cut.width,
    text: `trim it to ${show(trimTo.width)} × ${formatWithUnit(trimTo.height, unit)} and frame it with strips cut ${show(strip + 2 * seam)} wide: two ${formatWithUnit(trimTo.height, unit)} long at its sides, then two of ${formatWithUnit(cut.width, unit)}`,
  };
}
