import { sum as sumOf } from 'd3-array';
import { type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatLength } from '../length/format.ts';
import { howManyFit } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';
import type { InStock } from '../plan/shape.ts';
import { longAndShort } from './bias.ts';

/** Leftover strips used up first. */
export interface Leftovers {
  /** Each strip cut from them, by its length. */
  readonly lengths: readonly number[];
  /** Joined. */
  readonly reach: Figure;
  /** What is still to be cut from the binding's own fabric. */
  readonly wanting: Figure;
  /** Leftovers narrower than the strip, by their place among those to bind with. */
  readonly tooNarrow: readonly number[];
}

/** Leftovers cut down to the strip, and what they reach once joined. */
export function useUp(
  leftovers: readonly Pick<InStock, 'width' | 'length'>[],
  strip: number,
  length: number,
  unit: Unit,
): Leftovers {
  const lengths = longAndShort(
    leftovers.flatMap((piece) =>
      Array.from({ length: howManyFit(piece.width, strip) }, () => ({ length: piece.length })),
    ),
  ).map((p) => p.length);
  const sum = sumOf(lengths);
  const joins = Math.max(0, lengths.length - 1);
  const reach = Math.max(0, sum - joins * strip);
  // Where more is wanted, joining it on takes a strip's width too.
  const wanting = reach >= length ? 0 : length - reach + (lengths.length > 0 ? strip : 0);
  return {
    lengths,
    reach: lengthOf(
      reach,
      `${numberOf(lengths.length, 'strip')} of ${formatLength(strip, unit)}, together ${formatExact(sum)}, less ${numberOf(joins, 'join')} × ${formatLength(strip, unit)} = ${formatExact(reach)}`,
    ),
    wanting: lengthOf(
      wanting,
      wanting === 0
        ? `${formatExact(reach)} is enough for ${formatExact(length)}`
        : `${formatExact(length)} − ${formatExact(reach)}${lengths.length > 0 ? ` + ${formatLength(strip, unit)} for a join` : ''} = ${formatExact(wanting)}`,
    ),
    tooNarrow: leftovers.flatMap((piece, i) => (howManyFit(piece.width, strip) === 0 ? [i] : [])),
  };
}
