import {
  type AtMachine,
  atMachine,
  type GuideStep,
  type Plan,
  type Pressing,
  type SeamParts,
  seamParts,
  type SeamWords,
  seamWords,
  type Sewing,
  type SewingWay,
  type SewRecord,
  sewRecord,
} from '@lattice/core';
import { startTransition, useEffect, useMemo, useState } from 'react';
import { useAppSelector } from '../../state/hooks.ts';
import { selectEdgeAsCut, selectPlan } from '../../state/selectors.ts';
import { type PlannedSewing, planSewing, type SewingJob } from '../../rooms/workers/planSewing.ts';

/** The sewing of the open quilt, and how far it is. */
export interface AtSewing {
  readonly sewing: Sewing;
  readonly way: SewingWay;
  readonly pressing: Pressing;
  readonly guide: readonly GuideStep[];
  readonly record: SewRecord;
  readonly at: AtMachine;
  readonly words: SeamWords;
  /** What each seam joins and makes, by its number. */
  readonly parts: readonly SeamParts[];
}

/** The sewing once it is worked out; a text where nothing can be sewn, or nothing is known yet. */
export type HeardSewing = AtSewing | { readonly says: string; readonly waiting: boolean };

const NO_PARTS: readonly SeamParts[] = [];

/** How the open quilt is sewn and how far it is: planned in a worker, so that no drawing waits for it. */
export function useSewing(): HeardSewing {
  const plan = useAppSelector(selectPlan);
  const edge = useAppSelector(selectEdgeAsCut);
  const log = useAppSelector((s) => s.log);
  const id = useAppSelector((s) => s.saving.id)!;
  const record = useMemo(() => sewRecord(log, id, plan.unit), [log, id, plan.unit]);
  // What was chosen is the same choice until it is made anew, whatever is sewn meanwhile.
  const choice = JSON.stringify(record.chosen);
  const job = useMemo<SewingJob>(
    () => ({ plan, edge, chosen: JSON.parse(choice) as SewRecord['chosen'] }),
    [plan, edge, choice],
  );
  const planned = usePlanned(job);
  const words = useMemo(
    () =>
      planned === null || planned === 'failed' || !planned.way
        ? null
        : seamWords(planned.sewing, planned.way),
    [planned],
  );
  const parts = useMemo(
    () =>
      planned === null || planned === 'failed' || !planned.way
        ? NO_PARTS
        : seamParts(planned.sewing.top, planned.way),
    [planned],
  );
  return useMemo((): HeardSewing => {
    if (planned === 'failed')
      return { says: 'The sewing could not be worked out. Load the page again.', waiting: false };
    if (planned === null) return { says: 'Working out the seams…', waiting: true };
    const { sewing, way, pressing, guide } = planned;
    if (!way || !pressing || !words)
      return { says: sewing.hindered ?? 'Nothing is to be sewn.', waiting: false };
    return {
      sewing,
      way,
      pressing,
      guide,
      record,
      words,
      parts,
      at: atMachine(sewing, way, guide, record, words),
    };
  }, [planned, words, parts, record]);
}

/** The last answer for a plan: what shows the same sewing elsewhere, or prints it, has it at once. */
const known = new WeakMap<Plan, { readonly asked: string; readonly planned: PlannedSewing }>();
const askedOf = ({ chosen, edge }: SewingJob): string => JSON.stringify([chosen, edge]);
const knownFor = (job: SewingJob): PlannedSewing | null => {
  const last = known.get(job.plan);
  return last?.asked === askedOf(job) ? last.planned : null;
};

/** Asked of a worker; the last answer stays in sight until the next is there. */
function usePlanned(job: SewingJob): PlannedSewing | null | 'failed' {
  const [heard, setHeard] = useState<PlannedSewing | null | 'failed'>(() => knownFor(job));
  // Where there are no workers it is worked out here.
  const direct = useMemo(() => (typeof Worker === 'undefined' ? planSewing(job) : null), [job]);
  useEffect(() => {
    if (typeof Worker === 'undefined') return;
    const before = knownFor(job);
    if (before) return startTransition(() => setHeard(before));
    const worker = new Worker(new URL('../../rooms/workers/sewing.worker.ts', import.meta.url), {
      type: 'module',
    });
    // Drawn in slices, so that no frame waits for all of it.
    worker.onmessage = ({ data }: MessageEvent<PlannedSewing>) => {
      known.set(job.plan, { asked: askedOf(job), planned: data });
      startTransition(() => setHeard(data));
    };
    worker.onerror = () => setHeard('failed');
    worker.postMessage(job);
    return () => worker.terminate();
  }, [job]);
  return direct ?? heard;
}
