import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatLength, formatWithUnit } from '../length/format.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import { layOut } from '../layout/lay-out.ts';
import type { Plan } from '../plan/shape.ts';

/** What a seam test found, and what it does to this quilt. */
export interface Drift {
  /** The seam as it is really sewn, and how much fatter than meant (negative: scant). */
  readonly seam: Figure;
  readonly fat: Figure;
  /** How much narrower a row comes out, by its own seams alone. */
  readonly row: Figure;
  /** How much shorter a column does. */
  readonly column: Figure;
  /** What it means at the sash and the border, and what to do, in words. */
  readonly says: readonly string[];
}

/** Strips of the test as cut: 1 1/2", or 4 cm. */
export const testStrip = (unit: Unit): number => (unit === 'in' ? 1.5 : 4);

/** What the three strips should measure together: 3 1/2" with quarter-inch seams (handbook 3). */
export const testTarget = (seam: number, unit: Unit): number => 3 * testStrip(unit) - 4 * seam;

/** A drift that a long sash or border shows: 1/8" can still be eased (handbook 3). */
const SHOWS_INCHES = 1 / 8;

/**
 * What a test of three strips sewn side by side says of the seam, and what the difference adds up to
 * over a row and a column of this quilt: 2 × the difference at every seam (handbook 3). Seams are those
 * between whole pieces of the centre; blocks were measured as they are, so theirs are in them already.
 *
 * @param measured all three strips together, raw edge to raw edge, in the plan's unit
 */
export function seamDrift(plan: Plan, measured: number): Drift {
  const { unit, seam } = plan;
  const show = (v: number) => formatLength(v, unit);
  const strip = testStrip(unit);
  const sewn = (3 * strip - measured) / 4;
  const fat = sewn - seam;
  const layout = layOut({ ...plan, borders: [] });
  const along = (bands: readonly { from: number }[], which: string): Figure => {
    const seams = bands.length - 1;
    const total = 2 * seams * fat;
    return lengthOf(total, `${seams} seams ${which} × 2 × ${formatExact(fat)} = ${formatExact(total)}`);
  };
  const row = along(layout.bands.across, 'across');
  const column = along(layout.bands.down, 'down');
  const shows = fromInches(SHOWS_INCHES, unit);
  const amount = (v: number) => formatWithUnit(Math.abs(v), unit);
  const says: string[] = [];
  const worst = Math.max(Math.abs(row.value), Math.abs(column.value));
  if (worst <= shows) says.push(`Over a whole row it comes to ${amount(worst)}: it can be eased in.`);
  else {
    const way = fat > 0 ? 'narrower' : 'wider';
    says.push(`A row comes out ${amount(row.value)} ${way} and a column ${amount(column.value)} ${fat > 0 ? 'shorter' : 'longer'} than planned.`);
    says.push(`A sash or border cut to plan would be ${amount(worst)} too ${fat > 0 ? 'long' : 'short'}: cut it to what the centre measures.`);
    says.push(fat > 0 ? 'Sew a scant seam: move the guide nearer the needle by the difference, and test again.' : 'The seam is scanter than meant: move the guide away from the needle by the difference, and test again.');
  }
  return {
    seam: lengthOf(sewn, `3 × ${show(strip)} − ${formatExact(measured)} = ${formatExact(3 * strip - measured)} taken up by 4 seam allowances`, `÷ 4 = ${formatExact(sewn)}`),
    fat: lengthOf(fat, `${formatExact(sewn)} − ${show(seam)} meant = ${formatExact(fat)}`),
    row, column, says,
  };
}
