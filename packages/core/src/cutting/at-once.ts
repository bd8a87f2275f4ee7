import type { Need, Sheet, SheetPlan, StockPiece } from '../placing/need.ts';
import { searchAtOnce } from '../placing/search.ts';
import { sheetPlan } from '../placing/sheet-plan.ts';
import { type Task, taskOf } from '../placing/task.ts';
import type { Manner } from '../placing/views.ts';

/** A cloth's task, and the plan that was found for it. */
export interface Planned {
  readonly task: Task;
  readonly plan: SheetPlan;
}

/** As many cloths as a few quilts have in all the states one tries in an evening. */
const REMEMBERED = 300;
const remembered = new Map<string, Planned>();

/**
 * The plan for a cloth that a few milliseconds find. The same needs give the same plan, so answers are remembered: a
 * tape that is dragged changes one cloth of five.
 */
export function planOf(
  needs: readonly Need[],
  sheet: Sheet,
  manner: Manner = 'thrifty',
  stock: readonly StockPiece[] = [],
): Planned {
  const key = JSON.stringify([needs, sheet, manner, stock]);
  const had = remembered.get(key);
  if (had) return had;
  const task = taskOf(needs, sheet, stock);
  const planned = { task, plan: sheetPlan(task, searchAtOnce(task, manner)) };
  if (remembered.size >= REMEMBERED) remembered.delete(remembered.keys().next().value!);
  remembered.set(key, planned);
  return planned;
}
