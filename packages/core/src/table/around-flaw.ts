import { fromInches, type Unit } from '../length/unit.ts';

/** A flawed patch, from the cut end of the cloth and from its near selvage. */
export interface Flaw {
  /** Good cloth before it. */
  readonly after: number;
  readonly long: number;
  /** Good cloth beside it, from the near selvage. */
  readonly beside: number;
  readonly wide: number;
}

/** Narrower than this a piece beside a flaw is not worth keeping: 1" (from memory). */
const LEAST_INCHES = 1;

/**
 * Cutting round a flaw: how much of the length is cut off with it, and the good pieces of that, before it and on
 * either side; each is `w` across the cloth and `h` along it.
 *
 * @param usable width of the cloth; all in one unit
 */
export function aroundFlaw(
  { after, long, beside, wide }: Flaw,
  usable: number,
  unit: Unit,
): { readonly length: number; readonly leaves: readonly { readonly w: number; readonly h: number }[] } {
  const least = fromInches(LEAST_INCHES, unit);
  const far = usable - beside - wide;
  const pieces = [
    { w: usable, h: after },
    { w: beside, h: long },
    { w: far, h: long },
  ];
  return { length: after + long, leaves: pieces.filter(({ w, h }) => w >= least && h >= least) };
}
