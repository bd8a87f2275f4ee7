import { numberOf, writePlanJson } from '@lattice/core';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { download } from '../../browser/download.ts';
import type { Thunk } from '../../sync/thunk.ts';
import { ITEM_WORDS, type ItemKind } from '../../state/items.ts';
import type { ShownItem } from '../../state/outboxSlice.ts';

const Note = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  margin-top: 14px;
  padding: 10px 16px;
  border-radius: 10px;
  background: var(--brass-wash);
  color: var(--ink);
  font-size: var(--size-text);
  &[data-wrong] {
    background: var(--wrong-wash);
  }
  p {
    flex: 1 1 300px;
  }
`;

/** "1 new quilt, 2 pictures". */
export function itemsText(items: readonly ShownItem[]): string {
  const counts = new Map<ItemKind, number>();
  for (const { kind } of items) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return [...counts].map(([kind, count]) => numberOf(count, ...ITEM_WORDS[kind])).join(', ');
}

const sendNow =
  (): Thunk<void> =>
  (_dispatch, _getState, { outbox }) =>
    void outbox.send();
const letGo =
  (id: string): Thunk<void> =>
  (_dispatch, _getState, { outbox }) =>
    void outbox.drop(id);

const tryAgain =
  (id: string): Thunk<void> =>
  (_dispatch, _getState, { outbox }) =>
    void outbox.tryAgain(id);
/** Saves what an item holds as a file: a plan as a plan, a picture as it is, the rest as it stands. */
const saveItem =
  (id: string): Thunk<Promise<void>> =>
  async (_dispatch, _getState, { outbox }) => {
    const item = (await outbox.items()).find((one) => one.id === id);
    if (!item) return;
    if (item.kind === 'picture')
      return download(`${item.id}.${item.file.type.split('/')[1] ?? 'bin'}`, item.file, item.file.type);
    if (item.kind === 'quilt' || item.kind === 'plan')
      return download(`${item.plan.title}.plan.json`, writePlanJson(item.plan), 'application/json');
    download(`${item.id}.json`, `${JSON.stringify(item, null, 1)}\n`, 'application/json');
  };

/** What this browser has still to send, why it waits, and what the server would not take. Nothing when there is none. */
export function OutboxNote() {
  const { items, message, fleeting } = useAppSelector((s) => s.outbox);
  const dispatch = useAppDispatch();
  const waiting = items.filter((item) => item.refused === undefined);
  const refused = items.filter((item) => item.refused !== undefined && item.kind !== 'plan');
  return (
    <>
      {fleeting && (
        <Note role="status">
          <p>
            This browser keeps nothing once it is closed, as in a private window: wait for “Saved” before you
            close it.
          </p>
        </Note>
      )}
      {waiting.length > 0 && message !== null && (
        <Note role="status" data-testid="outbox">
          <p>
            {message} {itemsText(waiting)} {waiting.length === 1 ? 'waits' : 'wait'} in this browser and{' '}
            {waiting.length === 1 ? 'goes' : 'go'} by {waiting.length === 1 ? 'itself' : 'themselves'}.
          </p>
          {waiting.map(({ id, quilt, title }) =>
            title === undefined ? null : (
              <Link key={id} to={`/quilts/${quilt}/setting`}>
                Open “{title}”
              </Link>
            ),
          )}
          <Button onPress={() => dispatch(sendNow())}>Try now</Button>
        </Note>
      )}
      {refused.map((item) => (
        <Note key={item.id} role="alert" data-wrong>
          <p>
            {item.title === undefined
              ? `A ${(ITEM_WORDS[item.kind] ?? ['thing'])[0]}`
              : `The new quilt “${item.title}”`}{' '}
            was not taken: {item.refused} It is kept in this browser.
          </p>
          <Button onPress={() => dispatch(tryAgain(item.id))}>Try again</Button>
          <Button onPress={() => void dispatch(saveItem(item.id))}>Save it as a file</Button>
          <Button onPress={() => dispatch(letGo(item.id))}>Discard</Button>
        </Note>
      ))}
    </>
  );
}
