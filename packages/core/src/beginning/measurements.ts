import { mean } from 'd3-array';
import { formatExact, formatWithUnit } from '../length/format.ts';
import { parseLength } from '../length/parse.ts';
import type { Unit } from '../length/unit.ts';
import { type Granted, granted, refused } from '../refusal/refusal.ts';

/** More places than this nobody measures one side in. */
const MOST_PLACES = 5;

/**
 * One side of something large, measured in one place or in several: `64 7/8, 65, 65 1/8`. Several come to their average
 * (common practice: a quilt is measured in three places each way, and its edge goes by what they come to). Answers the
 * length in `unit` and what was understood, where that is more than the figure itself. Never throws.
 *
 * @example
 * const read = readMeasurements('41 1/8, 41, 40 7/8', 'in');
 * read.ok && read.value.length; // 41
 */
export function readMeasurements(
  text: string,
  unit: Unit,
): Granted<{ readonly length: number; readonly understood: string | null }> {
  const parts = text
    .split(/\s*[;,]\s+|\s*;\s*|\s+and\s+|,(?=\S+\s+\d+\/|\d{2,})/i)
    .map((part) => part.trim())
    .filter(Boolean);
  if (parts.length > MOST_PLACES) return refused(`Take at most ${MOST_PLACES} readings each way.`);
  const lengths: number[] = [];
  for (const part of parts.length === 0 ? [text] : parts) {
    const read = parseLength(part, unit);
    if (!read.ok) return refused(read.message);
    lengths.push(read.value);
  }
  const length = mean(lengths)!;
  const sum = lengths.map((value) => formatExact(value)).join(' + ');
  const understood =
    lengths.length === 1
      ? null
      : `${lengths.length} places: (${sum}) ÷ ${lengths.length} = ${formatWithUnit(length, unit)}`;
  return granted({ length, understood });
}
