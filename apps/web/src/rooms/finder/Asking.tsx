import {
  clothUse,
  FLOAT_SAYS,
  type FitRequest,
  formatWithUnit,
  fromInches,
  kindsFor,
  lengthsOf,
  limitIn,
  type Plan,
  PRECUT_IDS,
  PRECUTS,
  settingOf,
  startRequest,
  type Unit,
  type Weights,
} from '@lattice/core';
import { Plus, X } from 'lucide-react';
import { CheckboxGroup, Label } from 'react-aria-components';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { CountField } from '../../design/controls/CountField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Tick } from '../../design/controls/Tick.tsx';
import { WeightSlider } from '../../design/controls/WeightSlider.tsx';
import { selectStash } from '../stash/stash.ts';

const Kinds = styled(CheckboxGroup)`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 2px 10px;
  font-size: var(--size-text);
  > span:first-child {
    grid-column: 1 / -1;
    margin: 14px 0 4px;
    font-size: var(--size-note);
    font-weight: 600;
    color: var(--soft);
  }
`;
const Cloth = styled.div`
  display: flex;
  align-items: center;
  > :first-child {
    flex: 1;
    min-width: 0;
  }
`;

const WEIGHTS: readonly (readonly [keyof Weights, string, number])[] = [
  ['size', 'Exact size', 4],
  ['blocks', 'Blocks used up', 4],
  ['proportion', 'Proportion', 6],
  ['fabric', 'Least cloth', 3],
  ['seams', 'Few seams', 3],
];

const AIMS = [
  { id: 'size', name: 'A size' },
  { id: 'largest', name: 'As large as these blocks allow' },
];

/** Jobs one may have cloth in hand for. */
const CLOTHS = [
  { id: 'sash', name: 'Sashes' },
  { id: 'cornerstone', name: 'Cornerstones' },
  { id: 'triangle', name: 'Setting triangles' },
  { id: 'plain', name: 'Plain blocks' },
  { id: 'frame', name: 'Frame triangles' },
] as const;
/** Cloth as it lies there. */
const AS = [{ id: 'length', name: 'A length' }, ...PRECUT_IDS.map((id) => ({ id, name: PRECUTS[id].name }))];
const startLength = (unit: Unit): number => (unit === 'in' ? 45 : 110);
type ClothUse = FitRequest['inHand'][number]['use'];

interface AskingProps {
  readonly plan: Plan;
  readonly request: FitRequest;
  /** Changes what is asked; answers what is wrong with it, or null. */
  readonly ask: (change: Partial<FitRequest>) => string | null;
}

/** What is searched for: the aim, blocks, sash, float, borders, cloth in hand, kinds of setting, and what weighs how much. */
export function Asking({ plan, request, ask }: AskingProps) {
  const { unit } = plan;
  const { target, blocks } = request;
  const start = { width: fromInches(60, unit), height: fromInches(72, unit) };
  const size = (value: number) =>
    value > 0 && value <= limitIn(200, unit)
      ? null
      : `A target of ${formatWithUnit(value, unit)} cannot be right.`;
  return (
    <div>
      <ChoiceField
        label="Aim"
        labelled
        value={target ? 'size' : 'largest'}
        choices={AIMS}
        onChange={(aim) =>
          ask(
            aim === 'size'
              ? { target: start }
              : {
                  target: null,
                  blocks: blocks ?? settingOf(plan.setting.kind).blocksNeeded(plan.grid, plan.setting).value,
                },
          )
        }
      />
      {target && (
        <>
          <LengthField
            label="Target width"
            value={target.width}
            unit={unit}
            step={1}
            onCommit={(width) => size(width) ?? ask({ target: { ...target, width } })}
          />
          <LengthField
            label="Target height"
            value={target.height}
            unit={unit}
            step={1}
            onCommit={(height) => size(height) ?? ask({ target: { ...target, height } })}
          />
        </>
      )}
      {target && (
        <SwitchField
          label="Only so many blocks"
          value={blocks !== null}
          onChange={(counted) => ask({ blocks: counted ? Math.max(1, plan.pile.length) : null })}
        />
      )}
      {blocks !== null && (
        <CountField
          label="Blocks on hand"
          value={blocks}
          onCommit={(count) => (count >= 1 ? ask({ blocks: count }) : 'At least one block.')}
        />
      )}
      <Widths {...{ plan, request, ask }} />
      <InHand {...{ plan, request, ask }} />
      <Kinds
        value={request.kinds}
        onChange={(kinds) => kinds.length > 0 && ask({ kinds: kinds as FitRequest['kinds'] })}
      >
        <Label>Settings to try</Label>
        {kindsFor(plan).map((kind) => (
          <Tick key={kind} value={kind}>
            {settingOf(kind).name}
          </Tick>
        ))}
      </Kinds>
      <h3>What matters</h3>
      {WEIGHTS.map(([key, label, most]) => (
        <WeightSlider
          key={key}
          label={key === 'size' && !target ? 'Large' : label}
          value={request.weights[key]}
          most={most}
          step={most / 20}
          onChange={(value) => ask({ weights: { ...request.weights, [key]: value } })}
        />
      ))}
    </div>
  );
}

