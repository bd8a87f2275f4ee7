import { ascending, greatest, sum } from 'd3-array';
import { squaredAgain } from '../cutting/squared.ts';
import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatWithUnit } from '../length/format.ts';
import { TOLERANCE } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';
import { boughtIn } from '../log/bought.ts';
import { type CutRecord, cutRecord } from '../log/cut-record.ts';
import type { LogEntry } from '../log/entry.ts';
import { stashIn } from '../log/stash.ts';
import type { Fabric, Plan } from '../plan/shape.ts';
import { cuttingJob } from '../quilt/compute.ts';
import type { Quilt } from '../quilt/quilt.ts';
import { allowanceFor, type FabricCut, withTight } from '../shopping/buy.ts';
import { costOf } from '../shopping/cost.ts';
import { shopCut, squaredOff } from '../shopping/shop-cut.ts';
import { atTable, type TableCloth, type TableWish } from './at-table.ts';
import { setAsideFor } from './set-aside.ts';

/** A quilt's log: its id there, and the entries. Of a plan file alone there is none, and its id is empty. */
export interface Logged {
  readonly id: string;
  readonly log: readonly LogEntry[];
}

/** A cloth as it is to be bought now: what is needed and not yet cut, set aside or in the house. */
export interface ToBuy extends FabricCut {
  /** As it lies on the table. */
  readonly table: TableCloth;
  readonly record: CutRecord;
  /** Length of it that is or was in the house, bought or as the list had it when its cutting was begun; null where none is. */
  readonly have: number | null;
  /** All of it that is needed from first to last, its end squared: what was cut off and what still is. */
  readonly inAll: number;
  /** Why there is nothing to buy; null where there is. */
  readonly settled: 'cut' | 'in the house' | 'set aside' | null;
}

/** How a cloth is to be cut that is not begun; as it usually is where this does not say. */
export type WayOf = (fabric: string) => Pick<TableWish, 'manner' | 'found'> | undefined;

/**
 * What to buy of every cloth of a quilt: what is needed, less what is set aside for it in the stash, less what is cut,
 * less what is in the house (rule BU-3). Screen, order, paper, table and file all ask this.
 *
 * @example
 * const plan = { ...startPlan('sashed-sampler'), grid: { across: 2, down: 5 } };
 * toBuy(plan, computeQuilt(plan), { id: '', log: [] }).map(({ fabric, buy }) => `${fabric.name}: ${buy.text}`)[0]; // 'Sash: 5/8 yd'
 */
export function toBuy(plan: Plan, quilt: Quilt, logged: Logged, wayOf: WayOf = () => undefined): ToBuy[] {
  const stash = stashIn(logged.log, plan.unit);
  const bought = boughtIn(logged.log, logged.id, plan.unit);
  return quilt.fabrics.map((cloth) => {
    const { fabric } = cloth;
    const record = cutRecord(logged.log, logged.id, fabric.id, plan.unit);
    const aside = setAsideFor(stash, logged.id, fabric.id);
    const job = cuttingJob(plan, quilt, fabric.id);
    const table = atTable(job, record, { ...wayOf(fabric.id), stash: aside });
    return clothToBuy(plan, cloth, table, record, bought.get(fabric.id)?.length ?? null);
  });
}

