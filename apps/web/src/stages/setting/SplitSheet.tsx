import {
  capital,
  formatSize,
  formatWithUnit,
  longer,
  numberOf,
  type Plan,
  type Split,
  splitCounts,
  splitQuilt,
  type Unit,
} from '@lattice/core';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Why } from '../../design/controls/Why.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { Thumbnail } from '../../rooms/drawing/Thumbnail.tsx';
import { addQuilt } from '../../sync/newQuilts.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { small } from '../../design/media.ts';

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
    font-size: var(--size-lead);
    font-stretch: 88%;
  }
  .rest {
    font-size: var(--size-text);
    color: var(--soft);
  }
  ${small} {
    > li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

const Own = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  fieldset {
    flex: 1 1 200px;
    padding: 6px 10px;
    border: 1px solid var(--line);
    border-radius: 10px;
  }
  legend {
    padding: 0 4px;
    font-size: var(--size-text);
    color: var(--soft);
  }
`;

/** One quilt's blocks as several smaller quilts: the ways there are, the border they take, and putting them on the shelf. */
export function SplitSheet({ onClose }: { onClose: () => void }) {
  const plan = useAppSelector(selectPlan);
  const { pile } = useAppSelector(selectQuilt);
  const counts = splitCounts(pile.blocks || pile.needed);
  const [count, setCount] = useState(2);
  const [own, setOwn] = useState<readonly (Plan['borders'] | undefined)[]>([]);
  const [each, setEach] = useState(false);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const ways = useMemo(() => splitQuilt(plan, count, each ? own : []), [plan, count, each, own]);
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
      {counts.length > 0 && plan.borders.length > 0 && (
        <SwitchField label="Each quilt its own borders" value={each} onChange={setEach} />
      )}
      {each && <OwnBorders plan={plan} count={count} own={own} onChange={setOwn} />}
      {ways.length === 0 && counts.length > 0 && (
        <p role="status">No quilt may be as large as these borders make it: choose narrower ones.</p>
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
  const { grid, twins, alike, blocks, over, extra, cloth } = way;
  const told = alike ? twins.slice(0, 1) : twins;
  const sizes = told.map(({ finished }) => formatSize(finished.width, finished.height, unit));
  return (
    <div>
      <strong>
        {grid.across} × {grid.down}, {alike ? 'each ' : ''}
        <Lengths text={sizes.join(', ')} />
      </strong>
      <p className="rest">
        {numberOf(blocks, 'block')} each{over > 0 ? `, ${over} over` : ', none over'}.
      </p>
      {twins.some(({ border }) => border.value > 0) && (
        <p className="rest">
          Border strip{alike ? ' each' : ''}{' '}
          {told.map(({ border }, i) => (
            <span key={i}>
              {i > 0 && ', '}
              <Why
                figure={border}
                text={formatWithUnit(border.value, unit)}
                what={alike ? 'this length of border' : `the border of quilt ${i + 1}`}
              />
            </span>
          ))}
          ; <Why figure={extra} text={formatWithUnit(Math.abs(extra.value), unit)} what="the difference" />{' '}
          {extra.value < 0 ? 'less' : 'more'} than the one quilt.{' '}
          {cloth.map(({ name, before, after }) => (
            <span key={name}>
              {name}: <Lengths text={`${before.text} → ${after.text}`} />.{' '}
            </span>
          ))}
        </p>
      )}
      {told.map(
        ({ toTarget }, i) =>
          toTarget && (
            <TargetWords key={i} {...toTarget} which={alike ? 'each' : `quilt ${i + 1}`} unit={unit} />
          ),
      )}
    </div>
  );
}

/** Borders of each quilt, to be set apart from those of the one. */
function OwnBorders({
  plan,
  count,
  own,
  onChange,
}: {
  plan: Plan;
  count: number;
  own: readonly (Plan['borders'] | undefined)[];
  onChange: (own: readonly (Plan['borders'] | undefined)[]) => void;
}) {
  const set = (quilt: number, border: number, width: number) =>
    onChange(
      Array.from({ length: count }, (_, i) =>
        i === quilt
          ? (own[i] ?? plan.borders).map((b, n) => (n === border ? { ...b, sides: width, ends: width } : b))
          : own[i],
      ),
    );
  return (
    <Own>
      {Array.from({ length: count }, (_, quilt) => (
        <fieldset key={quilt}>
          <legend>Quilt {quilt + 1}</legend>
          {(own[quilt] ?? plan.borders).map((border, i) => (
            <LengthField
              key={border.id}
              label={plan.borders.length > 1 ? `Border ${i + 1}, finished` : 'Border, finished'}
              value={border.sides}
              unit={plan.unit}
              onCommit={(width) => {
                set(quilt, i, width);
                return null;
              }}
            />
          ))}
        </fieldset>
      ))}
    </Own>
  );
}

/** What is wanting to the target, named only where something is. */
function TargetWords({
  which,
  sides,
  ends,
  unit,
}: {
  which: string;
  sides: number;
  ends: number;
  unit: Unit;
}) {
  const wanting = [
    { by: sides, where: 'at the sides' },
    { by: ends, where: 'at top and bottom' },
  ].filter(({ by }) => longer(by, 0));
  if (wanting.length === 0) return <p className="rest">{capital(which)} comes to the target as it is.</p>;
  return (
    <p className="rest">
      To come to the target, {which} needs{' '}
      <Lengths
        text={`${wanting.map(({ by, where }) => `${formatWithUnit(by, unit)} more border ${where}`).join(' and ')}.`}
      />
    </p>
  );
}
