import styled from 'styled-components';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { Button } from '../design/controls/Button.tsx';
import { itemsText } from '../outbox/OutboxNote.tsx';
import { keepMine, takeTheirs } from './saving.ts';
import type { Saving } from './savingSlice.ts';

const Note = styled.span`
  font-size: 13px;
  color: var(--soft);
  white-space: nowrap;
  &[data-state='offline'],
  &[data-state='refused'] {
    color: var(--wrong);
    white-space: normal;
    max-width: 40ch;
    line-height: 1.25;
  }
`;
const Banner = styled.div`
  position: fixed;
  z-index: 20;
  inset: 64px 16px auto;
  max-width: 640px;
  margin: 0 auto;
  padding: 14px 18px;
  border: 1px solid var(--brass);
  border-radius: 12px;
  background: var(--brass-wash);
  color: var(--ink);
  box-shadow: var(--shadow);
  div {
    display: flex;
    gap: 8px;
    margin-top: 10px;
  }
`;

const words = ({ state, revision, message }: Saving): string => {
  switch (state) {
    case 'saved':
      return `Saved · revision ${revision}`;
    case 'waiting':
    case 'saving':
      return 'Saving…';
    case 'stale':
      return 'Not saved: changed elsewhere';
    case 'offline':
    case 'refused':
      return message ?? 'Not saved';
  }
};

/** How the quilt is saved, always in sight; and the choice when it was changed elsewhere meanwhile. */
export function SavingNote() {
  const saving = useAppSelector((s) => s.saving);
  const { items, message } = useAppSelector((s) => s.outbox);
  const own = items.filter((item) => item.quilt === saving.id && item.refused === undefined);
  const besides = own.filter((item) => item.kind !== 'plan');
  // A quilt that is only here yet is not saved, whatever its draft is.
  const isNew = own.some((item) => item.kind === 'quilt');
  const state = isNew ? (message === null ? 'waiting' : 'offline') : saving.state;
  const said = isNew ? (message ?? 'Saving…') : words(saving);
  const dispatch = useAppDispatch();
  return (
    <>
      <Note role="status" data-state={state}>
        {said}
        {besides.length > 0 && !isNew && ` · on the way: ${itemsText(besides)}`}
      </Note>
      {saving.theirs && (
        <Banner role="alert">
          <strong>This quilt was changed in another tab or window.</strong>
          <p>
            It is at revision {saving.theirs.revision} there; your changes here were made to revision{' '}
            {saving.revision} and are not lost. Choose which goes on; undo brings the other back.
          </p>
          <div>
            <Button look="main" onPress={() => dispatch(keepMine())}>
              Keep mine
            </Button>
            <Button onPress={() => dispatch(takeTheirs())}>Use the newer one</Button>
          </div>
        </Banner>
      )}
    </>
  );
}
