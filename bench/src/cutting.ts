import fc from 'fast-check';
import { boundOf } from '../../packages/core/src/placing/bound.ts';
import { plainPass } from '../../packages/core/src/placing/plain.ts';
import { AT_ONCE, search, searchAtOnce } from '../../packages/core/src/placing/search.ts';
import { type Task, taskOf, unplaceable } from '../../packages/core/src/placing/task.ts';
import { Views } from '../../packages/core/src/placing/views.ts';
import { anyNeeds } from '../../packages/core/test/support/any-cloths.ts';
import { median } from './measure.ts';

const SHEET = { usable: 640, seam: 4 };
/** Two hundred and fifty times the effort of a moment stands for the best that is known. */
const LONG = 250 * AT_ONCE;

/**
 * Random cloths to cut: how much longer the plan of a moment is than that of a long search, and than nothing can go
 * below; how much shorter than each strip width by itself; how long a first answer takes, up to a thousand pieces.
 */
export function* cutting() {
  const tasks = fc
    .sample(anyNeeds, { numRuns: 60, seed: 20261126 })
    .filter((needs) => unplaceable(needs, SHEET).length === 0)
    .map((needs) => taskOf(needs, SHEET));
  const mean = (of: (task: Task) => number) =>
    round(tasks.reduce((sum, task) => sum + of(task), 0) / tasks.length);
  const best = new Map(tasks.map((task) => [task, search(task, LONG).length]));
  yield {
    case: 'cutting',
    cloths: tasks.length,
    atOnceToBest: mean((task) => search(task).length / best.get(task)!),
    aim: 1.012,
    bestToBound: mean((task) => best.get(task)! / boundOf(task)),
    plainToBest: mean((task) => plainOf(task) / best.get(task)!),
    simpleToBest: mean((task) => searchAtOnce(task, 'simple').length / best.get(task)!),
  };
  const first = (task: Task) => median(() => search(task), 15);
  const small = first(pieces(30));
  for (const count of [30, 100, 300, 1000]) {
    const ms = first(pieces(count));
    yield { case: 'cutting-at-once', pieces: count, ms: round(ms), timesThirty: round(ms / small), aimMs: 5 };
  }
}

const plainOf = (task: Task): number => plainPass(task, new Views(task, 'thrifty', () => 0.5).alone).length;

/** Seven kinds of piece, as a sashed quilt with two borders has. */
const pieces = (count: number): Task =>
  taskOf(
    [
      [2, 12.5, 5],
      [2, 2, 3],
      [4.5, 4.5, 1],
      [6.5, 6.5, 3],
      [3, 9, 3],
      [2.5, 16, 2],
      [5, 22, 1],
    ].map(([width, length, share], i) => ({
      key: `n${i}`,
      width: width! * 16,
      length: length! * 16,
      count: Math.max(1, Math.round((count * share!) / 18)),
      lengthwise: false,
      joins: 'diagonal' as const,
    })),
    SHEET,
  );

const round = (value: number): number => Math.round(value * 10_000) / 10_000;
