import { askCounter, type Flag, quiltFromCounter, type Unit } from '@lattice/core';
import { useEffect, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { addQuilt } from '../../sync/newQuilts.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { askedOf, inAddress, meaning, ownOf, questionOf, type Texts, TO, topicOf } from './questions.ts';

/** A question at the counter: what was typed for it, what it comes to, and a quilt made of it. Null: there is no such question. */
export function useCounter() {
  const { topic: slug } = useParams();
  const question = questionOf(slug);
  const topic = topicOf(question);
  const [params, setParams] = useSearchParams();
  const [unit, setUnit] = useState<Unit>(params.get('unit') === 'cm' ? 'cm' : 'in');
  /** What was typed: a figure means the same in every question that calls it the same, and goes along to the next. */
  const [typed, setTyped] = useState<Texts>(() => inAddress(params, question, topic));
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const own = topic && question ? ownOf(question, topic, typed) : {};
  // The address says what was asked, so that it can be come back to and passed on.
  const address = new URLSearchParams({ ...own, ...(unit === 'cm' ? { unit } : {}) }).toString();
  useEffect(
    () => setParams(address, { replace: true, preventScrollReset: true }),
    [address, slug, setParams],
  );
  if (!topic || !question) return null;

  const asked = askedOf(topic, own, unit);
  const answer = askCounter(topic.name, asked, unit);
  const make = async () => {
    const made = quiltFromCounter(topic.name, asked, unit);
    if (!made.ok) return setProblem(made.line);
    // To where what was asked about is shown.
    const at = TO[topic.name] ?? 'setting';
    await navigate(`/quilts/${await dispatch(addQuilt(made.plan))}/${at}`);
  };
  return {
    ...{ question, topic, unit, own, asked, answer, problem },
    set: (flag: Flag, text: string) => setTyped((had) => ({ ...had, [meaning(question, flag)]: text })),
    make: () => void make(),
    inOtherUnit: () => {
      setUnit(unit === 'in' ? 'cm' : 'in');
      setTyped({});
    },
  };
}

/** What the parts of the page are given. */
export type AtCounter = NonNullable<ReturnType<typeof useCounter>>;
