import {
  type BedId,
  BEDS,
  begin,
  type Beginning,
  BORDERS_OFFERED,
  blankPlan,
  formatLength,
  mattress,
  type Plan,
  planProblems,
  type SettingKind,
  SETTINGS,
  type AnySetting,
  startBed,
  type Target,
  type Unit,
} from '@lattice/core';
import { Layers, LayoutGrid, Ruler } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Label, Radio, RadioGroup } from 'react-aria-components';
import { useNavigate, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { PageFrame } from '../frame/PageFrame.tsx';
import { useAppDispatch } from '../../sync/thunk.ts';
import { cardStates } from '../../design/cardStyles.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { SettingCard } from '../../design/SettingCard.ts';
import { SettingSample } from '../drawing/SettingSample.tsx';
import { newId } from '../../browser/tabs.ts';
import { Drawn } from './Drawn.tsx';
import { Fitted } from './Fitted.tsx';
import { beginHandInHand } from './handInHand.ts';
import { makeQuilt } from './makeQuilt.ts';
import { PileLineField } from './PileLineField.tsx';
import { useFilesHere } from '../../browser/useFilesHere.ts';
import { PlanFileButton } from './PlanFileButton.tsx';
import { PlacesField, usePlaces } from './PlacesField.tsx';
import { usePileLine } from './usePileLine.ts';
import { usePlanFile } from './usePlanFile.ts';
import { slim, tight, touch } from '../../design/media.ts';

const Halves = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 0.9fr);
  gap: 28px;
  ${tight} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Asked = styled.section`
  display: grid;
  gap: 16px;
  align-content: start;
  min-width: 0;
  h2,
  .ask {
    margin: 0 0 6px;
    font-size: var(--size-text);
    font-weight: 650;
  }
  .narrow {
    max-width: 380px;
  }
`;
const Haves = styled(RadioGroup)`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
  > .ask {
    grid-column: 1 / -1;
  }
  ${slim} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Have = styled(Radio)`
  ${cardStates}
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 52px;
  padding: 8px 12px;
  background: var(--card);
  font-size: var(--size-text);
  font-weight: 600;
  line-height: 1.2;
  svg {
    flex: none;
    color: var(--soft);
  }
`;
const Cards = styled(RadioGroup)`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(92px, 1fr));
  gap: 8px;
  > .ask {
    grid-column: 1 / -1;
  }
`;
const Chips = styled(RadioGroup)`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  > .ask {
    flex-basis: 100%;
  }
`;
const Chip = styled(Radio)`
  ${cardStates}
  min-width: 48px;
  min-height: 34px;
  padding: 5px 12px;
  border-radius: 17px;
  background: var(--card);
  font-size: var(--size-text);
  text-align: center;
  &[data-selected] {
    font-weight: 650;
  }
  ${touch} {
    min-height: var(--finger);
    padding: 10px 16px;
    border-radius: 22px;
  }
