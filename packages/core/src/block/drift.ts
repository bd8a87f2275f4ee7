import { type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../length/format.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import { layOut } from '../layout/lay-out.ts';
import { withLengths } from '../setting/registry.ts';
import type { Plan } from '../plan/shape.ts';
import { mostSeams, type SeamsCrossed } from './seams-crossed.ts';
import { EASE_INCHES } from '../length/ease.ts';

/** What a seam test found, and what it does to this quilt. */
export interface Drift {
  /** The seam as it is really sewn, and how much fatter than meant (negative: scant). */
  readonly seam: Figure;
  readonly fat: Figure;
  /** How much narrower the centre comes out, by its own seams alone, where most of them lie side by side. */
  readonly row: Figure;
  /** How much shorter it does. */
  readonly column: Figure;
  /** What it means at the sash and the border, and what to do, in words. */
  readonly says: readonly string[];
}

/** Strips of the test as cut: 1 1/2", or 4 cm. */
export const testStrip = (unit: Unit): number => (unit === 'in' ? 1.5 : 4);

/** What the three strips should measure together: 3 1/2" with quarter-inch seams (rule SM-1). */
export const testTarget = (seam: number, unit: Unit): number => 3 * testStrip(unit) - 4 * seam;

/**
 * What a test of three strips sewn side by side says of the seam, and what the difference adds up to across
 * and down this quilt: 2 × the difference at every seam a straight line crosses, a slanting one projected
 * (rule SM-2). Blocks were measured as they are, so their own seams are in them already.
 *
 * @param measured all three strips together, raw edge to raw edge, in the plan's unit
 */
export function seamDrift(plan: Plan, measured: number): Drift {
  const { unit, seam } = plan;
  const strip = testStrip(unit);
  const sewn = (3 * strip - measured) / 4;
  const fat = sewn - seam;
  const row = driftAlong(seamsAlong(plan, 'across'), fat, 'across');
  const column = driftAlong(seamsAlong(plan, 'down'), fat, 'down');
  return {
    seam: lengthOf(
      sewn,
      `3 × ${formatWorking(strip, unit)} − ${formatExact(measured)} = ${formatExact(3 * strip - measured)} taken up by 4 seam allowances`,
      `÷ 4 = ${formatExact(sewn)}`,
    ),
    fat: lengthOf(fat, `${formatExact(sewn)} − ${formatWorking(seam, unit)} meant = ${formatExact(fat)}`),
    row,
    column,
    says: wordsFor(row.value, column.value, fat, unit),
  };
}

/** The seams of a plan's centre that a straight line across or down crosses, where they are most. */
export function seamsAlong(plan: Plan, way: 'across' | 'down'): SeamsCrossed {
  // A float makes triangles larger and adds no seam; what it trims would only draw theirs out past the blocks.
  const setting = withLengths(plan.setting, { float: 0 });
  return mostSeams(layOut({ ...plan, setting, borders: [] }).pieces, way);
}

/** What a seam that is so much fatter than meant takes of a line that crosses these (rule SM-2). */
export function driftAlong(
  { square, slanting }: SeamsCrossed,
  fat: number,
  which: 'across' | 'down',
): Figure {
  const total = 2 * fat * (square + slanting * Math.SQRT1_2);
  const each = `2 × ${formatExact(fat)}`;
  const parts = [
    ...(square > 0 || slanting === 0 ? [`${numberOf(square, 'seam')} ${which} × ${each}`] : []),
    ...(slanting > 0 ? [`${numberOf(slanting, 'slanting seam')} ${which} × ${each} ÷ √2`] : []),
  ];
  return lengthOf(total, `${parts.join(' + ')} = ${formatExact(total)}`);
}

function wordsFor(row: number, column: number, fat: number, unit: Unit): string[] {
  const amount = (v: number) => formatWithUnit(Math.abs(v), unit);
  const worst = Math.max(Math.abs(row), Math.abs(column));
  // More than can be eased shows at a long sash or border.
  if (worst <= fromInches(EASE_INCHES, unit))
    return [`Over a whole row it comes to ${amount(worst)}: it can be eased in.`];
  return [
    `A row comes out ${amount(row)} ${fat > 0 ? 'narrower' : 'wider'} and a column ${amount(column)} ${fat > 0 ? 'shorter' : 'longer'} than planned.`,
    `A sash or border cut to plan would be ${amount(worst)} too ${fat > 0 ? 'long' : 'short'}: cut it to what the centre measures.`,
    fat > 0
      ? 'Sew a scant seam: move the guide nearer the needle by the difference, and test again.'
      : 'The seam is scanter than meant: move the guide away from the needle by the difference, and test again.',
  ];
}
