import { setImmediate } from 'node:timers/promises';

/** Lets everybody else be answered before long work goes on. */
export const turn = (): Promise<void> => setImmediate();
