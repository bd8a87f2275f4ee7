import { dueIn, type Hours, hoursIn, MAKER } from '@lattice/core';
import { CalendarPlus, X } from 'lucide-react';
import { useState } from 'react';
import { I18nProvider, TimeField } from 'react-aria-components';
import { parseTime } from '@internationalized/date';
import styled from 'styled-components';
import { todayHere } from '../../browser/todayHere.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { CountField } from '../../design/controls/CountField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { DayField, Segments, segments } from '../../design/controls/DayField.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { writeLog } from '../../sync/outbox/writeLog.ts';
import { dueDateSet } from './journal.ts';
import { takeCalendar } from './takeCalendar.ts';
import type { ForecastState } from './useForecast.ts';
import { sayDate } from '../../rooms/journal/useJournal.ts';

const Week = styled.ul`
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    align-items: center;
    gap: 0 8px;
  }
`;
const TimeRow = styled(TimeField)`
  ${segments}
  label {
    position: absolute;
    overflow: hidden;
    clip-path: inset(50%);
  }
`;
const Away = styled.ul`
  li {
    display: flex;
    align-items: center;
    justify-content: space-between;
    font-size: var(--size-text);
  }
`;

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

/** When it has to be ready, and when there is time to sew. */
export function ReadyLeaf({ heard }: { heard: ForecastState }) {
  const id = useAppSelector((s) => s.saving.id)!;
  const log = useAppSelector((s) => s.log);
  const dispatch = useAppDispatch();
  const due = dueIn(log, id);
  const hours = hoursIn(log);
  const sayHours = (next: Hours) => void dispatch(writeLog([{ kind: 'hours-said', body: next }], MAKER));
  const change = (part: Partial<typeof due>) => void dispatch(dueDateSet({ ...due, ...part }));
  return (
    <I18nProvider locale="en-GB">
      <Section title="To be ready">
        <DayField
          key={due.date}
          label="By the day"
          value={due.date}
          onChange={(date) => {
            if (date !== due.date && (date === null || date >= '2000-01-01')) change({ date });
          }}
        />
        {due.date !== null && (
          <Button look="quiet" onPress={() => change({ date: null })}>
            Whenever it is
          </Button>
        )}
        <SwitchField label="A gift: washed first" value={due.wash} onChange={(wash) => change({ wash })} />
        <CountField
          label="Days in the post"
          value={due.postDays}
          onCommit={(postDays) => {
            if (postDays < 0 || postDays > 90) return 'From none to ninety.';
            change({ postDays });
            return null;
          }}
        />
      </Section>
      <Section title="Minutes to sew, for all your quilts">
        <Week>
          {DAYS.map((day, i) => (
            <li key={day}>
              <CountField
                label={day}
                value={hours.week[i]!.minutes}
                onCommit={(minutes) => {
                  if (minutes < 0 || minutes > 16 * 60) return 'From none to sixteen hours.';
                  sayHours({
                    ...hours,
                    week: hours.week.map((one, at) => (at === i ? { ...one, minutes } : one)),
                  });
                  return null;
                }}
              />
              <TimeRow
                aria-label={`${day}, from`}
                hourCycle={24}
                value={parseTime(hours.week[i]!.from)}
                onChange={(time) => {
                  if (!time) return;
                  const from = time.toString().slice(0, 5);
                  sayHours({
                    ...hours,
                    week: hours.week.map((one, at) => (at === i ? { ...one, from } : one)),
                  });
                }}
              >
                <Segments />
              </TimeRow>
            </li>
          ))}
        </Week>
      </Section>
      <AwaySection hours={hours} onChange={sayHours} />
      <Section title="Into your calendar">
        <Button
          isDisabled={typeof heard === 'string' || heard.forecast.sittings.length === 0}
          onPress={() => typeof heard !== 'string' && void dispatch(takeCalendar(heard.forecast))}
        >
          <CalendarPlus size={15} aria-hidden />
          Sittings and days, as a file
        </Button>
      </Section>
    </I18nProvider>
  );
}

function AwaySection({ hours, onChange }: { hours: Hours; onChange: (hours: Hours) => void }) {
  const [from, setFrom] = useState<string | null>(null);
  const [to, setTo] = useState<string | null>(null);
  const wrong = from !== null && to !== null && to < from;
  return (
    <Section title="Days away">
      <Away>
        {hours.away
          .map((one, i) => ({ ...one, i }))
          .filter((one) => one.to >= todayHere())
          .map(({ i, ...one }) => (
            <li key={i}>
              {sayDate(one.from)} to {sayDate(one.to)}
              <Button
                look="quiet"
                aria-label={`Not away from ${sayDate(one.from)}`}
                onPress={() => onChange({ ...hours, away: hours.away.filter((_, at) => at !== i) })}
              >
                <X size={15} aria-hidden />
              </Button>
            </li>
          ))}
      </Away>
      <DayField label="Away from" value={from} onChange={setFrom} />
      <DayField label="Up to and including" value={to} onChange={setTo} />
      {wrong && <p role="alert">The last day comes before the first.</p>}
      <Button
        isDisabled={from === null || to === null || wrong}
        onPress={() => {
          onChange({ ...hours, away: [...hours.away, { from: from!, to: to! }] });
          setFrom(null);
          setTo(null);
        }}
      >
        Add these days
      </Button>
    </Section>
  );
}
