import { type Layers, type LongArmAnswer, type LongArmJob, measuredBacking } from '@lattice/core';
import { useState } from 'react';
import { selectBooking } from '../../state/bookingSelectors.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { serverError, useAskLongArmMutation } from '../../sync/api.ts';
import { bookJob, cancelBooking } from '../../sync/bookings.ts';
import { useAppDispatch } from '../../sync/thunk.ts';

/** A job the service was asked about, by the sizes it was sent. */
interface Of<T> {
  readonly what: T;
  readonly of: string;
}

/** Less than the finest mark of any ruler, in inches and in centimetres: a top of these sizes is the one that was booked. */
const ALIKE = 0.06;

/** The job as it would be sent: the top as it is, the backing as made or as planned, the batting. */
function useJob(layers: Layers, pattern: LongArmJob['pattern']) {
  const { unit, backing } = useAppSelector(selectPlan);
  const { finished } = useAppSelector(selectQuilt);
  const sizeOf = ({ width, height }: Pick<Layers['backing'], 'width' | 'height'>) => ({
    width: width.value,
    height: height.value,
  });
  const made = measuredBacking(backing.made);
  const job: LongArmJob = {
    ...{ unit, pattern, top: sizeOf(finished), batting: sizeOf(layers.batting) },
    backing: made ?? { ...sizeOf(layers.backing), diagonals: null },
  };
  return { job, made: made !== null };
}

/** The long-arm service: what is sent, what it answered of that very job, what is booked and what is on its way. */
export function useLongArm(layers: Layers) {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const [pattern, setPattern] = useState<LongArmJob['pattern']>('all-over');
  const [heard, setHeard] = useState<Of<LongArmAnswer> | null>(null);
  const [sent, setSent] = useState<Of<string> | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [ask, asking] = useAskLongArmMutation();
  const booked = useAppSelector(selectBooking);
  const { items, message, bookings } = useAppSelector((s) => s.outbox);
  const quilt = useAppSelector((s) => s.saving.id);
  const { job, made } = useJob(layers, pattern);
  // What was heard is of the sizes that were sent; for others it has to be asked again.
  const of = JSON.stringify(job);
  const waiting = items.find(
    (item) => item.quilt === quilt && (item.kind === 'booking' || item.kind === 'cancel'),
  );
  const said = sent?.of === of ? bookings[sent.what] : undefined;
  return {
    ...{ job, made, pattern, setPattern, booked, problem },
    answer: said ?? (heard?.of === of ? heard.what : null),
    asking: asking.isLoading,
    waits: waiting !== undefined,
    onItsWay: waiting ? (waiting.refused ?? message ?? 'On its way to the long-arm service…') : null,
    /** Whether the quilt is still of the sizes that were booked. */
    asBooked:
      booked !== null &&
      Math.abs(booked.width - job.top.width) < ALIKE &&
      Math.abs(booked.height - job.top.height) < ALIKE,
    ask: async () => {
      setProblem(null);
      try {
        setHeard({ what: await ask(job).unwrap(), of });
      } catch (failure) {
        setProblem(serverError(failure).message);
      }
    },
    book: async () => setSent({ what: await dispatch(bookJob(job)), of }),
    /** Takes the booking back; it stands until the service has heard of it. */
    goOn: (by: 'home' | 'long-arm') => {
      setProblem(null);
      if (booked) void dispatch(cancelBooking(booked.number));
      edit((p) => ({ ...p, quilting: { ...p.quilting, by } }));
    },
  };
}
