import { begin, type Plan, planProblems, type Unit } from '@lattice/core';
import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { newId } from '../../browser/tabs.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import {
  type Answers,
  beginningOf,
  firstStage,
  type Have,
  inUnit,
  startAnswers,
  stillWanted,
  targetOf,
  wantsOf,
  withHave,
} from './answers.ts';
import { beginHandInHand } from './handInHand.ts';
import { makeQuilt } from './makeQuilt.ts';
import { usePlaces } from './PlacesField.tsx';
import { usePileLine } from './usePileLine.ts';

const isHave = (said: string | null): said is Have => said === 'whole' || said === 'size';

/** A new quilt being answered: what is said, the plan it comes to, and making it. */
export function useNewQuilt() {
  const [params, setParams] = useSearchParams();
  const asked = params.get('have');
  const have: Have = isHave(asked) ? asked : 'blocks';
  const [chosenUnit, setUnit] = useState<Unit>(params.get('unit') === 'cm' ? 'cm' : 'in');
  const said = usePileLine(chosenUnit);
  // Who says centimetres means them.
  const unit = have === 'blocks' ? (said.line?.unit ?? chosenUnit) : chosenUnit;
  const [answers, setAnswers] = useState(() => startAnswers(unit));
  const answer = (some: Partial<Answers>) => setAnswers((had) => ({ ...had, ...some }));
  const [fitted, setFitted] = useState<Plan | null>(null);
  const width = usePlaces(unit);
  const height = usePlaces(unit);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();

  const target = useMemo(() => targetOf(have, answers, unit), [have, answers, unit]);
  const beginning = useMemo(
    () => beginningOf(have, answers, { line: said.line, width: width.length, height: height.length }, unit),
    [have, answers, said.line, width.length, height.length, unit],
  );
  const begun = useMemo(() => beginning && begin(beginning, newId), [beginning]);
  const problem = useMemo(() => begun && planProblems(begun)[0], [begun]);
  const sound = begun && !problem ? begun : null;
  const plan = sound && target ? fitted : sound;

  const make = async () => {
    if (!plan) return;
    const id = await dispatch(makeQuilt({ ...plan, target: target ?? plan.target }));
    beginHandInHand(id);
    await navigate(`/quilts/${id}/${firstStage(have, answers)}`);
  };
  return {
    ...{ have, unit, answers, answer, said, width, height, target, sound, plan },
    wants: wantsOf(have, answers),
    /** Whether the unit is the page's to say, and not that of what was typed. */
    unitFree: unit === chosenUnit,
    waiting: problem ? problem.message : stillWanted(have, beginning),
    make: () => void make(),
    onFit: setFitted,
    onHave: (next: Have) => {
      setParams(next === 'blocks' ? {} : { have: next }, { replace: true });
      setAnswers((had) => withHave(had, next));
    },
    onWants: (next: Answers['forWhat']) => {
      answer({ forWhat: next });
      setFitted(null);
    },
    inOtherUnit: () => {
      const other = unit === 'in' ? 'cm' : 'in';
      setUnit(other);
      setAnswers((had) => inUnit(had, other));
    },
  };
}

/** What the questions are given. */
export type BeingBegun = ReturnType<typeof useNewQuilt>;
