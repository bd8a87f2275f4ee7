import { type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { howManyCover } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';
import { USUAL } from '../usual/lengths.ts';

/** Panels of one cloth side by side, to cover a span. */
export interface Panels {
  readonly count: number;
  /** What they span once joined, before the excess is trimmed. */
  readonly reach: number;
  readonly fabric: Figure;
}

/** What panels are cut from and joined with. */
export interface PanelCloth {
  readonly usable: number;
  /** Of each join; selvages are off already. */
  readonly seam: number;
  readonly unit: Unit;
}

/** Panels are joined with half-inch seams (rule BK-1); 1.5 cm in metric (from memory). */
export const panelSeam = (unit: Unit): number => USUAL.panelSeam[unit];

/** What so many panels span: `k u − 2·½(k − 1)` (rule BK-1). */
export const panelReach = (count: number, { usable, seam }: PanelCloth): number =>
  count * usable - 2 * seam * (count - 1);

/** Panels each `run` long that together cover `span`. */
export function coverWith(span: number, run: number, cloth: PanelCloth): Panels {
  const { usable, seam, unit } = cloth;
  const show = (v: number) => formatWorking(v, unit);
  const count = howManyCover(span - 2 * seam, usable - 2 * seam) || 1;
  const reach = panelReach(count, cloth);
  return {
    count,
    reach,
    fabric: lengthOf(
      count * run,
      count === 1
        ? `One width of ${show(usable)} covers ${show(span)}`
        : `${count} panels × ${show(usable)} less ${numberOf(count - 1, 'seam')} × 2 × ${show(seam)} span ${show(reach)}, enough for ${show(span)}`,
      `${count} × ${show(run)} = ${formatExact(count * run)}`,
    ),
  };
}
