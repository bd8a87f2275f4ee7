import { planOf, type Planned } from '../cutting/at-once.ts';
import { type Owner, sheetOf, sizesWanted, wantsKey, wantsOf } from '../cutting/needs.ts';
import { gridMark, unitsDown } from '../length/grid.ts';
import { placedInUnit } from '../cutting/in-unit.ts';
import { placeOn } from '../cutting/place.ts';
import type { Placed } from '../cutting/placed.ts';
import { cuttingSteps, type CuttingStep, type Leftover } from '../cutting/steps.ts';
import type { CuttingJob, FoundSheet } from '../cutting/ways.ts';
import { TOLERANCE } from '../length/tolerance.ts';
import { convertLength, otherUnit, type Unit } from '../length/unit.ts';
import { type CutPieces, type CutRecord, type PiecesMade } from '../log/cut-record.ts';
import { type PieceKey, pieceKey, isOf } from '../log/leftover-key.ts';
import { isLong, type Need, type Sheet, type SheetPlan, type StockPiece } from '../placing/need.ts';
import { taskOf } from '../placing/task.ts';
import type { Manner } from '../placing/views.ts';
import type { Cloth } from '../strip/strip-plan.ts';

/** A step at the table, and whether it is done. */
export interface TableStep extends CuttingStep {
  readonly done: boolean;
}

/** How many of a line of the cutting list are cut. */
interface LineCount {
  readonly line: string;
  readonly name: string;
  readonly cut: number;
  readonly wanted: number;
  /** Strips that are joined before the pieces are cut. */
  readonly joined: boolean;
}

/** One cloth as it lies on the table: what is cut from it, what is still to be cut, and how. */
export interface TableCloth {
  readonly placed: Placed;
  readonly steps: readonly TableStep[];
  /** The step to do now; null when all is cut. */
  readonly next: number | null;
  readonly counts: readonly LineCount[];
  /** Pieces that were cut and that the quilt no longer wants. */
  readonly spare: readonly PiecesMade[];
  /** Strips that were cut to be joined, and that nothing is cut from any more. */
  readonly stripsOver: readonly PiecesMade[];
  /** Why what is left is planned anew since cutting began; null where it is not. */
  readonly replanned: 'mishap' | 'changed' | null;
  /** Length of cloth cut off so far, and still to be cut off. */
  readonly taken: number;
  readonly left: number;
  /** What the log keeps when its cutting begins: id of the plan where that has been kept. */
  readonly plan: {
    readonly id: string | null;
    readonly wants: string;
    readonly stock: readonly Leftover[];
    readonly sheet: SheetPlan;
  };
}

/** How a cloth is to be cut where it is not begun. */
export interface TableWish {
  readonly manner?: Manner;
  /** A plan that a longer search found. */
  readonly found?: FoundSheet | null;
  /** Pieces of the stash that are set aside for it. */
  readonly stash?: readonly Leftover[];
}

/**
 * A cloth at the table. A plan that was begun is kept to as long as the quilt wants the same of the cloth; otherwise
 * what is still wanted is planned anew, from what is left of the cloth first. What is cut stays cut: it is counted
 * wherever it still fits, and named as spare where it does not.
 *
 * @example
 * const plan = { ...startPlan('sashed-sampler'), grid: { across: 2, down: 5 } };
 * const job = cuttingJob(plan, computeQuilt(plan), 'sash');
 * const table = atTable(job, cutRecord([], 'my-quilt', 'sash', 'in'));
 * [table.steps.length, table.next]; // [15, 0]
 */
