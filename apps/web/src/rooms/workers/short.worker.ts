import { waysToUseLessCloth, type WayToUseLess, type Plan } from '@lattice/core';

/** What the page asks of the worker: ways to make do with so much of a cloth. */
export interface ShortJob {
  readonly plan: Plan;
  readonly cloth: string;
  readonly length: number;
}

self.onmessage = ({ data: { plan, cloth, length } }: MessageEvent<ShortJob>) => {
  self.postMessage(waysToUseLessCloth(plan, { cloth, length }) satisfies WayToUseLess[]);
};
