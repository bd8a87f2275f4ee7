import { CLOTH_DIRECTIONS, type ClothDirection, DIRECTION_NAMES, type Fabric } from '@lattice/core';
import { Input, Label, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { PercentField } from '../../design/controls/PercentField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { useEdit } from '../../state/useEdit.ts';
import { PictureField } from './PictureField.tsx';
import { touch } from '../../design/media.ts';

const DIRECTIONS = CLOTH_DIRECTIONS.map((id) => ({ id, name: DIRECTION_NAMES[id] }));

const Habits = styled.details`
  font-size: var(--size-text);
  summary {
    min-height: 32px;
    padding: 5px 0;
    cursor: pointer;
    color: var(--soft);
  }
  summary:focus-visible {
    outline: 2px solid var(--chalk);
    outline-offset: 2px;
  }
  summary b {
    font-weight: 600;
    color: var(--ink);
  }
  ${touch} {
    summary {
      min-height: var(--finger);
      padding: 11px 0;
    }
  }
`;

const From = styled(TextField)`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-height: 42px;
  input {
    width: 22ch;
    padding: 4px 8px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--field);
  }
`;

/** Changes one fabric of the plan. */
export function useFabricEdit({ id }: Pick<Fabric, 'id'>) {
  const edit = useEdit();
  return (part: Partial<Fabric>, gesture: string | null = null) =>
    edit((p) => ({ ...p, fabrics: p.fabrics.map((f) => (f.id === id ? { ...f, ...part } : f)) }), gesture);
}

/** Which way a cloth's print runs. */
export function DirectionField({ fabric, label }: { fabric: Fabric; label: string }) {
  const change = useFabricEdit(fabric);
  return (
    <ChoiceField
      labelled
      label={label}
      value={fabric.direction}
      choices={DIRECTIONS}
      onChange={(direction) => change({ direction: direction as ClothDirection })}
    />
  );
}

/** What there is to know of a cloth besides its width: its print, its sides, what the wash takes. Told in a line, opened to change. */
export function ClothHabits({ fabric }: { fabric: Fabric }) {
  const change = useFabricEdit(fabric);
  const told = [
    fabric.direction === 'none' ? '' : DIRECTION_NAMES[fabric.direction].toLowerCase(),
    fabric.alike ? 'both sides alike' : '',
    fabric.washed ? 'washed' : fabric.shrinkage > 0 ? `shrinks ${fabric.shrinkage} %` : '',
    fabric.from && `from ${fabric.from}`,
    fabric.picture && 'a photo',
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <Habits>
      <summary>
        Print, sides, wash, photo
        {told && (
          <>
            : <b>{told}</b>
          </>
        )}
      </summary>
      <DirectionField fabric={fabric} label="Its print" />
      <SwitchField
        label="Both sides look alike"
        value={fabric.alike}
        onChange={(alike) => void change({ alike })}
      />
      <SwitchField
        label="Washed already"
        value={fabric.washed}
        onChange={(washed) => void change({ washed })}
      />
      {!fabric.washed && (
        <PercentField
          label="Shrinks when washed first, %"
          value={fabric.shrinkage}
          most={20}
          onCommit={(shrinkage) => change({ shrinkage })}
        />
      )}
      <From
        key={fabric.from}
        defaultValue={fabric.from}
        maxLength={120}
        onBlur={(event) => void change({ from: (event.target as HTMLInputElement).value.trim() })}
      >
        <Label>From</Label>
        <Input />
      </From>
      <PictureField
        of={fabric.name}
        value={fabric.picture}
        onMade={(picture, colour) => void change({ picture, ...(colour !== null && { colour }) })}
        onNone={() => void change({ picture: undefined })}
      />
    </Habits>
  );
}
