import type { FitRequest, Plan } from '@lattice/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { FindNews } from '../workers/find.worker.ts';

/**
 * A search in a worker: what it has found so far, how far it is, and how to stop it. Starts anew when the request changes;
 * until that one has found something, what the one before found is still there, and said to be `old`.
 */
export function useFits(
  plan: Plan,
  request: FitRequest,
): { news: FindNews | null; old: boolean; failed: boolean; stop: () => void } {
  const [heard, setHeard] = useState<{ readonly asked: string; readonly news: FindNews } | null>(null);
  const [failed, setFailed] = useState(false);
  const worker = useRef<Worker | null>(null);
  const asked = JSON.stringify({ plan, request });
  useEffect(() => {
    const started = new Worker(new URL('../workers/find.worker.ts', import.meta.url), { type: 'module' });
    worker.current = started;
    started.onmessage = ({ data }: MessageEvent<FindNews>) => {
      setFailed(false);
      setHeard({ asked, news: data });
    };
    started.onerror = () => setFailed(true);
    started.postMessage(JSON.parse(asked));
    return () => started.terminate();
  }, [asked]);
  const stop = useCallback(() => {
    worker.current?.terminate();
    setHeard((had) => had && { ...had, news: { ...had.news, finished: true } });
  }, []);
  return { news: heard?.news ?? null, old: heard !== null && heard.asked !== asked, failed, stop };
}
