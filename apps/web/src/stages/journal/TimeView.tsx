import { type Running, sayMinutes, saySteps, timeByStep, WORK_WORDS, WORKS } from '@lattice/core';
import { useState } from 'react';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { selectSittings, sittingExcluded } from '../../rooms/clock/clock.ts';
import { selectPaces } from '../../rooms/clock/paces.ts';
import { HowLong } from '../../rooms/clock/ClockButton.tsx';
import { Button } from '../../design/controls/Button.tsx';
import { Bars } from '../../rooms/charts/Bars.tsx';
import { whenOf } from '../../rooms/journal/useJournal.ts';

const Page = styled.div`
  h1 {
    font: 650 var(--size-head)/1.25 var(--name);
  }
  h1 + p {
    margin-bottom: 14px;
    color: var(--soft);
  }
  h2 {
    margin: 22px 0 6px;
    font-size: var(--size-read);
  }
`;
const Paces = styled.dl`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 10px;
  margin: 0;
  > div {
    padding: 10px 14px;
    border: 1px solid var(--line);
    border-radius: 10px;
    background: var(--card);
  }
  dt {
    font-size: var(--size-note);
    color: var(--soft);
  }
  dd {
    margin: 0;
    font-size: var(--size-text);
  }
  dd b {
    display: block;
    font-size: var(--size-head);
    font-stretch: 88%;
  }
  summary {
    cursor: pointer;
    font-size: var(--size-note);
  }
  /* From the shortest to the longest of four sittings in five, on one scale for all. */
  i {
    position: relative;
    display: block;
    height: 6px;
    margin: 6px 0;
    border-radius: 3px;
    background: var(--line);
  }
  i::after {
    position: absolute;
    inset: 0 var(--right) 0 var(--left);
    border-radius: 3px;
    background: var(--chalk);
    content: '';
  }
`;
const Steps = styled.table`
  margin-top: 14px;
  border-collapse: collapse;
  font-size: var(--size-text);
  caption {
    padding-bottom: 4px;
    font-weight: 650;
    font-size: var(--size-read);
    text-align: left;
    white-space: nowrap;
  }
  th,
  td {
    padding: 3px 24px 3px 0;
    border-top: 1px solid var(--line);
    font-weight: 400;
    text-align: left;
  }
  td {
    font-variant-numeric: tabular-nums;
    text-align: right;
  }
`;
const Sat = styled.ol`
  margin: 0;
  padding: 0;
  list-style: none;
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 14px;
    padding: 3px 0;
    border-top: 1px solid var(--line);
    font-size: var(--size-text);
  }
  li[data-struck] > span {
    text-decoration: line-through;
    color: var(--soft);
  }
  time {
    min-width: 190px;
    color: var(--soft);
  }
  button {
    margin-left: auto;
  }
`;

/** Where the time went: by kind of work, what one of each takes this maker, and every sitting. */
export function TimeView() {
  const id = useAppSelector((s) => s.saving.id)!;
  const { sittings } = useAppSelector(selectSittings);
  const paces = useAppSelector(selectPaces);
  const dispatch = useAppDispatch();
  const [asking, setAsking] = useState<Running | null>(null);
  const own = sittings.filter(({ quilt }) => quilt === id);
  const counted = own.filter(({ struck }) => !struck);
  const total = counted.reduce((sum, { minutes }) => sum + minutes, 0);
  const bars = WORKS.flatMap((work) => {
    const minutes = counted.reduce((sum, one) => (one.work === work ? sum + one.minutes : sum), 0);
    return minutes === 0
      ? []
      : [{ name: WORK_WORDS[work].name, parts: [{ value: minutes / 60, says: sayMinutes(minutes) }] }];
  });
  const byStep = timeByStep(own);
  return (
    <Page>
      <h1>{total === 0 ? 'No time written down yet' : `${sayMinutes(total)} at this quilt`}</h1>
      <p>
        {own.length === 0
          ? 'Start the clock when you sit down, here, at the table or at the machine; or write time down afterwards.'
          : bars.map(({ name, parts }) => `${name.toLowerCase()} ${parts[0]!.says}`).join(', ')}
      </p>
      {bars.length > 0 && <Bars label="Time by kind of work" unit="hours" bars={bars} />}
      {byStep.length > 0 && (
        <Steps>
          <caption>By step, as far as the clock was told</caption>
          <tbody>
            {byStep.map(({ step, minutes }) => (
              <tr key={step}>
                <th scope="row">{step}</th>
                <td>{sayMinutes(minutes)}</td>
              </tr>
            ))}
          </tbody>
        </Steps>
      )}
      <h2>What one takes you</h2>
      <Paces>
        {WORKS.filter((work) => work !== 'other').map((work) => {
          const { rate, low, high, says, working } = paces[work];
          return (
            <div key={work}>
              <dt>{WORK_WORDS[work].name}</dt>
              <dd>
                <b>{rate}</b>
                <i
                  style={
                    { '--left': `${place(low)}%`, '--right': `${100 - place(high)}%` } as React.CSSProperties
                  }
                  aria-hidden
                />
                {says}
                <details>
                  <summary>Why</summary>
                  {working.map((step) => (
                    <div key={step}>{step}</div>
                  ))}
                </details>
              </dd>
            </div>
          );
        })}
      </Paces>
      {own.length > 0 && <h2>Sittings</h2>}
      <Sat>
        {[...own].reverse().map(({ id: sitting, start, work, minutes, steps, struck, typed, leftOn }) => {
          const { day, time } = whenOf(start);
          return (
            <li key={sitting} data-struck={struck || undefined}>
              <time dateTime={start}>
                {day}, {time}
              </time>
              <span>
                {[`${WORK_WORDS[work].name}, ${sayMinutes(minutes)}`, ...saySteps(steps)].join(': ')}
                {typed && ', written down'}
                {leftOn && ': the clock was left on, this is until the last thing that was ticked off'}
              </span>
              {leftOn && (
                <Button
                  look="quiet"
                  onPress={() => setAsking({ id: sitting, quilt: id, work, start, step: null })}
                >
                  How long was it?
                </Button>
              )}
              <Button
                look="quiet"
                aria-label={`${struck ? 'Count it' : 'Do not count it'}: ${WORK_WORDS[work].name.toLowerCase()}, ${day} ${time}`}
                onPress={() => void dispatch(sittingExcluded(sitting, id, !struck))}
              >
                {struck ? 'Count it' : 'Do not count it'}
              </Button>
            </li>
          );
        })}
      </Sat>
      {asking && (
        <HowLong
          running={asking}
          untilLast={own.find((one) => one.id === asking.id)?.minutes ?? null}
          minutes={null}
          onClose={() => setAsking(null)}
        />
      )}
    </Page>
  );
}

/** A place along a scale from a quarter of a minute to an hour, twice as long a step on. */
const place = (minutes: number): number =>
  Math.max(0, Math.min(100, (100 * Math.log(minutes / 0.25)) / Math.log(60 / 0.25)));
