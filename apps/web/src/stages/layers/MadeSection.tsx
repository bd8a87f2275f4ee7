import type { Layers, Plan } from '@lattice/core';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Verdict } from '../../design/Verdict.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

const LOOKS = { good: 'true', short: 'ease', crooked: 'square-up', part: 'part' } as const;

/** A backing that nothing has been measured of yet. */
const NOTHING: NonNullable<Plan['backing']['made']> = { width: null, height: null, diagonals: [null, null] };

/** The backing as it came out: its sides and diagonals, and whether it is large and square enough. */
export function MadeSection({ layers }: { layers: Layers }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const [begun, setBegun] = useState(false);
  const made = plan.backing.made ?? (begun ? NOTHING : null);
  const set = (next: Plan['backing']['made']) => {
    const { width, height, diagonals } = next ?? NOTHING;
    const isNothing = [width, height, ...diagonals].every((length) => length === null);
    return edit((p) => ({ ...p, backing: { ...p.backing, made: isNothing ? null : next } }));
  };
  if (!made)
    return (
      <Section
        title="The backing as made"
        action={
          <Button look="quiet" onPress={() => setBegun(true)}>
            <Plus size={15} aria-hidden />
            Measure it
          </Button>
        }
      >
        <p>
          Once it is sewn, measure both sides and corner to corner both ways: that tells whether it is square.
        </p>
      </Section>
    );
  const { unit } = plan;
  const forget = () => {
    setBegun(false);
    set(null);
  };
  return (
    <Section
      title="The backing as made"
      action={
        <Button look="quiet" aria-label="Forget what the backing measured" onPress={forget}>
          <X size={15} aria-hidden />
        </Button>
      }
    >
      <LengthField
        label="Across"
        value={made.width}
        unit={unit}
        autoFocus={begun}
        onCommit={(width) => set({ ...made, width })}
        onClear={() => void set({ ...made, width: null })}
      />
      <LengthField
        label="Down"
        value={made.height}
        unit={unit}
        onCommit={(height) => set({ ...made, height })}
        onClear={() => void set({ ...made, height: null })}
      />
      <LengthField
        label="Top left to bottom right"
        value={made.diagonals[0]}
        unit={unit}
        onCommit={(one) => set({ ...made, diagonals: [one, made.diagonals[1]] })}
        onClear={() => void set({ ...made, diagonals: [null, made.diagonals[1]] })}
      />
      <LengthField
        label="Top right to bottom left"
        value={made.diagonals[1]}
        unit={unit}
        onCommit={(other) => set({ ...made, diagonals: [made.diagonals[0], other] })}
        onClear={() => void set({ ...made, diagonals: [made.diagonals[0], null] })}
      />
      {layers.made && (
        <Verdict role="status" data-kind={LOOKS[layers.made.kind]}>
          <Lengths text={layers.made.text} />
        </Verdict>
      )}
    </Section>
  );
}
