import { configureStore } from '@reduxjs/toolkit';
import { openTab } from '../browser/tabs.ts';
import { reducers } from '../state/state.ts';
import { api } from '../sync/api.ts';
import { type BrowserStore, openBrowserStore, whenOpen } from '../sync/outbox/browserStore.ts';
import { wireOutbox } from '../sync/outbox/wiring.ts';
import { savingMiddleware } from '../sync/saving.ts';
import { tellingMiddleware } from '../sync/telling.ts';
import type { Around, AppDispatch } from '../sync/thunk.ts';

/** The store with its outbox. Tests may give what is kept, and which tabs are open. */
export function createStore(
  given: Partial<Pick<Around, 'tab' | 'openTabs'>> & { readonly browser?: BrowserStore } = {},
) {
  const outside = { ...openTab(), ...given, browser: given.browser ?? whenOpen(openBrowserStore()) };
  const outbox = wireOutbox(outside, () => store.dispatch as AppDispatch);
  const around: Around = { ...outside, outbox };
  const store = configureStore({
    reducer: { ...reducers, [api.reducerPath]: api.reducer },
    // Plans of thousands of blocks make the development checks slower than the work itself.
    middleware: (standard) =>
      standard({ serializableCheck: false, immutableCheck: false, thunk: { extraArgument: around } })
        .prepend(savingMiddleware(around), tellingMiddleware())
        .concat(api.middleware),
  });
  return Object.assign(store, { around });
}
