import { gcd, type Task } from './task.ts';
import { howManyCover } from '../length/tolerance.ts';

/** Beyond so many steps sums of heights are not looked for. */
const MOST_STEPS = 20_000;

/**
 * A length no plan can go below: the tallest piece; the area of all that is wanted with the joins that cannot be
 * spared; and the same with pieces wider than some share of the cloth counted as if they filled it, since no two of
 * them lie side by side (dual feasible functions after Fekete and Schepers, from memory). Whole strips add up to that:
 * the least sum of heights that reaches it.
 */
export function boundOf(task: Task): number {
  const { usable } = task.sheet;
  const narrow = new Set(task.ways.map(({ w }) => w).filter((w) => 2 * w <= usable));
  // What stock could hold at the most is taken off all that is wanted.
  if (task.stock.length > 0) {
    const stock = task.stock.reduce((sum, { width, length }) => sum + width * length, 0);
    return wholeStrips(task, countedLength(task, 0) - stock / usable);
  }
  const bounds = [0, ...narrow].map((least) => countedLength(task, least));
  return wholeStrips(task, Math.max(tallest(task), ...bounds));
}

/** The least length strips can add up to that reaches `least`: every strip is as high as pieces over one another. */
function wholeStrips({ ways, runs }: Task, least: number): number {
  const reach = howManyCover(least, 1);
  const heights = [...new Set([...ways.map(({ h }) => h), ...runs.map(({ width }) => width)])];
  if (heights.length === 0) return reach;
  const step = heights.reduce(gcd, 0);
  const steps = Math.ceil(reach / step);
  if (steps > MOST_STEPS) return steps * step;
  // The lowest strip reaches past it by less than itself.
  const last = steps + Math.min(...heights) / step;
  const sums = new Uint8Array(last + 1);
  sums[0] = 1;
  for (const height of heights) {
    const up = height / step;
    for (let at = up; at <= last; at++) if (sums[at - up]) sums[at] = 1;
  }
  const found = sums.indexOf(1, steps);
  return (found < 0 ? steps : found) * step;
}

function tallest({ kinds, runs, ways }: Task): number {
  const lowest = kinds.map((_, kind) =>
    Math.min(...ways.filter((way) => way.kind === kind).map(({ h }) => h)),
  );
  return Math.max(0, ...lowest, ...runs.map(({ width }) => width));
}

/** Length of cloth with what is narrower than `least` left out and what leaves no room for `least` counted as a whole width. */
function countedLength({ kinds, runs, ways, sheet: { usable } }: Task, least: number): number {
  const share = (w: number) => (w > usable - least ? 1 : w < least ? 0 : w / usable);
  const pieces = kinds.reduce((sum, { count }, kind) => {
    const own = ways.filter((way) => way.kind === kind);
    return sum + count * Math.min(...own.map(({ w, h }) => share(w) * h));
  }, 0);
  // Strips of a run may be of any length, so they only count where nothing is left out.
  const strips = runs.reduce((sum, { width, net, loss }) => {
    const joins = Math.ceil(net / (usable - loss)) - 1;
    return sum + (width * (net + loss + joins * loss)) / usable;
  }, 0);
  return pieces + (least === 0 ? strips : 0);
}
