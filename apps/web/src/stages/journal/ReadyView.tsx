import { dueIn, type Forecast, LIKELY, type Milestone, sayMinutes } from '@lattice/core';
import { lazy } from 'react';
import styled from 'styled-components';
import { todayHere } from '../../browser/todayHere.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { ChartFrame } from '../../rooms/charts/ChartFrame.tsx';
import type { ForecastState } from './useForecast.ts';
import { sayDate } from '../../rooms/journal/useJournal.ts';
import { narrow } from '../../design/media.ts';

const Burn = lazy(async () => ({ default: (await import('./WorkLeftChart.tsx')).WorkLeftChart }));

const Page = styled.div`
  h1 {
    font: 650 var(--size-large)/1.15 var(--name);
  }
  .says {
    max-width: 62ch;
    margin: 6px 0 16px;
    font-size: var(--size-lead);
  }
  h2 {
    margin: 22px 0 6px;
    font-size: var(--size-read);
  }
  small {
    color: var(--soft);
  }
`;
const Way = styled.ol`
  margin: 0;
  padding: 0;
  list-style: none;
  border-left: 2px dashed var(--line);
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 120px 170px;
    gap: 2px 18px;
    align-items: baseline;
    padding: 7px 0 7px 16px;
    font-size: var(--size-read);
  }
  li::before {
    position: absolute;
    width: 10px;
    height: 10px;
    margin: 6px 0 0 -23px;
    border: 2px solid var(--ink);
    border-radius: 50%;
    background: var(--card);
    content: '';
  }
  li > :nth-child(n + 2) {
    text-align: right;
  }
  li[data-late] b {
    color: var(--wrong);
  }
  ${narrow} {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
    li > :nth-child(n + 2) {
      text-align: left;
    }
  }
`;
const Weeks = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
  li {
    padding: 8px 12px;
    border: 1px solid var(--line);
    border-radius: 10px;
    background: var(--card);
    font-size: var(--size-note);
  }
  b {
    display: block;
    font-size: var(--size-title);
    font-stretch: 88%;
  }
`;

/** Of ten, in words that promise no more than is known. */
function sayChance(chance: number): string {
  if (chance > 0.97) return 'as good as certain';
  if (chance < 0.03) return 'as good as out of the question';
  if (chance > 0.93) return '19 in 20';
  if (chance < 0.07) return '1 in 20';
  return `${Math.round(chance * 10)} in 10`;
}

/** Whether it will be ready: the chance, by when what must be done, what to do first, what a lost week would cost. */
export function ReadyView({ heard }: { heard: ForecastState }) {
  const id = useAppSelector((s) => s.saving.id)!;
  const log = useAppSelector((s) => s.log);
  const due = dueIn(log, id).date;
  if (heard === 'waiting') return <p role="status">Working out how it may go…</p>;
  if (heard === 'failed') return <p role="alert">This could not be worked out. Load the page again.</p>;
  const { forecast, back } = heard;
  const { chance, ready, minutes, milestones } = forecast;
  if (milestones.length === 0)
    return (
      <Page>
        <h1>It is ready</h1>
        <p className="says">Nothing is left to do.</p>
      </Page>
    );
  const [soon, likely, late] = ready;
  return (
    <Page>
      <h1 data-testid="ready-chance">
        {due === null || chance === null
          ? likely === null
            ? 'Not in the next two years'
            : `Ready about ${sayDate(likely)}`
          : `Ready by ${sayDate(due)}: ${sayChance(chance)}`}
      </h1>
      <p className="says">
        {sayMinutes(minutes[1])} of work are left, most likely between {sayMinutes(minutes[0])} and{' '}
        {sayMinutes(minutes[2])}.{' '}
        {likely === null
          ? 'With the time there is to sew, no day can be named.'
          : `As likely as not by ${sayDate(likely)}; with luck by ${soon === null ? 'then' : sayDate(soon)}${late === null ? '' : `; almost surely by ${sayDate(late)}`}.`}
      </p>
      {due !== null && chance !== null && chance < LIKELY && <Enough forecast={forecast} due={due} />}
      <First forecast={forecast} />
      <h2>What by when</h2>
      <Way>
        {milestones.map((one) => (
          <WayPoint key={one.job} {...one} />
        ))}
      </Way>
      <h2>Work left</h2>
      <ChartFrame height={220}>
        <Burn forecast={forecast} back={back} />
      </ChartFrame>
      {forecast.weeks.length > 0 && (
        <>
          <h2>If you lose a week</h2>
          <Weeks>
            {forecast.weeks.map(({ monday, chance: then }) => (
              <li key={monday}>
                <b>{sayChance(then)}</b>
                without the week of {sayDate(monday)}
              </li>
            ))}
          </Weeks>
        </>
      )}
      <h2>How this is worked out</h2>
      <p className="says">
        <small>
          The rest of the work is played through many times, each time at a pace drawn from your own sittings,
          or from what is usual where there are none yet; cloth, the long-arm and the post take as long as
          they may. The quilt that is due first has your time first. The share of them that end in time is the
          chance: likely is half of them, luck one in ten, almost surely nine.
        </small>
      </p>
    </Page>
  );
}

/** What would make a late quilt ready. */
function Enough({ forecast: { enough, milestones }, due }: { forecast: Forecast; due: string }) {
  const waits = milestones.some(({ what }) => what !== 'work');
  return (
    <>
      <h2>To be ready all the same</h2>
      <p className="says" data-testid="enough">
        {enough !== null ? (
          <>
            <b>{sayMinutes(enough.minutes)} more a week</b>, over the days you sew, and it would be{' '}
            {sayChance(enough.chance)}.
          </>
        ) : due < todayHere() ? (
          'The day is past: say another.'
        ) : (
          `No time at the machine would do it${waits ? ': what has to be waited for takes longer than there is' : ''}. Say a later day, or leave something out.`
        )}
      </p>
    </>
  );
}

function First({ forecast: { first, chance } }: { forecast: Forecast }) {
  const [one, ...others] = first;
  if (!one) return null;
  const costs = one.ifLater !== null && chance !== null && chance - one.ifLater > 0.03;
  return (
    <>
      <h2>First</h2>
      <p className="says">
        <b>{one.name}.</b> {costs && `Put off for a week it would be ${sayChance(one.ifLater!)}. `}
        {others.length > 0 &&
          `Then ${others.map(({ name }) => name[0]!.toLowerCase() + name.slice(1)).join(', ')}.`}
      </p>
    </>
  );
}

function WayPoint({ name, what, likely, by, minutes }: Milestone) {
  const late = by !== null && (likely === null || likely > by);
  return (
    <li data-late={late || undefined}>
      <span>
        {name} {what === 'work' && <small>{sayMinutes(minutes)}</small>}
      </span>
      <small>{likely === null ? 'no day in sight' : `likely ${sayDate(likely)}`}</small>
      <b>
        {by === null
          ? ''
          : by < todayHere()
            ? 'too late for the day'
            : `by ${sayDate(by)}${late ? ', late' : ''}`}
      </b>
    </li>
  );
}
