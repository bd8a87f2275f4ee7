/** Two lengths closer than this are the same length: far below a ruler's mark, far above double rounding. */
export const TOLERANCE = 1e-6;

/** What arithmetic leaves in the last bits of scores, shares, sums of money and days: nearer than this they are alike. */
export const NOISE = 1e-9;

/** `a` is more than `b`, of whatever is no length. */
export const more = (a: number, b: number): boolean => a > b + NOISE;

/**
 * Same length, within the tolerance.
 *
 * @example
 * near(0.1 + 0.2, 0.3); // true
 * near(10.5, 10.4375); // false
 */
export const near = (a: number, b: number): boolean => Math.abs(a - b) <= TOLERANCE;

/** `a` is as long as `b` or longer, within the tolerance. */
export const atLeast = (a: number, b: number): boolean => a >= b - TOLERANCE;

/** `a` is longer than `b`, by more than the tolerance. */
export const longer = (a: number, b: number): boolean => a > b + TOLERANCE;

/** `a` is shorter than `b`, by more than the tolerance. */
export const shorter = (a: number, b: number): boolean => a < b - TOLERANCE;

/** Whole number of `size` that fit in `length`; an exact fit counts, whatever the last bit says. */
export const howManyFit = (length: number, size: number): number =>
  Math.max(0, Math.floor((length + TOLERANCE) / size));

/** Whole number of `size` needed to cover `length`; an exact cover needs no extra. */
export const howManyCover = (length: number, size: number): number =>
  Math.max(0, Math.ceil((length - TOLERANCE) / size));

/** The nearest whole number; a half goes up, whatever the last bit says. */
export const nearestWhole = (value: number): number => Math.floor(value + 0.5 + TOLERANCE);
