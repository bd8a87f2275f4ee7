import {
  type Fabric,
  FIBRES,
  formatWithUnit,
  isUsed,
  numberOf,
  type Plan,
  TIPS,
  type ToBuy,
} from '@lattice/core';
import { Plus, X } from 'lucide-react';
import { Input, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { PriceField } from '../../design/controls/PriceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Why } from '../../design/controls/Why.tsx';
import { Named } from '../../design/Named.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { selectPlan, selectQuilt, selectToBuy } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { OnlySoMuch } from './OnlySoMuch.tsx';
import { FromStash } from '../stash/FromStash.tsx';
import { AdviceFor } from '../figures/AdviceFor.tsx';
import { ClothHabits, useFabricEdit } from '../stash/ClothHabits.tsx';
import { Section } from '../figures/Section.tsx';

const Cloth = styled.li`
  padding: 12px 0 8px;
  & + & {
    border-top: 1px solid var(--line);
  }
  .head {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr) auto;
    align-items: center;
    gap: 8px;
  }
  .buy {
    font-size: var(--size-title);
    font-weight: 700;
    font-stretch: 88%;
    white-space: nowrap;
  }
  .why {
    margin-top: 2px;
    font-size: var(--size-note);
    color: var(--soft);
  }
  input[type='color'] {
    width: 32px;
    height: 32px;
    padding: 0;
    border: 1px solid var(--line);
    border-radius: 7px;
    background: none;
    cursor: pointer;
  }
`;
const Name = styled(TextField)`
  min-width: 0;
  input {
    width: 100%;
    padding: 4px 6px;
    border: 1px solid transparent;
    border-radius: 6px;
    background: transparent;
    font-weight: 600;
    text-overflow: ellipsis;
  }
  input:hover {
    border-color: var(--line);
  }
`;

/** For each fabric what to ask the shop for, and why; its name, colour and usable width to change. */
export function Buying() {
  const plan = useAppSelector(selectPlan);
  const { layers } = useAppSelector(selectQuilt);
  const fabrics = useAppSelector(selectToBuy);
  const priced = fabrics.filter((cut) => cut.cost !== null);
  const edit = useEdit();
  const add = () =>
    edit((p) => {
      const taken = new Set(p.fabrics.map((f) => f.id));
      let n = p.fabrics.length + 1;
      while (taken.has(`fabric-${n}`)) n++;
      return {
        ...p,
        fabrics: [
          ...p.fabrics,
          {
            id: `fabric-${n}`,
            name: `Cloth ${n}`,
            colour: '#b9c4bd',
            usableWidth: p.fabrics[0]!.usableWidth,
            price: null,
            direction: 'none',
            alike: false,
            shrinkage: 0,
            washed: false,
            from: '',
          },
        ],
      };
    });
  return (
    <Section
      title="Ask the shop for"
      action={
        <Button look="quiet" onPress={add}>
          <Plus size={15} aria-hidden />
          Add a cloth
        </Button>
      }
    >
      <LengthField
        label="To square its end"
        value={plan.squaring}
        unit={plan.unit}
        onCommit={(squaring) => edit((p) => ({ ...p, squaring }))}
      />
      <SwitchField
        label="One strip to spare of every cloth"
        value={plan.spareStrip}
        onChange={(spareStrip) => edit((p) => ({ ...p, spareStrip }))}
      />
      <p>
        <small>{TIPS.wash}</small>
      </p>
      <ul data-testid="shopping-list">
        {plan.fabrics.map((fabric, i) => (
          <ClothLine
            key={fabric.id}
            fabric={fabric}
            index={i}
            cut={fabrics.find((c) => c.fabric.id === fabric.id)}
            plan={plan}
          />
        ))}
      </ul>
      {priced.length > 0 && (
        <p data-testid="together">
          Together <b>{priced.reduce((sum, cut) => sum + cut.cost!.value, 0).toFixed(2)}</b>
          {priced.length < fabrics.length
            ? `, without the ${fabrics.length - priced.length} whose price is not said`
            : ''}
          .
        </p>
      )}
      {layers?.chosenBatting && (
        <p className="batting">
          <b>Batting</b>:{' '}
          <Lengths
            text={`${FIBRES[plan.batting.fibre].name.toLowerCase()}, ${layers.chosenBatting.text.toLowerCase()}`}
          />
        </p>
      )}
    </Section>
  );
}

/** Why nothing is to be bought, as it stands in the place of what is. */
const SETTLED = {
  cut: 'all is cut',
  'in the house': 'is in the house',
  'set aside': 'from the stash',
} as const satisfies Record<NonNullable<ToBuy['settled']>, string>;

function ClothLine({
  fabric,
  index,
  cut,
  plan,
}: {
  fabric: Fabric;
  index: number;
  cut: ToBuy | undefined;
  plan: Plan;
}) {
  const edit = useEdit();
  const { unit } = plan;
  const change = useFabricEdit(fabric);
  const inUse = isUsed(plan, fabric.id);
  return (
    <Cloth>
      <Named aria-label={fabric.name}>
        <div className="head">
          <input
            type="color"
            aria-label={`Colour of ${fabric.name}`}
            value={fabric.colour}
            onChange={(event) => change({ colour: event.target.value }, `colour-${fabric.id}`)}
          />
          <Name
            aria-label={`Name of ${fabric.name}`}
            key={fabric.name}
            defaultValue={fabric.name}
            maxLength={60}
            onBlur={(event) => {
              const name = (event.target as HTMLInputElement).value.trim();
              if (name) change({ name });
            }}
          >
            <Input />
          </Name>
          {cut?.settled ? (
            <span className="why">{SETTLED[cut.settled]}</span>
          ) : cut ? (
            <span className="buy">
              <Why figure={cut.buy.length} text={cut.buy.text} what={cut.buy.text} />
            </span>
          ) : inUse ? (
            <span className="why">not needed now</span>
          ) : (
            <Button
              look="quiet"
              aria-label={`Take ${fabric.name} off the list`}
              onPress={() => edit((p) => ({ ...p, fabrics: p.fabrics.filter((f) => f.id !== fabric.id) }))}
            >
              <X size={15} aria-hidden />
            </Button>
          )}
        </div>
        {cut && (
          <p className="why">
            <Why
              figure={cut.needed}
              text={formatWithUnit(cut.needed.value, unit)}
              what={`${formatWithUnit(cut.needed.value, unit)} needed`}
            />{' '}
            {cut.have === null ? 'needed' : 'still needed'}
            {cut.strips.map(({ width, strips, along, yields }) => {
              const what = along
                ? formatWithUnit(width * strips.value, unit)
                : `${numberOf(strips.value, 'strip')} of ${formatWithUnit(width, unit)}`;
              return (
                <span key={`${width} ${yields.map(({ name }) => name).join()}`}>
                  ;{' '}
                  <Why
                    figure={strips}
                    text={what}
                    what={along ? 'this length' : numberOf(strips.value, 'strip')}
                  />
                  {along ? ' lengthwise for ' : ' for '}
                  <Lengths text={yields.map(({ name }) => name.toLowerCase()).join(', ')} />
                </span>
              );
            })}
            {cut.cost && (
              <span>
                ; costs{' '}
                <Why
                  figure={cut.cost}
                  text={cut.cost.value.toFixed(2)}
                  what={`it costs ${cut.cost.value.toFixed(2)}`}
                />
              </span>
            )}
          </p>
        )}
        {cut?.notes.map((note) => (
          <p key={note} className="why" role="note">
            <Lengths text={note} />
          </p>
        ))}
        {cut && (
          <>
            <FromStash fabric={fabric} />
            <OnlySoMuch fabric={fabric} needed={cut.inAll} />
          </>
        )}
        <LengthField
          label="Usable width"
          value={fabric.usableWidth}
          unit={unit}
          step={unit === 'in' ? 0.5 : 1}
          onCommit={(usableWidth) => change({ usableWidth })}
        />
        <ClothHabits fabric={fabric} />
        <PriceField
          label={unit === 'in' ? 'Price of a yard' : 'Price of a metre'}
          value={fabric.price}
          onCommit={(price) => change({ price })}
        />
        <AdviceFor path={`fabrics.${index}.usableWidth`} />
      </Named>
    </Cloth>
  );
}