export function atTable(job: CuttingJob, record: CutRecord, wish: TableWish = {}): TableCloth {
  const { fabric, lines, wish: how } = job;
  const { unit } = how;
  const cloth = clothOf(job);
  const { needs, owners } = wantsOf(lines, cloth, how.roundOf);
  const key = wantsKey(needs, sheetOf(cloth));
  const { cut, spare } = matched(job, needs, record.made);
  const begun = begunIn(job, record);
  const stock: readonly Leftover[] = begun
    ? begun.stock
    : [...record.left, ...joinedIn(record.made), ...spareIn(spare), ...(wish.stash ?? [])];
  let sheet: SheetPlan | null = begun?.kept.sheet ?? null;
  const placed = begun
    ? begun.placed
    : placeOn(fabric, lines, how, (all, on) => {
        const left = all.map((need) => ({ ...need, count: need.count - (cut.get(need.key) ?? 0) }));
        const planned = plannedFor(left, on, stock, key, wish, unit);
        sheet = planned.plan;
        return planned;
      });
  const steps = cuttingSteps(placed, unit, stock).map((step) => ({
    ...step,
    done: begun !== null && record.done.has(step.id),
  }));
  const next = steps.findIndex(({ done }) => !done);
  return {
    placed,
    steps,
    next: next < 0 ? null : next,
    counts: [
      ...pieceCounts(lines, owners, needs, cut, sheetOf(cloth)),
      ...stripCounts(steps, record.made, begun !== null),
    ],
    spare,
    stripsOver: begun ? [] : stripsOver(placed, record.made),
    replanned: record.plan === null || begun ? null : record.lostSince ? 'mishap' : 'changed',
    taken: record.taken,
    left: steps.reduce((sum, { kind, done, box }) => sum + (kind === 'strip' && !done ? box.h : 0), 0),
    plan: { id: begun?.kept.id ?? null, wants: begun?.kept.wants ?? key, stock, sheet: sheet! },
  };
}

const clothOf = ({ fabric, wish }: CuttingJob): Cloth => ({
  usable: fabric.usableWidth,
  seam: wish.seam,
  unit: wish.unit,
});

/** A plan that was begun and is kept to: what lies where by it and what it cuts up first, in the unit asked for. */
interface Begun {
  readonly kept: NonNullable<CutRecord['plan']>;
  readonly placed: Placed;
  readonly stock: readonly Leftover[];
}

/**
 * The plan that was begun, where the quilt still wants the same of the cloth. A plan whose unit was changed since wants
 * the same (rule UN-1): it is held against what the quilt wants in the unit it was begun in, and told in this one.
 */
function begunIn(job: CuttingJob, { plan: kept, lostSince }: CutRecord): Begun | null {
  if (!kept || lostSince) return null;
  const { unit } = job.wish;
  const its = kept.unit === unit ? job : job.inOtherUnit?.();
  if (!its) return null;
  const cloth = clothOf(its);
  const { needs } = wantsOf(its.lines, cloth, its.wish.roundOf);
  if (kept.wants !== wantsKey(needs, sheetOf(cloth))) return null;
  const placed = placeOn(its.fabric, its.lines, its.wish, (all, on) => ({
    task: taskOf(all, on),
    plan: kept.sheet,
  }));
  if (kept.unit === unit) return { kept, placed, stock: kept.stock };
  const length = (value: number) => convertLength(value, kept.unit, unit);
  return {
    kept,
    placed: placedInUnit(placed, job.fabric, kept.unit, unit),
    stock: kept.stock.map((piece) => ({ ...piece, w: length(piece.w), h: length(piece.h) })),
  };
}

/** The plan for what is left: one that was looked for longer where it fits, otherwise what a moment finds. */
function plannedFor(
  needs: readonly Need[],
  sheet: Sheet,
  leftovers: readonly Leftover[],
  key: string,
  { manner = 'thrifty', found }: TableWish,
  unit: Unit,
): Planned {
  if (found && found.wants === key && leftovers.length === 0)
    return { task: taskOf(needs, sheet), plan: found.sheet };
  const stock = leftovers.map(({ key: name, w, h }): StockPiece => ({
    key: name,
    width: unitsDown(w, unit),
    length: unitsDown(h, unit),
  }));
  return planOf(needs, sheet, manner, stock);
}

/**
 * Pieces that were cut against what is wanted: by whose they are and how large. A piece is held against what the list
 * wants in the unit it was cut in, within the mark of the grid its plan was made on: a plan that only changed its unit
 * wants what it wanted (rule UN-1).
 */
