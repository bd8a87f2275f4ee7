import { type Layers, type Plan, rulerNearest } from '@lattice/core';
import { Plus, X } from 'lucide-react';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../design/controls/Button.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Verdict } from '../../design/Verdict.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { Section } from '../../figures/Section.tsx';
import { selectPlan } from '../../quilt/selectors.ts';
import { useEdit } from '../../quilt/useEdit.ts';

const LOOKS = { good: 'true', short: 'ease', crooked: 'square-up' } as const;

/** The backing as it came out: its sides and diagonals, and whether it is large and square enough. */
export function MadeSection({ layers }: { layers: Layers }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const { made } = plan.backing;
  const set = (next: Plan['backing']['made']) =>
    edit((p) => ({ ...p, backing: { ...p.backing, made: next } }));
  const begin = () => {
    const round = rulerNearest(plan.unit).apply;
    const [width, height] = [round(layers.backing.width.value), round(layers.backing.height.value)];
    const across = round(Math.hypot(width, height));
    set({ width, height, diagonals: [across, across] });
  };
  if (!made)
    return (
      <Section
        title="The backing as made"
        action={
          <Button look="quiet" onPress={begin}>
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
  return (
    <Section
      title="The backing as made"
      action={
        <Button look="quiet" aria-label="Forget what the backing measured" onPress={() => set(null)}>
          <X size={15} aria-hidden />
        </Button>
      }
    >
      <LengthField
        label="Across"
        value={made.width}
        unit={unit}
        onCommit={(width) => set({ ...made, width })}
      />
      <LengthField
        label="Down"
        value={made.height}
        unit={unit}
        onCommit={(height) => set({ ...made, height })}
      />
      <LengthField
        label="Top left to bottom right"
        value={made.diagonals[0]}
        unit={unit}
        onCommit={(one) => set({ ...made, diagonals: [one, made.diagonals[1]] })}
      />
      <LengthField
        label="Top right to bottom left"
        value={made.diagonals[1]}
        unit={unit}
        onCommit={(other) => set({ ...made, diagonals: [made.diagonals[0], other] })}
      />
      {layers.made && (
        <Verdict role="status" data-kind={LOOKS[layers.made.kind]}>
          <Lengths text={layers.made.text} />
        </Verdict>
      )}
    </Section>
  );
}
