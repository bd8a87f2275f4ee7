import { FOLD_NAMES, formatSize, formatWithUnit, GRAIN_NAMES, shortStripsSay } from '@lattice/core';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { selectPlan, selectQuilt, selectQuiltAsCut } from '../../state/selectors.ts';
import { FigureLine } from './Line.tsx';
import { Section } from './Section.tsx';
import { backingName } from './backingName.ts';
import { touch } from '../../design/media.ts';

const ToStage = styled(Link)`
  font-size: var(--size-note);
  ${touch} {
    display: inline-flex;
    align-items: center;
    min-height: var(--finger);
  }
`;

/** What goes under the top, as it was chosen in Layers. */
export function LayersToCut() {
  const plan = useAppSelector(selectPlan);
  const { layers } = useAppSelector(selectQuilt);
  const { id } = useParams();
  const { unit } = plan;
  if (!layers)
    return (
      <Section title="Backing">
        <p>Every block has its own back, and the strips have theirs: nothing goes under the whole.</p>
      </Section>
    );
  const { backing, chosenBacking, chosenBatting } = layers;
  return (
    <Section
      title="Backing and batting"
      action={<ToStage to={`/quilts/${id}/layers`}>Change in Layers</ToStage>}
    >
      <ul data-testid="backing">
        <FigureLine
          name={backingName(chosenBacking)}
          figure={chosenBacking.fabric}
          unit={unit}
          rest={`trimmed to ${formatSize(backing.width.value, backing.height.value, unit)}`}
        />
        {chosenBacking.stripe && (
          <FigureLine name="Stripe, cut wide" figure={chosenBacking.stripe.cut} unit={unit} />
        )}
        {chosenBatting?.buy && (
          <FigureLine name={chosenBatting.text} figure={chosenBatting.buy} unit={unit} />
        )}
      </ul>
    </Section>
  );
}

/** What finishes the edge, as it was chosen in Edge. */
export function EdgeToCut() {
  const plan = useAppSelector(selectPlan);
  const {
    edge: { binding, flange, points, finished, hanging },
  } = useAppSelector(selectQuiltAsCut);
  const { id } = useParams();
  const { unit } = plan;
  return (
    <Section title="Edge" action={<ToStage to={`/quilts/${id}/edge`}>Change in Edge</ToStage>}>
      <ul data-testid="binding">
        {flange && (
          <FigureLine
            name="Flange, strips"
            figure={flange.strips}
            unit={unit}
            after={`at ${formatWithUnit(flange.cutWidth.value, unit)}`}
            rest={`two of ${formatWithUnit(flange.sides.value, unit)}, two of ${formatWithUnit(flange.ends.value, unit)}`}
          />
        )}
        {binding && <FigureLine name="Binding, with corners and tails" figure={binding.length} unit={unit} />}
        {binding && !binding.bias && (
          <FigureLine
            name="Strips, selvage to selvage"
            figure={binding.asCut.whole}
            unit={unit}
            after={`at ${formatWithUnit(binding.cutWidth, unit)}`}
            rest={shortStripsSay(binding.asCut, unit) ?? undefined}
          />
        )}
        {binding?.flange && (
          <FigureLine name="Strips of the flange in it, cut" figure={binding.flange.flange} unit={unit} />
        )}
        {binding?.bias && (
          <FigureLine
            name={`${GRAIN_NAMES[plan.binding.grain]}, cloth`}
            figure={binding.bias.cloth}
            unit={unit}
            after={`for strips of ${formatWithUnit(binding.cutWidth, unit)}`}
          />
        )}
        {points && (
          <FigureLine
            name="Prairie points"
            figure={points.total}
            unit={unit}
            rest={FOLD_NAMES[plan.edge.points.fold].toLowerCase()}
          />
        )}
        {points?.cloths.map((cloth, i) => (
          <FigureLine
            key={i}
            name={`Strips of ${plan.fabrics.find((f) => f.id === cloth.fabric)!.name.toLowerCase()}`}
            figure={cloth.strips}
            unit={unit}
            after={`at ${formatWithUnit(cloth.cutWidth, unit)}`}
          />
        ))}
        {[...finished, ...(hanging ? [hanging] : [])].flatMap(({ lines }) =>
          lines.map((line) => <FigureLine key={line.name} unit={unit} {...line} />),
        )}
      </ul>
    </Section>
  );
}
