import type { JournalLine } from '@lattice/core';
import styled from 'styled-components';
import { Lengths } from '../../design/Lengths.tsx';
import { useJournal, whenOf } from '../../rooms/journal/useJournal.ts';

/* As long as it is: only a day is kept together. */
const Days = styled.section`
  && {
    break-inside: auto;
  }
  div {
    break-inside: avoid;
  }
  h3 {
    margin: 10px 0 2px;
    font-size: var(--size-note);
  }
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
    font-size: var(--size-note);
  }
  time {
    display: inline-block;
    min-width: 42px;
  }
`;

/** The journal as one hands it on: day by day, the oldest first. */
export function JournalOnPaper() {
  const days = new Map<string, JournalLine[]>();
  for (const line of useJournal()) {
    const { day } = whenOf(line.at);
    days.set(day, [...(days.get(day) ?? []), line]);
  }
  return (
    <Days>
      <h2>Journal</h2>
      {days.size === 0 && <p>Nothing is written down yet.</p>}
      {[...days].map(([day, lines]) => (
        <div key={day}>
          <h3>{day}</h3>
          <ul>
            {lines.map(({ id, at, text, struck }) => (
              <li key={id}>
                <time dateTime={at}>{whenOf(at).time}</time>{' '}
                {struck ? <s>{text}</s> : <Lengths text={text} />}
              </li>
            ))}
          </ul>
        </div>
      ))}
    </Days>
  );
}
