import {
  askCounter,
  type Flag,
  flagStart,
  formatLength,
  quiltFromCounter,
  type Topic,
  TOPICS,
  type Unit,
  unitMark,
} from '@lattice/core';
import { useEffect, useRef, useState } from 'react';
import { Input, TextField } from 'react-aria-components';
import { Link, Navigate, useNavigate, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { PageFrame } from '../frame/PageFrame.tsx';
import { useAppDispatch } from '../../sync/thunk.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { FieldLabel, fieldRow, Wrong } from '../../design/controls/fieldStyles.ts';
import { Why } from '../../design/controls/Why.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { figureText } from '../figures/Line.tsx';
import { usePrinting } from '../paper/usePrinting.ts';
import { addQuilt } from '../../sync/newQuilts.ts';
import { AnswerDrawing } from './AnswerDrawing.tsx';
import { AnswerPaper } from './AnswerPaper.tsx';
import { narrow, onPaper, touch } from '../../design/media.ts';

const Topics = styled.nav`
  display: flex;
  gap: 6px;
  overflow-x: auto;
  padding: 2px 2px 10px;
  a {
    flex: none;
    padding: 8px 14px;
    border: 1.5px solid var(--line);
    border-radius: 20px;
    background: var(--card);
    font-size: var(--size-text);
    font-weight: 600;
    text-decoration: none;
  }
  a:hover {
    border-color: var(--soft);
  }
  a[aria-current='page'] {
    border-color: var(--ink);
    background: var(--ink);
    color: var(--card);
  }
  ${touch} {
    a {
      min-height: var(--finger);
      padding: 11px 16px;
    }
  }
  ${onPaper} {
    display: none;
  }
`;
const Counter = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
  gap: 24px;
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
    /* The answer lies under the thumb's reach of the fields, and over them on the screen. */
    .answer {
      order: -1;
    }
  }
  ${onPaper} {
    display: none;
  }
`;
const Answered = styled.section`
  padding: 18px 20px;
  border-radius: 14px;
  background: var(--card);
  box-shadow: var(--shadow);
  .headline {
    font-size: var(--size-large);
    font-weight: 700;
    font-stretch: 86%;
    line-height: 1.15;
  }
  .problem {
    color: var(--wrong);
    font-weight: 600;
  }
  .drawing {
    margin: 12px 0;
  }
  .drawing svg {
    display: block;
    width: 100%;
    height: auto;
    max-height: 200px;
  }
  dl {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 6px 14px;
    /* A figure stands beside its name, not across the sheet from it. */
    max-width: 440px;
    margin: 12px 0;
    font-size: var(--size-text);
  }
  dl > div {
    display: contents;
  }
  dt {
    color: var(--soft);
  }
  dd {
    margin: 0;
    text-align: right;
    font-weight: 650;
    font-stretch: 88%;
  }
  ${narrow} {
    dl {
      display: block;
    }
    dl > div {
      display: flex;
      flex-wrap: wrap;
      align-items: baseline;
      gap: 2px 10px;
      padding: 5px 0;
      border-bottom: 1px solid var(--line);
    }
    dd {
      text-align: left;
    }
  }
`;
const Row = styled(TextField)`
  ${fieldRow}
  input {
    width: 124px;
    height: 36px;
    padding: 0 10px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--field);
    text-align: right;
    font-weight: 650;
    font-stretch: 88%;
  }
  input:focus {
    outline: none;
    border-color: var(--chalk);
    box-shadow: 0 0 0 1px var(--chalk);
  }
  &[data-invalid] input {
    border-color: var(--wrong);
    box-shadow: 0 0 0 1px var(--wrong);
  }
  ${touch} {
    input {
      height: 46px;
      width: 140px;
      font-size: var(--size-lead);
    }
  }
