import {
  aroundFlaw,
  atLeast,
  clothsFor,
  type CutRecord,
  type Fabric,
  formatLength,
  formatSize,
  formatWithUnit,
  fromInches,
  lengthsOf,
  near,
  type Plan,
  type TableCloth,
  withFabric,
  withLengths,
  withoutFabric,
} from '@lattice/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { CountField } from '../../design/controls/CountField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { Thumbnail } from '../../rooms/drawing/Thumbnail.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { cutLost } from './cutting.ts';

const Ways = styled.ul`
  display: grid;
  gap: 10px;
  li {
    padding: 12px 14px;
    border: 1px solid var(--line);
    border-radius: 12px;
  }
  h3 {
    font-size: var(--size-lead);
  }
  p {
    margin: 2px 0 8px;
    font-size: var(--size-text);
    color: var(--soft);
  }
  .does {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 14px;
  }
  .picture {
    width: 120px;
    height: 140px;
  }
`;

/** A field's length kept here; nothing is wrong with it before it is used. */
const taken =
  (set: (length: number) => void) =>
  (length: number): null => {
    set(length);
    return null;
  };

interface Props {
  cloth: string;
  table: TableCloth;
  record: CutRecord;
  isOpen: boolean;
  onClose: () => void;
}

/** What can go wrong at the table, each with its short way out. What is cut is never asked for again. */
export function WentWrong({ cloth, table, record, isOpen, onClose }: Props) {
  const plan = useAppSelector(selectPlan);
  const { id } = useParams();
  const fabric = table.placed.fabric;
  const edit = useEdit();
  const change = (to: Partial<typeof fabric>) =>
    edit((p) => ({ ...p, fabrics: p.fabrics.map((f) => (f.id === cloth ? { ...f, ...to } : f)) }));
  return (
    <Sheet title="What went wrong?" width={640} isOpen={isOpen} onClose={onClose}>
      <Ways>
        <Spoiled {...{ cloth, record, plan, onClose }} />
        <Flaw {...{ fabric, plan, onClose }} />
        <li>
          <h3>The cloth is narrower than was said</h3>
          <p>Measure between the selvages, leaving both out. What is left is planned for that width.</p>
          <div className="does">
            <LengthField
              label="It is usable"
              value={fabric.usableWidth}
              unit={plan.unit}
              step={plan.unit === 'in' ? 0.5 : 1}
              onCommit={(usableWidth) => change({ usableWidth })}
            />
          </div>
        </li>
        <WrongWidth {...{ cloth, plan, record, onClose }} />
        <OtherCloth {...{ cloth, plan }} />
        <li>
          <h3>A block is lost or spoiled</h3>
          <p>The pile says what that means for the setting: one to remake, or a smaller grid.</p>
          <Link to={`/quilts/${id}/blocks`}>Go to the blocks</Link>
        </li>
      </Ways>
    </Sheet>
  );
}

function Spoiled({
  cloth,
  record,
  plan,
  onClose,
}: {
  cloth: string;
  record: CutRecord;
  plan: Plan;
  onClose: () => void;
}) {
  const pieces = record.made.filter(({ joined }) => !joined);
  const names = pieces.map(
    ({ name, w, h }) =>
      `${name}, ${formatLength(Math.min(w, h), plan.unit)} × ${formatWithUnit(Math.max(w, h), plan.unit)}`,
  );
  const [which, setWhich] = useState('0');
  const [count, setCount] = useState(1);
  const dispatch = useAppDispatch();
  const chosen = pieces[Number(which)] ?? pieces[0];
  return (
    <li>
      <h3>Pieces are spoiled</h3>
      {chosen ? (
        <>
          <p>They are cut again, from what is left over where that will do.</p>
          <div className="does">
            <ChoiceField
              label="Which"
              labelled
              value={pieces[Number(which)] ? which : '0'}
              choices={names.map((name, i) => ({ id: String(i), name }))}
              onChange={setWhich}
            />
            <CountField
              label="How many"
              value={Math.min(count, chosen.count)}
              onCommit={(n) => {
                if (n < 1 || n > chosen.count)
                  return `Only ${chosen.count} are cut so far: enter ${chosen.count} or fewer.`;
                setCount(n);
                return null;
              }}
            />
            <Button
              onPress={() => {
                const lost = [{ ...pieceOf(chosen), count: Math.min(count, chosen.count) }];
                void dispatch(
                  cutLost({ cloth, unit: plan.unit, why: 'miscut', pieces: lost, instead: [], length: 0 }),
                );
                onClose();
              }}
            >
              Cut them again
            </Button>
          </div>
        </>
      ) : (
        <p>Nothing has been cut from this cloth yet.</p>
      )}
    </li>
  );
}

