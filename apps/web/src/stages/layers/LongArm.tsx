import { DateFormatter, getLocalTimeZone, parseDate } from '@internationalized/date';
import {
  formatSize,
  type Layers,
  LONG_ARM_PATTERNS,
  type LongArmAnswer,
  type LongArmJob,
  measuredBacking,
} from '@lattice/core';
import { useState } from 'react';
import styled from 'styled-components';
import { serverError, useAskLongArmMutation } from '../../sync/api.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Verdict } from '../../design/Verdict.ts';
import { selectBooking } from '../../state/bookingSelectors.ts';
import { bookJob, cancelBooking } from '../../sync/bookings.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

const Sent = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 12px;
  margin: 6px 0;
  font-size: var(--size-text);
  dt {
    color: var(--soft);
  }
  dd {
    text-align: right;
    font-weight: 650;
    font-stretch: 88%;
  }
`;
const Answer = styled.div`
  margin: 8px 0;
  h4 {
    font-size: var(--size-read);
    font-weight: 650;
  }
  ul {
    margin: 4px 0;
    padding-left: 18px;
    list-style: disc;
    font-size: var(--size-text);
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 8px;
  }
`;
const NAMES: Readonly<Record<(typeof LONG_ARM_PATTERNS)[number], string>> = {
  'all-over': 'One pattern all over',
  custom: 'To each block its own',
};
const patterns = LONG_ARM_PATTERNS.map((id) => ({ id, name: NAMES[id] }));
const DAY = new DateFormatter(globalThis.navigator?.language ?? 'en', {
  weekday: 'short',
  day: 'numeric',
  month: 'long',
  year: 'numeric',
});
/** A day as it is said here: "Thu, 10 December 2026". */
const day = (iso: string) => DAY.format(parseDate(iso).toDate(getLocalTimeZone()));

/** The long-arm service: what is sent, what it answers and why, and booking it. */
export function LongArm({ layers }: { layers: Layers }) {
  const plan = useAppSelector(selectPlan);
  const { finished } = useAppSelector(selectQuilt);
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const [pattern, setPattern] = useState<LongArmJob['pattern']>('all-over');
  const [heard, setHeard] = useState<{ answer: LongArmAnswer; of: string } | null>(null);
  const [sent, setSent] = useState<{ id: string; of: string } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [ask, asking] = useAskLongArmMutation();
  const booked = useAppSelector(selectBooking);
  const { items, message, bookings } = useAppSelector((s) => s.outbox);
  const quilt = useAppSelector((s) => s.saving.id);
  const waiting = items.find(
    (item) => item.quilt === quilt && (item.kind === 'booking' || item.kind === 'cancel'),
  );
  const { unit, backing } = plan;
  const top = { width: finished.width.value, height: finished.height.value };
  const made = measuredBacking(backing.made);
  const planned = { width: layers.backing.width.value, height: layers.backing.height.value };
  const job: LongArmJob = {
    unit,
    top,
    pattern,
    backing: made ?? { ...planned, diagonals: null },
    batting: { width: layers.batting.width.value, height: layers.batting.height.value },
  };
  const same =
    booked && Math.abs(booked.width - top.width) < 0.06 && Math.abs(booked.height - top.height) < 0.06;
  /** Takes the booking back; it stands until the service has heard of it. */
  const goOn = (by: 'home' | 'long-arm') => {
    setProblem(null);
    if (booked) void dispatch(cancelBooking(booked.number));
    edit((p) => ({ ...p, quilting: { ...p.quilting, by } }));
  };
  // What was heard is of the sizes that were sent; for others it has to be asked again.
  const of = JSON.stringify(job);
  const said = sent && sent.of === of ? bookings[sent.id] : undefined;
  const answer = said ?? (heard && heard.of === of ? heard.answer : null);
  const tell = async (send: () => Promise<LongArmAnswer>) => {
    setProblem(null);
    try {
      setHeard({ answer: await send(), of });
    } catch (failure) {
      setProblem(serverError(failure).message);
    }
  };
  const onBook = async () => setSent({ id: await dispatch(bookJob(job)), of });
  const onItsWay = waiting && (waiting.refused ?? message ?? 'On its way to the long-arm service…');

  if (booked) {
    return (
      <Answer data-testid="booking">
        <h4>Booked as {booked.number}</h4>
        <Sent>
          <dt>Begins</dt>
          <dd>{day(booked.starts)}</dd>
          <dt>Ready</dt>
          <dd>{day(booked.ready)}</dd>
          <dt>Price</dt>
          <dd>{booked.price.toFixed(2)}</dd>
        </Sent>
        {same ? (
          <Verdict role="status" data-kind="true">
            Send top, backing and batting apart, pressed, not pinned together; mark the top edge of each.
          </Verdict>
        ) : (
          <Verdict role="status" data-kind="square-up">
            <Lengths
              text={`It was booked as ${formatSize(booked.width, booked.height, unit)} and comes to ${formatSize(top.width, top.height, unit)} now. Ask again.`}
            />
          </Verdict>
        )}
        <div className="ways">
          <Button isDisabled={waiting !== undefined} onPress={() => goOn('long-arm')}>
            {same ? 'Cancel the booking' : 'Ask again'}
          </Button>
          <Button isDisabled={waiting !== undefined} onPress={() => goOn('home')}>
            Quilt it myself instead
          </Button>
        </div>
        {(problem ?? onItsWay) && (
          <Verdict role={problem ? 'alert' : 'status'} data-kind={problem ? 'square-up' : 'ease'}>
            {problem ?? onItsWay}
          </Verdict>
        )}
      </Answer>
    );
  }
  return (
    <>
      <ChoiceField
        labelled
        label="Pattern"
        value={pattern}
        choices={patterns}
        onChange={(id) => setPattern(id as LongArmJob['pattern'])}
      />
      <Sent aria-label="Sizes that are sent">
        <dt>Top</dt>
        <dd>
          <Lengths text={formatSize(top.width, top.height, unit)} />
        </dd>
        <dt>Backing{made ? ', as made' : ', as planned'}</dt>
        <dd>
          <Lengths text={formatSize(job.backing.width, job.backing.height, unit)} />
        </dd>
        <dt>Batting</dt>
        <dd>
          <Lengths text={formatSize(job.batting.width, job.batting.height, unit)} />
        </dd>
      </Sent>
      {!answer && (
        <Button look="main" isDisabled={asking.isLoading} onPress={() => void tell(() => ask(job).unwrap())}>
          Ask the long-arm service
        </Button>
      )}
      <Answer aria-live="polite" data-testid="long-arm">
        {(problem ?? onItsWay) && (
          <Verdict role={problem ? 'alert' : 'status'} data-kind={problem ? 'square-up' : 'ease'}>
            {problem ?? onItsWay}
          </Verdict>
        )}
        {answer?.accepted === false && (
          <>
            <h4>It cannot take this job</h4>
            <ul>
              {answer.reasons.map((reason) => (
                <li key={reason}>
                  <Lengths text={reason} />
                </li>
              ))}
            </ul>
            <div className="ways">
              <Button onPress={() => goOn('home')}>Quilt it myself instead</Button>
            </div>
          </>
        )}
        {answer?.accepted && (
          <>
            <h4>It takes this job</h4>
            <Sent>
              <dt>Begins</dt>
              <dd>{day(answer.starts)}</dd>
              <dt>Ready</dt>
              <dd>{day(answer.ready)}</dd>
              <dt>Price</dt>
              <dd>{answer.price.toFixed(2)}</dd>
            </Sent>
            <ul>
              {answer.working.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            <div className="ways">
              <Button look="main" isDisabled={waiting !== undefined} onPress={() => void onBook()}>
                Book it
              </Button>
              <Button onPress={() => goOn('home')}>Quilt it myself instead</Button>
            </div>
          </>
        )}
      </Answer>
    </>
  );
}
