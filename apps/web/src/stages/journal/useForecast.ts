import { duesIn, type Plan } from '@lattice/core';
import { useEffect, useMemo, useState } from 'react';
import { api } from '../../sync/api.ts';
import { todayHere } from '../../browser/todayHere.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { selectKeptPlan } from '../../state/selectors.ts';
import type { ForecastJob, HeardForecast } from '../../rooms/workers/forecast.worker.ts';

/** A forecast that is there, still being worked out, or could not be. */
export type ForecastState = HeardForecast | 'waiting' | 'failed';

/**
 * Whether the open quilt will be ready, worked out in a worker from its plan, the log, and the other quilts that have a
 * day of their own. The last answer stays in sight until the next is there.
 */
export function useForecast(wanted: boolean): ForecastState {
  const plan = useAppSelector(selectKeptPlan);
  const id = useAppSelector((s) => s.saving.id)!;
  const log = useAppSelector((s) => s.log);
  const others = useOthers(wanted, id);
  const [heard, setHeard] = useState<ForecastState>('waiting');
  const job = useMemo<ForecastJob | null>(
    () =>
      wanted && others ? { quilts: [{ id, plan }, ...others], quilt: id, log, today: todayHere() } : null,
    [wanted, others, id, plan, log],
  );
  useEffect(() => {
    if (!job || typeof Worker === 'undefined') return;
    const worker = new Worker(new URL('../../rooms/workers/forecast.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.onmessage = ({ data }: MessageEvent<HeardForecast>) => setHeard(data);
    worker.onerror = () => setHeard('failed');
    worker.postMessage(job);
    return () => worker.terminate();
  }, [job]);
  return heard;
}

/** Plans of the other quilts that have a day to be ready by; those that cannot be fetched now are left out. */
function useOthers(wanted: boolean, id: string): readonly { id: string; plan: Plan }[] | null {
  const log = useAppSelector((s) => s.log);
  const dispatch = useAppDispatch();
  const ids = useMemo(
    () =>
      [...duesIn(log).keys()]
        .filter((quilt) => quilt !== id)
        .sort()
        .join(' '),
    [log, id],
  );
  const [others, setOthers] = useState<{ of: string; quilts: readonly { id: string; plan: Plan }[] } | null>(
    null,
  );
  useEffect(() => {
    if (!wanted) return;
    let current = true;
    const fetchAll = async () => {
      const found = await Promise.all(
        ids
          .split(' ')
          .filter(Boolean)
          .map(async (quilt) => {
            const asked = api.endpoints.quilt.initiate(quilt, { subscribe: false });
            const { data } = await dispatch(asked);
            return data && data.problems.length === 0 ? [{ id: quilt, plan: data.plan }] : [];
          }),
      );
      if (current) setOthers({ of: ids, quilts: found.flat() });
    };
    void fetchAll();
    return () => {
      current = false;
    };
  }, [wanted, ids, dispatch]);
  return others?.of === ids ? others.quilts : null;
}
