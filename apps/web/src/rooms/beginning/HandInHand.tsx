import { settingOf } from '@lattice/core';
import { ArrowRight } from 'lucide-react';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { keepWalk, walkOf } from './handInHand.ts';
import { onPaper } from '../../design/media.ts';

const Band = styled.aside`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  padding: 8px 18px;
  border-bottom: 1px solid var(--line);
  background: var(--chalk-wash);
  font-size: var(--size-text);
  p {
    flex: 1 1 300px;
  }
  b {
    font-weight: 650;
  }
  ${onPaper} {
    display: none;
  }
`;

/** What one does at each place, and where it is. */
const STEPS = [
  {
    at: 'setting',
    says: 'This is your quilt, to scale. Pull a grip on the tapes, or change a figure at the right: everything follows.',
  },
  {
    at: 'setting?leaf=pieces',
    says: 'Every piece to cut, with its size. Tap or click any figure to see how it was worked out.',
  },
  {
    at: 'setting?leaf=buy',
    says: 'What to ask the shop for, cloth by cloth. Colours and names are yours to change.',
  },
  {
    at: 'blocks',
    says: 'Type what each block measures when you have the tape in hand: it says which to trim, ease or remake.',
  },
  { at: 'cut', says: 'At the table: one cut at a time, in order. After it, Sew goes seam by seam.' },
] as const;
/** For a quilt that is there already, where its edge is what matters. */
const WHOLE_STEPS = [
  {
    at: 'edge',
    says: 'The edge at its corner, to scale. Choose what finishes it, and change a figure: everything follows.',
  },
  STEPS[2],
  STEPS[4],
] as const;

/** A first quilt, hand in hand: one thing at a time, to be left at any moment. */
export function HandInHand() {
  const { id } = useParams() as { id: string };
  const { whole } = settingOf(useAppSelector(selectPlan).setting.kind);
  const [walk, setWalk] = useState(() => walkOf(id));
  const navigate = useNavigate();
  const steps = whole ? WHOLE_STEPS : STEPS;
  const step = walk && steps[walk.step];
  if (!walk || !step) return null;
  const leave = () => {
    keepWalk('done');
    setWalk(null);
  };
  const go = () => {
    const next = walk.step + 1;
    if (next >= steps.length) return leave();
    const on = { quilt: id, step: next };
    keepWalk(on);
    setWalk(on);
    void navigate(`/quilts/${id}/${steps[next]!.at}`);
  };
  return (
    <Band aria-label="Hand in hand">
      <p role="status">
        <b>
          {walk.step + 1} of {steps.length}.
        </b>{' '}
        {step.says}
      </p>
      <Button onPress={go}>
        {walk.step + 1 < steps.length ? 'Show me the next' : 'I can go on alone'}
        <ArrowRight size={15} aria-hidden />
      </Button>
      {walk.step + 1 < steps.length && (
        <Button look="quiet" onPress={leave}>
          Leave me to it
        </Button>
      )}
    </Band>
  );
}
