import { formatWithUnit, holdsIn, type LogEntry, type ShopOffer, type Unit } from '@lattice/core';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { serverError } from '../../sync/api.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Section } from '../figures/Section.tsx';
import { newId } from '../../browser/tabs.ts';
import { hearEntries } from '../../sync/outbox/writeLog.ts';
import { selectPlan, selectToBuy } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { useAskShopMutation, useHoldOrderMutation, useLetOrderGoMutation } from '../../sync/shopApi.ts';

const Words = styled.p`
  margin: 4px 0 8px;
  font-size: var(--size-note);
  color: var(--soft);
  &[role='alert'] {
    padding: 8px 10px;
    border-radius: 8px;
    background: var(--wrong-wash);
    color: var(--ink);
  }
`;
const Cloths = styled.ul`
  > li {
    padding: 8px 0;
    border-top: 1px solid var(--line);
    font-size: var(--size-text);
  }
  h4 {
    margin: 0 0 4px;
    font-size: var(--size-text);
  }
  ul li {
    display: grid;
    grid-template-columns: 20px minmax(0, 1fr) auto;
    align-items: center;
    gap: 8px;
    padding: 4px 0;
  }
  i {
    width: 20px;
    height: 20px;
    border: 1px solid rgb(0 0 0 / 25%);
    border-radius: 5px;
  }
  small {
    display: block;
    font-size: var(--size-note);
    color: var(--soft);
  }
`;

/** The shop asked for the list: what it has, what it would give instead, and an order held until a day. */
export function AskShop() {
  const plan = useAppSelector(selectPlan);
  const buying = useAppSelector(selectToBuy);
  const log = useAppSelector((s) => s.log);
  const id = useAppSelector((s) => s.saving.id)!;
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const [ask, asked] = useAskShopMutation();
  const [hold, holding] = useHoldOrderMutation();
  const [letGo, letting] = useLetOrderGoMutation();
  const [chosen, setChosen] = useState<Readonly<Record<string, ShopOffer>>>({});
  const { unit } = plan;
  const holds = useMemo(() => holdsIn(log, id), [log, id]);
  const wanted = buying.filter(({ buy }) => buy.length.value > 0);
  const list = {
    unit,
    cloths: wanted.map(({ fabric, buy }) => ({
      cloth: fabric.id,
      name: fabric.name,
      colour: fabric.colour,
      length: buy.length.value,
      usableWidth: fabric.usableWidth,
    })),
  };
  const hear = (entry: LogEntry) => void dispatch(hearEntries([entry]));
  const take = (cloth: string, offer: ShopOffer) => {
    setChosen((had) => ({ ...had, [cloth]: offer }));
    // The plan follows what is really to be had: its width, its price and its colour.
    edit((p) => ({
      ...p,
      fabrics: p.fabrics.map((f) =>
        f.id === cloth
          ? {
              ...f,
              name: offer.name,
              colour: offer.colour,
              usableWidth: offer.usableWidth,
              price: offer.price,
            }
          : f,
      ),
    }));
  };
  const lines = wanted.flatMap(({ fabric, buy }) => {
    const offer = chosen[fabric.id];
    return offer ? [{ cloth: fabric.id, bolt: offer.bolt, length: buy.length.value }] : [];
  });
  const order = async () => {
    const made = await hold({ quilt: id, entry: newId(), order: { unit, lines } });
    if ('data' in made && made.data) hear(made.data);
  };
  const failure = asked.error ?? holding.error ?? letting.error;
  if (wanted.length === 0) return null;
  return (
    <Section
      title="Ask the shop"
      action={
        <Button isDisabled={asked.isLoading} onPress={() => void ask(list)}>
          {asked.data ? 'Ask again' : 'Ask for the list'}
        </Button>
      }
    >
      {failure !== undefined && (
        <Words role="alert">
          {serverError(failure).code === 'offline'
            ? 'The shop does not answer. Nothing was ordered, and the list still holds.'
            : serverError(failure).message}
        </Words>
      )}
      {holds.map(({ number, until, total, lines: held }) => (
        <Words key={number} role="status">
          Order {number}: {held.map(({ name }) => name).join(', ')}, {total.toFixed(2)}, held until {until}.{' '}
          <Button
            look="quiet"
            onPress={async () => {
              const gone = await letGo({ quilt: id, entry: newId(), number });
              if ('data' in gone && gone.data) hear(gone.data);
            }}
          >
            Release
          </Button>
        </Words>
      ))}
      {asked.data && (
        <>
          <Words>{asked.data.shop}.</Words>
          <Cloths aria-label="What the shop has">
            {asked.data.cloths.map(({ cloth, offers }) => (
              <li key={cloth}>
                <h4>{list.cloths.find((one) => one.cloth === cloth)?.name ?? cloth}</h4>
                {offers.length === 0 && <Words>It has nothing like it: sold out, or never had.</Words>}
                <ul>
                  {offers.map((offer) => (
                    <Offer
                      key={offer.bolt}
                      offer={offer}
                      unit={unit}
                      taken={chosen[cloth]?.bolt === offer.bolt}
                      onTake={() => take(cloth, offer)}
                    />
                  ))}
                </ul>
              </li>
            ))}
          </Cloths>
          <Button
            look="main"
            isDisabled={lines.length === 0 || holding.isLoading}
            onPress={() => void order()}
          >
            Have {lines.length === 1 ? 'it' : 'them'} held
          </Button>
        </>
      )}
    </Section>
  );
}

function Offer({
  offer,
  unit,
  taken,
  onTake,
}: {
  offer: ShopOffer;
  unit: Unit;
  taken: boolean;
  onTake: () => void;
}) {
  const { name, colour, likeness, usableWidth, narrower, enough, inStock, cost } = offer;
  const width = `${formatWithUnit(usableWidth, unit)} usable${narrower ? ', narrower than planned: the cutting changes' : ''}`;
  return (
    <li>
      <i style={{ background: colour }} />
      <span>
        {name}, {likeness}
        {taken && <b> · taken</b>}
        <small>
          <Lengths
            text={
              enough ? `${width}; ${cost.toFixed(2)}` : `${width}; only ${formatWithUnit(inStock, unit)} left`
            }
          />
        </small>
      </span>
      <Button isDisabled={!enough} aria-pressed={taken} aria-label={`Take ${name}`} onPress={onTake}>
        Take
      </Button>
    </li>
  );
}
