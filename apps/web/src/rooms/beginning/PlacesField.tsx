import { readMeasurements, type Unit } from '@lattice/core';
import { useMemo, useState } from 'react';
import { Input, Text, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { FieldLabel, fieldRow } from '../../design/controls/fieldStyles.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { touch } from '../../design/media.ts';

const Row = styled(TextField)`
  ${fieldRow}
  input {
    width: 190px;
    height: 40px;
    padding: 0 10px;
    border: 1.5px solid var(--line);
    border-radius: 8px;
    background: var(--field);
    font-size: var(--size-lead);
    font-weight: 650;
  }
  input:focus {
    outline: none;
    border-color: var(--chalk);
    box-shadow: 0 0 0 1px var(--chalk);
  }
  p {
    grid-column: 1 / -1;
    min-height: 18px;
    margin-top: 3px;
    font-size: var(--size-note);
    color: var(--chalk);
  }
  p[data-wrong] {
    color: var(--wrong);
  }
  ${touch} {
    input {
      height: 46px;
    }
  }
`;

/** A side being measured: what is typed, and what it comes to; null while it is not understood. */
interface Places {
  readonly text: string;
  readonly setText: (text: string) => void;
  readonly length: number | null;
  readonly understood: string | null;
  readonly problem: string | null;
}

export function usePlaces(unit: Unit): Places {
  const [text, setText] = useState('');
  const read = useMemo(() => (text.trim() === '' ? null : readMeasurements(text, unit)), [text, unit]);
  return {
    text,
    setText,
    length: read?.ok ? read.value.length : null,
    understood: read?.ok ? read.value.understood : null,
    problem: read && !read.ok ? read.message : null,
  };
}

/** One side of what is there, measured in one place or several. */
export function PlacesField({
  label,
  places,
  unit,
  autoFocus = false,
  onEnter,
}: {
  label: string;
  places: Places;
  unit: Unit;
  autoFocus?: boolean;
  onEnter: () => void;
}) {
  const { text, setText, understood, problem } = places;
  return (
    <Row value={text} onChange={setText} autoFocus={autoFocus}>
      <FieldLabel>
        {label}
        {unit === 'cm' ? ', cm' : ''}
      </FieldLabel>
      <Input
        autoComplete="off"
        placeholder={unit === 'in' ? '65' : '165'}
        onKeyDown={(event) => event.key === 'Enter' && onEnter()}
      />
      <Text slot="description" elementType="p" data-wrong={problem !== null || undefined} aria-live="polite">
        <Lengths text={problem ?? understood ?? ''} />
      </Text>
    </Row>
  );
}
