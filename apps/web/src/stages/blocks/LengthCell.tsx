import { formatLength, parseLength, type Unit } from '@lattice/core';
import { useState } from 'react';
import styled from 'styled-components';
import { useAnswered } from '../../design/answered.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { touch } from '../../design/media.ts';

/** The typeset figure lies over the input while nobody types in it, since an input cannot set fractions. */
const Frame = styled.span`
  position: relative;
  display: block;
  > span {
    position: absolute;
    inset: 0 6px 0 0;
    display: flex;
    align-items: center;
    justify-content: flex-end;
    font-weight: 600;
    font-stretch: 88%;
    pointer-events: none;
  }
  input:not(:focus)[data-set] {
    color: transparent;
  }
  input:focus + span {
    display: none;
  }
`;
const Cell = styled.input`
  width: 100%;
  height: 34px;
  padding: 0 6px;
  border: 1px solid transparent;
  border-radius: 6px;
  background: transparent;
  text-align: right;
  font-weight: 600;
  font-stretch: 88%;
  font-variant-numeric: tabular-nums;
  &:hover {
    border-color: var(--line);
  }
  &:focus {
    outline: none;
    border-color: var(--chalk);
    background: var(--field);
    box-shadow: 0 0 0 1px var(--chalk);
  }
  &[aria-invalid='true'] {
    border-color: var(--wrong);
    color: var(--wrong);
  }
  &::placeholder {
    color: var(--soft);
    font-weight: 400;
  }
  ${touch} {
    height: var(--finger);
  }
`;

interface LengthCellProps {
  readonly label: string;
  readonly cell: string;
  readonly value: number | null;
  readonly unit: Unit;
  /** Takes a new length, or null for an emptied cell; answers what is wrong with it, or null. */
  readonly onCommit: (value: number | null) => string | null;
  /** Tells what is wrong with what stands in the cell, or null when nothing is any more. */
  readonly onProblem: (problem: string | null) => void;
  readonly onFocus: () => void;
}

/** A length in a table: typed as quilters write it, kept when the cell is left or Enter pressed; what cannot be stays, marked. */
export function LengthCell({ label, cell, value, unit, onCommit, onProblem, onFocus }: LengthCellProps) {
  const answered = useAnswered();
  const [draft, setDraft] = useState<string | null>(null);
  const [wrong, setWrong] = useState(false);
  const finish = () => {
    if (draft === null) return;
    const parsed = draft.trim() === '' ? null : parseLength(draft, unit);
    const problem = parsed && !parsed.ok ? parsed.message : answered(onCommit(parsed ? parsed.value : null));
    setWrong(problem !== null);
    onProblem(problem);
    if (problem === null) setDraft(null);
  };
  const typeset = draft === null && value !== null;
  return (
    <Frame>
      <Cell
        data-set={typeset || undefined}
        aria-label={label}
        aria-invalid={wrong}
        data-cell={cell}
        inputMode="text"
        autoComplete="off"
        spellCheck={false}
        placeholder="–"
        value={draft ?? (value === null ? '' : formatLength(value, unit))}
        onChange={(event) => setDraft(event.target.value)}
        onFocus={(event) => {
          event.target.select();
          onFocus();
        }}
        onBlur={finish}
        onKeyDown={(event) => {
          if (event.key === 'Enter') finish();
          if (event.key === 'Escape' && draft !== null) {
            setDraft(null);
            setWrong(false);
            onProblem(null);
          }
        }}
      />
      {typeset && (
        <span aria-hidden>
          <Lengths text={formatLength(value, unit)} />
        </span>
      )}
    </Frame>
  );
}
