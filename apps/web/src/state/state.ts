import type { StateFromReducersMapObject } from '@reduxjs/toolkit';
import { houseReducer } from './accessSlice.ts';
import { logReducer } from './logSlice.ts';
import { outboxReducer } from './outboxSlice.ts';
import { planReducer } from './planSlice.ts';
import { savingReducer } from './savingSlice.ts';
import { viewReducer } from './viewSlice.ts';

/** Every fact the app holds, a slice each; all else is selected from them. */
export const reducers = {
  plan: planReducer,
  saving: savingReducer,
  outbox: outboxReducer,
  log: logReducer,
  house: houseReducer,
  view: viewReducer,
};

/** The facts, as selectors read them. */
export type RootState = StateFromReducersMapObject<typeof reducers>;
