import type { Flag } from '@lattice/core';
import { useEffect, useRef } from 'react';
import { Input } from 'react-aria-components';
import { Link, Navigate } from 'react-router';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { FieldLabel, Wrong } from '../../design/controls/fieldStyles.ts';
import { Why } from '../../design/controls/Why.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { figureText } from '../figures/Line.tsx';
import { PageFrame } from '../frame/PageFrame.tsx';
import { usePrinting } from '../paper/usePrinting.ts';
import { AnswerDrawing } from './AnswerDrawing.tsx';
import { AnswerPaper } from './AnswerPaper.tsx';
import { Answered, Counter, Row, Topics } from './CounterPage.styles.ts';
import { beginsAt, placeholderOf, type Question, QUESTIONS, saysOf, slugOf } from './questions.ts';
import { type AtCounter, useCounter } from './useCounter.ts';

/** Quick answers: a question, a few figures, and what to ask the shop for, with no quilt opened. */
export function CounterPage() {
  const at = useCounter();
  const printing = usePrinting();
  if (!at) return <Navigate to="/ask/binding" replace />;
  const { question, topic, unit } = at;
  return (
    <PageFrame
      title="Quick answers"
      head={<Button onPress={at.inOtherUnit}>{unit === 'in' ? 'Use centimetres' : 'Use inches'}</Button>}
    >
      <Questions asking={question} />
      <Counter>
        <section aria-label={question.name}>
          <p>{topic.describes}</p>
          {topic.flags.map((flag) => (
            <Asked key={`${question.name}-${flag.key}-${unit}`} at={at} flag={flag} />
          ))}
        </section>
        <Answer at={at} />
      </Counter>
      {printing && <OnPaper at={at} />}
    </PageFrame>
  );
}

/** What can be asked; on a small screen the row scrolls by itself, and what is asked about stays in sight. */
function Questions({ asking }: { asking: Question }) {
  const row = useRef<HTMLElement>(null);
  useEffect(() => {
    row.current?.querySelector('[aria-current]')?.scrollIntoView?.({ inline: 'center', block: 'nearest' });
  }, [asking]);
  return (
    <Topics aria-label="What to ask" ref={row}>
      {QUESTIONS.map((q) => (
        <Link key={q.name} to={`/ask/${slugOf(q.name)}`} aria-current={q === asking ? 'page' : undefined}>
          {q.name}
        </Link>
      ))}
    </Topics>
  );
}

/** One figure or choice that is asked for. */
function Asked({ at: { unit, own, answer, set }, flag }: { at: AtCounter; flag: Flag }) {
  if (flag.type === 'choice')
    return (
      <ChoiceField
        label={flag.label}
        labelled
        value={own[flag.key] ?? flag.start}
        choices={flag.choices.map((id) => ({ id, name: flag.names(id, unit) }))}
        onChange={(value) => set(flag, value)}
      />
    );
  const wrong = !answer.ok && answer.flag === flag.key ? answer.message : null;
  return (
    <Row
      value={own[flag.key] ?? beginsAt(flag, unit) ?? ''}
      onChange={(text) => set(flag, text)}
      isInvalid={wrong !== null}
      validationBehavior="aria"
    >
      <FieldLabel>
        {flag.label}
        {unit === 'cm' && flag.type !== 'count' && <small aria-hidden>, cm</small>}
      </FieldLabel>
      <Input
        inputMode={flag.type === 'count' ? 'numeric' : 'text'}
        placeholder={placeholderOf(flag, unit)}
        autoComplete="off"
      />
      <Wrong>{wrong ?? ''}</Wrong>
    </Row>
  );
}

/** What it comes to, drawn and with its figures; a quilt made of it at a press. */
function Answer({ at: { topic, asked, unit, answer, problem, make } }: { at: AtCounter }) {
  return (
    <Answered className="answer" aria-label="Answer" aria-live="polite">
      {!answer.ok ? (
        <p className="problem">
          <Lengths text={answer.message} />
        </p>
      ) : (
        <>
          <p className="headline" data-testid="headline">
            <Lengths text={answer.headline} />
          </p>
          <div className="drawing">
            <AnswerDrawing topic={topic.name} asked={asked} unit={unit} answer={answer} />
          </div>
          <dl>
            {answer.said.map(({ what, figure }, i) => (
              <div key={i}>
                <dt>
                  <Lengths text={what} />
                </dt>
                <dd>
                  <Why figure={figure} text={figureText(figure, unit)} what={what.toLowerCase()} />
                </dd>
              </div>
            ))}
          </dl>
          <Button look="main" onPress={make}>
            Make a quilt of this
          </Button>
          {problem && (
            <p className="problem" role="alert">
              {problem}
            </p>
          )}
        </>
      )}
    </Answered>
  );
}

/** The same as it is handed on. */
function OnPaper({ at: { question, topic, asked, unit, answer } }: { at: AtCounter }) {
  if (!answer.ok) return null;
  return (
    <AnswerPaper
      name={question.name}
      asked={topic.flags.flatMap((flag) => {
        const says = saysOf(flag, asked[flag.key], unit);
        return says === '' ? [] : [[flag.label, says] as const];
      })}
      headline={answer.headline}
      said={answer.said}
      unit={unit}
    >
      <AnswerDrawing topic={topic.name} asked={asked} unit={unit} answer={answer} />
    </AnswerPaper>
  );
}
