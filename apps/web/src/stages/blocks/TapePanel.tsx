import { type BodySaid, placeOf } from '@lattice/contract';
import { convertLength, formatWithUnit, type Unit } from '@lattice/core';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { useTape } from './useTape.ts';

const Body = styled.div`
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--ground);
  .state {
    font-size: var(--size-note);
    color: var(--soft);
  }
  .state[data-state='lost'] {
    color: var(--wrong);
    font-weight: 600;
  }
  .state[data-state='listening'] {
    color: var(--good);
  }
  .keys {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 8px;
  }
`;
const STATES = {
  joining: 'Looking for the tape…',
  listening: 'The tape is listening. Squeeze it, and the cell the cursor is in is filled.',
  lost: 'The tape is out of reach. Typing goes on; it is joined again when it is back.',
} as const;

interface TapePanelProps {
  readonly unit: Unit;
  /** What a block should measure: where the stand-in begins. */
  readonly meant: number;
  /** Takes a reading, in the plan's unit. */
  readonly onReading: (length: number) => void;
}

const post = <N extends 'squeezeTape' | 'carryTape'>(name: N, body: BodySaid<N>) => {
  const { method, path } = placeOf(name);
  const headers = { 'Content-Type': 'application/json' };
  return fetch(path, { method, headers, body: JSON.stringify(body) }).catch(() => null);
};

/** A tape that sends what it measures, and, since this one is a stand-in, its own button and what it is laid on. */
export function TapePanel({ unit, meant, onReading }: TapePanelProps) {
  const [on, setOn] = useState(false);
  const [laidOn, setLaidOn] = useState<number | null>(null);
  const [away, setAway] = useState(false);
  const state = useTape(on, (millimetres) => onReading(convertLength(millimetres / 10, 'cm', unit)));
  const length = laidOn ?? meant;
  return (
    <Section title="Measuring tape">
      <SwitchField label="Take readings from a tape" value={on} onChange={setOn} />
      {state !== 'off' && (
        <Body>
          <p className="state" data-state={state} role="status">
            {STATES[state]}
          </p>
          <LengthField
            label="Stand-in tape laid on"
            value={length}
            unit={unit}
            step={unit === 'in' ? 1 / 16 : 0.1}
            onCommit={(value) =>
              value > 0 && value < convertLength(200, 'in', unit)
                ? (setLaidOn(value), null)
                : `A tape cannot be laid on ${formatWithUnit(value, unit)}.`
            }
          />
          <div className="keys">
            {/* The cursor stays in its cell, as it does with a tape in one's hand. */}
            <span onPointerDown={(event) => event.preventDefault()}>
              <Button
                look="main"
                isDisabled={away}
                preventFocusOnPress
                onPress={() =>
                  void post('squeezeTape', { millimetres: convertLength(length, unit, 'cm') * 10 })
                }
              >
                Squeeze
              </Button>
            </span>
            <Button
              onPress={() => {
                setAway(!away);
                void post('carryTape', { inReach: away });
              }}
            >
              {away ? 'Bring the tape back' : 'Carry the tape off'}
            </Button>
          </div>
        </Body>
      )}
    </Section>
  );
}
