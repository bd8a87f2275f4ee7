import { countOf, type Figure, numberOf } from '../figure/figure.ts';
import { formatLength, unitMark } from '../length/format.ts';
import { gridMark } from '../length/grid.ts';
import type { Unit } from '../length/unit.ts';

/** Strips as the cloth gives them: so many selvage to selvage, and shorter ones where they share a strip with something else. */
export interface StripsAsCut {
  readonly whole: Figure;
  /** Their lengths, in the plan's unit, longest first. */
  readonly short: readonly number[];
}

/** Strips selvage to selvage: how they are cut as long as nothing else is known of their cloth. */
export const wholeStrips = (whole: Figure): StripsAsCut => ({ whole, short: [] });

/**
 * Tells strips that are as long as their cloth is wide, to a mark of the grid it is planned on, from shorter ones.
 *
 * @param counted whole strips, as they would be cut by themselves
 */
export function stripsAsCut(
  lengths: readonly number[],
  counted: Figure,
  usable: number,
  unit: Unit,
): StripsAsCut {
  const short = lengths.filter((length) => length < usable - 1.01 * gridMark(unit)).toSorted((a, b) => b - a);
  const whole = lengths.length - short.length;
  if (short.length === 0 && whole === counted.value) return wholeStrips(counted);
  const says = saysStrips({ whole: countOf(whole), short }, unit);
  return { short, whole: countOf(whole, ...counted.working, `As the cloth is cut for them: ${says}`) };
}

/** What there is beside the whole strips: `2 shorter ones, 14 and 12″ long`; null where they are all whole. */
export const shortStripsSay = ({ short }: Pick<StripsAsCut, 'short'>, unit: Unit): string | null =>
  short.length === 0 ? null : `${numberOf(short.length, 'shorter one')}, ${lengthsOf(short, unit)}`;

/** `9 strips`, `8 strips and 2 shorter ones, 14 and 12″ long`; `of` a width follows the strips: `8 strips of 2 1/4″ and …`. */
export function saysStrips({ whole, short }: StripsAsCut, unit: Unit, of = ''): string {
  if (whole.value === 0 && short.length > 0)
    return `${numberOf(short.length, 'strip')}${of}, ${lengthsOf(short, unit)}`;
  return [`${numberOf(whole.value, 'strip')}${of}`, shortStripsSay({ short }, unit)]
    .filter(Boolean)
    .join(' and ');
}

const lengthsOf = (short: readonly number[], unit: Unit): string =>
  `${short.map((length) => formatLength(length, unit)).join(' and ')}${unitMark(unit)} long`;
