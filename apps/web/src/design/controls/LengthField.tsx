import { formatLength, formatWithUnit, parseLength, rulerStep, type Unit } from '@lattice/core';
import { useState } from 'react';
import { Button, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { useAnswered } from '../answered.ts';
import { Lengths } from '../Lengths.tsx';
import { Box, BoxInput, FieldLabel, fieldRow, Understood, Wrong } from './fieldStyles.ts';
import { touch } from '../media.ts';

const Row = styled(TextField)`
  ${fieldRow}
`;
/** The typeset figure lies over the input while nobody types in it, since an input cannot set fractions. */
const Typeset = styled.span`
  position: absolute;
  inset: 0 30px;
  display: flex;
  align-items: center;
  justify-content: center;
  pointer-events: none;
  font-weight: 650;
  font-stretch: 88%;
  white-space: nowrap;
  ${touch} {
    inset: 0 44px;
  }
`;
const LengthInput = styled(BoxInput)<{ $hidden: boolean }>`
  color: ${({ $hidden }) => ($hidden ? 'transparent' : 'inherit')};
`;

interface LengthFieldProps {
  readonly label: string;
  /** Null where no length is known yet: the field is empty, and has nothing to be stepped from. */
  readonly value: number | null;
  readonly unit: Unit;
  /** Takes the new length; answers what is wrong with it, or null when it was taken. */
  readonly onCommit: (value: number) => string | null;
  /** The field was emptied; without it an empty field is a length that is missing. */
  readonly onClear?: () => void;
  readonly step?: number;
  /** The cursor goes into it when it appears. */
  readonly autoFocus?: boolean;
}

/**
 * A length typed as quilters write it, or stepped along the ruler with the buttons and arrow keys.
 * What was typed stays until it is right; the last good length stays in force meanwhile.
 */
export function LengthField({
  label,
  value,
  unit,
  onCommit,
  onClear,
  step = rulerStep(unit),
  autoFocus = false,
}: LengthFieldProps) {
  const answered = useAnswered();
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [focused, setFocused] = useState(false);
  const written = value === null ? '' : formatWithUnit(value, unit);
  const parsed = draft === null ? null : parseLength(draft, unit);
  const understood =
    parsed?.ok && parsed.writtenIn !== null && parsed.writtenIn !== unit ? parsed.understood : null;

  const nothing = value === null && !parsed?.ok;

  const commit = (next: number): boolean => {
    const wrong = answered(onCommit(next));
    setProblem(wrong);
    if (wrong === null) setDraft(null);
    return wrong === null;
  };
  const finish = () => {
    if (draft === null) return;
    if (draft.trim() === '' && (value === null || onClear)) {
      setDraft(null);
      setProblem(null);
      if (value !== null) onClear?.();
      return;
    }
    const read = parseLength(draft, unit);
    if (read.ok) commit(read.value);
    else setProblem(read.message);
  };
  const stepBy = (steps: number) => {
    const from = parsed?.ok ? parsed.value : value;
    if (from === null) return;
    const next = Math.round((from + steps * step) / step) * step;
    if (!commit(next)) setDraft(formatLength(next, unit));
  };

  return (
    <Row
      value={draft ?? written}
      onChange={(text) => {
        setDraft(text);
        setProblem(null);
      }}
      isInvalid={problem !== null}
      autoFocus={autoFocus}
      onFocus={() => setFocused(true)}
      onBlur={() => {
        setFocused(false);
        finish();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Enter') finish();
        else if (event.key === 'Escape' && draft !== null) {
          setDraft(null);
          setProblem(null);
        } else if (event.key === 'ArrowUp') stepBy(1);
        else if (event.key === 'ArrowDown') stepBy(-1);
        else {
          event.continuePropagation();
          return;
        }
        event.preventDefault();
      }}
      validationBehavior="aria"
    >
      <FieldLabel>{label}</FieldLabel>
      <Box isInvalid={problem !== null}>
        <Button
          slot={null}
          aria-label={`Less: ${label}`}
          onPress={() => stepBy(-1)}
          isDisabled={nothing}
          excludeFromTabOrder
        >
          −
        </Button>
        <LengthInput
          $hidden={!focused && draft === null}
          inputMode="text"
          autoComplete="off"
          spellCheck={false}
          onFocus={(event) => event.currentTarget.select()}
        />
        {!focused && draft === null && (
          <Typeset aria-hidden>
            <Lengths text={written} />
          </Typeset>
        )}
        <Button
          slot={null}
          aria-label={`More: ${label}`}
          onPress={() => stepBy(1)}
          isDisabled={nothing}
          excludeFromTabOrder
        >
          +
        </Button>
      </Box>
      {understood !== null && problem === null && (
        <Understood slot="description">
          Understood as <Lengths text={understood} />
        </Understood>
      )}
      <Wrong>{problem}</Wrong>
    </Row>
  );
}
