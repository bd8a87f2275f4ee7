import { atTable, type CutRecord, cutRecord, cuttingJob, setAsideFor, type TableCloth } from '@lattice/core';
import { useEffect, useMemo } from 'react';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { type ChosenWay, wayKey } from '../../state/viewSlice.ts';
import { selectStash } from '../../rooms/stash/stash.ts';
import { hearOthers } from '../../sync/outbox/hearOthers.ts';

/** How often other devices are listened for while one cuts. */
const LISTEN_MS = 20_000;
const USUAL: ChosenWay = { manner: 'thrifty', found: null };

/** One cloth of the open quilt at the table, and what has been cut of it. */
export function useTable(cloth: string): { table: TableCloth; record: CutRecord; way: ChosenWay } {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const log = useAppSelector((s) => s.log);
  const id = useAppSelector((s) => s.saving.id)!;
  const way = useAppSelector((s) => s.view.ways[wayKey(id, cloth)] ?? USUAL);
  const record = useMemo(() => cutRecord(log, id, cloth, plan.unit), [log, id, cloth, plan.unit]);
  const inStash = useAppSelector((s) => selectStash(s, plan.unit));
  const table = useMemo(() => {
    const stash = setAsideFor(inStash, id, cloth);
    return atTable(cuttingJob(plan, quilt, cloth), record, { ...way, stash });
  }, [plan, quilt, cloth, record, way, inStash, id]);
  return { table, record, way };
}

/** Listens for what others cut: when one comes back to the page, and now and then while it is open. */
export function useListening(): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const listen = () => void dispatch(hearOthers());
    const timer = setInterval(() => document.visibilityState === 'visible' && listen(), LISTEN_MS);
    globalThis.addEventListener('focus', listen);
    listen();
    return () => {
      clearInterval(timer);
      globalThis.removeEventListener('focus', listen);
    };
  }, [dispatch]);
}
