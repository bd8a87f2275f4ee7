import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../length/format.ts';
import { rulerFineDown } from '../length/rounding.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { BiasPlan } from './bias-plan.ts';
import type { StripsAsCut } from './strips-as-cut.ts';

/** A binding of two strips joined along their length, the wider showing beside the other. */
export interface BuiltInFlange {
  readonly main: Figure;
  readonly flange: Figure;
  readonly fabric: Figure;
  /** What the flange's strip comes from: whole strips of the straight grain, or cloth cut on the bias. */
  readonly strips: Figure | null;
  /** What those strips have to come to once they are joined. */
  readonly reach: number;
  /** Those strips as the cloth is cut for them; none on the bias. */
  readonly asCut: StripsAsCut;
  readonly bias: BiasPlan | null;
}

/** What the cloth of the binding adds to what it wraps round, besides the batting: 1/16" (from memory). */
const CLOTH_INCHES = 1 / 16;

/** Folded, it lies under the seam, before it and behind it: three widths a layer double, four in all single, and what it wraps round (rule BD-5; geometry). */
export function finishedWidth(strip: number, fold: 'double' | 'single', loft: number, unit: Unit): Figure {
  const ease = loft + fromInches(CLOTH_INCHES, unit);
  const show = (v: number) => formatWorking(v, unit);
  const exact = fold === 'double' ? (strip / 2 - ease) / 3 : (strip - ease) / 4;
  const down = rulerFineDown(unit);
  const working =
    fold === 'double'
      ? `Folded in half ${show(strip / 2)}, less ${formatExact(ease)} to wrap round the batting, in three: ${formatExact(exact)}`
      : `${show(strip)} less ${formatExact(ease)} to wrap round the batting, in four: ${formatExact(exact)}`;
  const value = Math.max(0, down.apply(exact));
  return lengthOf(value, working, `${down.name}: ${formatWithUnit(value, unit)}`);
}

/** What is left for the back when it is sewn at the quilt's seam and shows as much in front. */
export function behindAt(
  strip: number,
  fold: 'double' | 'single',
  seam: number,
  loft: number,
  unit: Unit,
): Figure {
  const ease = loft + fromInches(CLOTH_INCHES, unit);
  const show = (v: number) => formatWorking(v, unit);
  const back = fold === 'double' ? strip / 2 - 2 * seam - ease : strip - 3 * seam - ease;
  return lengthOf(
    back,
    `Sewn ${show(seam)} from the edge it shows ${show(seam)} in front`,
    `${fold === 'double' ? `${show(strip / 2)} − 2` : `${show(strip)} − 3`} × ${show(seam)} − ${formatExact(ease)} = ${formatExact(back)} behind`,
  );
}

/** Two strips for a folded width of `strip`: the flange's is wider by twice what shows, so that it stands out by that much once folded (rule BD-6; geometry). */
export function builtIn(
  strip: number,
  visible: number,
  seam: number,
  unit: Unit,
): Pick<BuiltInFlange, 'main' | 'flange'> {
  const show = (v: number) => formatWorking(v, unit);
  const one = (value: number, sign: string) =>
    lengthOf(
      value,
      `${show(strip)} ÷ 2 + ${show(seam)} seam ${sign} ${show(visible)} to show = ${formatExact(value)}`,
    );
  return { main: one(strip / 2 + seam - visible, '−'), flange: one(strip / 2 + seam + visible, '+') };
}
