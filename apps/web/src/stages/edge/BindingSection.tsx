import {
  type Binding,
  BINDING_GRAINS,
  CAUTIONS,
  FIBRES,
  finishedWidth,
  formatLength,
  formatWithUnit,
  fromInches,
  GRAIN_NAMES,
  type Plan,
} from '@lattice/core';
import { useAppSelector } from '../../state/hooks.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Presets } from '../../design/controls/Presets.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { Caution } from '../../rooms/figures/Caution.tsx';
import { FabricChoice } from '../../rooms/figures/FabricChoice.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { BindingFigures, Mitres } from './BindingFigures.tsx';
import { BuiltInFlange } from './BuiltInFlange.tsx';
import { LeftoverStrips } from './LeftoverStrips.tsx';
import { SchoolChoice } from './SchoolChoice.tsx';

/** Usual strips, narrow to generous (rule BD-4), and in centimetres as they are cut there (from memory). */
const STRIPS = { in: [2, 2.25, 2.5, 3], cm: [5, 5.5, 6.5, 7.5] } as const;
const FOLDS = [
  { id: 'double', name: 'Double' },
  { id: 'single', name: 'Single' },
];
const grains = BINDING_GRAINS.map((id) => ({ id, name: GRAIN_NAMES[id] }));

/** The binding: strip, fold, grain, allowance and cloth; what it comes to; corners and order of joining. */
export function BindingSection({ binding }: { binding: Binding }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const { unit } = plan;
  const chosen = plan.binding;
  const change = (part: Partial<Plan['binding']>) =>
    edit((p) => ({ ...p, binding: { ...p.binding, ...part } }));
  // What each usual strip finishes at, wrapped round this batting.
  const loft = fromInches(FIBRES[plan.batting.fibre].loft, unit);
  const straight = chosen.grain === 'straight';
  return (
    <Section title="Binding">
      <LengthField
        label="Strip, cut"
        value={chosen.stripWidth}
        unit={unit}
        onCommit={(stripWidth) => change({ stripWidth })}
      />
      <Presets
        value={chosen.stripWidth}
        presets={STRIPS[unit].map((width) => ({
          name: `${formatLength(width, unit)} → ${formatWithUnit(finishedWidth(width, chosen.fold, loft, unit).value, unit)}`,
          value: width,
        }))}
        onChoose={(stripWidth) => void change({ stripWidth })}
      />
      <ChoiceField
        labelled
        label="Fold"
        value={chosen.fold}
        choices={FOLDS}
        onChange={(fold) => change({ fold: fold as 'double' })}
      />
      <AdviceFor path="binding.fold" />
      <ChoiceField
        labelled
        label="Cut"
        value={chosen.grain}
        choices={grains}
        onChange={(grain) => change({ grain: grain as Plan['binding']['grain'] })}
      />
      <AdviceFor path="binding.grain" />
      <AdviceFor path="binding.stripWidth" />
      <SchoolChoice />
      <SwitchField
        label="Sewn as deep as it finishes"
        value={chosen.seam === null}
        onChange={(alike) => void change({ seam: alike ? null : plan.seam })}
      />
      {chosen.seam !== null && (
        <LengthField
          label="Sewn from the edge"
          value={chosen.seam}
          unit={unit}
          step={unit === 'in' ? 1 / 16 : 0.1}
          onCommit={(seam) => change({ seam })}
        />
      )}
      <AdviceFor path="binding.seam" />
      <FabricChoice labelled use={{ what: 'binding' }} label="Cloth" />
      <BindingFigures plan={plan} binding={binding} />
      <BuiltInFlange plan={plan} onChange={change} />
      {straight && <LeftoverStrips binding={binding} />}
      <Mitres binding={binding} unit={unit} />
      <Caution>
        {CAUTIONS.blade} {CAUTIONS.iron} {CAUTIONS.needle}
      </Caution>
    </Section>
  );
}
