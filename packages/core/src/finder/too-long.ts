/** A quilt more than twice as long as it is wide is a runner, which is made by a size, not found by chance (from memory). */
const LONGEST = 2;

/** Too long for its width to be proposed as a quilt. */
export const isTooLongForItsWidth = (width: number, height: number): boolean =>
  Math.max(width, height) > LONGEST * Math.min(width, height);
