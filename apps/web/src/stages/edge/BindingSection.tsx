import {
  type Binding,
  BINDING_GRAINS,
  bindingSteps,
  CAUTIONS,
  FIBRES,
  finishedWidth,
  formatLength,
  formatWithUnit,
  fromInches,
  GRAIN_NAMES,
  type Plan,
  shortStripsSay,
} from '@lattice/core';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Presets } from '../../design/controls/Presets.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { Caution } from '../../rooms/figures/Caution.tsx';
import { FabricChoice } from '../../rooms/figures/FabricChoice.tsx';
import { FigureLine, Line } from '../../rooms/figures/Line.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { LeftoverStrips } from './LeftoverStrips.tsx';
import { SchoolChoice } from './SchoolChoice.tsx';

const Steps = styled.ol`
  margin: 4px 0;
  padding-left: 20px;
  font-size: var(--size-note);
  color: var(--soft);
`;

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
  const { bias, flange } = binding;
  // What each usual strip finishes at, wrapped round this batting.
  const loft = fromInches(FIBRES[plan.batting.fibre].loft, unit);
  const curves = useAppSelector(selectQuilt).edge.outline.runs.filter((run) => run.kind === 'arc').length;
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
      <ul data-testid="binding-figures">
        <FigureLine name="Length with corners and tails" figure={binding.length} unit={unit} />
        {straight && (
          <FigureLine
            name="Strips, selvage to selvage"
            figure={binding.asCut.whole}
            unit={unit}
            rest={shortStripsSay(binding.asCut, unit) ?? undefined}
          />
        )}
        {straight && binding.plainStrips.value !== binding.strips.value && (
          <FigureLine
            name="Strips by the plain count"
            figure={binding.plainStrips}
            unit={unit}
            rest="joined, they would not get round"
          />
        )}
        {straight && binding.strictStrips.value !== binding.strips.value && (
          <FigureLine name="Strips, counting every join" figure={binding.strictStrips} unit={unit} />
        )}
        {bias && (
          <>
            <FigureLine
              name={chosen.grain === 'bias-length' ? 'Cloth, across its width' : 'Square of cloth'}
              figure={bias.cloth}
              unit={unit}
            />
            <FigureLine name="By the square-root rule" figure={bias.rule} unit={unit} />
            <FigureLine name="It gives, joined" figure={bias.gives} unit={unit} />
            {bias.cut && <FigureLine name="Bias strips" figure={binding.strips} unit={unit} />}
          </>
        )}
        {flange && (
          <>
            <FigureLine name="Main strip, cut" figure={flange.main} unit={unit} />
            <FigureLine name="Flange strip, cut" figure={flange.flange} unit={unit} />
          </>
        )}
        <FigureLine
          name={binding.asCut.short.length > 0 ? 'Cloth, were it cut by itself' : 'Cloth'}
          figure={binding.fabric}
          unit={unit}
        />
        <FigureLine
          name="Finished width, front and back"
          figure={binding.finished}
          unit={unit}
          rest="sewn that far from the edge; wrapped round this batting"
        />
        <FigureLine
          name={chosen.seam === null ? 'Behind, sewn at the quilt’s seam' : 'Width on the back'}
          figure={binding.behind}
          unit={unit}
        />
      </ul>
      <Steps aria-label="Order of cutting and joining">
        {bindingSteps(plan, binding).map((step) => (
          <li key={step}>
            <Lengths text={step} />
          </li>
        ))}
      </Steps>
      <SwitchField
        label="A flange built in"
        value={chosen.flange !== null}
        onChange={(on) =>
          void change({
            flange: on ? { visible: unit === 'in' ? 0.125 : 0.3, fabric: plan.edge.flange.fabric } : null,
          })
        }
      />
      {chosen.flange && (
        <>
          <LengthField
            label="Of it to be seen"
            value={chosen.flange.visible}
            unit={unit}
            step={unit === 'in' ? 1 / 16 : 0.1}
            onCommit={(visible) => change({ flange: { ...chosen.flange!, visible } })}
          />
          <FabricChoice labelled use={{ what: 'binding-flange' }} label="Its cloth" />
          <p>
            <small>
              Join the two strips along their length, press the seam open, fold wrong sides together; sew it
              to the back, the main strip up, and turn the flange to the front.
            </small>
          </p>
          <AdviceFor path="binding.flange" />
        </>
      )}
      {straight && <LeftoverStrips binding={binding} />}
      {curves > 0 && (
        <p>
          <small>
            Round {curves === 1 ? 'the curve' : 'the curves'} ease the binding on with a little slack, not
            stretched: a stretched one cups the edge.
          </small>
        </p>
      )}
      <ul data-testid="mitres">
        {binding.mitres.map((mitre) => (
          <Line key={mitre.angle}>
            <span className="name">
              {mitre.count}{' '}
              {mitre.kind === 'corner'
                ? mitre.count === 1
                  ? 'corner'
                  : 'corners'
                : mitre.count === 1
                  ? 'valley'
                  : 'valleys'}{' '}
              of {mitre.angle}°
            </span>
            <span className="figures">
              {mitre.kind === 'corner' && (
                <Lengths text={`stop ${formatWithUnit(mitre.stop.value, unit)} before`} />
              )}
            </span>
            <span className="rest">{mitre.says}</span>
          </Line>
        ))}
      </ul>
      <Caution>
        {CAUTIONS.blade} {CAUTIONS.iron} {CAUTIONS.needle}
      </Caution>
    </Section>
  );
}