function matched(
  { lines, wish: { unit }, inOtherUnit }: CuttingJob,
  needs: readonly Need[],
  made: readonly CutPieces[],
): { cut: ReadonlyMap<string, number>; spare: PiecesMade[] } {
  const cut = new Map<string, number>();
  const spare: PiecesMade[] = [];
  const other = otherUnit(unit);
  const own = sizesWanted(lines);
  const elsewhere =
    inOtherUnit && made.some(({ cutIn }) => cutIn !== unit) ? sizesWanted(inOtherUnit().lines) : own;
  const wantedOf = ({ key, cutIn }: CutPieces) => {
    const size = (cutIn === unit ? own : elsewhere).get(key);
    if (!size || cutIn === unit || !inOtherUnit) return size;
    return { width: convertLength(size.width, other, unit), length: convertLength(size.length, other, unit) };
  };
  for (const pieces of made) {
    if (pieces.joined) continue;
    const size = wantedOf(pieces);
    const wanted = needs.find(({ key }) => key === pieces.key)?.count ?? 0;
    const mark = convertLength(gridMark(pieces.cutIn), pieces.cutIn, unit);
    const fits = size && sameSize(size, pieces, mark + TOLERANCE);
    const used = fits ? Math.min(pieces.count, wanted) : 0;
    if (used > 0) cut.set(pieces.key, used);
    if (used < pieces.count) spare.push({ ...pieces, count: pieces.count - used });
  }
  return { cut, spare };
}

const sameSize = (
  { width, length }: Pick<Owner, 'width' | 'length'>,
  { w, h }: PiecesMade,
  within: number,
): boolean => {
  const same = (a: number, b: number) => Math.abs(a - b) <= within;
  return (same(width, w) && same(length, h)) || (same(width, h) && same(length, w));
};

/** Strips to be joined are cloth still: whatever wants strips of that width may have them. */
const joinedIn = (made: readonly PiecesMade[]): Leftover[] =>
  made.filter(({ joined }) => joined).flatMap((pieces) => copies(pieces, 'joined'));

/** Spare pieces may be cut down to serve something else. */
const spareIn = (spare: readonly PiecesMade[]): Leftover[] =>
  spare.flatMap((pieces) => copies(pieces, 'spare'));

const copies = ({ key, w, h, count }: PiecesMade, what: PieceKey['what']): Leftover[] =>
  Array.from({ length: count }, (_, i) => ({ key: pieceKey({ what, of: key, w, h }, i), w, h }));

function pieceCounts(
  lines: CuttingJob['lines'],
  owners: ReadonlyMap<string, Owner>,
  needs: readonly Need[],
  cut: ReadonlyMap<string, number>,
  sheet: Sheet,
): LineCount[] {
  return lines.flatMap(({ id }) => {
    const own = needs.filter((need) => owners.get(need.key)?.line.id === id && !isLong(need, sheet));
    if (own.length === 0) return [];
    return [
      {
        line: id,
        name: owners.get(own[0]!.key)!.name,
        cut: own.reduce((sum, { key }) => sum + (cut.get(key) ?? 0), 0),
        wanted: own.reduce((sum, { count }) => sum + count, 0),
        joined: false,
      },
    ];
  });
}

/** Strips cut by an earlier plan that the new one neither joins nor cuts up. */
function stripsOver({ pieces, runs }: Placed, made: readonly PiecesMade[]): PiecesMade[] {
  const used = [...pieces, ...runs.flatMap(({ segments }) => segments)].flatMap(({ stock }) => stock ?? []);
  return made.flatMap((strips) => {
    const { key, w, h, joined, count } = strips;
    if (!joined) return [];
    const serving = new Set(used.filter((stock) => isOf(stock, { what: 'joined', of: key, w, h })));
    return serving.size < count ? [{ ...strips, count: count - serving.size }] : [];
  });
}

/** Strips that are to be joined: those cut, and those the plan still has to cut. */
function stripCounts(steps: readonly TableStep[], made: readonly PiecesMade[], begun: boolean): LineCount[] {
  const counts = new Map<string, LineCount>();
  const add = (line: string, name: string, cut: number, wanted: number) => {
    const had = counts.get(line) ?? { line, name, cut: 0, wanted: 0, joined: true };
    counts.set(line, { ...had, cut: had.cut + cut, wanted: had.wanted + wanted });
  };
  for (const { done, makes } of steps)
    for (const { line, name, count, joined } of makes) if (joined) add(line, name, done ? count : 0, count);
  // Cut by an earlier plan, they are there all the same; but for those the new plan cuts up, which it counts itself.
  if (!begun)
    for (const { key, name, count, joined, w, h } of made) {
      if (!joined) continue;
      const again = steps.filter(
        ({ stock }) => stock !== null && isOf(stock, { what: 'joined', of: key, w, h }),
      );
      const left = count - again.length;
      if (left > 0) add(key, name, left, left);
    }
  return [...counts.values()];
}
