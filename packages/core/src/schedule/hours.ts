import type { LogEntry } from '../log/entry.ts';
import type { EntryBody } from '../log/kinds/registry.ts';
import { MAKER } from '../log/maker.ts';
import { mergeLogs } from '../log/merge.ts';
import { dayOf, weekdayOf } from '../moment/moment.ts';

/** When a maker has time to sew. */
export type Hours = EntryBody['hours-said'];

/** When a quilt has to be ready, and what comes between the last stitch and that day. */
export type Due = EntryBody['due-said'];

/** Three evenings and a longer Saturday: to begin with, until the maker says. */
const USUAL_HOURS: Hours = {
  week: [0, 90, 0, 90, 0, 180, 0].map((minutes, day) => ({ minutes, from: day === 5 ? '10:00' : '19:30' })),
  away: [],
};

/** Nothing was said of a day. */
const NOT_DUE: Due = { date: null, wash: false, postDays: 0 };

/** The hours a maker said last; the usual ones before any were. */
export const hoursIn = (log: readonly LogEntry[]): Hours => lastOf(log, 'hours-said', MAKER) ?? USUAL_HOURS;

/** What was said last of when a quilt has to be ready. */
export const dueIn = (log: readonly LogEntry[], quilt: string): Due =>
  lastOf(log, 'due-said', quilt) ?? NOT_DUE;

/** Quilts that have a day to be ready by, with it. */
export function duesIn(log: readonly LogEntry[]): ReadonlyMap<string, Due> {
  const dues = new Map<string, Due>();
  for (const entry of mergeLogs(log)) if (entry.kind === 'due-said') dues.set(entry.quilt, entry.body);
  return new Map([...dues].filter(([, { date }]) => date !== null));
}

function lastOf<K extends 'hours-said' | 'due-said'>(
  log: readonly LogEntry[],
  kind: K,
  of: string,
): EntryBody[K] | null {
  const last = mergeLogs(log.filter((entry) => entry.kind === kind && entry.quilt === of)).at(-1);
  return (last?.body as EntryBody[K] | undefined) ?? null;
}

/** How many minutes there are on a day. Made once for many days. */
export function minutesOf({ week, away }: Hours): (day: number) => number {
  const gone = away.map(({ from, to }) => [dayOf(from), dayOf(to)] as const);
  return (day) => (gone.some(([from, to]) => day >= from && day <= to) ? 0 : week[weekdayOf(day)]!.minutes);
}

/** A day with its minutes. */
interface SewingDay {
  readonly day: number;
  readonly minutes: number;
}
/** Asked for by every telling of one forecast. */
const known = new WeakMap<Hours, { readonly today: number; readonly days: readonly SewingDay[] }>();

/** Today, whatever it has, and every day after it with any minutes, within so many days. */
export function sewingDays(hours: Hours, today: number, within: number): readonly SewingDay[] {
  const had = known.get(hours);
  if (had?.today === today) return had.days;
  const minutesOn = minutesOf(hours);
  const days = Array.from({ length: within }, (_, i) => ({
    day: today + i,
    minutes: minutesOn(today + i),
  })).filter(({ day, minutes }) => day === today || minutes > 0);
  known.set(hours, { today, days });
  return days;
}
