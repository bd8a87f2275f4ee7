import { performance } from 'node:perf_hooks';

/**
 * Median time of many runs, in milliseconds, after a warm-up. One work at a time: interleaving a large
 * clone with a small computation would charge the one for collecting the other's garbage.
 */
export function median(work: () => unknown, runs: number): number {
  const times: number[] = [];
  for (let run = -Math.ceil(runs / 4); run < runs; run++) {
    const started = performance.now();
    kept.last = work();
    if (run >= 0) times.push(performance.now() - started);
  }
  return times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!;
}

/** Results are kept, so that no work is dropped as unused. */
const kept: { last?: unknown } = {};
