import { formatWithUnit } from './format.ts';
import { convertLength, type Unit } from './unit.ts';

/** What was typed, understood; or the reason it was not. */
export type ParsedLength =
  | { readonly ok: true; readonly value: number; readonly understood: string; readonly writtenIn: Unit | null }
  | { readonly ok: false; readonly message: string };

const VULGAR: Record<string, number> = {
  '¼': 1 / 4, '½': 1 / 2, '¾': 3 / 4, '⅓': 1 / 3, '⅔': 2 / 3, '⅛': 1 / 8, '⅜': 3 / 8, '⅝': 5 / 8, '⅞': 7 / 8,
};

/** Every way of writing a unit, with its size in inches or centimetres. */
const UNITS: ReadonlyArray<{ pattern: RegExp; unit: Unit; factor: number }> = [
  { pattern: /^(?:"|″|”|''|in|in\.|inch|inches)$/i, unit: 'in', factor: 1 },
  { pattern: /^(?:'|′|’|ft|ft\.|foot|feet)$/i, unit: 'in', factor: 12 },
  { pattern: /^(?:yd|yd\.|yds|yard|yards)$/i, unit: 'in', factor: 36 },
  { pattern: /^(?:cm|cm\.)$/i, unit: 'cm', factor: 1 },
  { pattern: /^(?:mm|mm\.)$/i, unit: 'cm', factor: 0.1 },
  { pattern: /^(?:m|m\.)$/i, unit: 'cm', factor: 100 },
];

const NUMBER = /^(-)?\s*(?:(\d+)\s*([¼½¾⅓⅔⅛⅜⅝⅞])|([¼½¾⅓⅔⅛⅜⅝⅞])|(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*[/⁄]\s*(\d+)|(\d*[.,]\d+|\d+[.,]?))\s*(\D*)$/;

/**
 * Reads a length as people write it: `12 1/2`, `12½`, `12-1/2`, `12.5`, `12,5`, `31.75 cm`, `1/3 yd`.
 * A figure without a unit is in `unit`; one with a unit is converted to it, exactly.
 * Never throws; the message is in the quilter's words. A sign is read, so that the range check can
 * speak of it; ranges are the caller's business.
 */
export function parseLength(text: string, unit: Unit): ParsedLength {
  const trimmed = text.trim();
  const example = unit === 'in' ? '12 1/2 or 12.5' : '31.5 or 315 mm';
  const no = (why: string): ParsedLength => ({ ok: false, message: `${why} Write it like ${example}.` });
  if (trimmed === '') return no('A length is missing here.');

  const match = NUMBER.exec(trimmed);
  if (!match) return no(`“${trimmed.slice(0, 40)}” is not a length.`);
  const [, minus, vulgarWhole, vulgarAfter, vulgarAlone, whole, numerator, denominator, decimal, suffix = ''] = match;
  if (decimal !== undefined && /^\d{1,3},\d{3}$/.test(decimal)) return no(`“${trimmed}” could be read two ways.`);
  if (denominator !== undefined && Number(denominator) === 0) return no(`“${trimmed}” has a nought under the line.`);

  let amount: number;
  if (vulgarAfter !== undefined) amount = Number(vulgarWhole) + VULGAR[vulgarAfter]!;
  else if (vulgarAlone !== undefined) amount = VULGAR[vulgarAlone]!;
  else if (numerator !== undefined) amount = Number(whole ?? 0) + Number(numerator) / Number(denominator);
  else amount = Number(decimal!.replace(',', '.'));

  const written = suffix.trim() === '' ? null : UNITS.find((u) => u.pattern.test(suffix.trim()));
  if (written === undefined) return no(`“${suffix.trim()}” is not a unit this knows.`);
  const signed = minus ? -amount : amount;
  const value = written ? convertLength(signed * written.factor, written.unit, unit) : signed;
  if (!Number.isFinite(value)) return no(`“${trimmed.slice(0, 40)}” is too long a figure.`);
  return { ok: true, value, understood: formatWithUnit(value, unit), writtenIn: written?.unit ?? null };
}