`;

const HAVES = [
  { id: 'blocks', name: 'Finished blocks', icon: LayoutGrid },
  { id: 'whole', name: 'A finished top or quilt', icon: Layers },
  { id: 'size', name: 'A size to reach', icon: Ruler },
] as const;
type HaveId = (typeof HAVES)[number]['id'];

const PLAIN = SETTINGS.filter((setting: AnySetting) => !setting.whole);
/** Settings a size can be reached with where no block is there yet. */
const TO_MAKE = PLAIN.filter((setting: AnySetting) => !setting.otherBlocks);

/** The allowance a new quilt begins with in a unit. */
const usualSeam = (unit: Unit): number => blankPlan(unit).seam;

/** A new quilt: what is there to begin with, in three answers at most, and the quilt drawn as they are given. */
export function NewQuilt() {
  const [params, setParams] = useSearchParams();
  const have = HAVES.find(({ id }) => id === params.get('have'))?.id ?? 'blocks';
  const [chosenUnit, setUnit] = useState<Unit>(params.get('unit') === 'cm' ? 'cm' : 'in');
  const said = usePileLine(chosenUnit);
  // Who says centimetres means them.
  const unit = have === 'blocks' ? (said.line?.unit ?? chosenUnit) : chosenUnit;
  const [setting, setSetting] = useState<SettingKind>('sashed');
  /** Its finished width; none at all, or null for what the beginning has of itself: none, or whatever helps it to its size. */
  const [border, setBorder] = useState<number | 'none' | null>(null);
  const [forWhat, setFor] = useState<'any' | 'bed' | 'size'>('any');
  const [bed, setBed] = useState<BedId>('us-queen');
  const [size, setSize] = useState(SIZES[unit]);
  const [block, setBlock] = useState(blankPlan(unit).block.width);
  const [layered, setLayered] = useState<'quilt' | 'top'>('quilt');
  const [fitted, setFitted] = useState<Plan | null>(null);
  const width = usePlaces(unit);
  const height = usePlaces(unit);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const file = usePlanFile();
  useFilesHere(file.open);

  const wants = have === 'size' && forWhat === 'any' ? 'size' : forWhat;
  const target = useMemo<Target | null>(
    () =>
      have === 'whole' || wants === 'any'
        ? null
        : wants === 'bed'
          ? startBed(bed, unit)
          : { of: 'size', ...size },
    [have, wants, bed, unit, size],
  );
  const borders = useMemo(() => (typeof border === 'number' ? [border] : []), [border]);
  const beginning = useMemo<Beginning | null>(() => {
    switch (have) {
      case 'blocks':
        return said.line && { unit, have, pile: said.line, setting, borders };
      case 'whole':
        return width.length !== null && height.length !== null
          ? { unit, have: layered, width: width.length, height: height.length }
          : null;
      case 'size':
        return { unit, have, target: target!, block, setting, borders };
    }
  }, [have, unit, said.line, setting, borders, layered, width.length, height.length, target, block]);
  const begun = useMemo(() => beginning && begin(beginning, newId), [beginning]);
  const problem = useMemo(() => begun && planProblems(begun)[0], [begun]);
  const sound = begun && !problem ? begun : null;
  const plan = sound && target ? fitted : sound;

  const make = async () => {
    if (!plan) return;
    const id = await dispatch(makeQuilt({ ...plan, target: target ?? plan.target }));
    beginHandInHand(id);
    await navigate(
      `/quilts/${id}/${have === 'whole' ? (layered === 'quilt' ? 'edge' : 'borders') : 'setting'}`,
    );
  };
  const inOther = () => {
    const other = unit === 'in' ? 'cm' : 'in';
    setUnit(other);
    setSize(SIZES[other]);
    setBlock(blankPlan(other).block.width);
    setBorder(null);
  };
  return (
    <PageFrame
      title="New quilt"
      width={1180}
      head={
        <>
          <Button onPress={inOther} isDisabled={unit !== chosenUnit}>
            {unit === 'in' ? 'Use centimetres' : 'Use inches'}
          </Button>
          <PlanFileButton onOpen={file.open} />
        </>
      }
    >
      {file.underWay && (
        <p role="status">
          {file.underWay.says} <Button onPress={file.underWay.stop}>Stop</Button>
        </p>
      )}
      {file.problem && (
        <p role="alert" style={{ marginBottom: 12, color: 'var(--wrong)' }}>
          <Lengths text={file.problem} />
        </p>
      )}
      <Halves>
        <Asked aria-label="What there is">
          <Haves
            value={have}
            onChange={(id) => {
              setParams(id === 'blocks' ? {} : { have: id }, { replace: true });
              setFor(id === 'size' ? 'size' : 'any');
            }}
          >
            <Label className="ask">What do you have?</Label>
            {HAVES.map(({ id, name, icon: Icon }) => (
              <Have key={id} value={id satisfies HaveId}>
                <Icon size={19} aria-hidden />
                {name}
              </Have>
            ))}
          </Haves>
          {have === 'blocks' && (
            <PileLineField
              said={said}
              seam={usualSeam}
              unit={unit}
              label="How many, and how large?"
              autoFocus
              onEnter={() => void make()}
            />
          )}
          {have === 'whole' && (
            <Chips value={layered} onChange={(id) => setLayered(id as 'quilt')} orientation="horizontal">
              <Label className="ask">Which is it?</Label>
              <Chip value="quilt">A quilt, quilted and trimmed</Chip>
              <Chip value="top">A sewn top, to be quilted yet</Chip>
            </Chips>
          )}
          {have === 'whole' && (
            <div className="narrow">
              <PlacesField
                label={`Its width, ${EDGES[layered]}`}
                places={width}
                unit={unit}
                autoFocus
                onEnter={() => void make()}
              />
              <PlacesField
                label={`Its height, ${EDGES[layered]}`}
                places={height}
                unit={unit}
                onEnter={() => void make()}
              />
            </div>
          )}
          {have === 'size' && (
            <div className="narrow">
              <LengthField
                label="Blocks to make, finished"
                value={block}
                unit={unit}
                onCommit={(value) => {
                  setBlock(value);
                  return null;
                }}
              />
            </div>
          )}
          {have !== 'whole' && (
            <>
              <Chips
                value={wants}
                onChange={(id) => {
                  setFor(id as 'bed');
                  setFitted(null);
                }}
                orientation="horizontal"
              >
                <Label className="ask">What size of quilt?</Label>
                {have === 'blocks' && <Chip value="any">As the blocks come</Chip>}
                <Chip value="bed">For a bed</Chip>
                <Chip value="size">To a size</Chip>
              </Chips>
              {wants === 'bed' && (
                <div className="narrow">
                  <ChoiceField
                    label="Bed"
                    labelled
                    value={bed}
                    choices={BEDS.map(({ id, country, name }) => ({
                      id,
                      name: `${country} ${name.includes('×') ? name : `${name}, ${sizeOfBed(id, unit)}`}`,
                    }))}
                    onChange={(id) => setBed(id as BedId)}
                  />
                </div>
              )}
              {wants === 'size' && (
                <div className="narrow">
                  {(['width', 'height'] as const).map((side) => (
                    <LengthField
                      key={side}
                      label={side === 'width' ? 'Wide' : 'High'}
                      value={size[side]}
                      unit={unit}
                      step={1}
                      onCommit={(value) => {
                        setSize((had) => ({ ...had, [side]: value }));
                        return null;
                      }}
                    />
                  ))}
                </div>
              )}
              <Cards
                value={setting}
                onChange={(kind) => setSetting(kind as SettingKind)}
                orientation="horizontal"
              >
                <Label className="ask">How are they set?</Label>
                {(have === 'size' ? TO_MAKE : PLAIN).map(({ kind, name, describes }) => (
                  <SettingCard key={kind} value={kind} aria-label={`${name}: ${describes}`}>
                    <SettingSample kind={kind} />
                    {name}
                  </SettingCard>
                ))}
              </Cards>
              <Chips
                value={border === null ? (target ? 'fit' : 'none') : String(border)}
                onChange={(width) =>
                  setBorder(width === 'fit' ? null : width === 'none' ? 'none' : Number(width))
                }
                orientation="horizontal"
              >
                <Label className="ask">A border round it, finished</Label>
                {target && <Chip value="fit">As it fits</Chip>}
                <Chip value="none">None</Chip>
                {BORDERS_OFFERED[unit].map((width) => (
                  <Chip key={width} value={String(width)} aria-label={`${formatLength(width, unit)} border`}>
                    <Lengths text={`${formatLength(width, unit)}${unit === 'in' ? '″' : ' cm'}`} />
                  </Chip>
                ))}
              </Chips>
            </>
          )}
        </Asked>
        <Drawn
          plan={plan}
          waiting={
            problem
              ? problem.message
              : have === 'blocks' && !said.line
                ? 'Say how many blocks there are and how large, and the quilt is drawn here.'
                : have === 'whole' && !begun
                  ? 'Measure it both ways, and it is drawn here. Three readings each way come to their average: 64 7/8, 65, 65 1/8.'
                  : null
          }
          onMake={() => void make()}
        >
          {sound && target && (
            <Fitted plan={sound} target={target} bordered={border !== 'none'} onFit={setFitted} />
          )}
        </Drawn>
      </Halves>
    </PageFrame>
  );
}

/** Between which edges a tape is laid. */
const EDGES = { quilt: 'edge to edge', top: 'raw edge to raw edge' } as const;

/** A size one begins to type over. */
const SIZES: Readonly<Record<Unit, { readonly width: number; readonly height: number }>> = {
  in: { width: 60, height: 72 },
  cm: { width: 150, height: 180 },
};

const sizeOfBed = (id: BedId, unit: Unit): string => {
  const { width, length } = mattress(id, unit);
  return `${formatLength(width, unit)} × ${formatLength(length, unit)}`;
};
