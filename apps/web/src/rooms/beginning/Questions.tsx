import {
  type AnySetting,
  type BedId,
  BEDS,
  blankPlan,
  BORDERS_OFFERED,
  formatLength,
  mattress,
  type SettingKind,
  SETTINGS,
  type Unit,
} from '@lattice/core';
import { Label } from 'react-aria-components';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { SettingCard } from '../../design/SettingCard.ts';
import { SettingSample } from '../drawing/SettingSample.tsx';
import type { Answers } from './answers.ts';
import { Cards, Chip, Chips } from './NewQuilt.styles.ts';
import { PileLineField } from './PileLineField.tsx';
import { PlacesField } from './PlacesField.tsx';
import type { BeingBegun } from './useNewQuilt.ts';

interface Asking {
  readonly begun: BeingBegun;
}

const PLAIN = SETTINGS.filter((setting: AnySetting) => !setting.whole);
/** Settings a size can be reached with where no block is there yet. */
const TO_MAKE = PLAIN.filter((setting: AnySetting) => !setting.otherBlocks);

/** The allowance a new quilt begins with in a unit. */
const usualSeam = (unit: Unit): number => blankPlan(unit).seam;

/** Blocks that are finished, in one line. */
export const BlocksSaid = ({ begun: { said, unit, make } }: Asking) => (
  <PileLineField
    said={said}
    seam={usualSeam}
    unit={unit}
    label="How many, and how large?"
    autoFocus
    onEnter={make}
  />
);

/** Between which edges a tape is laid. */
const EDGES = { quilt: 'edge to edge', top: 'raw edge to raw edge' } as const;

/** A top or a quilt, measured both ways. */
export function WholeMeasured({ begun: { answers, answer, width, height, unit, make } }: Asking) {
  const { layered } = answers;
  return (
    <>
      <Chips
        value={layered}
        onChange={(id) => answer({ layered: id as Answers['layered'] })}
        orientation="horizontal"
      >
        <Label className="ask">Which is it?</Label>
        <Chip value="quilt">A quilt, quilted and trimmed</Chip>
        <Chip value="top">A sewn top, to be quilted yet</Chip>
      </Chips>
      <div className="narrow">
        <PlacesField
          label={`Its width, ${EDGES[layered]}`}
          places={width}
          unit={unit}
          autoFocus
          onEnter={make}
        />
        <PlacesField label={`Its height, ${EDGES[layered]}`} places={height} unit={unit} onEnter={make} />
      </div>
    </>
  );
}

/** Blocks still to be made for a size. */
export const ToMake = ({ begun: { answers, answer, unit } }: Asking) => (
  <div className="narrow">
    <LengthField
      label="Blocks to make, finished"
      value={answers.block}
      unit={unit}
      onCommit={(block) => {
        answer({ block });
        return null;
      }}
    />
  </div>
);

const sizeOfBed = (id: BedId, unit: Unit): string => {
  const { width, length } = mattress(id, unit);
  return `${formatLength(width, unit)} × ${formatLength(length, unit)}`;
};

/** A country's bed by its name, and its size where the name does not say it. */
const bedNames = (unit: Unit) =>
  BEDS.map(({ id, country, name }) => ({
    id,
    name: `${country} ${name.includes('×') ? name : `${name}, ${sizeOfBed(id, unit)}`}`,
  }));

/** As it comes, for a bed, or to a size. */
export function SizeWanted({ begun: { have, wants, onWants, answers, answer, unit } }: Asking) {
  const { bed, size } = answers;
  return (
    <>
      <Chips value={wants} onChange={(id) => onWants(id as Answers['forWhat'])} orientation="horizontal">
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
            choices={bedNames(unit)}
            onChange={(id) => answer({ bed: id as BedId })}
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
                answer({ size: { ...size, [side]: value } });
                return null;
              }}
            />
          ))}
        </div>
      )}
    </>
  );
}

/** What the chip of a border is called in its group. */
const borderChip = ({ border }: Answers, fits: boolean): string =>
  border === null ? (fits ? 'fit' : 'none') : String(border);
const borderOf = (chip: string): Answers['border'] => {
  if (chip === 'fit') return null;
  return chip === 'none' ? 'none' : Number(chip);
};

/** The setting, and a border round it. */
export function HowItIsSet({ begun: { have, target, answers, answer, unit } }: Asking) {
  return (
    <>
      <Cards
        value={answers.setting}
        onChange={(kind) => answer({ setting: kind as SettingKind })}
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
        value={borderChip(answers, target !== null)}
        onChange={(chip) => answer({ border: borderOf(chip) })}
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
  );
}
