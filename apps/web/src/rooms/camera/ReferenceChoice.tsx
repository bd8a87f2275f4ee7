import { fromInches, type Unit } from '@lattice/core';
import { type Reference, SHEETS } from '@lattice/photo';
import styled from 'styled-components';
import { usualPaper } from '../../browser/device.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';

/** What is measured by: a sheet that was printed, cards laid round, or four places pointed at. */
export interface MeasuredBy {
  readonly kind: 'letter' | 'a4' | 'cards' | 'places';
  /** Sides of the rectangle, across and down as it lies in the picture, in inches; for cards and places. */
  readonly sides: readonly [number, number];
}

const Note = styled.p`
  margin: 2px 0 8px;
  font-size: var(--size-note);
  color: var(--soft);
`;

const KINDS = [
  { id: 'letter', name: 'Printed sheet, Letter' },
  { id: 'a4', name: 'Printed sheet, A4' },
  { id: 'cards', name: 'Four cards round the block' },
  { id: 'places', name: 'Four points of my own' },
] as const;

const SAYS: Readonly<Record<MeasuredBy['kind'], string>> = {
  letter: 'Lay it close beside the block, all four squares in the photo.',
  a4: 'Lay it close beside the block, all four squares in the photo.',
  cards:
    'The surest: a lens bends lines, and what lies round the block tells how. Measure the rectangle of their outer corners.',
  places: 'Crossings of a cutting mat, or corners of a ruler: as far apart as they can be, round the block.',
};

/** As it is used where this device is. */
export const usualReference = (): MeasuredBy => ({
  kind: usualPaper(),
  sides: [12, 16],
});

/** The reference as the camera takes it. */
export const referenceOf = ({ kind, sides }: MeasuredBy): Reference =>
  kind === 'letter' || kind === 'a4' ? SHEETS[kind] : { kind: 'cards', sides };

/** Which reference lies there, and how far apart its corners are. */
export function ReferenceChoice({
  value,
  unit,
  onChange,
}: {
  value: MeasuredBy;
  unit: Unit;
  onChange: (next: MeasuredBy) => void;
}) {
  const side = (k: 0 | 1) => (length: number) => {
    const inches = length / fromInches(1, unit);
    if (!(inches > 1 && inches < 200)) return 'Corners of a rectangle lie more than an inch apart.';
    onChange({ ...value, sides: k === 0 ? [inches, value.sides[1]] : [value.sides[0], inches] });
    return null;
  };
  return (
    <div>
      <ChoiceField
        label="Measured by"
        labelled
        value={value.kind}
        choices={KINDS}
        onChange={(kind) => onChange({ ...value, kind: kind as MeasuredBy['kind'] })}
      />
      <Note>{SAYS[value.kind]}</Note>
      {(value.kind === 'cards' || value.kind === 'places') && (
        <>
          <LengthField
            label="Across, outer corners"
            value={fromInches(value.sides[0], unit)}
            unit={unit}
            step={unit === 'in' ? 0.5 : 1}
            onCommit={side(0)}
          />
          <LengthField
            label="Down, outer corners"
            value={fromInches(value.sides[1], unit)}
            unit={unit}
            step={unit === 'in' ? 0.5 : 1}
            onCommit={side(1)}
          />
        </>
      )}
    </div>
  );
}
