/* eslint-disable no-restricted-globals -- Only what is handed in is read and written: the parser of dates, never the clock. */

const DAY_MS = 24 * 60 * 60_000;

/** Milliseconds since the beginning of 1970, of a moment written 2026-11-26T19:30:00Z. */
export const msOf = (at: string): number => Date.parse(at);

/** Days since the beginning of 1970, of a date written 2026-11-26. */
export const dayOf = (date: string): number => Date.parse(`${date}T00:00:00Z`) / DAY_MS;

/** The date of such a day. */
export const dateOf = (day: number): string => new Date(day * DAY_MS).toISOString().slice(0, 10);

/** The weekday of such a day: 0 is Monday. The first of 1970 was a Thursday. */
export const weekdayOf = (day: number): number => (((day + 3) % 7) + 7) % 7;

const SAID = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'long',
  year: 'numeric',
  timeZone: 'UTC',
});

/** A date written 2026-11-26 as one says it: "26 November 2026". What is no date stays as it is. */
export const sayDay = (date: string): string =>
  /^\d{4}-\d{2}-\d{2}$/.test(date) ? SAID.format(msOf(`${date}T00:00:00Z`)) : date;
