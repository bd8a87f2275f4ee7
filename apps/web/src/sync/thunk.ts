import type { ThunkAction, ThunkDispatch, UnknownAction } from '@reduxjs/toolkit';
import { useDispatch } from 'react-redux';
import type { RootState } from '../state/state.ts';
import type { BrowserStore } from './outbox/browserStore.ts';
import type { Outbox } from './outbox/outbox.ts';
import type { Answers } from './outbox/answers.ts';

/** What thunks are given besides the store: the outbox, what is kept, and which tab this is. */
export interface Around {
  readonly outbox: Outbox<Answers>;
  readonly browser: BrowserStore;
  readonly tab: string;
  readonly openTabs: () => Promise<ReadonlySet<string>>;
}

/** What is done in several steps: given the store, the outbox and what this browser keeps. */
export type Thunk<R> = ThunkAction<R, RootState, Around, UnknownAction>;

/** Takes plain actions, and thunks. */
export type AppDispatch = ThunkDispatch<RootState, Around, UnknownAction>;
export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
