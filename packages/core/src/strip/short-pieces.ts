import { numberOf } from '../figure/figure.ts';
import { formatWorking } from '../length/format.ts';
import { howManyCover, howManyFit } from '../length/tolerance.ts';
import type { Cloth, InStrips } from './strip-plan.ts';

/** Pieces no longer than a strip: from what is left of strips already cut, fullest first, then from fresh ones. */
export function placeShortPieces(
  short: readonly InStrips[],
  scraps: readonly number[],
  { usable, unit }: Cloth,
): { strips: number; working: string[] } {
  const show = (v: number) => formatWorking(v, unit);
  const working: string[] = [];
  // Length of room on strips already cut → how many strips have it.
  const room = new Map<number, number>();
  const put = (left: number, count: number) => room.set(left, (room.get(left) ?? 0) + count);
  for (const scrap of scraps) put(scrap, 1);
  let strips = 0;
  for (const l of short) {
    let wanted = l.count;
    let fromRoom = 0;
    for (const [left, count] of [...room].sort(([a], [b]) => a - b)) {
      const each = howManyFit(left, l.along);
      if (each === 0 || wanted === 0) continue;
      const full = Math.min(count, Math.floor(wanted / each));
      const rest = full < count ? Math.min(wanted - full * each, each) : 0;
      const used = full + (rest > 0 ? 1 : 0);
      put(left, -used);
      if (full > 0) put(left - each * l.along, full);
      if (rest > 0) put(left - rest * l.along, 1);
      wanted -= full * each + rest;
      fromRoom += full * each + rest;
      if (room.get(left) === 0) room.delete(left);
    }
    const each = howManyFit(usable, l.along);
    const fresh = howManyCover(wanted, each);
    strips += fresh;
    const last = wanted - (fresh - 1) * each;
    if (fresh > 1) put(usable - each * l.along, fresh - 1);
    if (fresh > 0) put(usable - last * l.along, 1);
    if (fromRoom > 0)
      working.push(`${l.name}: ${fromRoom} × ${show(l.along)} from what is left of strips already cut`);
    if (fresh > 0)
      working.push(
        `${l.name}: ${wanted} × ${show(l.along)}, ${each} to a strip of ${show(usable)}: ${numberOf(fresh, 'strip')}`,
      );
  }
  return { strips, working };
}
