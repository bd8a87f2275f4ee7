import {
  formatLength,
  formatWithUnit,
  type InStock,
  numberOf,
  type StashPiece,
  stockPlace,
  type StockJob,
  type Unit,
} from '@lattice/core';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { useSheet } from '../../browser/useInAddress.ts';
import { AdviceFor } from '../figures/AdviceFor.tsx';
import { newId } from '../../browser/tabs.ts';
import { selectKeptPlan, selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { type Draft, freshDraft, StashPieceForm } from './StashPieceForm.tsx';
import { moveStash, putInStash, selectStash } from './stash.ts';
import { GiveBack } from './GiveBack.tsx';

const List = styled.ul`
  font-size: var(--size-text);
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto;
    align-items: center;
    gap: 6px;
    min-height: 38px;
    border-top: 1px dashed var(--line);
  }
  small {
    color: var(--soft);
    font-size: var(--size-note);
  }
  [role='note'] {
    grid-column: 1 / -1;
  }
`;

interface Words {
  /** What the list is called: "Leftovers to bind with". */
  readonly list: string;
  readonly one: string;
  readonly add: string;
}
const WORDS: Readonly<Record<StockJob, Words>> = {
  binding: { list: 'Leftovers to bind with', one: 'Leftover', add: 'A strip that is not in the stash yet' },
  batting: { list: 'Batting that is there', one: 'Batting', add: 'A piece that is not in the stash yet' },
};

/**
 * What is in hand to be used up for a job: pieces of the stash set aside for it, and those that came along with the
 * plan. What is added goes into the stash first; there is one stock.
 *
 * @param fits whether a piece of the stash is of use here
 * @param usual size a piece begins with that is said anew
 */
export function StockList({
  job,
  fits,
  usual,
}: {
  job: StockJob;
  fits: (piece: StashPiece) => boolean;
  usual: { readonly width: number; readonly length: number };
}) {
  const { unit, stock, title } = useAppSelector(selectPlan);
  const own = useAppSelector(selectKeptPlan).stock;
  const id = useAppSelector((s) => s.saving.id)!;
  const stash = useAppSelector((s) => selectStash(s, unit));
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const [open, setOpen] = useState(false);
  const sheet = useSheet(`stock-${job}`);
  const { list, one, add } = WORDS[job];
  const cloth = stockPlace(job);
  const aside = stash.flatMap((piece) =>
    piece.aside.filter((to) => to.quilt === id && to.cloth === cloth).map(({ count }) => ({ piece, count })),
  );
  const came = own.filter((piece) => piece.for === job);
  const free = stash.filter((piece) => piece.free > 0 && fits(piece));
  const move = (piece: StashPiece, to: 'aside' | 'back', count: number) =>
    void dispatch(moveStash({ piece: piece.id, count, to, quilt: id, cloth }));
  const drop = ({ id: gone }: InStock) =>
    edit((p) => ({ ...p, stock: p.stock.filter((piece) => piece.id !== gone) }));
  /** Into the stash, and set aside for this quilt at once. */
  const put = async (piece: Draft) => {
    const at = newId();
    await dispatch(putInStash([{ ...piece, id: at }]));
    await dispatch(moveStash({ piece: at, count: piece.count, to: 'aside', quilt: id, cloth }));
  };
  const fresh = (size: { width: number; length: number }): Draft => ({
    ...freshDraft(unit),
    name: job === 'batting' ? 'Batting' : 'A strip',
    colour: job === 'batting' ? '#f3efe2' : '#6a7f4e',
    kind: job === 'batting' ? 'batting' : 'strip',
    ...size,
  });
  return (
    <div role="group" aria-label={list}>
      <List>
        {aside.map(({ piece, count }) => (
          <li key={piece.id}>
            <span>
              <Lengths text={`${count > 1 ? `${count} × ` : ''}${piece.name}, ${sizeOf(piece, unit)}`} />{' '}
              <small>from the stash</small>
            </span>
            <GiveBack piece={piece} onPress={() => move(piece, 'back', count)} />
          </li>
        ))}
        {came.map((piece, i) => (
          <li key={piece.id}>
            <span>
              <Lengths text={`${one} ${i + 1}, ${sizeOf(piece, unit)}`} /> <small>came with the plan</small>
            </span>
            <Button
              look="quiet"
              aria-label={`Put ${one.toLowerCase()} ${i + 1} into the stash`}
              onPress={() => {
                void put({
                  ...fresh({ width: piece.width, length: piece.length }),
                  name: `${one} of ${title}`.slice(0, 60),
                });
                drop(piece);
              }}
            >
              Into the stash
            </Button>
            <Button
              look="quiet"
              aria-label={`Take ${one.toLowerCase()} ${i + 1} off the list`}
              onPress={() => drop(piece)}
            >
              Remove
            </Button>
          </li>
        ))}
      </List>
      {stock.map((piece, at) =>
        piece.for === job ? <AdviceFor key={piece.id} path={`stock.${at}`} /> : null,
      )}
      <Button look="quiet" aria-expanded={open} onPress={() => setOpen(!open)}>
        <Plus size={15} aria-hidden />
        {open ? 'Close the stash' : 'From the stash…'}
      </Button>
      {open && (
        <List aria-label={`In the stash: ${list.toLowerCase()}`}>
          {free.length === 0 && <li>Nothing there is of use here.</li>}
          {free.map((piece) => (
            <li key={piece.id}>
              <span>
                <Lengths text={`${piece.name}, ${sizeOf(piece, unit)}`} />{' '}
                <small>{numberOf(piece.free, 'piece')} free</small>
              </span>
              <Button aria-label={`Set aside ${piece.name}`} onPress={() => move(piece, 'aside', 1)}>
                Set aside
              </Button>
            </li>
          ))}
          <li>
            <Button look="quiet" onPress={() => sheet.show()}>
              {add}
            </Button>
          </li>
        </List>
      )}
      {sheet.open !== null && (
        <StashPieceForm
          draft={fresh(usual)}
          onClose={sheet.close}
          onPut={(piece) => {
            void put(piece);
            sheet.close();
          }}
        />
      )}
    </div>
  );
}

const sizeOf = ({ width, length }: { width: number; length: number }, unit: Unit): string =>
  `${formatLength(width, unit)} × ${formatWithUnit(length, unit)}`;
