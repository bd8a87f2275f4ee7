import { sum } from 'd3-array';
import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatWithUnit, formatWorking } from '../length/format.ts';
import { rulerNearest } from '../length/rounding.ts';
import { near, TOLERANCE } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { Measured } from '../plan/shape.ts';
import type { Border } from './border.ts';

/** A finished size with its working, in the plan's unit. */
export interface Size {
  readonly width: Figure;
  readonly height: Figure;
}

/** What measurements each way say of a top. */
export interface TopVerdict {
  /** True, or to be eased to its border, or to be squared up first; `part` while too little is measured to tell. */
  readonly kind: 'true' | 'ease' | 'square-up' | 'part';
  readonly text: string;
}

/** The top with so many borders on: the size it was planned to finish, what it measured, and the size the next border is cut by. */
export interface TopSize {
  readonly borders: number;
  readonly planned: Size;
  /** Null where no tape has been laid on it. */
  readonly measured: { readonly raw: Measured; readonly verdict: TopVerdict } | null;
  /** Finished: the measured size less its two seams where there is one, otherwise what the last size and the border come to. */
  readonly used: Size;
  /** Which way it rests on a measurement, its own or an earlier one. */
  readonly real: { readonly width: boolean; readonly height: boolean };
}

/** Sides that differ by about an inch are squared up first (rule BO-6); "about" is from three quarters up (from memory). */
const SQUARE_UP_INCHES = 3 / 4;
/** A difference of a whole top that a tape cannot be trusted on: 1/8". */
const TRUE_TOP_INCHES = 1 / 8;

/**
 * The size of the top at each step, from the bare centre to the last border. A size is theoretical until
 * a measured one replaces it; what follows is reckoned from there (rule BO-5).
 */
export function sizesAlong(
  centre: Size,
  borders: readonly Border[],
  measured: readonly Measured[],
  by: 'middle' | 'average',
  seam: number,
  unit: Unit,
): TopSize[] {
  const sizes: TopSize[] = [];
  for (let on = 0; on <= borders.length; on++) {
    const raw = measured.findLast((m) => m.borders === on && isMeasured(m)) ?? null;
    const next = nextSize(centre, sizes[on - 1], borders[on - 1], unit);
    const [width, height] = [raw?.width, raw?.height].map((places) => {
      const value = places && measuredBy(places, by, unit);
      return value ? finishedOf(value, seam, unit) : null;
    });
    sizes.push({
      borders: on,
      planned: next.planned,
      used: { width: width ?? next.used.width, height: height ?? next.used.height },
      real: { width: width !== null || next.real.width, height: height !== null || next.real.height },
      measured: raw && { raw, verdict: judgeTop(raw, unit) },
    });
  }
  return sizes;
}

/** The size before anything is measured at this step: the bare centre, or the last size with the next border on. */
function nextSize(
  centre: Size,
  before: TopSize | undefined,
  border: Border | undefined,
  unit: Unit,
): Pick<TopSize, 'planned' | 'used' | 'real'> {
  if (!before || !border) return { planned: centre, used: centre, real: { width: false, height: false } };
  const planned = grownBy(before.planned, border, unit);
  const grown = grownBy(before.used, border, unit);
  const used = {
    width: before.real.width ? grown.width : planned.width,
    height: before.real.height ? grown.height : planned.height,
  };
  return { planned, used, real: before.real };
}

/** The places of one way, in order, that a tape was laid on. */
export const knownPlaces = (places: Measured['width']): number[] => places.filter((value) => value !== null);

/** A tape was laid on it in one place at least. */
export const isMeasured = ({ width, height }: Pick<Measured, 'width' | 'height'>): boolean =>
  knownPlaces(width).length + knownPlaces(height).length > 0;

/** It was measured both ways, in one place at least. */
export const isMeasuredBothWays = ({ width, height }: Pick<Measured, 'width' | 'height'>): boolean =>
  knownPlaces(width).length > 0 && knownPlaces(height).length > 0;

