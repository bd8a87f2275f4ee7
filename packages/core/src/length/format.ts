import { isOnRuler } from './rounding.ts';
import type { Unit } from './unit.ts';

/** A length in inches split for typesetting: only the fraction goes into the font's fraction feature. */
export interface FractionParts {
  readonly negative: boolean;
  readonly whole: number;
  /** 0 when there is no fraction. */
  readonly numerator: number;
  readonly denominator: number;
}

/** Splits inches into whole and lowest-terms fraction, to the nearest `1/denominator`. */
export function fractionParts(inches: number, denominator = 8): FractionParts {
  const units = Math.round(Math.abs(inches) * denominator);
  let numerator = units % denominator;
  let lowest = denominator;
  while (numerator !== 0 && numerator % 2 === 0) {
    numerator /= 2;
    lowest /= 2;
  }
  return {
    negative: inches < 0 && units !== 0,
    whole: Math.floor(units / denominator),
    numerator,
    denominator: numerator === 0 ? 1 : lowest,
  };
}

/**
 * A length as a quilter writes it, without its unit: `12 1/2`, `7/8`, `31.8`.
 * Inches go to the nearest 1/8, or to 1/16 when the value is exactly there; centimetres to the
 * nearest millimetre, or half millimetre when exactly there.
 *
 * @example
 * formatLength(10.375, 'in'); // '10 3/8'
 * formatLength(26.45, 'cm'); // '26.45'
 */
export function formatLength(value: number, unit: Unit): string {
  if (unit === 'cm') {
    const tenths = Math.round(value * 10) / 10;
    const exact = isOnRuler(value, 'cm') && Math.abs(tenths - value) > 1e-4;
    return exact ? value.toFixed(2) : String(tenths === 0 ? 0 : tenths);
  }
  const { negative, whole, numerator, denominator } = fractionParts(value, isOnRuler(value, 'in') ? 16 : 8);
  const fraction = numerator === 0 ? '' : `${numerator}/${denominator}`;
  const text =
    whole === 0 && fraction !== '' ? fraction : [whole, fraction].filter((t) => t !== '').join(' ');
  return negative ? `-${text}` : text;
}

/** A small length to the nearest 1/32", or half millimetre, with its unit: what is trimmed off one side. */
export function formatFine(value: number, unit: Unit): string {
  if (unit === 'cm') return `${String(Math.round(value * 20) / 20)} cm`;
  const { negative, whole, numerator, denominator } = fractionParts(value, 32);
  const text = [
    whole > 0 || numerator === 0 ? String(whole) : '',
    numerator === 0 ? '' : `${numerator}/${denominator}`,
  ]
    .filter(Boolean)
    .join(' ');
  return `${negative ? '-' : ''}${text}″`;
}

/** The mark that follows a length: ″ or cm. */
export const unitMark = (unit: Unit): string => (unit === 'in' ? '″' : ' cm');

/**
 * A length with its unit: `12 1/2″`, `31.8 cm`.
 *
 * @example
 * formatWithUnit(2.75, 'in'); // '2 3/4″'
 */
export const formatWithUnit = (value: number, unit: Unit): string =>
  `${formatLength(value, unit)}${unitMark(unit)}`;

/**
 * A length as it stands in a working, without its unit: as on the ruler where it lies on a mark, otherwise
 * in three decimals, so that the sum can be checked with a pencil.
 */
export const formatWorking = (value: number, unit: Unit): string =>
  isOnRuler(value, unit) ? formatLength(value, unit) : formatExact(value);

/** A long run, such as thread or quilting, in yards or metres: `105 yd`, `96 m`. To the whole from ten up. */
export function formatRun(value: number, unit: Unit): string {
  const run = value / (unit === 'in' ? 36 : 100);
  return `${run >= 10 ? Math.round(run) : Math.round(run * 10) / 10} ${unit === 'in' ? 'yd' : 'm'}`;
}

/**
 * Two lengths as a size: `58 1/2 × 70″`.
 *
 * @example
 * formatSize(41, 53.5, 'in'); // '41 × 53 1/2″'
 */
export const formatSize = (width: number, height: number, unit: Unit): string =>
  `${formatLength(width, unit)} × ${formatWithUnit(height, unit)}`;

/** An exact value in a working, before rounding: three decimals at most, no trailing noughts (`7.946`). */
export const formatExact = (value: number): string => String(Math.round(value * 1000) / 1000);
