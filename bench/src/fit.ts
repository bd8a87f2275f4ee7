import { performance } from 'node:perf_hooks';
import { findFits, type Fit, type FitRequest, type Plan, startPlan, startRequest } from '@lattice/core';
import { bruteFits } from '../../packages/core/test/support/brute-fits.ts';
import { median } from './measure.ts';

/**
 * The search for designs of a queen size with 12" blocks and three borders: how long it takes as it is
 * asked, and, on a part of its widths small enough to try every one, how many times faster than trying everything.
 */
export function* fit() {
  const plan = startPlan('sashed-sampler');
  const start = startRequest(plan, { width: 90, height: 100 });
  const queen = { ...start, blocks: 30, borders: { ...start.borders, count: 3 } };
  const whole = searched(plan, queen, 20);
  yield {
    case: 'fit',
    asked: 'queen, 12" blocks, three borders, every sash, float and border to the 1/8"',
    searchMs: round(whole.ms),
    aimMs: 1000,
    looked: whole.looked,
  };

  const part = {
    ...queen,
    sash: { least: 1.5, most: 2 },
    float: { least: 0, most: 0.25 },
    borders: { ...queen.borders, most: 5 },
  };
  const search = searched(plan, part, 20);
  const began = performance.now();
  const brute = bruteFits(plan, part);
  const bruteMs = performance.now() - began;
  const same =
    JSON.stringify(search.best.map((f) => round(f.score))) ===
    JSON.stringify(brute.best.map((f) => round(f.score)));
  yield {
    case: 'fit-against-everything',
    searchMs: round(search.ms),
    bruteMs: round(bruteMs),
    speedUp: round(bruteMs / search.ms),
    aim: 50,
    candidates: brute.looked,
    looked: search.looked,
    candidatesASecond: Math.round(brute.looked / (search.ms / 1000)),
    sameBest: same,
  };
}

/** Median time of a search, and what it found. */
function searched(plan: Plan, request: FitRequest, runs: number) {
  let looked = 0;
  let best: readonly Fit[] = [];
  const run = () => {
    const search = findFits(plan, request);
    let next = search.next();
    for (; !next.done; next = search.next()) looked = next.value.looked;
    best = next.value;
  };
  const ms = median(run, runs);
  return { ms, looked, best };
}

const round = (value: number): number => Math.round(value * 1000) / 1000;
