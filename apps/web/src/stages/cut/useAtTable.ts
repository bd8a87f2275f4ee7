import {
  cuttingJob,
  leftoverEntries,
  shortSays,
  stepDoneLast,
  nextStep,
  stepOpened,
  waitingOf,
} from '@lattice/core';
import { useMemo } from 'react';
import { putInStash } from '../../rooms/stash/stash.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { selectPlan, selectQuilt, selectToBuy } from '../../state/selectors.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { stepDone, stepUndone } from './cutting.ts';
import { useListening, useTable } from './useTable.ts';

/** A cloth on the table: the step in hand, what it is cut into, what waits, whether there is enough; and what is done. */
export function useAtTable(cloth: string) {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const id = useAppSelector((s) => s.saving.id);
  const buying = useAppSelector(selectToBuy).find((one) => one.fabric.id === cloth);
  const { table, record, way } = useTable(cloth);
  useListening();
  const dispatch = useAppDispatch();
  const { unit } = plan;
  const lines = useMemo(() => cuttingJob(plan, quilt, cloth).lines, [plan, quilt, cloth]);
  const waiting = useMemo(() => waitingOf(plan, lines), [plan, lines]);
  const step = nextStep(table);
  const last = stepDoneLast(table);
  const short = buying ? shortSays(buying, unit) : null;
  const { fabric } = table.placed;
  return {
    ...{ plan, quilt, id, table, record, way, lines, step, opened: stepOpened(table) },
    waiting: waiting.lines,
    /** What speaks against cutting now. */
    says: short === null ? waiting.says : [short, ...waiting.says],
    done: () => step && void dispatch(stepDone(cloth, table, step)),
    back: last ? () => void dispatch(stepUndone(record, last)) : null,
    /** Puts what was left over into the stash; null before all is cut, or where nothing was left. */
    toStash:
      step === null && record.left.length > 0 && id !== null
        ? () => void dispatch(putInStash(leftoverEntries({ id, title: plan.title }, fabric, record, unit)))
        : null,
  };
}
