import { formatWithUnit, near, numberOf, type Quilt, recordCard, type Unit } from '@lattice/core';
import { useMemo } from 'react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { QuiltArt } from '../../rooms/drawing/QuiltArt.tsx';
import { Bars } from '../../rooms/charts/Bars.tsx';
import type { OneBar } from '../../rooms/charts/bar.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { sayDate } from '../../rooms/journal/useJournal.ts';
import { narrow, onPaper } from '../../design/media.ts';

const Card = styled.article`
  display: grid;
  grid-template-columns: minmax(180px, 38%) minmax(0, 1fr);
  gap: 8px 30px;
  max-width: 900px;
  padding: 24px 26px;
  border: 1px solid var(--line);
  border-radius: 14px;
  background: var(--card);
  h1 {
    grid-column: 1 / -1;
    font: 650 var(--size-large)/1.15 var(--name);
  }
  .size {
    grid-column: 1 / -1;
    margin-bottom: 8px;
    font-size: var(--size-lead);
    font-weight: 650;
    font-stretch: 88%;
    small {
      font-weight: 400;
      color: var(--soft);
    }
  }
  figure {
    margin: 0;
  }
  svg {
    width: 100%;
    max-height: 420px;
    filter: drop-shadow(0 2px 4px rgb(0 0 0 / 28%));
  }
  dl {
    display: grid;
    grid-template-columns: minmax(70px, auto) minmax(0, 1fr);
    gap: 3px 14px;
    margin: 0;
    font-size: var(--size-read);
  }
  dt {
    color: var(--soft);
  }
  dd {
    margin: 0;
    overflow-wrap: anywhere;
    white-space: pre-line;
  }
  h2 {
    margin: 14px 0 4px;
    font-size: var(--size-text);
    font-weight: 650;
  }
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
    font-size: var(--size-text);
  }
  .cloths {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
    gap: 2px 16px;
  }
  i {
    display: inline-block;
    width: 12px;
    height: 12px;
    margin-right: 6px;
    border: 1px solid rgb(0 0 0 / 25%);
    border-radius: 3px;
    vertical-align: -1px;
    print-color-adjust: exact;
  }
  .wide {
    grid-column: 1 / -1;
    break-inside: avoid;
  }
  .makers {
    columns: 2;
    column-gap: 26px;
    li {
      break-inside: avoid;
      padding: 1px 0;
    }
  }
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
    padding: 16px;
    .makers {
      columns: 1;
    }
  }
  ${onPaper} {
    grid-template-columns: 38% minmax(0, 1fr);
    max-width: none;
    padding: 0;
    border: 0;
    .screen {
      display: none;
    }
    .makers {
      columns: 2;
    }
  }
`;

/** A finished quilt on one card: its picture and sizes, what it is made of, what it took, who made which block, its care. */
export function RecordCard() {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const log = useAppSelector((s) => s.log);
  const id = useAppSelector((s) => s.saving.id)!;
  const card = useMemo(() => recordCard(plan, quilt, log, id), [plan, quilt, log, id]);
  const { width, height } = quilt.layout.finished;
  const tops = offPlan(quilt, plan.unit);
  const priced = card.cloths.filter(({ cost }) => cost !== null);
  return (
    <Card aria-label="Record card">
      <h1>{card.title}</h1>
      <p className="size">
        <Lengths text={card.size} />{' '}
        {card.made && (
          <small>
            {sayDate(card.made.from)} to {sayDate(card.made.to)} {card.made.to.slice(0, 4)}
          </small>
        )}
      </p>
      <figure>
        <svg viewBox={`0 0 ${width.value} ${height.value}`} role="img" aria-label={`The quilt, ${card.size}`}>
          <QuiltArt plan={plan} layout={quilt.layout} />
        </svg>
      </figure>
      <dl>
        {card.lines.map(({ what, says }) => (
          <div key={what} style={{ display: 'contents' }}>
            <dt>{what}</dt>
            <dd>
              <Lengths text={says} />
            </dd>
          </div>
        ))}
        {card.cost !== null && (
          <>
            <dt>Cost</dt>
            <dd>
              {card.cost.toFixed(2)}
              {priced.length < card.cloths.length && ', of what has a price'}
            </dd>
          </>
        )}
      </dl>
      <div className="wide">
        <h2>Cloths</h2>
        <ul className="cloths">
          {card.cloths.map(({ name, colour, says, cost }) => (
            <li key={name}>
              <i style={{ background: colour }} />
              {name}, <Lengths text={says} />
              {cost !== null && `, ${cost.toFixed(2)}`}
            </li>
          ))}
        </ul>
      </div>
      {priced.length > 1 && (
        <div className="wide screen">
          <h2>What each cloth cost</h2>
          <Bars
            label="Cost by cloth"
            unit="as bought"
            bars={priced.map(({ name, colour, cost }) => ({
              name,
              parts: [{ value: cost!, says: cost!.toFixed(2), colour }],
            }))}
          />
        </div>
      )}
      {tops.length > 0 && (
        <div className="wide screen">
          <h2>Sizes against the plan</h2>
          <Bars
            label="How far tops came out from what was planned"
            unit={plan.unit === 'in' ? 'inches' : 'centimetres'}
            bars={tops}
          />
        </div>
      )}
      {card.makers.length > 0 && (
        <div className="wide">
          <h2>Who made which block</h2>
          <ul className="makers">
            {card.makers.map(({ who, blocks }) => (
              <li key={who}>
                <b>{who}</b>: {blocks.join(', ')}
              </li>
            ))}
          </ul>
        </div>
      )}
      {card.said.story !== '' && (
        <div className="wide">
          <h2>Its story</h2>
          <p>{card.said.story}</p>
        </div>
      )}
    </Card>
  );
}

/** How far each top that was measured came out from its plan, across and down. */
function offPlan({ layout: { sizes } }: Quilt, unit: Unit): OneBar[] {
  return sizes
    .filter(({ measured }) => measured !== null)
    .flatMap(({ borders, planned, used }) => {
      const top = borders === 0 ? 'The centre' : `With ${numberOf(borders, 'border')}`;
      return (['width', 'height'] as const).map((way): OneBar => {
        const value = used[way].value - planned[way].value;
        const off = formatWithUnit(Math.abs(value), unit);
        return {
          name: `${top}, ${way === 'width' ? 'across' : 'down'}`,
          parts: [
            {
              value,
              says: near(value, 0) ? 'as planned' : `${off} ${value > 0 ? 'more' : 'less'}`,
            },
          ],
        };
      });
    });
}
