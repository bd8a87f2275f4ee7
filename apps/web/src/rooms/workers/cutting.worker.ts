import { computeQuilt, cuttingJob, type FoundSheet, longerSearch, type Plan } from '@lattice/core';

/** What the page asks of the worker: a shorter way of cutting one cloth. */
export interface CuttingSearch {
  readonly plan: Plan;
  readonly cloth: string;
}

/** What it has found so far; lengths in the plan's unit. */
export interface CuttingNews {
  readonly length: number;
  /** Nothing goes below this. */
  readonly bound: number;
  readonly seconds: number;
  readonly found: FoundSheet;
  readonly finished: boolean;
}

/** Rests between reports; stopping the search is stopping the worker. */
const REPORT_EVERY_MS = 150;
/** Whoever waits longer at a table goes on cutting. */
const LONGEST_MS = 20_000;

self.onmessage = ({ data: { plan, cloth } }: MessageEvent<CuttingSearch>) => {
  const began = performance.now();
  let told = began;
  let last: CuttingNews | null = null;
  for (const { length, bound, found } of longerSearch(cuttingJob(plan, computeQuilt(plan), cloth))) {
    const now = performance.now();
    const over = now - began > LONGEST_MS;
    if (last && !over && now - told < REPORT_EVERY_MS) continue;
    told = now;
    last = { length, bound, seconds: (now - began) / 1000, found: found(), finished: false };
    self.postMessage(last);
    if (over) break;
  }
  if (last) self.postMessage({ ...last, finished: true } satisfies CuttingNews);
};
