import { sum } from 'd3-array';
import type { Point } from '../geometry/point.ts';
import { TOLERANCE } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';

/** One bias strip as it is cut from an oblong of cloth: its corners there, and the length it gives, between the middles of its slanting ends. */
export interface BiasStrip {
  readonly outline: readonly [Point, Point, Point, Point];
  readonly length: number;
  /** 0 for the one on the fold; then outward, to one side and the other. */
  readonly from: 'fold' | 'before' | 'after';
}

/** Bias strips from an oblong, and what they come to once joined. */
export interface BiasYield {
  readonly width: number;
  readonly height: number;
  readonly strips: readonly BiasStrip[];
  /** Once joined on the slant of their ends. */
  readonly length: number;
}

/** A strip shorter than a hand's breadth is not worth a join: 4" (from memory). */
const SHORTEST_INCHES = 4;

/** Two slanting ends sewn with this seam take so much of the length: `2a√2` (geometry). */
export const biasJoinLoss = (seam: number): number => 2 * seam * Math.SQRT2;

/**
 * Bias strips from a square, cut folded: the first cut, half a strip from the double fold, opens to a whole
 * strip along the diagonal; every other one lies beside it (rule BI-3).
 */
export const biasFromSquare = (side: number, strip: number, seam: number, unit: Unit): BiasYield =>
  yieldOf(side, side, strip, side - strip / Math.SQRT2, seam, unit);

/** Bias strips from a length of cloth across its usable width; the first cut runs from a corner. */
export const biasFromLength = (
  usable: number,
  length: number,
  strip: number,
  seam: number,
  unit: Unit,
): BiasYield => yieldOf(usable, length, strip, Math.min(usable, length), seam, unit);

/**
 * Strips lie along x − y; `u = x + y` counts across them. One begins at `from`, the rest lie on both
 * sides of it, as long as they give a hand's breadth. Ends are cut on the straight grain, so that any two
 * can be joined on the diagonal.
 */
function yieldOf(
  width: number,
  height: number,
  strip: number,
  from: number,
  seam: number,
  unit: Unit,
): BiasYield {
  const pitch = strip * Math.SQRT2;
  const shortest = fromInches(SHORTEST_INCHES, unit);
  const strips: BiasStrip[] = [];
  const first = Math.ceil(-from / pitch - TOLERANCE);
  for (let i = first; from + (i + 1) * pitch <= width + height + TOLERANCE; i++) {
    const cut = stripBetween(width, height, from + i * pitch, from + (i + 1) * pitch);
    if (cut && cut.length >= shortest - TOLERANCE)
      strips.push({ ...cut, from: i === 0 ? 'fold' : i < 0 ? 'before' : 'after' });
  }
  const joins = Math.max(0, strips.length - 1);
  return {
    width,
    height,
    strips,
    length: sum(strips, (s) => s.length) - joins * biasJoinLoss(seam),
  };
}

/** The longest strip with ends at 45° that lies in the oblong between two bias lines; null where there is none. */
function stripBetween(width: number, height: number, u1: number, u2: number): Omit<BiasStrip, 'from'> | null {
  const middle = (u1 + u2) / 2;
  type Line = { readonly slope: 1 | -1; readonly at: number };
  const value = ({ slope, at }: Line, u: number) => slope * u + at;
  // v = x − y. The left end lies right of both v = −u and v = u − 2h; the right end left of both v = u and v = 2w − u.
  const lefts: Line[] = [
    { slope: -1, at: Math.max(0, 2 * u2 - 2 * height) },
    { slope: 1, at: -2 * height + Math.max(0, 2 * height - 2 * u1) },
  ];
  const rights: Line[] = [
    { slope: 1, at: -Math.max(0, 2 * u2 - 2 * width) },
    { slope: -1, at: 2 * width - Math.max(0, 2 * width - 2 * u1) },
  ];
  const left = lefts.reduce((a, b) => (value(b, middle) < value(a, middle) ? b : a));
  const right = rights.reduce((a, b) => (value(b, middle) > value(a, middle) ? b : a));
  if ([u1, u2].some((u) => value(right, u) < value(left, u) - TOLERANCE)) return null;
  const point = (u: number, line: Line): Point => ({
    x: (u + value(line, u)) / 2,
    y: (u - value(line, u)) / 2,
  });
  return {
    outline: [point(u1, left), point(u1, right), point(u2, right), point(u2, left)],
    length: (value(right, middle) - value(left, middle)) / Math.SQRT2,
  };
}

/**
 * One continuous strip from a square (the tube): cut corner to corner, joined along two straight sides,
 * marked into lanes a strip wide, and joined into a tube one lane along (rule BI-4). The first seam takes
 * `2a` off the square along one side, so its bias edges lie `(S − 2a) ÷ √2` apart; the second takes `2a`
 * along the other, so a lane goes `(S − 2a)√2` round (geometry: both together are the sewn area).
 */
export function biasTube(
  side: number,
  strip: number,
  seam: number,
): { readonly lanes: number; readonly round: number; readonly length: number } {
  const sewn = Math.max(0, side - 2 * seam);
  const lanes = Math.floor(sewn / Math.SQRT2 / strip + TOLERANCE);
  const round = sewn * Math.SQRT2;
  return { lanes, round, length: lanes * round };
}

/** The smallest whole inch (or centimetre) up to `most` that gives enough; null where even that does not. */
export function smallestThat(most: number, gives: (side: number) => number, length: number): number | null {
  for (let side = 4; side <= most + TOLERANCE; side++) if (gives(side) >= length - TOLERANCE) return side;
  return null;
}

/** An order of joining in which long and short take turns, so that joins do not bunch (rule BI-3). */
export function longAndShort<T extends { readonly length: number }>(strips: readonly T[]): T[] {
  const sorted = [...strips].sort((a, b) => b.length - a.length);
  return sorted.map((_, i) => (i % 2 === 0 ? sorted[i / 2]! : sorted[sorted.length - 1 - (i - 1) / 2]!));
}
