import { addressOf, type BodySaid, type House, placeOf } from '@lattice/contract';
import { accessReceived } from '../state/accessSlice.ts';
import { api, serverError } from './api.ts';
import type { Thunk } from './thunk.ts';

/** How a link to come in ends: `#come-in=…`. */
const COME_IN = '#come-in=';

/** Asks who one is in this house; with a link to come in, comes in by that first. Out of reach, it stays as it was. */
export const hearHouse = (): Thunk<Promise<void>> => async (dispatch) => {
  const { hash, pathname } = window.location;
  if (hash.startsWith(COME_IN)) {
    // The secret stays in no history and is sent to nobody else.
    window.history.replaceState(window.history.state, '', pathname);
    await enter({ link: hash.slice(COME_IN.length) });
  }
  const answer = await fetch(addressOf('house', {})).catch(() => null);
  if (answer?.ok) dispatch(accessReceived((await answer.json()) as House));
};

/** Says the passphrase, or shows a link; the server's word where it does not let one in, null when it does. */
export async function enter(by: BodySaid<'enter'>): Promise<string | null> {
  try {
    const answer = await fetch(addressOf('enter', {}), {
      method: placeOf('enter').method,
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(by),
    });
    return answer.ok ? null : serverError({ data: await answer.json() }).message;
  } catch {
    return serverError(null).message;
  }
}

/** Let in: whatever was asked for in vain is asked for again, and what waits is sent. */
export const letIn = (): Thunk<Promise<void>> => async (dispatch, getState, around) => {
  dispatch(api.util.resetApiState());
  await hearHouse()(dispatch, getState, around);
  void around.outbox.send();
};