/**
 * What the measurements of one way come to, raw edge to raw edge (rule BO-5): the middle, or the average of three; of
 * what is measured where not all of it is.
 *
 * @returns the figure, in the plan's unit; null where nothing is measured
 */
export function measuredBy(places: Measured['width'], by: 'middle' | 'average', unit: Unit): Figure | null {
  const there = knownPlaces(places);
  if (there.length === 0) return null;
  const show = (v: number) => formatWorking(v, unit);
  const middle = places[1];
  if (by === 'middle' && middle !== null)
    return lengthOf(middle, `Measured across the middle: ${show(middle)}`);
  const average = rulerNearest(unit).apply(sum(there) / there.length);
  if (there.length === 1) return lengthOf(average, `One reading of three: ${show(average)}`);
  const [last, ...others] = there.map(show).reverse();
  return lengthOf(
    average,
    `Average of ${others.reverse().join(', ')} and ${last}: ${show(average)}${there.length < 3 ? ', the third not measured yet' : ''}`,
  );
}

/** A raw measurement less its two seams. */
function finishedOf({ value, working }: Figure, seam: number, unit: Unit): Figure {
  const show = (v: number) => formatWorking(v, unit);
  return lengthOf(
    value - 2 * seam,
    ...working,
    `less 2 × ${show(seam)} seam = ${show(value - 2 * seam)} finished`,
  );
}

/**
 * Measurements each way held against one another: edges stretch, the middle does not (rule BO-6). What is not measured
 * is judged by nobody: the verdict says what is known and what is still to be measured.
 */
export function judgeTop(raw: Measured, unit: Unit): TopVerdict {
  const spread = (places: Measured['width']) => {
    const there = knownPlaces(places);
    return there.length < 2 ? 0 : Math.max(...there) - Math.min(...there);
  };
  const [wide, high] = [spread(raw.width), spread(raw.height)];
  const worst = Math.max(wide, high);
  const which = wide >= high ? 'widths' : 'heights';
  const apart = formatWithUnit(worst, unit);
  if (worst >= fromInches(SQUARE_UP_INCHES, unit) - TOLERANCE) {
    return {
      kind: 'square-up',
      text: `The ${which} differ by ${apart}. Square the top up first, or the border will wave.`,
    };
  }
  if (worst > fromInches(TRUE_TOP_INCHES, unit) + TOLERANCE) {
    return {
      kind: 'ease',
      text: `The ${which} differ by ${apart}: fine. Cut the border to the measurement, pin middle and ends, and ease the edge to it.`,
    };
  }
  const missing = missingOf(raw);
  if (missing !== null) return { kind: 'part', text: missing };
  return { kind: 'true', text: 'It lies true: cut the border to the measurement.' };
}

/** What a top that is measured in part does not tell yet; null where all six places are measured. */
function missingOf(raw: Measured): string | null {
  const of = (side: 'width' | 'height'): string | null => {
    const there = knownPlaces(raw[side]).length;
    if (there === 3) return null;
    const strips = side === 'width' ? 'top and bottom' : 'the side strips';
    if (there === 0) return `No ${side} is measured yet: ${strips} are still as planned.`;
    if (there === 1)
      return `One ${side} says how long ${strips} are, not whether the edges lie true: take the other two readings.`;
    return `Two of three ${side}s are measured, and agree.`;
  };
  const said = [of('width'), of('height')].filter((text) => text !== null);
  return said.length === 0 ? null : said.join(' ');
}

/** A size with one border on every side. */
function grownBy({ width, height }: Size, { sides, ends }: Border, unit: Unit): Size {
  const show = (v: number) => formatWorking(v, unit);
  const grown = (figure: Figure, by: number): Figure =>
    near(by, 0)
      ? figure
      : lengthOf(
          figure.value + 2 * by,
          ...figure.working,
          `${show(figure.value)} + 2 × ${show(by)} = ${show(figure.value + 2 * by)}`,
        );
  return { width: grown(width, sides), height: grown(height, ends) };
}
