import type { Random } from '../random.ts';

/** Which of the fabrics each point is made of, in order round the quilt: one after another, or scattered with no two alike side by side. */
export function pointColours(total: number, fabrics: number, order: 'sequence' | 'scattered', random: Random): number[] {
  if (order === 'sequence' || fabrics < 3) return Array.from({ length: total }, (_, i) => i % fabrics);
  const left = Array.from({ length: fabrics }, (_, i) => Math.floor(total / fabrics) + (i < total % fabrics ? 1 : 0));
  const chosen: number[] = [];
  for (let i = 0; i < total; i++) {
    const barred = new Set([chosen.at(-1), i === total - 1 ? chosen[0] : undefined]);
    const open = left.flatMap((count, fabric) => (count > 0 && !barred.has(fabric) ? [{ fabric, count }] : []));
    // One of which more is left than can be kept apart goes first; otherwise chance decides, by how many are left.
    const pressing = open.find(({ count }) => 2 * count > total - i);
    const sum = open.reduce((all, { count }) => all + count, 0);
    let at = random() * sum;
    const fabric = pressing?.fabric ?? open.find(({ count }) => (at -= count) < 0)?.fabric ?? left.findIndex((count) => count > 0);
    left[fabric]!--;
    chosen.push(fabric);
  }
  return chosen;
}
