import { near, TOLERANCE } from './tolerance.ts';
import { convertLength, fromInches, type Unit } from './unit.ts';

/** A rounding the trade has a name for. Every working that rounds says which one it used. */
export interface Rounding {
  /** As it reads in a working: "next 1/8 up". */
  readonly name: string;
  readonly apply: (value: number) => number;
}

const up = (step: number) => (value: number) => Math.ceil((value - TOLERANCE) / step) * step;
const nearest = (step: number) => (value: number) => Math.round(value / step) * step;

/** Up to the next eighth of an inch. An exact eighth stays. */
export const nextEighth: Rounding = { name: 'next 1/8 up', apply: up(1 / 8) };
const nearestEighth: Rounding = { name: 'nearest 1/8', apply: nearest(1 / 8) };
const nextFiveMillimetres: Rounding = { name: 'next 5 mm up', apply: (v) => tidy(up(0.5)(v)) };
const nearestMillimetre: Rounding = { name: 'nearest mm', apply: (v) => tidy(nearest(0.1)(v)) };
const nearestSixteenth: Rounding = { name: 'nearest 1/16', apply: nearest(1 / 16) };

/** Decimal steps are not exact in binary; drop the noise they leave. */
const tidy = (value: number): number => Math.round(value * 1e6) / 1e6;

/** Up to the next mark a rotary ruler is cut to: 1/8", or 5 mm. */
export const rulerUp = (unit: Unit): Rounding => (unit === 'in' ? nextEighth : nextFiveMillimetres);

/** Down to the next mark of the same ruler: what is surely there. */
export const rulerStepDown = (unit: Unit): Rounding => ({
  name: unit === 'in' ? 'next 1/8 down' : 'next mm down',
  apply: (v) =>
    unit === 'in' ? Math.floor((v + TOLERANCE) * 8) / 8 : tidy(Math.floor((v + TOLERANCE) * 10) / 10),
});

/** To the nearest mark one can cut to by eye: 1/8", or 1 mm. */
export const rulerNearest = (unit: Unit): Rounding => (unit === 'in' ? nearestEighth : nearestMillimetre);

/** To the nearest mark one can read off: 1/16", or 1 mm. Used when a plan changes unit. */
export const rulerFine = (unit: Unit): Rounding => (unit === 'in' ? nearestSixteenth : nearestMillimetre);

/** Down to the next mark one can read off: 1/16", or 1 mm. */
export const rulerFineDown = (unit: Unit): Rounding => ({
  name: unit === 'in' ? 'next 1/16 down' : 'next mm down',
  apply: (v) =>
    unit === 'in' ? Math.floor((v + TOLERANCE) * 16) / 16 : tidy(Math.floor((v + TOLERANCE) * 10) / 10),
});

/** The nearest mark of the fine ruler, 1/16" or 1/2 mm, without the noise √2 leaves in the last bits. */
export const ontoMark = (value: number, unit: Unit): number =>
  unit === 'in' ? nearest(1 / 16)(value) : tidy(nearest(0.05)(value));

/** Lies on a mark of the fine ruler already, so nothing needs rounding. */
export const isOnRuler = (value: number, unit: Unit): boolean => near(ontoMark(value, unit), value);

/**
 * The lower end of a range known in inches, in the plan's unit: the exact figure or the one it is said as in either
 * unit, whichever is lower, so that a figure allowed in one unit is allowed when it is converted.
 */
export const leastIn = (inches: number, unit: Unit): number => Math.min(...endsIn(inches, unit));

/** The upper end, likewise. */
export const mostIn = (inches: number, unit: Unit): number => Math.max(...endsIn(inches, unit));

const endsIn = (inches: number, unit: Unit): number[] => [
  fromInches(inches, unit),
  ...(['in', 'cm'] as const).map((u) => convertLength(limitIn(inches, u), u, unit)),
];

/** A limit known in inches, as a figure one would say in the plan's unit: 1/4" or 0.6 cm. */
export const limitIn = (inches: number, unit: Unit): number =>
  rulerFine(unit).apply(fromInches(inches, unit));
