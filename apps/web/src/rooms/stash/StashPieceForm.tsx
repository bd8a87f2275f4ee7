import {
  givesSays,
  PRECUT_IDS,
  PRECUTS,
  type PrecutId,
  STASH_KINDS,
  type StashKind,
  type StashPiece,
  type Unit,
} from '@lattice/core';
import { useState } from 'react';
import { Input, Label, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { CountField } from '../../design/controls/CountField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { PriceField } from '../../design/controls/PriceField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { PictureField } from './PictureField.tsx';

const Form = styled.div`
  display: grid;
  gap: 6px;
  .name {
    display: flex;
    align-items: center;
    gap: 10px;
    padding: 4px 0;
  }
  .name input:not([type='color']) {
    flex: 1;
    padding: 6px 10px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--field);
  }
  input[type='color'] {
    width: 36px;
    height: 36px;
    padding: 0;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: none;
  }
  .end {
    display: flex;
    justify-content: flex-end;
    gap: 10px;
    margin-top: 10px;
  }
`;
/** What pieces of each kind are called. */
export const KIND_NAMES: Readonly<Record<StashKind, string>> = {
  yardage: 'Yardage',
  'fat-quarter': 'Fat quarter',
  strip: 'Strip',
  square: 'Square',
  piece: 'Piece',
  batting: 'Batting',
};

/** What a piece of each kind usually is, usable: a fat quarter of 18 × 22 gives 21 × 17 1/2 (common practice). */
const USUAL: Readonly<Record<StashKind, Readonly<Record<Unit, readonly [width: number, length: number]>>>> = {
  yardage: { in: [40, 36], cm: [106, 100] },
  'fat-quarter': { in: [21, 17.5], cm: [53, 45] },
  strip: { in: [40, 2.5], cm: [106, 6.5] },
  square: { in: [10, 10], cm: [25, 25] },
  piece: { in: [12, 9], cm: [30, 25] },
  batting: { in: [45, 60], cm: [115, 150] },
};

/** What a precut is kept as. */
const KIND_OF: Readonly<Record<PrecutId, StashKind>> = {
  'fat-quarter': 'fat-quarter',
  'fat-eighth': 'piece',
  strip: 'strip',
  'square-10': 'square',
  'square-5': 'square',
};
const SOLD = [
  { id: 'other', name: 'By its size' },
  ...PRECUT_IDS.map((id) => ({ id, name: PRECUTS[id].name })),
];

/** Cloth that is being put in, or said otherwise. */
export type Draft = Omit<StashPiece, 'free' | 'aside' | 'gone' | 'id'> & { readonly id?: string };

/** What one begins with. */
export const freshDraft = (unit: Unit): Draft => ({
  name: 'A fat quarter',
  colour: '#6a7f4e',
  kind: 'fat-quarter',
  unit,
  width: USUAL['fat-quarter'][unit][0],
  length: USUAL['fat-quarter'][unit][1],
  count: 1,
  direction: 'none',
  alike: false,
  washed: false,
  price: null,
  from: '',
});

/** The form: what a cloth is called, what it is and how large. */
export function StashPieceForm({
  draft,
  onClose,
  onPut,
}: {
  draft: Draft;
  onClose: () => void;
  onPut: (piece: Draft) => void;
}) {
  const [piece, setPiece] = useState(draft);
  const change = (to: Partial<Draft>) => {
    setPiece((had) => ({ ...had, ...to }));
    return null;
  };
  const { unit } = piece;
  const gives = piece.kind === 'batting' ? '' : givesSays(piece, unit);
  return (
    <Sheet
      title={draft.id ? 'Cloth in the stash' : 'Put cloth in the stash'}
      width={460}
      isOpen
      onClose={onClose}
    >
      <Form>
        <TextField className="name" value={piece.name} onChange={(name) => change({ name })} maxLength={60}>
          <Label>Name</Label>
          <Input />
          <input
            type="color"
            aria-label="Its colour"
            value={piece.colour}
            onChange={(event) => change({ colour: event.target.value })}
          />
        </TextField>
        <ChoiceField
          label="Kind"
          labelled
          value={piece.kind}
          choices={STASH_KINDS.map((id) => ({ id, name: KIND_NAMES[id] }))}
          onChange={(id) => {
            const kind = id as StashKind;
            const [width, length] = USUAL[kind][unit];
            change({ kind, width, length });
          }}
        />
        <ChoiceField
          label="As it is sold"
          labelled
          value="other"
          choices={SOLD}
          onChange={(id) => {
            if (id === 'other') return;
            const precut = id as PrecutId;
            const [width, length] = PRECUTS[precut].size[unit];
            change({ kind: KIND_OF[precut], width, length, name: PRECUTS[precut].name });
          }}
        />
        <LengthField
          label="Usable, across"
          value={piece.width}
          unit={unit}
          onCommit={(width) => change({ width })}
        />
        <LengthField
          label="Along the selvage"
          value={piece.length}
          unit={unit}
          onCommit={(length) => change({ length })}
        />
        {gives !== '' && (
          <p data-testid="gives">
            <small>
              One gives <Lengths text={gives} />.
            </small>
          </p>
        )}
        <CountField
          label="How many"
          value={piece.count}
          onCommit={(count) => (count < 1 || count > 5000 ? 'From 1 to 5,000.' : change({ count }))}
        />
        <PriceField
          label={unit === 'in' ? 'Price of a yard' : 'Price of a metre'}
          value={piece.price}
          onCommit={(price) => change({ price })}
        />
        <SwitchField label="Washed" value={piece.washed} onChange={(washed) => change({ washed })} />
        <SwitchField
          label="Both sides look alike"
          value={piece.alike}
          onChange={(alike) => change({ alike })}
        />
        <PictureField
          of={piece.name}
          value={piece.picture}
          onMade={(picture, colour) => change({ picture, ...(colour !== null && { colour }) })}
          onNone={() => change({ picture: undefined })}
        />
        <TextField className="name" value={piece.from} onChange={(from) => change({ from })} maxLength={120}>
          <Label>From</Label>
          <Input />
        </TextField>
        <div className="end">
          <Button onPress={onClose}>Leave it</Button>
          <Button look="main" isDisabled={piece.name.trim() === ''} onPress={() => onPut(bare(piece))}>
            {draft.id ? 'Keep' : 'Put it in'}
          </Button>
        </div>
      </Form>
    </Sheet>
  );
}

/** What a maker says of a piece. */
const SAID = [
  ...['id', 'name', 'colour', 'kind', 'unit', 'width', 'length', 'count'],
  ...['direction', 'alike', 'washed', 'price', 'from', 'picture'],
] as const satisfies readonly (keyof Draft)[];

/** What is put in, without what the log works out. */
const bare = (draft: Draft): Draft =>
  Object.fromEntries(
    SAID.flatMap((key) => {
      const value = key === 'name' ? draft.name.trim() : draft[key];
      return value === undefined ? [] : [[key, value]];
    }),
  ) as unknown as Draft;
