import { sum } from 'd3-array';
import { lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { atLeast } from '../length/tolerance.ts';
import type { Cloth, LengthwiseCut, Wanted } from './strip-plan.ts';

/**
 * Lengthwise strips: laid side by side across the usable width, longest first, a new length of fabric
 * when the width is full; each length is as long as its longest strip (rule BO-3: yardage at least the
 * longest strip).
 */
export function cutLengthwise(wanted: readonly Wanted[], { usable, unit }: Cloth): LengthwiseCut {
  const show = (v: number) => formatWorking(v, unit);
  const strips = wanted.flatMap((w) => Array.from({ length: w.count }, () => w));
  strips.sort((a, b) => b.length - a.length);
  const lengths: { longest: number; left: number; held: number }[] = [];
  for (const { width, length } of strips) {
    const room = lengths.find((l) => atLeast(l.left, width));
    if (room) {
      room.left -= width;
      room.held++;
    } else lengths.push({ longest: length, left: usable - width, held: 1 });
  }
  const total = sum(lengths, (l) => l.longest);
  const says = lengths.map(
    ({ held, longest }) =>
      `${numberOf(held, 'strip')} side by side across ${show(usable)}, the longest ${show(longest)}`,
  );
  return {
    length: lengthOf(total, ...says, ...(lengths.length > 1 ? [`Together ${formatExact(total)}`] : [])),
    yields: wanted.map(({ line, name, length, count }) => ({
      line,
      name,
      length,
      count,
      joins: [],
      straight: false,
    })),
  };
}
