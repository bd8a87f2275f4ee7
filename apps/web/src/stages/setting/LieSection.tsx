import type { Plan } from '@lattice/core';
import { memo } from 'react';
import { useAppSelector } from '../../state/hooks.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

const TURNS = [
  { id: 'none', name: 'None' },
  { id: 'odd', name: 'Every other, a quarter' },
  { id: 'round', name: 'Round, in fours' },
];
const SWAPS = [
  { id: 'none', name: 'As made' },
  { id: 'odd', name: 'Swapped on every other' },
];

/** Rules for odd and even places: blocks turned, backgrounds swapped. */
export const LieSection = memo(function LieSection() {
  const places = useAppSelector((state) => selectPlan(state).places);
  const edit = useEdit();
  const set = (change: Partial<Plan['places']>) =>
    edit((p) => ({ ...p, places: { ...p.places, ...change } }));
  return (
    <Section title="How the blocks lie">
      <ChoiceField
        label="Rotated"
        labelled
        value={places.turn}
        choices={TURNS}
        onChange={(turn) => set({ turn: turn as Plan['places']['turn'] })}
      />
      <ChoiceField
        label="Background"
        labelled
        value={places.swap}
        choices={SWAPS}
        onChange={(swap) => set({ swap: swap as Plan['places']['swap'] })}
      />
      <AdviceFor path="places.swap" />
    </Section>
  );
});
