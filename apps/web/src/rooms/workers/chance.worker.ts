import { randomFrom, type RowScatter, type RowSpread, simulateRow } from '@lattice/core';

/** What the page asks of the worker. */
export interface ChanceJob {
  readonly scatter: RowScatter;
  readonly tolerance: number;
}

/** Rows sewn: enough for a share to be right to half a hundredth. */
const RUNS = 40_000;

self.onmessage = ({ data }: MessageEvent<ChanceJob>) => {
  self.postMessage(simulateRow(data.scatter, data.tolerance, RUNS, randomFrom(1)) satisfies RowSpread);
};
