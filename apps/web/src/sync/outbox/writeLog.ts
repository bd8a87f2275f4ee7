import type { LogEntry } from '@lattice/core';
import type { Thunk } from '../thunk.ts';
import { newId, nextOrder } from '../../browser/tabs.ts';
import { addHeard } from './heard.ts';

/** What an entry of the log says, before it has an id and a time. */
export type Said = {
  [K in LogEntry['kind']]: Pick<Extract<LogEntry, { kind: K }>, 'kind' | 'body'>;
}[LogEntry['kind']];

/**
 * Writes entries into the log: kept in this browser at once, sent when that can be. Answers their ids.
 *
 * @param quilt the one that is open, when it is not said otherwise
 */
export const writeLog =
  (said: readonly Said[], quilt?: string): Thunk<Promise<string[]>> =>
  async (dispatch, getState, { outbox, browser, tab }) => {
    const of = quilt ?? getState().saving.id!;
    const now = Date.now();
    // A moment apart, so that they sort as they happened.
    const entries = said.map(
      (one, i) => ({ ...one, id: newId(), quilt: of, at: new Date(now + i).toISOString() }) as LogEntry,
    );
    await addHeard(entries, dispatch, browser);
    for (const entry of entries)
      await outbox.keep({ kind: 'entry', id: entry.id, quilt: of, tab, order: nextOrder(), entry });
    void outbox.send();
    return entries.map(({ id }) => id);
  };

/** Takes entries that a server answered with into the log of this browser. */
export const hearEntries =
  (entries: readonly LogEntry[]): Thunk<Promise<void>> =>
  async (dispatch, _getState, { browser }) => {
    await addHeard(entries, dispatch, browser);
  };
