import { sum as sumOf } from 'd3-array';
import type { Random } from '../random/random.ts';

/** Which of the fabrics each point is made of, in order round the quilt: one after another, or scattered with no two alike side by side. */
export function pointColours(
  total: number,
  fabrics: number,
  order: 'sequence' | 'scattered',
  random: Random,
): number[] {
  if (order === 'sequence' || fabrics < 3) return Array.from({ length: total }, (_, i) => i % fabrics);
  const left = Array.from(
    { length: fabrics },
    (_, i) => Math.floor(total / fabrics) + (i < total % fabrics ? 1 : 0),
  );
  const chosen: number[] = [];
  for (let i = 0; i < total; i++) {
    const open = left.flatMap((count, fabric) =>
      count > 0 && fabric !== chosen.at(-1) ? [{ fabric, count }] : [],
    );
    // One of which more is left than can be kept apart goes first; otherwise chance decides, by how many are left.
    const pressing = open.find(({ count }) => 2 * count > total - i);
    const sum = sumOf(open, ({ count }) => count);
    let at = random() * sum;
    const fabric =
      pressing?.fabric ??
      open.find(({ count }) => (at -= count) < 0)?.fabric ??
      left.findIndex((count) => count > 0);
    left[fabric]!--;
    chosen.push(fabric);
  }
  return closed(chosen);
}

/** The last point lies beside the first: where they are alike, the last changes places with the first one that makes all differ. */
function closed(colours: number[]): number[] {
  const last = colours.length - 1;
  const differ = (ring: readonly number[]) => ring.every((colour, i) => colour !== ring.at(i - 1));
  if (differ(colours)) return colours;
  for (let i = 1; i < last; i++) {
    const ring = colours.with(i, colours[last]!).with(last, colours[i]!);
    if (differ(ring)) return ring;
  }
  return colours;
}
