import { groups } from 'd3-array';
import { isLong, joinLoss, type Need, type Sheet, type StockPiece } from './need.ts';

/** A kind of piece the one way round or the other: `w` across the cloth, `h` along it. */
export interface Way {
  readonly kind: number;
  readonly w: number;
  readonly h: number;
}

/** Strips of one width that are joined; `net` is what segments have to bring, each its length less one join. */
interface RunNeed {
  readonly width: number;
  readonly loss: number;
  readonly joins: Need['joins'];
  readonly net: number;
  readonly needs: readonly Need[];
}

/** Pieces of one size that may lie the same ways; whose they are is of no matter to the search. */
interface Kind extends Omit<Need, 'key' | 'joins'> {
  readonly needs: readonly Need[];
}

/** What is wanted of a cloth, sorted out for the search: kinds by number, runs after them. */
export interface Task {
  readonly sheet: Sheet;
  /** Pieces that are used up before any is cut from the cloth. */
  readonly stock: readonly StockPiece[];
  readonly kinds: readonly Kind[];
  readonly ways: readonly Way[];
  readonly runs: readonly RunNeed[];
  /** All that is cut across the cloth is so many units wide, or a multiple. */
  readonly step: number;
}

/** Sorts needs into kinds of single pieces, the ways each may lie, and runs of joined strips. */
export function taskOf(needs: readonly Need[], sheet: Sheet, stock: readonly StockPiece[] = []): Task {
  const wanted = needs.filter(({ count }) => count > 0);
  const kinds = groups(
    wanted.filter((need) => !isLong(need, sheet)),
    ({ width, length, lengthwise, oneWay }) => [width, length, lengthwise, oneWay].join(),
  ).map(([, needs]): Kind => ({
    ...needs[0]!,
    needs,
    count: needs.reduce((sum, { count }) => sum + count, 0),
  }));
  const ways = kinds.flatMap((kind, i) => waysOf(kind, i, sheet));
  const runs = groups(
    wanted.filter((need) => isLong(need, sheet)),
    ({ width, joins }) => [width, joins].join(),
  ).map(([, needs]): RunNeed => {
    const { width, joins } = needs[0]!;
    const loss = joinLoss(width, joins, sheet);
    const total = needs.reduce((sum, { length, count }) => sum + length * count, 0);
    return { width, loss, joins, net: total - loss, needs };
  });
  const step = ways.reduce((common, { w }) => gcd(common, w), 0) || 1;
  return { sheet, stock, kinds, ways, runs, step };
}

/** The greatest whole number both are multiples of. */
export const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

function waysOf(
  { width, length, lengthwise, oneWay }: Omit<Kind, 'needs'>,
  kind: number,
  { usable }: Sheet,
): Way[] {
  const upright: Way = { kind, w: width, h: length };
  const across: Way = { kind, w: length, h: width };
  if (lengthwise || oneWay === 'along') return width <= usable ? [upright] : [];
  const ways = oneWay === 'across' || width === length ? [across] : [across, upright];
  return ways.filter(({ w }) => w <= usable);
}

/** Needs that no way of laying them can place: wider than the cloth. */
export const unplaceable = (needs: readonly Need[], sheet: Sheet): Need[] =>
  needs.filter((need) => {
    if (need.count === 0) return false;
    if (isLong(need, sheet)) return need.oneWay === 'along' ? need.width > sheet.usable : false;
    return waysOf(need, 0, sheet).length === 0;
  });