function clothToBuy(
  plan: Plan,
  cloth: FabricCut,
  table: TableCloth,
  record: CutRecord,
  bought: number | null,
): ToBuy {
  const { unit } = plan;
  const { fabric } = cloth;
  const isBegun = record.done.size > 0 || record.made.length > 0 || record.taken > 0;
  const placed = table.placed;
  const allowance = allowanceFor(plan, fabric, placed);
  // What is too wide to be placed is asked for all the same.
  const beyond = placed.needed.value - sum(placed.heights);
  const open = table.steps.flatMap(({ kind, done, box }) => (kind === 'strip' && !done ? [box.h] : []));
  const left = sum(open) + beyond;
  const have = bought ?? (isBegun ? listedThen(record, plan, fabric) : null);
  const shrunk = 1 - allowance.shrinkage / 100;
  const there = have === null ? 0 : Math.max(0, have * shrunk - squaredOff(allowance) - record.taken);
  const held = have === null ? NOTHING_HELD : mostThatFits(open, there);
  const lacks = Math.max(0, left - held.length);
  // What lacks is cut from a cloth of its own: its end is squared for its own strips.
  const more = { ...allowance, again: squaredAgain(open.length - held.count) };
  const buy = shopCut(lacks, more, unit);
  return {
    ...cloth,
    ...placed,
    needed: neededOf({ placed, left, have, there, held: held.length, lacks, taken: record.taken }, plan),
    notes: withTight(placed.notes, buy),
    buy,
    cost: costOf([{ length: lacks, price: fabric.price, allowance: more }], unit),
    table,
    record,
    have,
    inAll: (record.taken + left + squaredOff(allowance) + allowance.spare) / shrunk,
    settled: lacks > TOLERANCE ? null : left > TOLERANCE ? 'in the house' : isBegun ? 'cut' : 'set aside',
  };
}

/** What the list had asked for when the cutting was begun: whoever cuts has bought it. */
function listedThen(record: CutRecord, plan: Plan, fabric: Fabric): number {
  return shopCut(record.begunWith ?? 0, allowanceFor(plan, fabric), plan.unit).length.value;
}

interface Reckoned {
  readonly placed: TableCloth['placed'];
  readonly left: number;
  readonly have: number | null;
  readonly there: number;
  readonly held: number;
  readonly lacks: number;
  readonly taken: number;
}

function neededOf({ placed, left, have, there, held, lacks, taken }: Reckoned, { unit }: Plan): Figure {
  if (have === null && taken === 0) return placed.needed;
  const show = (value: number) => formatWithUnit(value, unit);
  return lengthOf(
    lacks,
    ...(taken > 0 ? [`Cut off so far: ${show(taken)}`] : []),
    `Still to be cut off: ${formatExact(left)}`,
    ...(have === null
      ? []
      : [
          `Of ${show(have)} in the house ${show(there)} are left, which hold ${show(held)} of it`,
          `${formatExact(left)} − ${formatExact(held)} = ${formatExact(lacks)}`,
        ]),
  );
}

/** Strips are so many at most that trying every sum of them takes no time. */
const SUMS = 20_000;

/** Strips that a length of cloth holds: how long they are together, and how many. */
interface HeldStrips {
  readonly length: number;
  readonly count: number;
}
const NOTHING_HELD: HeldStrips = { length: 0, count: 0 };

/** The most of some strips that a length of cloth holds, whole ones only (subset sums). */
function mostThatFits(strips: readonly number[], length: number): HeldStrips {
  const all = sum(strips);
  if (all <= length + TOLERANCE) return { length: all, count: strips.length };
  let sums = new Map<string, HeldStrips>([['0', NOTHING_HELD]]);
  for (const strip of strips) {
    const next = new Map(sums);
    for (const had of sums.values()) {
      const more = { length: had.length + strip, count: had.count + 1 };
      if (more.length <= length + TOLERANCE) next.set(more.length.toFixed(4), more);
    }
    if (next.size > SUMS) break;
    sums = next;
  }
  return greatest([...sums.values()], (a, b) => ascending(a.length, b.length))!;
}

/** That what is in the house is not enough for all of it, and what to buy; null where it is, or where none is there. */
export const shortSays = (
  { have, settled, inAll, buy }: Pick<ToBuy, 'have' | 'settled' | 'inAll' | 'buy'>,
  unit: Unit,
): string | null =>
  have === null || settled !== null
    ? null
    : `This takes ${formatWithUnit(inAll, unit)} and you have ${formatWithUnit(have, unit)}. Buy ${buy.text} more, or see what else could be done.`;
