import { planOf, type Planned } from '../cutting/at-once.ts';
import { type Owner, sheetOf, unitsDown, wantsKey, wantsOf } from '../cutting/needs.ts';
import { placeOn } from '../cutting/place.ts';
import type { Placed } from '../cutting/placed.ts';
import { cuttingSteps, type CuttingStep, type Leftover } from '../cutting/steps.ts';
import type { CuttingJob, FoundSheet } from '../cutting/ways.ts';
import { near } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';
import { type CutRecord, type PieceKey, pieceKey, type PiecesMade } from '../log/cut-record.ts';
import { isLong, type Need, type Sheet, type SheetPlan, type StockPiece } from '../placing/need.ts';
import { taskOf } from '../placing/task.ts';
import type { Manner } from '../placing/views.ts';

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
  /** Something changed since cutting began: what is left is planned anew. */
  readonly replanned: boolean;
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
 */
export function atTable(job: CuttingJob, record: CutRecord, wish: TableWish = {}): TableCloth {
  const { fabric, lines, wish: how } = job;
  const { unit } = how;
  const cloth = { usable: fabric.usableWidth, seam: how.seam, unit };
  const { needs, owners } = wantsOf(lines, cloth, how.roundOf);
  const key = wantsKey(needs, sheetOf(cloth));
  const { cut, spare } = matched(owners, needs, record.made);
  const { plan: kept } = record;
  const begun = kept !== null && kept.wants === key && kept.unit === unit && !record.lostSince ? kept : null;
  const stock: readonly Leftover[] = begun
    ? begun.stock
    : [...record.left, ...joinedIn(record.made), ...spareIn(spare), ...(wish.stash ?? [])];
  let sheet: SheetPlan | null = null;
  const placed = placeOn(fabric, lines, how, (all, on) => {
    const left = all.map((need) => ({ ...need, count: need.count - (cut.get(need.key) ?? 0) }));
    const planned = begun
      ? { task: taskOf(all, on), plan: begun.sheet }
      : plannedFor(left, on, stock, key, wish, unit);
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
    replanned: kept !== null && begun === null,
    taken: record.taken,
    left: steps.reduce((sum, { kind, done, box }) => sum + (kind === 'strip' && !done ? box.h : 0), 0),
    plan: { id: begun?.id ?? null, wants: key, stock, sheet: sheet! },
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

/** Pieces that were cut against what is wanted: by whose they are and how large. */
function matched(
  owners: ReadonlyMap<string, Owner>,
  needs: readonly Need[],
  made: readonly PiecesMade[],
): { cut: ReadonlyMap<string, number>; spare: PiecesMade[] } {
  const cut = new Map<string, number>();
  const spare: PiecesMade[] = [];
  for (const pieces of made) {
    if (pieces.joined) continue;
    const owner = owners.get(pieces.key);
    const wanted = needs.find(({ key }) => key === pieces.key)?.count ?? 0;
    const fits = owner && sameSize(owner, pieces);
    const used = fits ? Math.min(pieces.count, wanted) : 0;
    if (used > 0) cut.set(pieces.key, used);
    if (used < pieces.count) spare.push({ ...pieces, count: pieces.count - used });
  }
  return { cut, spare };
}

const sameSize = ({ width, length }: Owner, { w, h }: PiecesMade): boolean =>
  (near(width, w) && near(length, h)) || (near(width, h) && near(length, w));

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

/** Strips that are to be joined: those cut, and those the plan still has to cut. */
function stripCounts(steps: readonly TableStep[], made: readonly PiecesMade[], begun: boolean): LineCount[] {
  const counts = new Map<string, LineCount>();
  const add = (line: string, name: string, cut: number, wanted: number) => {
    const had = counts.get(line) ?? { line, name, cut: 0, wanted: 0, joined: true };
    counts.set(line, { ...had, cut: had.cut + cut, wanted: had.wanted + wanted });
  };
  for (const { done, makes } of steps)
    for (const { line, name, count, joined } of makes) if (joined) add(line, name, done ? count : 0, count);
  // Cut by an earlier plan, they are there all the same.
  if (!begun) for (const { key, name, count, joined } of made) if (joined) add(key, name, count, count);
  return [...counts.values()];
}
