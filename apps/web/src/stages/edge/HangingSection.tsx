import { HANGING_NAMES, HANGINGS, type HangingKind, type Quilt } from '@lattice/core';
import { useAppSelector } from '../../state/hooks.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { FabricChoice } from '../../rooms/figures/FabricChoice.tsx';
import { FigureLine } from '../../rooms/figures/Line.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

const KINDS = HANGINGS.map((id) => ({ id, name: HANGING_NAMES[id] }));

/** What the quilt is hung by, on its back. */
export function HangingSection({ edge: { hanging } }: Pick<Quilt, 'edge'>) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const { unit } = plan;
  const change = (part: Partial<typeof plan.hanging>) =>
    edit((p) => ({ ...p, hanging: { ...p.hanging, ...part } }));
  return (
    <Section title="To hang it">
      <ChoiceField
        labelled
        label="Hung by"
        value={plan.hanging.as}
        choices={KINDS}
        onChange={(as) => change({ as: as as HangingKind })}
      />
      {hanging && (
        <>
          <LengthField
            label={hanging.as === 'sleeve' ? 'Deep, finished' : 'Squares, cut'}
            value={plan.hanging.depth}
            unit={unit}
            onCommit={(depth) => change({ depth })}
          />
          <FabricChoice labelled use={{ what: 'sleeve' }} label="Its cloth" />
          <ul data-testid="hanging">
            {hanging.lines.map((line) => (
              <FigureLine key={line.name} unit={unit} {...line} />
            ))}
          </ul>
        </>
      )}
    </Section>
  );
}