/** Between what widths the search may choose. */
function Widths({ plan, request, ask }: AskingProps) {
  const { unit, setting } = plan;
  const { sash, float, borders } = request;
  const sashProblem = (least: number, most: number) =>
    least <= 0
      ? 'A sash has to be wider than nothing.'
      : least > most
        ? 'The narrowest sash is wider than the widest.'
        : null;
  const fixed = sash.least === sash.most;
  const widest = (value: number) =>
    value >= 0 && value <= limitIn(60, unit)
      ? null
      : `${formatWithUnit(value, unit)} of border cannot be right.`;
  return (
    <>
      <SwitchField
        label="One sash width only"
        value={fixed}
        onChange={(on) => {
          const now = lengthsOf(setting).sash ?? sash.least;
          ask({ sash: on ? { least: now, most: now } : startRequest(plan, request.target).sash });
        }}
      />
      {fixed ? (
        <LengthField
          label="Sash, finished"
          value={sash.least}
          unit={unit}
          onCommit={(width) => sashProblem(width, width) ?? ask({ sash: { least: width, most: width } })}
        />
      ) : (
        <>
          <LengthField
            label="Narrowest sash"
            value={sash.least}
            unit={unit}
            onCommit={(least) => sashProblem(least, sash.most) ?? ask({ sash: { ...sash, least } })}
          />
          <LengthField
            label="Widest sash"
            value={sash.most}
            unit={unit}
            onCommit={(most) => sashProblem(sash.least, most) ?? ask({ sash: { ...sash, most } })}
          />
        </>
      )}
      <LengthField
        label="Widest float"
        value={float.most}
        unit={unit}
        onCommit={(most) =>
          most >= 0 && most <= limitIn(6, unit)
            ? ask({ float: { least: 0, most } })
            : `A float of ${formatWithUnit(most, unit)} cannot be right.`
        }
      />
      <p>
        <small>{FLOAT_SAYS}</small>
      </p>
      <CountField
        label="Borders"
        value={borders.count}
        onCommit={(count) =>
          count >= 0 && count <= 3 ? ask({ borders: { ...borders, count } }) : 'None to three borders.'
        }
      />
      {borders.count > 0 && (
        <>
          <LengthField
            label="Each border, at least"
            value={borders.least}
            unit={unit}
            onCommit={(least) =>
              least < limitIn(1 / 4, unit)
                ? 'Narrower than this cannot be sewn.'
                : (widest(least) ?? ask({ borders: { ...borders, least } }))
            }
          />
          <LengthField
            label="All borders, at most"
            value={borders.most}
            unit={unit}
            onCommit={(most) => widest(most) ?? ask({ borders: { ...borders, most } })}
          />
          <SwitchField
            label="Same width all round"
            value={borders.even}
            onChange={(even) => ask({ borders: { ...borders, even } })}
          />
        </>
      )}
    </>
  );
}

/** Cloth there is: designs that need more of it are left out. */
function InHand({ plan: { unit }, request: { inHand }, ask }: AskingProps) {
  const free = CLOTHS.filter((c) => !inHand.some((held) => held.use === c.id));
  const change = (at: number, held: FitRequest['inHand'][number]) =>
    ask({ inHand: inHand.map((had, i) => (i === at ? held : had)) });
  const most = limitIn(36 * 20, unit);
  const stash = useAppSelector((s) => selectStash(s, unit));
  const yardage = stash
    .filter(({ kind, free: there }) => kind === 'yardage' && there > 0)
    .map(({ id, name, colour, length, free: there }) => ({
      id,
      name: `${name}, ${formatWithUnit(length * there, unit)}`,
      colour,
    }));
  return (
    <>
      <h3>Cloth in hand</h3>
      {inHand.map((held, i) => {
        const name = CLOTHS.find((c) => c.id === held.use)?.name ?? held.use;
        return (
          <div key={held.use}>
            <Cloth>
              <ChoiceField
                label="Cloth for"
                labelled
                value={held.use}
                choices={CLOTHS.filter((c) => c.id === held.use || free.includes(c))}
                onChange={(use) => change(i, { ...held, use: clothUse.parse(use) as ClothUse })}
              />
              <Button
                look="quiet"
                aria-label={`Leave out ${name.toLowerCase()}`}
                onPress={() => ask({ inHand: inHand.filter((_, at) => at !== i) })}
              >
                <X size={15} aria-hidden />
              </Button>
            </Cloth>
            {yardage.length > 0 && (
              <ChoiceField
                label={`${name} from the stash`}
                labelled
                value=""
                choices={[{ id: '', name: 'From the stash…' }, ...yardage]}
                onChange={(id) => {
                  const piece = stash.find((one) => one.id === id);
                  if (piece) change(i, { use: held.use, length: Math.min(most, piece.length * piece.free) });
                }}
              />
            )}
            <ChoiceField
              label={`${name} as`}
              labelled
              value={'precut' in held ? held.precut : 'length'}
              choices={AS}
              onChange={(id) => {
                const precut = PRECUT_IDS.find((one) => one === id);
                change(
                  i,
                  precut
                    ? { use: held.use, precut, count: 12 }
                    : { use: held.use, length: startLength(unit) },
                );
              }}
            />
            {'precut' in held ? (
              <CountField
                label={`How many for ${name.toLowerCase()}`}
                value={held.count}
                onCommit={(count) =>
                  count >= 1 && count <= 500
                    ? change(i, { ...held, count })
                    : 'Between 1 and 500 pieces can be in hand.'
                }
              />
            ) : (
              <LengthField
                label={`Length for ${name.toLowerCase()}`}
                value={held.length}
                unit={unit}
                step={unit === 'in' ? 4.5 : 10}
                onCommit={(length) =>
                  length > 0 && length <= most
                    ? change(i, { use: held.use, length })
                    : `${formatWithUnit(length, unit)} of cloth cannot be right.`
                }
              />
            )}
          </div>
        );
      })}
      {free.length > 0 && (
        <Button
          look="quiet"
          onPress={() => ask({ inHand: [...inHand, { use: free[0]!.id, length: startLength(unit) }] })}
        >
          <Plus size={15} aria-hidden />
          Add cloth, like 1 1/4 yd
        </Button>
      )}
    </>
  );
}
