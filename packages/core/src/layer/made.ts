import { formatWithUnit } from '../length/format.ts';
import { TOLERANCE } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';

/** A backing as it was made: both sides, and corner to corner both ways. */
export interface MadeBacking {
  readonly width: number;
  readonly height: number;
  readonly diagonals: readonly [number, number];
}

/** What a made backing leaves round the top, and how far it is from square. */
export interface MadeVerdict {
  /** Beyond the top at each side, and at top and bottom. */
  readonly over: { readonly sides: number; readonly ends: number };
  /** How much the two diagonals differ. */
  readonly skew: number;
  readonly kind: 'good' | 'short' | 'crooked';
  readonly text: string;
}

/** Diagonals that differ by more than this are not square: 1" (from memory). */
export const SKEW_INCHES = 1;

/** Judges a backing as made against the top and the overhang it should have. Equal diagonals are what makes an oblong square (rule BK-3; geometry). */
export function judgeMade(
  made: MadeBacking,
  top: { width: number; height: number },
  overhang: number,
  unit: Unit,
): MadeVerdict {
  const show = (v: number) => formatWithUnit(v, unit);
  const over = { sides: (made.width - top.width) / 2, ends: (made.height - top.height) / 2 };
  const skew = Math.abs(made.diagonals[0] - made.diagonals[1]);
  const least = Math.min(over.sides, over.ends);
  if (skew > fromInches(SKEW_INCHES, unit) + TOLERANCE) {
    return {
      over,
      skew,
      kind: 'crooked',
      text: `Corner to corner it differs by ${show(skew)}: it is not square. Square it up before layering, or the quilt is pulled crooked.`,
    };
  }
  if (least < overhang - TOLERANCE) {
    const where = over.sides < over.ends ? 'the sides' : 'top and bottom';
    return {
      over,
      skew,
      kind: 'short',
      text:
        least < 0
          ? `It is smaller than the top by ${show(-2 * least)} at ${where}.`
          : `It stands over by only ${show(least)} at ${where}, and ${show(overhang)} was planned. Enough for quilting at home from ${show(unit === 'in' ? 2 : 5)}.`,
    };
  }
  return {
    over,
    skew,
    kind: 'good',
    text: `It stands over by ${show(over.sides)} at the sides and ${show(over.ends)} at top and bottom, and is square.`,
  };
}
