import type { Arrangement, WallJob, WallScore } from '@lattice/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { ArrangeJob, ArrangeNews } from '../../rooms/workers/arrange.worker.ts';

/** A finished arrangement to choose, with its score. */
interface Proposal {
  readonly arrangement: Arrangement;
  readonly score: WallScore;
}

/** Arrangements being made in a worker, for the job they were asked of. */
export interface Arranging {
  readonly job: WallJob;
  /** The score of what was to be improved, once it is known. */
  readonly before: WallScore | null;
  readonly running: boolean;
  readonly done: number;
  /** The one in hand, as far as it has got. */
  readonly latest: Arrangement | null;
  readonly proposals: readonly Proposal[];
  readonly failed: boolean;
}

const PROPOSALS = 3;

/** Starts and stops arranging; `clear` puts the proposals away. */
export function useArrange() {
  const [state, setState] = useState<Arranging | null>(null);
  const worker = useRef<Worker | null>(null);
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => end, [end]);

  const start = useCallback(
    (job: WallJob, seed: number, spares: boolean) => {
      end();
      const started = new Worker(new URL('../../rooms/workers/arrange.worker.ts', import.meta.url), {
        type: 'module',
      });
      worker.current = started;
      setState({ job, before: null, running: true, done: 0, latest: null, proposals: [], failed: false });
      started.onmessage = ({ data }: MessageEvent<ArrangeNews>) =>
        setState((had) => {
          if (!had) return had;
          const proposals = data.score
            ? [...had.proposals, { arrangement: data.best, score: data.score }]
            : had.proposals;
          return {
            ...had,
            before: data.before,
            done: data.done,
            latest: data.best,
            running: proposals.length < PROPOSALS,
            proposals,
          };
        });
      started.onerror = () => setState((had) => had && { ...had, running: false, failed: true });
      started.postMessage({
        job,
        seeds: Array.from({ length: PROPOSALS }, (_, i) => seed + i),
        spares,
      } satisfies ArrangeJob);
    },
    [end],
  );
  const stop = useCallback(() => {
    end();
    setState((had) => had && { ...had, running: false });
  }, [end]);
  const clear = useCallback(() => {
    end();
    setState(null);
  }, [end]);
  return { state, start, stop, clear };
}
