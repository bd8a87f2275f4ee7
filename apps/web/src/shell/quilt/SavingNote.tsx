import { X } from 'lucide-react';
import { lazy, Suspense } from 'react';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { itemsText } from '../../rooms/frame/OutboxNote.tsx';
import { type Saving, togetherSeen } from '../../state/savingSlice.ts';

const ChangedElsewhere = lazy(async () => ({
  default: (await import('./ChangedElsewhere.tsx')).ChangedElsewhere,
}));

const Note = styled.span`
  font-size: var(--size-note);
  min-width: 0;
  overflow: hidden;
  color: var(--soft);
  text-overflow: ellipsis;
  white-space: nowrap;
  &[data-state='offline'],
  &[data-state='refused'] {
    color: var(--wrong);
    white-space: normal;
    max-width: 40ch;
    line-height: 1.25;
  }
`;
const Together = styled.span`
  display: inline-flex;
  align-items: center;
  padding-left: 10px;
  border-radius: 8px;
  background: var(--brass-wash);
  font-size: var(--size-note);
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
  const looking = useAppSelector((s) => s.house.who === 'view');
  const state = isNew ? (message === null ? 'waiting' : 'offline') : saving.state;
  const said = isNew ? (message ?? 'Saving…') : words(saving);
  const dispatch = useAppDispatch();
  if (looking) return <Note role="status">View only: try anything, nothing is saved</Note>;
  return (
    <>
      <Note role="status" data-state={state}>
        {said}
        {besides.length > 0 && !isNew && ` · on the way: ${itemsText(besides)}`}
      </Note>
      {saving.together !== null && (
        <Together>
          Put together with what was changed elsewhere ({saving.together}).
          <Button look="quiet" aria-label="Close this note" onPress={() => dispatch(togetherSeen())}>
            <X size={14} aria-hidden />
          </Button>
        </Together>
      )}
      {saving.theirs && (
        <Suspense>
          <ChangedElsewhere theirs={saving.theirs} />
        </Suspense>
      )}
    </>
  );
}
