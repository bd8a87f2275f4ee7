import { arrange, type Arrangement, scoreOf, type WallJob, type WallScore } from '@lattice/core';

/** What the page asks of the worker: an arrangement from each seed in turn. */
export interface ArrangeJob {
  readonly job: WallJob;
  readonly seeds: readonly number[];
  readonly spares: boolean;
}
/** One proposal, as far as it has got. */
export interface ArrangeNews {
  readonly proposal: number;
  /** Of all proposals together, from 0 to 1. */
  readonly done: number;
  readonly best: Arrangement;
  /** The score of what was asked to be improved. */
  readonly before: WallScore;
  /** Told when a proposal is finished. */
  readonly score: WallScore | null;
}

/** Rests between reports, so that the page is not flooded; stopping is stopping the worker. */
const REPORT_EVERY_MS = 100;

self.onmessage = ({ data: { job, seeds, spares } }: MessageEvent<ArrangeJob>) => {
  const before = scoreOf(job);
  let told = 0;
  seeds.forEach((seed, proposal) => {
    const running = arrange(job, seed, spares);
    let next = running.next();
    for (; !next.done; next = running.next()) {
      if (performance.now() - told < REPORT_EVERY_MS) continue;
      told = performance.now();
      self.postMessage({
        proposal,
        done: (proposal + next.value.done) / seeds.length,
        best: next.value.best,
        before,
        score: null,
      } satisfies ArrangeNews);
    }
    self.postMessage({
      proposal,
      done: (proposal + 1) / seeds.length,
      best: next.value.best,
      before,
      score: scoreOf(job, next.value.best),
    } satisfies ArrangeNews);
  });
};