/** A flaw right across, or a patch of it: what is good before it and beside it is kept. */
function Flaw({ fabric, plan, onClose }: { fabric: Fabric; plan: Plan; onClose: () => void }) {
  const { unit } = plan;
  const [flaw, setFlaw] = useState({
    after: 0,
    long: fromInches(2, unit),
    beside: 0,
    wide: fabric.usableWidth,
  });
  const dispatch = useAppDispatch();
  const field = (label: string, key: keyof typeof flaw) => (
    <LengthField
      label={label}
      value={flaw[key]}
      unit={unit}
      onCommit={taken((length) => setFlaw((had) => ({ ...had, [key]: length })))}
    />
  );
  const around = aroundFlaw(flaw, fabric.usableWidth, unit);
  const kept = around.leaves.map(({ w, h }) => formatSize(w, h, unit)).join(', ');
  const across = atLeast(fabric.usableWidth, flaw.beside + flaw.wide);
  return (
    <li>
      <h3>A flaw in the cloth</h3>
      <p>
        <Lengths
          text={
            across
              ? `${formatWithUnit(around.length, unit)} comes off the cloth; ${kept ? `${kept} of it ${around.leaves.length > 1 ? 'are' : 'is'} good and used first` : 'nothing of it can be kept'}. The steps go on after it.`
              : `The cloth is only ${formatWithUnit(fabric.usableWidth, unit)} wide.`
          }
        />
      </p>
      {field('Good cloth before it', 'after')}
      {field('The flaw, long', 'long')}
      {field('Good cloth beside it, near selvage', 'beside')}
      {field('The flaw, wide', 'wide')}
      <div className="does">
        <Button
          isDisabled={!across || flaw.long <= 0}
          onPress={() => {
            const { length, leaves } = around;
            void dispatch(
              cutLost({
                cloth: fabric.id,
                unit,
                why: 'flaw',
                pieces: [],
                instead: [],
                length,
                leaves: [...leaves],
              }),
            );
            onClose();
          }}
        >
          Cut round it
        </Button>
      </div>
    </li>
  );
}

/** Pieces as the log has them. */
const pieceOf = ({ cutIn: _, ...piece }: CutRecord['made'][number]) => piece;

/** Sashes cut at another width than planned may make the quilt as they are. */
function WrongWidth({
  cloth,
  plan,
  record,
  onClose,
}: {
  cloth: string;
  plan: Plan;
  record: CutRecord;
  onClose: () => void;
}) {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const { sash } = lengthsOf(plan.setting);
  const cutAt = sash === undefined ? 0 : sash + 2 * plan.seam;
  const [width, setWidth] = useState(cutAt + (plan.unit === 'in' ? 0.25 : 0.5));
  const sashes = record.made
    .filter(({ w, h, joined }) => !joined && near(Math.min(w, h), cutAt))
    .map(pieceOf);
  if (sash === undefined || sashes.length === 0) return null;
  const asCut = sashes.map((pieces) => ({
    ...pieces,
    ...(near(pieces.w, cutAt) ? { w: width } : { h: width }),
  }));
  const other = { ...plan, setting: withLengths(plan.setting, { sash: width - 2 * plan.seam }) };
  const usable = width - 2 * plan.seam > 0;
  return (
    <li>
      <h3>The sashes were cut at another width</h3>
      <p>
        <Lengths
          text={`They should be ${formatWithUnit(cutAt, plan.unit)}. Use them as they are, and the quilt takes the size they make.`}
        />
      </p>
      <div className="does">
        <LengthField label="They were cut" value={width} unit={plan.unit} onCommit={taken(setWidth)} />
        {usable && (
          <div className="picture">
            <Thumbnail plan={other} />
          </div>
        )}
        <Button
          isDisabled={!usable}
          onPress={() => {
            // First what is true of the pieces, then the quilt they make.
            void dispatch(
              cutLost({
                cloth,
                unit: plan.unit,
                why: 'other-size',
                pieces: sashes,
                instead: asCut,
                length: 0,
              }),
            );
            edit(() => other);
            onClose();
          }}
        >
          <Lengths text={`Make it with ${formatWithUnit(width - 2 * plan.seam, plan.unit)} sashes`} />
        </Button>
      </div>
    </li>
  );
}

const ALL = 'all';

/** Sold out, or not enough: everything that was to come from this cloth comes from another, or one job of it. */
function OtherCloth({ cloth, plan }: { cloth: string; plan: Plan }) {
  const edit = useEdit();
  const quilt = useAppSelector(selectQuilt);
  const others = plan.fabrics.filter(({ id }) => id !== cloth);
  const [other, setOther] = useState(others[0]?.id ?? '');
  const [what, setWhat] = useState(ALL);
  if (others.length === 0) return null;
  // Each job once, by what is cut for it.
  const lines = [...quilt.pieces, ...quilt.besides].filter((line) => line.fabric === cloth);
  const jobs = [...new Map(lines.map((line) => [JSON.stringify(line.use), line])).values()];
  const chosen = jobs.find(({ id }) => id === what);
  const changed =
    chosen && clothsFor(plan, chosen.use)[0] === cloth
      ? withFabric(plan, chosen.use, other)
      : withoutFabric(plan, cloth, other);
  return (
    <li>
      <h3>There is no more of this cloth</h3>
      <p>
        What is still wanted of it comes from another cloth of this quilt; what is cut of it stays as spare.
      </p>
      <div className="does">
        {jobs.length > 1 && (
          <ChoiceField
            label="For"
            labelled
            value={chosen ? what : ALL}
            choices={[
              { id: ALL, name: 'everything of it' },
              ...jobs.map(({ id, name }) => ({ id, name: name.toLowerCase() })),
            ]}
            onChange={setWhat}
          />
        )}
        <ChoiceField
          label="Take instead"
          labelled
          value={other}
          choices={others.map(({ id, name, colour }) => ({ id, name, colour }))}
          onChange={setOther}
        />
        <div className="picture">
          <Thumbnail plan={changed} />
        </div>
        <Button onPress={() => edit(() => changed)}>Take that</Button>
      </div>
    </li>
  );
}
