import { formatWithUnit } from '../length/format.ts';
import { TOLERANCE } from '../length/tolerance.ts';
import { fromInches, ofUnit, type Unit } from '../length/unit.ts';

/** A backing as it was made: both sides, and corner to corner both ways; null what has not been measured of it. */
export interface MadeBacking {
  readonly width: number | null;
  readonly height: number | null;
  readonly diagonals: readonly [number | null, number | null];
}

/** A backing that was measured whole: its four lengths; null while one of them is missing. */
export function measuredBacking(
  made: MadeBacking | null,
): { width: number; height: number; diagonals: [number, number] } | null {
  if (!made) return null;
  const {
    width,
    height,
    diagonals: [one, other],
  } = made;
  if (width === null || height === null || one === null || other === null) return null;
  return { width, height, diagonals: [one, other] };
}

/** What a made backing leaves round the top, and how far it is from square. */
export interface MadeVerdict {
  /** Beyond the top at each side, and at top and bottom; null where that is not measured. */
  readonly over: { readonly sides: number | null; readonly ends: number | null };
  /** How much the two diagonals differ; null until both are measured. */
  readonly skew: number | null;
  /** `part` while too little is measured to tell. */
  readonly kind: 'good' | 'short' | 'crooked' | 'part';
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
): MadeVerdict | null {
  const show = (v: number) => formatWithUnit(v, unit);
  const beyond = (length: number | null, of: number) => (length === null ? null : (length - of) / 2);
  const over = { sides: beyond(made.width, top.width), ends: beyond(made.height, top.height) };
  const [one, other] = made.diagonals;
  if ([made.width, made.height, one, other].every((length) => length === null)) return null;
  const skew = one === null || other === null ? null : Math.abs(one - other);
  const least = Math.min(over.sides ?? Infinity, over.ends ?? Infinity);
  if (skew !== null && skew > fromInches(SKEW_INCHES, unit) + TOLERANCE) {
    return {
      over,
      skew,
      kind: 'crooked',
      text: `Corner to corner it differs by ${show(skew)}: it is not square. Square it up before layering, or the quilt is pulled crooked.`,
    };
  }
  if (least < overhang - TOLERANCE) {
    const where = (over.sides ?? Infinity) < (over.ends ?? Infinity) ? 'the sides' : 'top and bottom';
    return {
      over,
      skew,
      kind: 'short',
      text:
        least < 0
          ? `It is smaller than the top by ${show(-2 * least)} at ${where}.`
          : `It overhangs by only ${show(least)} at ${where}; ${show(overhang)} was planned. Quilting at home, ${show(ofUnit(unit, 2, 5))} is enough.`,
    };
  }
  if (over.sides === null || over.ends === null || skew === null) {
    const missing = [
      ...(over.sides === null ? ['its width'] : []),
      ...(over.ends === null ? ['its height'] : []),
      ...(skew === null ? ['both diagonals, which tell whether it is square'] : []),
    ];
    return { over, skew, kind: 'part', text: `Still to be measured: ${missing.join('; ')}.` };
  }
  return {
    over,
    skew,
    kind: 'good',
    text: `It overhangs by ${show(over.sides)} at the sides and ${show(over.ends)} at top and bottom, and is square.`,
  };
}
