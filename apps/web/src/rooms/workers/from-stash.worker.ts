import { fromStash, type FromStashWay, type Plan, type StashPiece } from '@lattice/core';

/** What the page asks of the worker: what can be made of a stash. */
export interface StashJob {
  readonly plan: Plan;
  readonly stash: readonly StashPiece[];
}

self.onmessage = ({ data: { plan, stash } }: MessageEvent<StashJob>) => {
  self.postMessage(fromStash(plan, stash) satisfies FromStashWay[]);
};
