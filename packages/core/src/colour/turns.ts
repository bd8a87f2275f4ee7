import { sum as sumOf } from 'd3-array';
import type { COLOUR_ORDERS } from '../choice/edge.ts';
import type { Random } from '../random/random.ts';

/** Which of so many cloths each thing in a row is made of: one after another, or scattered with no two alike side by side, nor at the two ends. */
export function turnsOf(
  total: number,
  fabrics: number,
  order: (typeof COLOUR_ORDERS)[number],
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
    const good = open.filter(({ fabric }) =>
      endsWell(left.with(fabric, left[fabric]! - 1), fabric, chosen[0] ?? fabric),
    );
    const among = good.length > 0 ? good : open;
    let at = random() * sumOf(among, ({ count }) => count);
    // Two or three points with too few fabrics cannot all differ; then whatever is left is taken.
    const fabric =
      among.find(({ count }) => (at -= count) < 0)?.fabric ?? left.findIndex((count) => count > 0);
    left[fabric]!--;
    chosen.push(fabric);
  }
  return chosen;
}

/**
 * Whether what is left can follow `previous` round to `first` with no two alike side by side. In a row of n places a
 * fabric fits every other one, so half of them, rounded up; not in the place beside its like at either end.
 */
function endsWell(left: readonly number[], previous: number, first: number): boolean {
  const places = sumOf(left);
  return left.every((count, fabric) => {
    const free = places - (fabric === previous ? 1 : 0) - (fabric === first ? 1 : 0);
    return count <= Math.max(0, Math.ceil(free / 2));
  });
}
