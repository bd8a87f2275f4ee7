import type { Hours } from './hours.ts';

/** What would make a late quilt likely ready. */
export interface Enough {
  /** So many more minutes each week. */
  readonly minutes: number;
  /** The chance with them. */
  readonly chance: number;
}

/** Ready in four tellings of five is called likely. */
export const LIKELY = 0.8;
const STEP_MINUTES = 15;
/** Nobody adds more than this to a week. */
const MOST_MINUTES = 40 * 60;
const DAY_MINUTES = 16 * 60;

/**
 * The fewest more minutes a week, in steps of a quarter of an hour, with which a quilt is likely ready in time; null
 * where it is likely already, or where no time to sew would make it so.
 *
 * @param chanceIf the chance with other hours; it does not fall when there are more
 */
export function enoughMore(hours: Hours, chance: number, chanceIf: (hours: Hours) => number): Enough | null {
  if (chance >= LIKELY) return null;
  const with_ = (steps: number) => chanceIf(withMore(hours, steps * STEP_MINUTES));
  let [few, enough] = [0, MOST_MINUTES / STEP_MINUTES];
  let best = with_(enough);
  if (best < LIKELY) return null;
  while (enough - few > 1) {
    const middle = Math.floor((few + enough) / 2);
    const then = with_(middle);
    if (then >= LIKELY) [enough, best] = [middle, then];
    else few = middle;
  }
  return { minutes: enough * STEP_MINUTES, chance: best };
}

/** More minutes in a week: on the days one sews, alike; on every day where there is none. No day is longer than sixteen hours. */
export function withMore(hours: Hours, minutes: number): Hours {
  const sews = hours.week.some((day) => day.minutes > 0);
  const days = hours.week.filter((day) => !sews || day.minutes > 0).length;
  return {
    ...hours,
    week: hours.week.map((day) =>
      sews && day.minutes === 0
        ? day
        : { ...day, minutes: Math.min(DAY_MINUTES, day.minutes + minutes / days) },
    ),
  };
}