`;

/** What people ask for, in their words: a topic, and what it begins with where one topic answers two questions. */
const QUESTIONS: readonly {
  readonly name: string;
  readonly topic: string;
  readonly asked?: Readonly<Record<string, string>>;
}[] = [
  { name: 'Setting triangles', topic: 'triangles' },
  { name: 'Quilt size', topic: 'setting' },
  { name: 'Sashing', topic: 'setting', asked: { kind: 'sashed' } },
  { name: 'Binding', topic: 'binding' },
  { name: 'Bias', topic: 'binding', asked: { grain: 'bias' } },
  { name: 'What it binds', topic: 'bound-by' },
  { name: 'Backing', topic: 'backing' },
  { name: 'Flange', topic: 'flange' },
  { name: 'Prairie points', topic: 'prairie-points' },
  { name: 'Facing', topic: 'facing' },
  { name: 'Piping', topic: 'piping' },
  { name: 'Sleeve', topic: 'sleeve' },
  { name: 'Precuts', topic: 'precut' },
  { name: 'Pieced units', topic: 'units' },
  { name: 'Pieced border', topic: 'pieced-border' },
  { name: 'Quilted blocks', topic: 'quilted-blocks' },
];
type Question = (typeof QUESTIONS)[number];

/** What a flag is known by while it is asked about: its key and what it is called; a question's own choice is its own. */
const meaning = (question: Question, { key, label }: Flag): string =>
  question.asked?.[key] === undefined ? `${key} ${label}` : `${key} ${question.name}`;

/** What an address says was typed for a question. */
const inAddress = (
  params: URLSearchParams,
  question: Question | undefined,
  topic: Topic | undefined,
): Readonly<Record<string, string>> =>
  Object.fromEntries(
    (question && topic ? topic.flags : []).flatMap((flag) => {
      const text = params.get(flag.key);
      return text === null ? [] : [[meaning(question!, flag), text.slice(0, 60)]];
    }),
  );

/** As it stands in the address. */
const slugOf = (name: string): string => name.toLowerCase().replace(/ /g, '-');

/** The stage that shows what a topic asks about, where it is not the setting. */
const TO: Readonly<Record<string, string>> = {
  binding: 'edge',
  'bound-by': 'edge',
  flange: 'edge',
  'prairie-points': 'edge',
  facing: 'edge',
  piping: 'edge',
  sleeve: 'edge',
  backing: 'layers',
  'pieced-border': 'borders',
};

/** Everyday figures to begin with where a topic has none of its own, so that there is always an answer to change. */
const EVERYDAY: Readonly<Record<Unit, Readonly<Record<string, string>>>> = {
  in: { block: '12', across: '3', down: '4', width: '60', height: '72' },
  cm: { block: '30', across: '3', down: '4', width: '150', height: '180' },
};

/** Quick answers: a question, a few figures, and what to ask the shop for, with no quilt opened. */
export function CounterPage() {
  const { topic: slug } = useParams();
  // By what people call it, or by the topic's own name.
  const question = QUESTIONS.find((q) => slugOf(q.name) === slug) ?? QUESTIONS.find((q) => q.topic === slug);
  const topic = TOPICS.find((t) => t.name === question?.topic);
  const [params, setParams] = useSearchParams();
  const [unit, setUnit] = useState<Unit>(params.get('unit') === 'cm' ? 'cm' : 'in');
  /** What was typed: a figure means the same in every question that calls it the same, and goes along to the next. */
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>(() =>
    inAddress(params, question, topic),
  );
  const dispatch = useAppDispatch();
  const [problem, setProblem] = useState<string | null>(null);
  const navigate = useNavigate();
  const topics = useRef<HTMLElement>(null);
  // On a small screen the row of topics scrolls by itself: the one asked about stays in sight.
  useEffect(() => {
    topics.current?.querySelector('[aria-current]')?.scrollIntoView?.({ inline: 'center', block: 'nearest' });
  }, [slug]);
  const own: Readonly<Record<string, string>> =
    topic && question
      ? Object.fromEntries(
          topic.flags.flatMap((flag) => {
            const text = typed[meaning(question, flag)] ?? question.asked?.[flag.key];
            return text === undefined ? [] : [[flag.key, text]];
          }),
        )
      : {};
  // The address says what was asked, so that it can be come back to and passed on.
  const address = new URLSearchParams({ ...own, ...(unit === 'cm' ? { unit } : {}) }).toString();
  useEffect(
    () => setParams(address, { replace: true, preventScrollReset: true }),
    [address, slug, setParams],
  );
  const printing = usePrinting();
  if (!topic || !question) return <Navigate to="/ask/binding" replace />;

  const begin = (flag: Flag) =>
    flag.start === null && !(flag.key === 'perimeter') ? EVERYDAY[unit][flag.key] : undefined;
  const asked = Object.fromEntries(
    topic.flags.flatMap((flag) => {
      const text = own[flag.key] ?? begin(flag);
      return text === undefined || text.trim() === '' ? [] : [[flag.key, text]];
    }),
  );
  // A length all round stands for the two sides.
  if (asked['perimeter'] !== undefined) for (const side of ['width', 'height']) delete asked[side];
  const answer = askCounter(topic.name, asked, unit);
  const wrong = answer.ok ? null : answer;
  const set = (flag: Flag, text: string) => setTyped((had) => ({ ...had, [meaning(question, flag)]: text }));
  const make = async () => {
    const made = quiltFromCounter(topic.name, asked, unit);
    if (!made.ok) return setProblem(made.line);
    // To where what was asked about is shown.
    const at = TO[topic.name] ?? 'setting';
    await navigate(`/quilts/${await dispatch(addQuilt(made.plan))}/${at}`);
  };
  return (
    <PageFrame
      title="Quick answers"
      head={
        <Button
          onPress={() => {
            setUnit(unit === 'in' ? 'cm' : 'in');
            setTyped({});
          }}
        >
          {unit === 'in' ? 'Use centimetres' : 'Use inches'}
        </Button>
      }
    >
      <Topics aria-label="What to ask" ref={topics}>
        {QUESTIONS.map((q) => (
          <Link key={q.name} to={`/ask/${slugOf(q.name)}`} aria-current={q === question ? 'page' : undefined}>
            {q.name}
          </Link>
        ))}
      </Topics>
      <Counter>
        <section aria-label={question.name}>
          <p>{topic.describes}</p>
          {topic.flags.map((flag) =>
            flag.type === 'choice' ? (
              <ChoiceField
                key={flag.key}
                label={flag.label}
                labelled
                value={own[flag.key] ?? flag.start}
                choices={flag.choices.map((id) => ({ id, name: flag.names(id, unit) }))}
                onChange={(value) => set(flag, value)}
              />
            ) : (
              <Row
                key={`${question.name}-${flag.key}-${unit}`}
                value={own[flag.key] ?? begin(flag) ?? ''}
                onChange={(text) => set(flag, text)}
                isInvalid={wrong?.flag === flag.key}
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
                <Wrong>{wrong?.flag === flag.key ? wrong.message : ''}</Wrong>
              </Row>
            ),
          )}
        </section>
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
              <Button look="main" onPress={() => void make()}>
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
      </Counter>
      {printing && answer.ok && (
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
      )}
    </PageFrame>
  );
}

/** What was asked, as it stands on paper: typed or chosen, or where it begins; empty where nothing was. */
const saysOf = (flag: Flag, typed: string | undefined, unit: Unit): string =>
  flag.type === 'choice'
    ? flag.names(typed ?? flag.start, unit)
    : typed === undefined
      ? flag.type === 'lengths'
        ? ''
        : placeholderOf(flag, unit)
      : flag.type === 'length' && /^[\d\s./-]+$/.test(typed)
        ? `${typed}${unitMark(unit)}`
        : typed;

/** What stands in a field nobody has typed in: where it begins. */
function placeholderOf(flag: Flag, unit: Unit): string {
  if (flag.type === 'lengths') return 'like 1, 3 1/2';
  if (flag.type === 'count') return flag.start === null ? '' : String(flag.start);
  const start = flag.type === 'length' ? flagStart(flag, unit) : null;
  return typeof start === 'number' ? `${formatLength(start, unit)}${unitMark(unit)}` : '';
}
