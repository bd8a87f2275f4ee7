import { exerciseOf, EXERCISES, rightSaid, type Unit } from '@lattice/core';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Paper } from '../../design/Paper.ts';
import { PrintHead } from '../paper/PrintHead.tsx';
import { Drawn } from './Drawn.tsx';
import { onPaper, small } from '../../design/media.ts';

const Page = styled(Paper)`
  .questions {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 18px 26px;
  }
  section {
    margin: 0;
    font-size: var(--size-text);
  }
  h2 {
    font-size: var(--size-text);
  }
  svg {
    max-height: 165px;
  }
  ul {
    margin: 6px 0 0;
    padding: 0;
    list-style: none;
  }
  li::before {
    display: inline-block;
    width: 12px;
    height: 12px;
    margin-right: 8px;
    border: 1px solid currentColor;
    content: '';
  }
  .line {
    margin-top: 14px;
    border-bottom: 1px solid currentColor;
  }
  .answers {
    margin-top: 26px;
    font-size: var(--size-note);
    break-before: page;
  }
  ${small} {
    .questions {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  ${onPaper} {
    .questions {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
  }
`;

/** One of each exercise on paper for a class, with the answers on a page of their own. */
export function SheetPage() {
  const [params] = useSearchParams();
  const unit: Unit = params.get('unit') === 'cm' ? 'cm' : 'in';
  const [seed, setSeed] = useState(() => 1 + Math.floor(Date.now() / 86_400_000));
  const exercises = useMemo(
    () => EXERCISES.map(({ id, name }, i) => ({ name, exercise: exerciseOf(id, seed * 100 + i, unit, 1) })),
    [seed, unit],
  );
  return (
    <Page>
      <PrintHead title="Judgement calls" back="Back to practice" to="/practice">
        <Button onPress={() => setSeed(seed + 1)}>Other numbers</Button>
      </PrintHead>
      <div className="questions">
        {exercises.map(({ name, exercise }, i) => (
          <section key={name}>
            <h2>
              {i + 1}. {name}
            </h2>
            <p>
              <Lengths text={exercise.asks.replace(/^Point at/, 'Mark')} />
            </p>
            {exercise.drawing && <Drawn drawing={exercise.drawing} small />}
            {exercise.answer.by === 'choice' && (
              <ul>
                {exercise.answer.choices.map(({ id, text }) => (
                  <li key={id}>
                    <Lengths text={text} />
                  </li>
                ))}
              </ul>
            )}
            {exercise.answer.by === 'count' && <div className="line">Answer:</div>}
          </section>
        ))}
      </div>
      <div className="answers">
        <h2>Answers</h2>
        {exercises.map(({ name, exercise }, i) => (
          <p key={name}>
            <b>
              {i + 1}. <Lengths text={rightSaid(exercise)} />
            </b>{' '}
            <Lengths text={exercise.working.join('. ')} />.
          </p>
        ))}
      </div>
    </Page>
  );
}
