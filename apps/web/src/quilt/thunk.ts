import type { ThunkAction, UnknownAction } from '@reduxjs/toolkit';
import type { RootState } from '../app/store.ts';
import type { Around } from '../outbox/wiring.ts';

/** What is done in several steps: given the store, the outbox and what this browser keeps. */
export type Thunk<R> = ThunkAction<R, RootState, Around, UnknownAction>;
