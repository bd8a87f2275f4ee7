import type { Thunk } from '../thunk.ts';
import { hearLog } from './heard.ts';

/** Hears what other devices and tabs have done since. */
export const hearOthers =
  (): Thunk<Promise<void>> =>
  async (dispatch, _getState, { browser }) => {
    await hearLog(browser, dispatch);
  };
