import { performance } from 'node:perf_hooks';
import { findFits, startPlan, startRequest } from '@lattice/core';
import { bruteFits } from '../../packages/core/test/support/brute-fits.ts';
import { median } from './measure.ts';

/** The search for designs of a queen size with 12" blocks and three borders, against trying everything. */
export function* fit() {
  const plan = startPlan('sashed-sampler');
  const start = startRequest(plan, { width: 90, height: 100 });
  const request = { ...start, blocks: 30, borders: { ...start.borders, count: 3 } };
  let looked = 0;
  const run = () => {
    const search = findFits(plan, request);
    for (let next = search.next(); ; next = search.next()) {
      if (next.done) return next.value;
      looked = next.value.looked;
    }
  };
  const search = median(run, 40);
  const began = performance.now();
  const brute = bruteFits(plan, request);
  const bruteMs = performance.now() - began;
  const same = JSON.stringify(run().map((f) => f.score)) === JSON.stringify(brute.best.map((f) => f.score));
  yield {
    case: 'fit', searchMs: round(search), bruteMs: round(bruteMs), speedUp: round(bruteMs / search), aim: 50,
    candidates: brute.looked, looked, candidatesASecond: Math.round(brute.looked / (search / 1000)), sameBest: same,
  };
}

const round = (value: number): number => Math.round(value * 1000) / 1000;
