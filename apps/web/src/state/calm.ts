import { createContext } from 'react';
import type { RootState } from './state.ts';

/**
 * What lies round the drawing while a tape is in the hand: the state of a moment ago, so that lists and figures follow
 * in their own time, a little at once, and never hold up the hand. Null: as things are.
 */
export const CalmState = createContext<RootState | null>(null);
