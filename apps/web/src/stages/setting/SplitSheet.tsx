import {
  numberOf,
  formatSize,
  formatWithUnit,
  type Split,
  splitCounts,
  splitQuilt,
  type Unit,
} from '@lattice/core';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { Why } from '../../design/controls/Why.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { Thumbnail } from '../../drawing/Thumbnail.tsx';
import { addQuilt } from '../../quilt/newQuilts.ts';
import { selectPlan, selectQuilt } from '../../quilt/selectors.ts';

const Ways = styled.ul`
  margin: 8px 0 14px;
  > li {
    display: grid;
    grid-template-columns: minmax(120px, 220px) minmax(0, 1fr) auto;
    align-items: center;
    gap: 18px;
    padding: 12px 0;
  }
  > li + li {
    border-top: 1px solid var(--line);
  }
  .art {
    display: flex;
    gap: 8px;
    height: 110px;
    > * {
      flex: 1;
      min-width: 0;
    }
  }
  strong {
    font-size: 16px;
    font-stretch: 88%;
  }
  .rest {
    font-size: 14px;
    color: var(--soft);
  }
  @media (max-width: 600px) {
    > li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

/** One quilt's blocks as several smaller quilts: the ways there are, the border they take, and putting them on the shelf. */
export function SplitSheet({ onClose }: { onClose: () => void }) {
  const plan = useAppSelector(selectPlan);
  const { pile } = useAppSelector(selectQuilt);
  const counts = splitCounts(pile.blocks || pile.needed);
  const [count, setCount] = useState(2);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const ways = useMemo(() => splitQuilt(plan, count), [plan, count]);
  const put = async ({ plans }: Split) => {
    // The first is put there last, so that it lies first on the shelf.
    for (const small of [...plans].reverse()) await dispatch(addQuilt(small));
    await navigate('/');
  };
  return (
    <Sheet title="Split into smaller quilts" width={900} isOpen onClose={onClose}>
      {counts.length === 0 ? (
        <p>One block cannot be split between quilts.</p>
      ) : (
        <ChoiceField
          label="Quilts"
          labelled
          value={String(count)}
          choices={counts.map((n) => ({ id: String(n), name: `${n} quilts` }))}
          onChange={(n) => setCount(Number(n))}
        />
      )}
      <Ways aria-label="Ways to split">
        {ways.map((way) => (
          <li key={`${way.grid.across}-${way.grid.down}`}>
            <span className="art" aria-hidden>
              {way.plans.slice(0, 3).map((small) => (
                <Thumbnail key={small.title} plan={small} />
              ))}
            </span>
            <Words way={way} unit={plan.unit} />
            <Button onPress={() => void put(way)}>Put these {way.quilts} on the shelf</Button>
          </li>
        ))}
      </Ways>
      <Button onPress={onClose}>Leave it one quilt</Button>
    </Sheet>
  );
}

function Words({ way, unit }: { way: Split; unit: Unit }) {
  const { grid, finished, blocks, over, border, extra, cloth, toTarget } = way;
  return (
    <div>
      <strong>
        {grid.across} × {grid.down}, each <Lengths text={formatSize(finished.width, finished.height, unit)} />
      </strong>
      <p className="rest">
        {numberOf(blocks, 'block')} each{over > 0 ? `, ${over} over` : ', none over'}.
      </p>
      {border.value > 0 && (
        <p className="rest">
          Border strip each{' '}
          <Why figure={border} text={formatWithUnit(border.value, unit)} what="this length of border" />;{' '}
          <Why figure={extra} text={formatWithUnit(Math.abs(extra.value), unit)} what="the difference" />{' '}
          {extra.value < 0 ? 'less' : 'more'} than the one quilt.{' '}
          {cloth.map(({ name, before, after }) => (
            <span key={name}>
              {name}: <Lengths text={`${before.text} → ${after.text}`} />.{' '}
            </span>
          ))}
        </p>
      )}
      {toTarget && <TargetWords sides={toTarget.sides} ends={toTarget.ends} unit={unit} />}
    </div>
  );
}

/** What is wanting to the target, named only where something is. */
function TargetWords({ sides, ends, unit }: { sides: number; ends: number; unit: Unit }) {
  const wanting = [
    { by: sides, where: 'at the sides' },
    { by: ends, where: 'at the ends' },
  ].filter(({ by }) => by > 1e-6);
  if (wanting.length === 0) return <p className="rest">Each comes to the target as it is.</p>;
  return (
    <p className="rest">
      To come to the target, each needs{' '}
      <Lengths
        text={`${wanting.map(({ by, where }) => `${formatWithUnit(by, unit)} more border ${where}`).join(' and ')}.`}
      />
    </p>
  );
}
