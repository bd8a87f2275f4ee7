import { forgottenClock, type Running, sayMinutes, type Work, WORK_WORDS } from '@lattice/core';
import { Timer, TimerOff } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { CountField } from '../../design/controls/CountField.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { clockMoved, clockStarted, clockStopped, selectSittings } from './clock.ts';
import { useNow } from './useNow.ts';

const Ways = styled.div`
  display: grid;
  gap: 8px;
  margin-top: 12px;
`;

/**
 * The clock of one kind of work at one step: one press starts it, another stops it. It goes on wherever one is, without a
 * server; at another step of the same work it can be taken along.
 */
export function ClockButton({ work, step }: { work: Work; step?: string | undefined }) {
  const { running } = useAppSelector(selectSittings);
  const id = useAppSelector((s) => s.saving.id);
  const dispatch = useAppDispatch();
  const mine = running && running.quilt === id && running.work === work ? running : null;
  if (mine)
    return (
      <>
        {step !== undefined && mine.step !== step && (
          <Button look="quiet" onPress={() => void dispatch(clockMoved(work, step))}>
            <Timer size={16} aria-hidden />
            The clock goes on here
          </Button>
        )}
        <StopClock running={mine} />
      </>
    );
  return (
    <Button look="quiet" onPress={() => void dispatch(clockStarted(work, step))}>
      <Timer size={16} aria-hidden />
      Start the clock
    </Button>
  );
}

/** Stops a clock that runs; one that was most likely forgotten is asked about first. */
export function StopClock({ running }: { running: Running }) {
  const now = useNow();
  const log = useAppSelector((s) => s.log);
  const dispatch = useAppDispatch();
  const [asking, setAsking] = useState(false);
  const forgotten = forgottenClock(log, running, now);
  const minutes = (Date.parse(now) - Date.parse(running.start)) / 60_000;
  return (
    <>
      <Button
        look="quiet"
        onPress={() => (forgotten ? setAsking(true) : void dispatch(clockStopped(running, null)))}
      >
        <TimerOff size={16} aria-hidden />
        Stop the clock: {sayMinutes(Math.max(0, minutes))}
      </Button>
      {asking && forgotten && <HowLong running={running} {...forgotten} onClose={() => setAsking(false)} />}
    </>
  );
}

/** "The clock has run since last night. How long was it really?" */
export function HowLong({
  running,
  minutes,
  untilLast,
  onClose,
}: {
  running: Running;
  /** So long it has run; null where another clock ended it. */
  minutes: number | null;
  untilLast: number | null;
  onClose: () => void;
}) {
  const dispatch = useAppDispatch();
  const [typed, setTyped] = useState(60);
  const stop = (after: number | null) => {
    void dispatch(clockStopped(running, after));
    onClose();
  };
  const since = new Intl.DateTimeFormat('en-GB', { weekday: 'long', hour: '2-digit', minute: '2-digit' });
  return (
    <Sheet title="The clock was left on" width={460} isOpen onClose={onClose}>
      <p>
        {WORK_WORDS[running.work].name}: it has run since {since.format(new Date(running.start))}
        {minutes !== null && `, ${sayMinutes(minutes)}`}. How long was it really?
      </p>
      <Ways>
        {untilLast !== null && (
          <Button look="main" onPress={() => stop(untilLast)}>
            {sayMinutes(untilLast)}: until the last thing that was ticked off
          </Button>
        )}
        <CountField
          label="Minutes you worked"
          value={typed}
          onCommit={(value) => {
            if (value < 0 || value > 24 * 60) return 'From none to a day of them.';
            setTyped(value);
            return null;
          }}
        />
        <Button onPress={() => stop(typed)}>Save {sayMinutes(typed)}</Button>
        {minutes !== null && <Button onPress={() => stop(null)}>It is right: {sayMinutes(minutes)}</Button>}
        <Button look="quiet" onPress={() => stop(0)}>
          Do not count it
        </Button>
      </Ways>
    </Sheet>
  );
}
