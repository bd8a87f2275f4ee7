import {
  type Binding,
  bindingSteps,
  formatWithUnit,
  numberOf,
  type Plan,
  shortStripsSay,
  type Unit,
} from '@lattice/core';
import styled from 'styled-components';
import { Lengths } from '../../design/Lengths.tsx';
import { FigureLine, Line } from '../../rooms/figures/Line.tsx';
import { useAppSelector } from '../../state/hooks.ts';
import { selectQuilt } from '../../state/selectors.ts';

const Steps = styled.ol`
  margin: 4px 0;
  padding-left: 20px;
  font-size: var(--size-note);
  color: var(--soft);
`;

/** What the binding comes to: its length, strips and cloth, how wide it lies, and the order of cutting and joining. */
export function BindingFigures({ plan, binding }: { plan: Plan; binding: Binding }) {
  const { unit, binding: chosen } = plan;
  const { bias, flange } = binding;
  const straight = chosen.grain === 'straight';
  return (
    <>
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
    </>
  );
}

/** How each corner and valley is mitred, and what curves ask. */
export function Mitres({ binding, unit }: { binding: Binding; unit: Unit }) {
  const curves = useAppSelector(selectQuilt).edge.outline.runs.filter((run) => run.kind === 'arc').length;
  return (
    <>
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
              {mitre.kind === 'corner' ? numberOf(mitre.count, 'corner') : numberOf(mitre.count, 'valley')} of{' '}
              {mitre.angle}°
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
    </>
  );
}
