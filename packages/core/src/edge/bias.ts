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
  yieldOf({ width: side, height: side }, strip, side - strip / Math.SQRT2, seam, unit);

/** Bias strips from a length of cloth across its usable width; the first cut runs from a corner. */
export const biasFromLength = (
  usable: number,
  length: number,
  strip: number,
  seam: number,
  unit: Unit,
): BiasYield => yieldOf({ width: usable, height: length }, strip, Math.min(usable, length), seam, unit);

/** An oblong of cloth that bias strips are cut from. */
interface Oblong {
  readonly width: number;
  readonly height: number;
}

/**
 * Bias lines run at 45°, where x + y is the same all along; a strip lies between two of them, a pitch of
 * `strip × √2` apart in x + y. The first strip begins at `from`; the rest lie on both sides of it, as long as they
 * give a hand's breadth. Ends are cut on the straight grain, so that any two can be joined on the diagonal.
 */
function yieldOf(cloth: Oblong, strip: number, from: number, seam: number, unit: Unit): BiasYield {
  const pitch = strip * Math.SQRT2;
  const shortest = fromInches(SHORTEST_INCHES, unit);
  const farCorner = cloth.width + cloth.height;
  const strips: BiasStrip[] = [];
  for (let i = Math.ceil(-from / pitch - TOLERANCE); from + (i + 1) * pitch <= farCorner + TOLERANCE; i++) {
    const cut = stripBetween(cloth, from + i * pitch, from + (i + 1) * pitch);
    if (cut && cut.length >= shortest - TOLERANCE) strips.push({ ...cut, from: sideOf(i) });
  }
  const joins = Math.max(0, strips.length - 1);
  return { ...cloth, strips, length: sum(strips, (s) => s.length) - joins * biasJoinLoss(seam) };
}

const sideOf = (number: number): BiasStrip['from'] =>
  number === 0 ? 'fold' : number < 0 ? 'before' : 'after';

/** An end of a strip, cut on the straight grain: x − y along it is `slope × (x + y) + at`. */
interface StraightEnd {
  readonly slope: 1 | -1;
  readonly at: number;
}

/** x − y where an end meets the bias line of this x + y. */
const alongAt = ({ slope, at }: StraightEnd, line: number): number => slope * line + at;

/**
 * The longest strip with straight-grain ends that lies in the oblong between two bias lines; null where there is
 * none. In the plane of x + y and x − y the oblong's sides run at 45°: left of a strip lie x = 0, where x − y is
 * −(x + y), and y = h, where it is (x + y) − 2h; right of it y = 0, where it is x + y, and x = w, where it is
 * 2w − (x + y). An end that keeps inside a side along the whole width of the strip is moved in by as much as the
 * strip reaches past the side's corner; of the two possible ends the longer strip is taken.
 */
function stripBetween({ width, height }: Oblong, from: number, to: number): Omit<BiasStrip, 'from'> | null {
  const middle = (from + to) / 2;
  const pastBottom = Math.max(0, 2 * to - 2 * height);
  const beforeBottom = Math.max(0, 2 * height - 2 * from);
  const pastRight = Math.max(0, 2 * to - 2 * width);
  const beforeRight = Math.max(0, 2 * width - 2 * from);
  const lefts: StraightEnd[] = [
    { slope: -1, at: pastBottom },
    { slope: 1, at: beforeBottom - 2 * height },
  ];
  const rights: StraightEnd[] = [
    { slope: 1, at: -pastRight },
    { slope: -1, at: 2 * width - beforeRight },
  ];
  const left = lefts.reduce((a, b) => (alongAt(b, middle) < alongAt(a, middle) ? b : a));
  const right = rights.reduce((a, b) => (alongAt(b, middle) > alongAt(a, middle) ? b : a));
  const crossed = [from, to].some((line) => alongAt(right, line) < alongAt(left, line) - TOLERANCE);
  if (crossed) return null;
  const point = (line: number, end: StraightEnd): Point => ({
    x: (line + alongAt(end, line)) / 2,
    y: (line - alongAt(end, line)) / 2,
  });
  return {
    outline: [point(from, left), point(from, right), point(to, right), point(to, left)],
    length: (alongAt(right, middle) - alongAt(left, middle)) / Math.SQRT2,
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
