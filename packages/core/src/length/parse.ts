import { formatExact, formatWithUnit, unitMark } from './format.ts';
import { isOnRuler } from './rounding.ts';
import { convertLength, type Unit } from './unit.ts';

/** What was typed, understood; or the reason it was not. */
export type ParsedLength =
  | {
      readonly ok: true;
      readonly value: number;
      readonly understood: string;
      readonly writtenIn: Unit | null;
    }
  | { readonly ok: false; readonly message: string };

const VULGAR: Readonly<Record<string, readonly [numerator: number, denominator: number]>> = {
  '¼': [1, 4],
  '½': [1, 2],
  '¾': [3, 4],
  '⅓': [1, 3],
  '⅔': [2, 3],
  '⅛': [1, 8],
  '⅜': [3, 8],
  '⅝': [5, 8],
  '⅞': [7, 8],
};

/** Every way of writing a unit, with its size in inches or centimetres; `parts` of it make one, so that tenths stay exact. */
const UNITS: ReadonlyArray<{ pattern: RegExp; unit: Unit; factor: number; parts?: number }> = [
  { pattern: /^(?:"|″|”|''|in|in\.|ins|ins\.|inch|inches)$/i, unit: 'in', factor: 1 },
  { pattern: /^(?:'|′|’|ft|ft\.|foot|feet)$/i, unit: 'in', factor: 12 },
  { pattern: /^(?:yd|yd\.|yds|yds\.|yard|yards)$/i, unit: 'in', factor: 36 },
  { pattern: /^(?:cm|cm\.)$/i, unit: 'cm', factor: 1 },
  { pattern: /^(?:mm|mm\.)$/i, unit: 'cm', factor: 1, parts: 10 },
  { pattern: /^(?:m|m\.)$/i, unit: 'cm', factor: 100 },
];

/** A whole and a fraction, a fraction alone, or a decimal; then whatever follows the figure. */
const NUMBER =
  /^(-)?\s*(?:(?:(\d+)\s*-?\s*)?([¼½¾⅓⅔⅛⅜⅝⅞])|(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*[/⁄]\s*(\d+)|(\d*[.,]\d+|\d+[.,]?))\s*(\D*)$/;

/** Feet, and then inches: `1' 6"`, `5 ft 2 1/2 in`. */
const FEET = /^(\d+)\s*(?:'(?!')|′|’|ft\.?|foot|feet)\s*(\d.*|[¼½¾⅓⅔⅛⅜⅝⅞].*)$/i;

/** A figure as it was written: its fraction is kept, so that it can be said again as it was meant. */
interface Written {
  readonly amount: number;
  readonly fraction: readonly [whole: number, numerator: number, denominator: number] | null;
}

/**
 * Reads a length as people write it: `12 1/2`, `12½`, `12-½`, `12.5`, `12,5`, `31.75 cm`, `1/3 yd`, `1' 6"`, with
 * any dash and in full-width digits. A figure without a unit is in `unit`; one with a unit is converted to it,
 * exactly. Never throws; the message is in the quilter's words. A sign is read, so that the range check can
 * speak of it; ranges are the caller's business.
 */
export function parseLength(text: string, unit: Unit): ParsedLength {
  const trimmed = plainly(text);
  const example = unit === 'in' ? '12 1/2 or 12.5' : '31.5 or 315 mm';
  const no = (why: string): ParsedLength => ({ ok: false, message: `${why} Write it like ${example}.` });
  if (trimmed === '') return no('A length is missing here.');

  const feet = FEET.exec(trimmed);
  if (feet)
    return feetAndInches(Number(feet[1]), feet[2]!, unit) ?? no(`“${trimmed.slice(0, 40)}” is not a length.`);

  const match = NUMBER.exec(trimmed);
  if (!match) return no(`“${trimmed.slice(0, 40)}” is not a length.`);
  const [, minus, , , , , denominator, decimal, suffix = ''] = match;
  if (decimal !== undefined && /^\d{1,3},\d{3}$/.test(decimal))
    return no(`“${trimmed}” could be read two ways.`);
  if (denominator !== undefined && Number(denominator) === 0)
    return no(`“${trimmed}” has a nought under the line.`);

  const written = writtenIn(match);
  const inUnit = suffix.trim() === '' ? null : UNITS.find((u) => u.pattern.test(suffix.trim()));
  if (inUnit === undefined) return no(`“${suffix.trim()}” is not a unit this knows.`);
  const signed = minus ? -written.amount : written.amount;
  const value = inUnit
    ? convertLength((signed * inUnit.factor) / (inUnit.parts ?? 1), inUnit.unit, unit)
    : signed;
  if (!Number.isFinite(value)) return no(`“${trimmed.slice(0, 40)}” is too long a figure.`);
  const plain = inUnit === null || (inUnit.unit === unit && inUnit.factor === 1 && !inUnit.parts);
  return {
    ok: true,
    value,
    understood: said(value, minus || !plain ? null : written.fraction, unit),
    writtenIn: inUnit?.unit ?? null,
  };
}

/** Full-width signs as the plain ones, any dash or minus as a hyphen, spaces of any kind as one. */
const plainly = (text: string): string =>
  text
    .replace(/[\uFF01-\uFF5E]/g, (c) => String.fromCharCode(c.charCodeAt(0) - 0xfee0))
    .replace(/[\u2010-\u2015\u2212]/g, '-')
    .replace(/\s+/g, ' ')
    .trim();

function writtenIn([
  ,
  ,
  vulgarWhole,
  vulgar,
  whole,
  numerator,
  denominator,
  decimal,
]: RegExpExecArray): Written {
  const fractioned = (units: number, over: number, under: number): Written => ({
    amount: units + over / under,
    fraction: [units, over, under],
  });
  if (vulgar !== undefined) return fractioned(Number(vulgarWhole ?? 0), ...VULGAR[vulgar]!);
  if (numerator !== undefined) return fractioned(Number(whole ?? 0), Number(numerator), Number(denominator));
  return { amount: Number(decimal!.replace(',', '.')), fraction: null };
}

function feetAndInches(feet: number, rest: string, unit: Unit): ParsedLength | null {
  const inches = parseLength(rest, 'in');
  if (!inches.ok || inches.value < 0 || inches.value >= 12 || inches.writtenIn === 'cm') return null;
  const value = convertLength(12 * feet + inches.value, 'in', unit);
  return { ok: true, value, understood: said(value, null, unit), writtenIn: 'in' };
}

/** A length said again: as on the ruler, a fraction no ruler has as it was written, anything else in decimals. */
function said(value: number, fraction: Written['fraction'], unit: Unit): string {
  if (isOnRuler(value, unit)) return formatWithUnit(value, unit);
  if (fraction && fraction[1] < fraction[2])
    return `${fraction[0] > 0 ? `${fraction[0]} ` : ''}${fraction[1]}/${fraction[2]}${unitMark(unit)}`;
  return `${formatExact(value)}${unitMark(unit)}`;
}
