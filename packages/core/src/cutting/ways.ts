import type { CutLine } from '../cut/line.ts';
import type { Need, Sheet, SheetPlan } from '../placing/need.ts';
import { searching } from '../placing/search.ts';
import { sheetPlan } from '../placing/sheet-plan.ts';
import { taskOf } from '../placing/task.ts';
import type { Manner } from '../placing/views.ts';
import type { Fabric } from '../plan/shape.ts';
import { type Planned, planOf } from './at-once.ts';
import { wantsKey } from './needs.ts';
import { lengthOnGrid } from '../length/grid.ts';
import { placeOn, type PlaceWish } from './place.ts';
import type { Placed } from './placed.ts';
import { cuttingSteps, type CuttingStep } from './steps.ts';

/** One way of cutting a cloth, with what it takes of the one who cuts. */
export interface CuttingWay {
  readonly manner: Manner;
  readonly placed: Placed;
  readonly steps: readonly CuttingStep[];
  /** How often the ruler is set to another size. */
  readonly settings: number;
  /** Strips that are cut off and parts they are cut into. */
  readonly cuts: number;
}

/** A cloth of a quilt, and what is cut from it. */
export interface CuttingJob {
  readonly fabric: Fabric;
  readonly lines: readonly CutLine[];
  readonly wish: PlaceWish;
  /** The same cloth as the quilt would have it in the other unit, whose ruler has its marks elsewhere: asked for what was cut by that. */
  readonly inOtherUnit?: () => CuttingJob;
}

/** A cloth cut for the least cloth, or for the fewest settings of the ruler. */
export const cuttingWay = ({ fabric, lines, wish }: CuttingJob, manner: Manner): CuttingWay =>
  wayOf(
    placeOn(fabric, lines, wish, (needs, sheet) => planOf(needs, sheet, manner)),
    manner,
    wish,
  );

function wayOf(placed: Placed, manner: Manner, { unit }: PlaceWish): CuttingWay {
  const steps = cuttingSteps(placed, unit);
  const sizes = steps.map(({ kind, box, cuts }) =>
    kind === 'strip' ? [box.h] : cuts.map(({ size }) => size),
  );
  // A size that follows itself needs no new setting.
  const settings = sizes.flat().filter((size, i, all) => size !== all[i - 1]).length;
  const cuts = steps.reduce(
    (sum, { kind, strips, cuts: parts }) =>
      sum + (kind === 'strip' ? 1 : strips.length * parts.reduce((all, { times }) => all + times, 0)),
    0,
  );
  return { manner, placed, steps, settings, cuts };
}

/** A plan that was found for what a quilt wants of a cloth. */
export interface FoundSheet {
  readonly wants: string;
  readonly sheet: SheetPlan;
}

/** How far a longer search has come; lengths in the plan's unit. */
export interface LongerSearch {
  readonly way: () => CuttingWay;
  readonly found: () => FoundSheet;
  readonly length: number;
  readonly bound: number;
}

/**
 * Looks for a shorter way, better and better, for as long as it is let. Deterministic in its rounds.
 *
 * @yields after every few rounds; `way` draws up the best there is then
 * @returns when nothing shorter can be
 */
export function* longerSearch(job: CuttingJob): Generator<LongerSearch> {
  const { fabric, lines, wish } = job;
  let wanted: { needs: readonly Need[]; sheet: Sheet } | null = null;
  const now = placeOn(fabric, lines, wish, (needs, sheet) => {
    wanted = { needs, sheet };
    return planOf(needs, sheet);
  });
  const { needs, sheet } = wanted!;
  const task = taskOf(needs, sheet);
  for (const { best } of searching(task)) {
    const planned: Planned = { task, plan: sheetPlan(task, best) };
    yield {
      way: () =>
        wayOf(
          placeOn(fabric, lines, wish, () => planned),
          'thrifty',
          wish,
        ),
      found: () => ({ wants: wantsKey(needs, sheet), sheet: planned.plan }),
      length: Math.min(lengthOnGrid(best.length, wish.unit), now.needed.value),
      bound: now.bound,
    };
  }
}
