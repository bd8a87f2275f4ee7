import {
  type Forecast,
  forecast,
  hoursIn,
  type LeftThen,
  type LogEntry,
  lookBack,
  pacesFrom,
  type Plan,
  randomFrom,
  sittingsIn,
  sizeDoneIn,
  workLeft,
} from '@lattice/core';
import { dayHere } from '../../browser/todayHere.ts';

/** What the page asks of the worker: quilts that share the maker's hours, the log, and the day it is. */
export interface ForecastJob {
  readonly quilts: readonly { readonly id: string; readonly plan: Plan }[];
  readonly quilt: string;
  readonly log: readonly LogEntry[];
  readonly today: string;
}

/** Whether it will be ready, and how the work went down so far. */
export interface HeardForecast {
  readonly forecast: Forecast;
  readonly back: readonly LeftThen[];
}

/** Tellings of how things may go; the same for the same day, so that a figure does not tremble. */
const RUNS = 1200;

self.onmessage = ({ data: { quilts, quilt, log, today } }: MessageEvent<ForecastJob>) => {
  const left = new Map(quilts.map(({ id, plan }) => [id, workLeft(plan, log, id)]));
  const sizes = new Map(
    quilts.map(({ id, plan }) => {
      const { width, height } = left.get(id)!.size;
      return [id, { width, height, unit: plan.unit }];
    }),
  );
  const paces = pacesFrom(sittingsIn(log).sittings, sizeDoneIn(log, sizes));
  const said = forecast(
    {
      quilts: quilts.map(({ id }) => left.get(id)!.jobs),
      quilt,
      hours: hoursIn(log),
      paces,
      today,
      runs: RUNS,
    },
    randomFrom(1),
  );
  self.postMessage({
    forecast: said,
    back: lookBack(log, quilt, left.get(quilt)!, paces, dayHere),
  } satisfies HeardForecast);
};
