import { pileLineWords, type SizeMeant, type Unit } from '@lattice/core';
import { Input, Label, Text, TextField, ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { Lengths } from '../../design/Lengths.tsx';
import type { SaidPile } from './usePileLine.ts';
import { touch } from '../../design/media.ts';

const Row = styled(TextField)`
  display: grid;
  gap: 5px;
  label {
    font-size: var(--size-text);
  }
  input {
    width: 100%;
    min-height: 42px;
    padding: 6px 12px;
    border: 1.5px solid var(--line);
    border-radius: 9px;
    background: var(--field);
    font-size: var(--size-lead);
    font-weight: 600;
  }
  input:focus {
    outline: none;
    border-color: var(--chalk);
    box-shadow: 0 0 0 1px var(--chalk);
  }
  .said {
    min-height: 20px;
    font-size: var(--size-text);
    color: var(--chalk);
  }
  .said[data-wrong] {
    color: var(--soft);
  }
`;
const Meant = styled(ToggleButtonGroup)`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  margin-top: 6px;
  font-size: var(--size-text);
`;
const Way = styled(ToggleButton)`
  min-height: 32px;
  padding: 3px 12px;
  border: 1.5px solid var(--line);
  border-radius: 16px;
  background: transparent;
  font-size: var(--size-note);
  cursor: pointer;
  &[data-selected] {
    border-color: var(--ink);
    font-weight: 650;
    box-shadow: inset 0 0 0 0.5px var(--ink);
  }
  &[data-focus-visible] {
    outline: 2px solid var(--chalk);
    outline-offset: 2px;
  }
  ${touch} {
    min-height: var(--finger);
    border-radius: 22px;
  }
`;

/**
 * A pile in one line, as it is said: how many and how large. What was understood stands below, with both its sizes;
 * where nobody said which of the two was meant, the likely one is chosen and the other is one press away.
 */
export function PileLineField({
  said,
  seam,
  unit,
  label,
  autoFocus = false,
  onEnter,
}: {
  said: SaidPile;
  seam: (unit: Unit) => number;
  unit: Unit;
  label: string;
  autoFocus?: boolean;
  onEnter: () => void;
}) {
  const { line, problem } = said;
  const sized = line?.groups.filter((group) => group.size !== null && !group.said) ?? [];
  return (
    <div>
      <Row value={said.text} onChange={said.setText} autoFocus={autoFocus}>
        <Label>{label}</Label>
        <Input
          autoComplete="off"
          spellCheck={false}
          enterKeyHint="done"
          placeholder={unit === 'in' ? '30 blocks, 10″ finished' : '30 blocks, 25 cm finished'}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            onEnter();
          }}
        />
        <Text
          slot="description"
          elementType="p"
          className="said"
          data-wrong={problem !== null || undefined}
          aria-live="polite"
        >
          {line ? (
            <Lengths text={pileLineWords(line, seam(line.unit))} />
          ) : (
            <Lengths
              text={problem ?? 'Like 70 of these, cut 6 1/2″; or 12 stars 9 1/2 and 13 chains 9 1/2.'}
            />
          )}
        </Text>
      </Row>
      {sized.length > 0 && (
        <Meant
          aria-label="That size is"
          selectionMode="single"
          disallowEmptySelection
          selectedKeys={[sized[0]!.meant]}
          onSelectionChange={(keys) => said.setMeant([...keys][0] as SizeMeant)}
        >
          <Way id="cut">as they are now, seams on</Way>
          <Way id="finished">as they show, sewn in</Way>
        </Meant>
      )}
    </div>
  );
}
