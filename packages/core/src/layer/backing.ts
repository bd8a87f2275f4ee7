import { type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatLength } from '../length/format.ts';
import { howManyCover, near } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';

/** One way of making a backing wide enough. */
export interface BackingOption {
  readonly seams: 'none' | 'vertical' | 'horizontal';
  readonly panels: number;
  /** Length of fabric to buy, before the shop's rounding. */
  readonly fabric: Figure;
}

/** The backing of a quilt: the size it has to reach and the ways to reach it, best first. */
export interface Backing {
  readonly width: Figure;
  readonly height: Figure;
  readonly options: readonly [BackingOption, ...BackingOption[]];
}

/** Panels are joined with half-inch seams (handbook 6); 1.5 cm in metric (from memory). */
const panelSeam = (unit: Unit): number => (unit === 'in' ? 0.5 : 1.5);

/**
 * Top + overhang on every side, from panels of the usable width joined with vertical or horizontal
 * seams: `k` panels span `k u − 2·½(k − 1)` (handbook 6). Least fabric first, then fewest seams.
 */
export function planBacking(size: { width: number; height: number }, overhang: number, usable: number, unit: Unit, seam = panelSeam(unit)): Backing {
  const show = (v: number) => formatLength(v, unit);
  const need = (value: number) =>
    lengthOf(value + 2 * overhang, `${show(value)} + 2 × ${show(overhang)} overhang = ${formatExact(value + 2 * overhang)}`);
  const width = need(size.width);
  const height = need(size.height);
  const across = (span: number, run: number, seams: 'vertical' | 'horizontal'): BackingOption => {
    const panels = howManyCover(span - 2 * seam, usable - 2 * seam) || 1;
    const reached = panels * usable - 2 * seam * (panels - 1);
    return {
      seams: panels === 1 ? 'none' : seams,
      panels,
      fabric: lengthOf(
        panels * run,
        panels === 1
          ? `One width of ${show(usable)} covers ${show(span)}`
          : `${panels} panels × ${show(usable)} less ${numberOf(panels - 1, 'seam')} × 2 × ${show(seam)} span ${show(reached)}, enough for ${show(span)}`,
        `${panels} × ${show(run)} = ${formatExact(panels * run)}`,
      ),
    };
  };
  const ways = [across(width.value, height.value, 'vertical'), across(height.value, width.value, 'horizontal')].sort((a, b) =>
    near(a.fabric.value, b.fabric.value) ? a.panels - b.panels : a.fabric.value - b.fabric.value,
  ) as [BackingOption, BackingOption];
  const [best, second] = ways;
  // A second way without a seam only turns the same single width round; it tells the quilter nothing.
  return { width, height, options: second.seams === 'none' && best.seams === 'none' ? [best] : [best, second] };
}
