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

/** What three measurements each way say of a top. */
export interface TopVerdict {
  /** True, or to be eased to its border, or to be squared up first. */
  readonly kind: 'true' | 'ease' | 'square-up';
  readonly text: string;
}

/** The top with so many borders on: the size it was planned to finish, what it measured, and the size the next border is cut by. */
export interface TopSize {
  readonly borders: number;
  readonly planned: Size;
  readonly measured: { readonly raw: Measured; readonly verdict: TopVerdict } | null;
  /** Finished: the measured size less its two seams where there is one, otherwise what the last size and the border come to. */
  readonly used: Size;
  /** It rests on a measurement, its own or an earlier one. */
  readonly real: boolean;
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
    const raw = measured.findLast((m) => m.borders === on) ?? null;
    const next = nextSize(centre, sizes[on - 1], borders[on - 1], unit);
    const used = raw ? measuredSize(raw, by, seam, unit) : next.used;
    sizes.push({
      borders: on,
      planned: next.planned,
      used,
      real: raw !== null || next.real,
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
  if (!before || !border) return { planned: centre, used: centre, real: false };
  const planned = grownBy(before.planned, border, unit);
  return { planned, used: before.real ? grownBy(before.used, border, unit) : planned, real: before.real };
}

function measuredSize(raw: Measured, by: 'middle' | 'average', seam: number, unit: Unit): Size {
  const show = (v: number) => formatWorking(v, unit);
  const one = ([first, middle, last]: readonly [number, number, number]): Figure => {
    const average = rulerNearest(unit).apply((first + middle + last) / 3);
    const [value, how] =
      by === 'middle'
        ? [middle, `Measured across the middle: ${show(middle)}`]
        : [average, `Average of ${show(first)}, ${show(middle)} and ${show(last)}: ${show(average)}`];
    return lengthOf(
      value - 2 * seam,
      how,
      `less 2 × ${show(seam)} seam = ${show(value - 2 * seam)} finished`,
    );
  };
  return { width: one(raw.width), height: one(raw.height) };
}

/** Three measurements each way held against one another: edges stretch, the middle does not (rule BO-6). */
export function judgeTop(raw: Measured, unit: Unit): TopVerdict {
  const spread = (values: readonly number[]) => Math.max(...values) - Math.min(...values);
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
  return { kind: 'true', text: 'It lies true: cut the border to the measurement.' };
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
