import type {} from '@lattice/contract';
import type { LogEntry } from '@lattice/core';
import { entriesHeard } from '../../state/logSlice.ts';
import { api } from '../api.ts';
import type { AppDispatch } from '../thunk.ts';
import type { BrowserStore } from './browserStore.ts';

/** Takes entries into the log of this browser: made here, or answered. */
export async function addHeard(
  entries: readonly LogEntry[],
  dispatch: AppDispatch,
  browser: BrowserStore,
): Promise<void> {
  dispatch(entriesHeard(entries));
  await browser.addToLog(entries);
}

/** Hears what the server's log has had since this browser last asked. Out of reach it stays as it is. */
export async function hearLog(browser: BrowserStore, dispatch: AppDispatch): Promise<void> {
  let { heardTo } = await browser.log();
  for (;;) {
    const asked = api.endpoints.logSince.initiate(heardTo, { forceRefetch: true, subscribe: false });
    const { data } = await dispatch(asked);
    if (!data) return;
    // A server that has less than was heard of is another one, or begun anew: everything is asked for again.
    if (data.newest < heardTo) {
      heardTo = 0;
      continue;
    }
    dispatch(entriesHeard(data.entries));
    await browser.addToLog(data.entries, data.latest);
    heardTo = data.latest;
    if (!data.more) return;
  }
}
