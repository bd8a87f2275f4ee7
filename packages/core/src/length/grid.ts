import { TOLERANCE } from './tolerance.ts';
import type { Unit } from './unit.ts';

/** Whole units a cloth is planned in: 1/64" or half a millimetre, finer than any ruler. */
const SCALE: Readonly<Record<Unit, number>> = { in: 64, cm: 20 };

/** A length in whole units, so that what is cut is never smaller. @param length in the plan's unit */
export const unitsUp = (length: number, unit: Unit): number => Math.ceil(length * SCALE[unit] - TOLERANCE);

/** A length in whole units, so that cloth is never larger. */
export const unitsDown = (length: number, unit: Unit): number => Math.floor(length * SCALE[unit] + TOLERANCE);

/** Whole units as a length in the plan's unit. */
export const lengthOnGrid = (units: number, unit: Unit): number => units / SCALE[unit];

/** One mark of the grid, which is what a piece may be larger than its figure, in the plan's unit. */
export const gridMark = (unit: Unit): number => lengthOnGrid(1, unit);
