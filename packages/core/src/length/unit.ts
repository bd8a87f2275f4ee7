/** The unit a whole plan is kept in. Inches and centimetres are never mixed inside one plan. */
export type Unit = 'in' | 'cm';

/** Exact by definition (international yard and pound agreement, 1959). */
export const CM_PER_INCH = 2.54;

/**
 * `value` of unit `from`, expressed in unit `to`. No rounding.
 *
 * @example
 * convertLength(2, 'in', 'cm'); // 5.08
 */
export function convertLength(value: number, from: Unit, to: Unit): number {
  if (from === to) return value;
  return from === 'in' ? value * CM_PER_INCH : value / CM_PER_INCH;
}

/** A length known in inches, in the given unit. No rounding. */
export const fromInches = (inches: number, unit: Unit): number => convertLength(inches, 'in', unit);

/** The step a division moves by on a tape and a ruler rounds to: 1/8" or 5 mm. */
export const rulerStep = (unit: Unit): number => (unit === 'in' ? 1 / 8 : 0.5);

/** The other of the two. */
export const otherUnit = (unit: Unit): Unit => (unit === 'in' ? 'cm' : 'in');

/** A length the trade says in whole figures of either unit, and not as one of them converted: 8″ or 20 cm. */
export const ofUnit = (unit: Unit, inches: number, centimetres: number): number =>
  unit === 'in' ? inches : centimetres;
