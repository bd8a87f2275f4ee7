import { combineReducers, configureStore } from '@reduxjs/toolkit';
import { useContext } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { type BrowserStore, openBrowserStore, whenOpen } from '../outbox/browserStore.ts';
import { logReducer } from '../outbox/logSlice.ts';
import { outboxReducer } from '../outbox/outboxSlice.ts';
import { openTab } from '../outbox/tabs.ts';
import { type Around, type Dispatching, wireOutbox } from '../outbox/wiring.ts';
import { planReducer } from '../quilt/planSlice.ts';
import { savingMiddleware } from '../quilt/saving.ts';
import { tellingMiddleware } from '../quilt/telling.ts';
import { savingReducer } from '../quilt/savingSlice.ts';
import { viewReducer } from '../quilt/viewSlice.ts';
import { api } from './api.ts';
import { CalmState } from './calm.ts';
import { houseReducer } from './accessSlice.ts';

const reducer = combineReducers({
  plan: planReducer,
  saving: savingReducer,
  outbox: outboxReducer,
  log: logReducer,
  house: houseReducer,
  view: viewReducer,
  [api.reducerPath]: api.reducer,
});

export type RootState = ReturnType<typeof reducer>;

/** The store with its outbox. Tests may give what is kept, and which tabs are open. */
export function createStore(
  given: Partial<Pick<Around, 'tab' | 'openTabs'>> & { readonly keeping?: BrowserStore } = {},
) {
  const outside = { ...openTab(), ...given, keeping: given.keeping ?? whenOpen(openBrowserStore()) };
  const outbox = wireOutbox(outside, () => store.dispatch as unknown as Dispatching);
  const around: Around = { ...outside, outbox };
  const store = configureStore({
    reducer,
    // Plans of thousands of blocks make the development checks slower than the work itself.
    middleware: (standard) =>
      standard({ serializableCheck: false, immutableCheck: false, thunk: { extraArgument: around } })
        .prepend(savingMiddleware(around), tellingMiddleware())
        .concat(api.middleware),
  });
  return Object.assign(store, { around });
}

export type AppStore = ReturnType<typeof createStore>;
export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();

/** Reads the store as it is, also where all round is calm: what follows the hand. */
export const useLiveSelector = useSelector.withTypes<RootState>();

const NOTHING = () => undefined;

/** Reads the store as it is; inside what is calm, as it was a moment ago. */
export function useAppSelector<Selected>(
  selector: (state: RootState) => Selected,
  equal?: (a: Selected, b: Selected) => boolean,
): Selected {
  const calm = useContext(CalmState);
  const live = useSelector<RootState, Selected | undefined>(
    calm ? NOTHING : selector,
    equal as ((a: Selected | undefined, b: Selected | undefined) => boolean) | undefined,
  );
  return calm ? selector(calm) : (live as Selected);
}
