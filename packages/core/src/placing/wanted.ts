import type { Box } from './need.ts';
import type { Task } from './task.ts';

/** A rectangle that was filled: a piece of `kind`, or a segment of run `run`; the other of the two is −1. */
export interface Filled extends Box {
  readonly kind: number;
  readonly run: number;
}

/** What is still wanted while a cloth is being filled: pieces by kind, and the net length each run is short of. */
export interface Wanted {
  readonly counts: Int32Array;
  readonly nets: Float64Array;
}

/** All that a task wants, less what some strips hold already. */
export function wantedOf(task: Task, held: readonly { readonly boxes: readonly Filled[] }[] = []): Wanted {
  const counts = Int32Array.from(task.kinds, ({ count }) => count);
  const nets = Float64Array.from(task.runs, ({ net }) => net);
  for (const { boxes } of held)
    for (const { kind, run, w } of boxes)
      if (run < 0) counts[kind]!--;
      else nets[run]! -= w - task.runs[run]!.loss;
  return { counts, nets };
}

/** What is wanted just now, to come back to. */
export const snapshot = ({ counts, nets }: Wanted): Wanted => ({
  counts: counts.slice(),
  nets: nets.slice(),
});

/** Back to what was wanted then. */
export function restore(wanted: Wanted, { counts, nets }: Wanted): void {
  wanted.counts.set(counts);
  wanted.nets.set(nets);
}

/** How often what was taken between two moments can be taken just so; at least once. */
export function repeats(before: Wanted, after: Wanted): number {
  let times = Infinity;
  for (const what of ['counts', 'nets'] as const)
    before[what].forEach((had, k) => {
      const took = had - after[what][k]!;
      if (took > 0) times = Math.min(times, Math.floor(had / took));
    });
  return Math.max(1, times);
}

/** Takes what was taken between two moments, so many times over. */
export function take(wanted: Wanted, before: Wanted, after: Wanted, times: number): void {
  before.counts.forEach((had, k) => (wanted.counts[k] = had - times * (had - after.counts[k]!)));
  before.nets.forEach((had, k) => (wanted.nets[k] = had - times * (had - after.nets[k]!)));
}
