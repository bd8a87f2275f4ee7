import { findFits, type Fit, type FitRequest, type Plan } from '@lattice/core';

/** What the page asks of the worker, and what it answers as it goes. */
export interface FindJob {
  readonly plan: Plan;
  readonly request: FitRequest;
}
export interface FindNews {
  readonly done: number;
  readonly of: number;
  readonly best: readonly Fit[];
  readonly finished: boolean;
}

/** Rests between reports, so that the page is not flooded; stopping the search is stopping the worker. */
const REPORT_EVERY_MS = 80;

self.onmessage = ({ data }: MessageEvent<FindJob>) => {
  const search = findFits(data.plan, data.request);
  let told = performance.now();
  let last: Omit<FindNews, 'finished'> = { done: 0, of: 1, best: [] };
  for (let next = search.next(); !next.done; next = search.next()) {
    last = next.value;
    if (performance.now() - told < REPORT_EVERY_MS) continue;
    told = performance.now();
    self.postMessage({ ...last, finished: false } satisfies FindNews);
  }
  self.postMessage({ ...last, finished: true } satisfies FindNews);
};
