import {
  dayOf,
  type Exercise,
  exerciseOf,
  EXERCISES,
  type Given,
  isRight,
  type Level,
  MAKER,
  nextUp,
  rightSaid,
  standingsIn,
  type Unit,
} from '@lattice/core';
import { Check, Printer, X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { PageFrame } from '../frame/PageFrame.tsx';
import { todayHere } from '../../browser/todayHere.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { WordsField } from '../../design/controls/WordsField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { writeLog } from '../../sync/outbox/writeLog.ts';
import { Drawn } from './Drawn.tsx';

const Asked = styled.div`
  .what {
    font-size: var(--size-note);
    color: var(--soft);
  }
  h2 {
    margin: 2px 0 14px;
    font: 650 var(--size-head)/1.3 var(--text);
    font-stretch: 92%;
  }
`;
const Choices = styled.div`
  display: grid;
  gap: 8px;
  margin-top: 14px;
  button {
    justify-content: flex-start;
    min-height: 48px;
    padding: 8px 16px;
    font-size: var(--size-lead);
    white-space: normal;
    text-align: left;
  }
`;
const Count = styled.form`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px;
  margin-top: 14px;
  input {
    width: 120px;
    min-height: 48px;
    font-size: var(--size-title);
  }
  button {
    min-height: 48px;
    margin-bottom: 5px;
  }
`;
const Said = styled.div`
  margin-top: 16px;
  padding: 14px 16px;
  border-radius: 12px;
  background: var(--good-wash);
  &[data-wrong] {
    background: var(--wrong-wash);
  }
  b {
    display: flex;
    align-items: center;
    gap: 8px;
    font-size: var(--size-lead);
  }
  p {
    margin: 4px 0;
  }
  button {
    min-height: 48px;
    margin-top: 10px;
  }
`;
const Kinds = styled.details`
  margin-top: 34px;
  font-size: var(--size-text);
  summary {
    cursor: pointer;
    font-weight: 600;
  }
  ul {
    margin: 8px 0 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: flex;
    justify-content: space-between;
    gap: 12px;
    align-items: center;
    padding: 2px 0;
    border-top: 1px solid var(--line);
  }
  small {
    color: var(--soft);
  }
`;

/** Which exercise, by which numbers. */
interface Asked {
  readonly kind: string;
  readonly seed: number;
  readonly level: Level;
}
const freshSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0]!;
const today = (): number => dayOf(todayHere());
const UNITS = [
  { id: 'in', name: 'Inches' },
  { id: 'cm', name: 'Centimetres' },
];

/** The judgement calls of the trade, one at a time with fresh numbers: answered by pointing or typing, then worked. */
export function PracticePage() {
  const log = useAppSelector((s) => s.log);
  const standings = useMemo(() => standingsIn(log), [log]);
  const dispatch = useAppDispatch();
  const [unit, setUnit] = useState<Unit>('in');
  const [asked, setAsked] = useState<Asked | null>(null);
  const [given, setGiven] = useState<Given | null>(null);
  // What was answered stands until the next is asked for, whatever the answer does to the order.
  const now: Asked = asked ?? { ...nextUp(standings, today()), seed: FIRST };
  const exercise = useMemo(
    () => exerciseOf(now.kind, now.seed, unit, now.level),
    [now.kind, now.seed, unit, now.level],
  );
  const ask = (kind: string) => {
    setGiven(null);
    setAsked({ kind, seed: freshSeed(), level: standings.find((one) => one.kind === kind)!.level });
  };
  const answer = (said: Given) => {
    if (given !== null) return;
    setGiven(said);
    setAsked(now);
    const body = { exercise: now.kind, seed: now.seed, right: isRight(exercise, said) };
    void dispatch(writeLog([{ kind: 'practised', body }], MAKER));
  };
  return (
    <PageFrame
      title="Practice"
      width={760}
      head={
        <>
          <ChoiceField label="Unit" value={unit} choices={UNITS} onChange={(id) => setUnit(id as Unit)} />
          <Link to={`/practice/sheet?unit=${unit}`}>
            <Printer size={15} aria-hidden /> A sheet for a class
          </Link>
        </>
      }
    >
      <Asked>
        <p className="what">{nameOf(now.kind)}</p>
        <h2>
          <Lengths text={exercise.asks} />
        </h2>
        <Asking key={`${now.kind} ${now.seed} ${unit}`} {...{ exercise, given }} onAnswer={answer} />
        {given !== null && (
          <Answered
            exercise={exercise}
            given={given}
            onNext={() => ask(nextUp(standings, today()).kind)}
            onSame={() => ask(now.kind)}
          />
        )}
        <Kinds>
          <summary>All there is to practise</summary>
          <ul>
            {standings.map(({ kind, right, wrong, due }) => (
              <li key={kind}>
                <span>
                  {nameOf(kind)}{' '}
                  <small>
                    {right + wrong === 0
                      ? 'not yet'
                      : `${right} of ${right + wrong} right${due! <= today() ? ', due again' : ''}`}
                  </small>
                </span>
                <Button look="quiet" aria-label={`Practise: ${nameOf(kind)}`} onPress={() => ask(kind)}>
                  Practise
                </Button>
              </li>
            ))}
          </ul>
        </Kinds>
      </Asked>
    </PageFrame>
  );
}

