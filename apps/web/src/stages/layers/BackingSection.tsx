import {
  allowanceFor,
  backingCloth,
  fabricById,
  type BackingOption,
  fromInches,
  formatWithUnit,
  type Layers,
  numberOf,
  type Plan,
  shopCut,
} from '@lattice/core';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Presets } from '../../design/controls/Presets.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { backingName } from '../../rooms/figures/backingName.ts';
import { DirectionField } from '../../rooms/stash/ClothHabits.tsx';
import { FabricChoice } from '../../rooms/figures/FabricChoice.tsx';
import { FigureLine } from '../../rooms/figures/Line.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { BackingSlabs, SeamLines } from './LayersBoard.tsx';
import { Ways } from './Ways.tsx';

const Words = styled.p`
  margin: 4px 0;
  font-size: var(--size-note);
  color: var(--soft);
`;
const STRIPES = [
  { id: 'fabric', name: 'Cloth alone' },
  { id: 'blocks', name: 'Leftover blocks' },
];

/** Overhangs by purpose (rule BK-2). */
const PURPOSES = [
  { name: 'Long-arm', in: 4, cm: 10 },
  { name: 'At home', in: 3, cm: 8 },
  { name: 'At home, tight', in: 2, cm: 5 },
];

/** Ways of backing drawn and compared, the best first with its reason; overhang, cloth, print and stripe. */
export function BackingSection({ layers }: { layers: Layers }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const { unit, backing } = plan;
  const change = (part: Partial<Plan['backing']>) =>
    edit((p) => ({ ...p, backing: { ...p.backing, ...part } }));
  // Of each way the better of its two directions.
  const { options } = layers.backing;
  const shown = options.filter(
    (o, i) => o.way !== 'stripe' || options.findIndex((other) => other.way === 'stripe') === i,
  );
  const striped = layers.chosenBacking.stripe;
  return (
    <Section title="Backing">
      <LengthField
        label="Overhang on every side"
        value={backing.overhang}
        unit={unit}
        onCommit={(overhang) => change({ overhang })}
      />
      <Presets
        value={backing.overhang}
        presets={PURPOSES.map(({ name, ...over }) => ({
          name: `${name} ${formatWithUnit(over[unit], unit)}`,
          value: over[unit],
        }))}
        onChoose={(overhang) => void change({ overhang })}
      />
      <Ways
        label="Way of backing"
        value={layers.chosenBacking.way}
        onChange={(way) => change({ way: way === options[0].way ? 'best' : (way as BackingOption['way']) })}
        ways={shown.map((option, i) => ({
          id: option.way,
          art: <Sample option={option} plan={plan} layers={layers} />,
          name: <>{backingName(option)}</>,
          rest: (
            <Lengths
              text={[i === 0 ? 'best' : '', option.cost ? `costs ${option.cost.value.toFixed(2)}` : '']
                .filter(Boolean)
                .join(', ')}
            />
          ),
          figures: (
            <Lengths
              text={shopCut(option.fabric.value, allowanceFor(plan, backingCloth(plan, option)), unit).text}
            />
          ),
        }))}
      />
      <Words data-testid="backing-because">
        <Lengths text={layers.backing.because} />
      </Words>
      {layers.backing.remarks.map((remark) => (
        <Words key={remark} role="note">
          <Lengths text={remark} />
        </Words>
      ))}
      <ul>
        <FigureLine name="Backing, across" figure={layers.backing.width} unit={unit} />
        <FigureLine name="Backing, down" figure={layers.backing.height} unit={unit} />
        <FigureLine
          name="Cloth"
          figure={layers.chosenBacking.fabric}
          unit={unit}
          rest={`selvages off: they shrink and pucker. ${formatWithUnit(backingCloth(plan, layers.chosenBacking).usableWidth, unit)} is left of this one`}
        />
        {layers.chosenBacking.cost && (
          <FigureLine name="Cost" figure={layers.chosenBacking.cost} unit={unit} />
        )}
        {striped && (
          <FigureLine
            name="Stripe, cut wide"
            figure={striped.cut}
            unit={unit}
            {...(striped.blocks > 0
              ? {
                  rest: `${numberOf(striped.blocks, 'block')}, ${formatWithUnit(striped.gap, unit)} of cloth between and at the ends`,
                }
              : {})}
          />
        )}
        {striped && <FigureLine name="Stripe, cloth" figure={striped.fabric} unit={unit} />}
      </ul>
      <FabricChoice labelled use={{ what: 'backing' }} label="Panels" />
      <DirectionField fabric={fabricById(plan, backing.fabric)} label="Its print" />
      <FabricChoice labelled use={{ what: 'wide-back' }} label="Wide cloth" />
      <ChoiceField
        labelled
        label="Stripe of"
        value={backing.stripe.of}
        choices={STRIPES}
        onChange={(of) => change({ stripe: { ...backing.stripe, of: of as 'fabric' } })}
      />
      <FabricChoice labelled use={{ what: 'back-stripe' }} label="Stripe’s cloth" />
      {backing.overhang < fromInches(2, unit) - 0.2 && (
        <Words role="note">
          Layers shift while they are quilted: below{' '}
          <Lengths text={formatWithUnit(unit === 'in' ? 2 : 5, unit)} /> a corner can run short.
        </Words>
      )}
    </Section>
  );
}

/** One way drawn small: the backing with its pieces and seams. */
function Sample({ option, plan, layers }: { option: BackingOption; plan: Plan; layers: Layers }) {
  const [width, height] = [layers.backing.width.value, layers.backing.height.value];
  const { pile } = useAppSelector(selectQuilt);
  const cloth = backingCloth(plan, option).colour;
  return (
    <svg viewBox={`0 0 ${width} ${height}`}>
      <rect width={width} height={height} fill={cloth} />
      <BackingSlabs slabs={option.slabs} plan={plan} spare={pile.spare} />
      <SeamLines slabs={option.slabs} />
    </svg>
  );
}