/** The first numbers of a visit; fresh ones follow. */
const FIRST = freshSeed();
const nameOf = (kind: string): string => EXERCISES.find(({ id }) => id === kind)!.name;

function Asking({
  exercise,
  given,
  onAnswer,
}: {
  exercise: Exercise;
  given: Given | null;
  onAnswer: (given: Given) => void;
}) {
  const { answer, drawing } = exercise;
  const [typed, setTyped] = useState('');
  const number = Number(typed.replace(',', '.'));
  const isNumber = typed.trim() !== '' && Number.isFinite(number);
  return (
    <>
      {drawing && (
        <Drawn
          drawing={drawing}
          onPoint={answer.by === 'point' && given === null ? onAnswer : null}
          right={answer.by === 'point' && given !== null ? answer.right : []}
          chosen={given !== null && typeof given === 'string' && answer.by === 'point' ? given : null}
        />
      )}
      {answer.by === 'choice' && (
        <Choices>
          {answer.choices.map(({ id, text }) => (
            <Button key={id} isDisabled={given !== null} onPress={() => onAnswer(id)}>
              {given !== null && id === answer.right && <Check size={18} aria-label="right:" />}
              {given === id && id !== answer.right && <X size={18} aria-label="not so:" />}
              <Lengths text={text} />
            </Button>
          ))}
        </Choices>
      )}
      {answer.by === 'count' && given === null && (
        <Count
          onSubmit={(event) => {
            event.preventDefault();
            if (isNumber) onAnswer(number);
          }}
        >
          <WordsField label="How many" value={typed} onChange={setTyped} inputMode="numeric" autoFocus />
          <Button type="submit" look="main" isDisabled={!isNumber}>
            That many
          </Button>
        </Count>
      )}
    </>
  );
}

function Answered({
  exercise,
  given,
  onNext,
  onSame,
}: {
  exercise: Exercise;
  given: Given;
  onNext: () => void;
  onSame: () => void;
}) {
  const right = isRight(exercise, given);
  return (
    <Said role="status" data-wrong={!right || undefined}>
      <b>
        {right ? <Check size={20} aria-hidden /> : <X size={20} aria-hidden />}
        {right ? 'Yes' : `Not so: ${rightSaid(exercise)}`}
      </b>
      {exercise.working.map((line) => (
        <p key={line}>
          <Lengths text={line} />
        </p>
      ))}
      <Button look="main" onPress={onNext} autoFocus>
        Next
      </Button>{' '}
      <Button onPress={onSame}>Another of these</Button>
    </Said>
  );
}
