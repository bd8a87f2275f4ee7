import { dayOf } from '../moment/moment.ts';
import { type Hours, minutesOf, sewingDays } from './hours.ts';
import type { Job, QuiltJobs } from './jobs.ts';
import { more } from '../length/tolerance.ts';

/** Nobody plans farther than so many days. */
export const HORIZON_DAYS = 730;

/** How long each job takes in one telling of how things may go: minutes of work, days of waiting. */
export type Lengths = ReadonlyMap<string, number>;

/** The name a job has among those of all quilts. */
export const jobKey = (quilt: string, job: string): string => `${quilt}/${job}`;

/** Time one quilt's job gets on a day. */
export interface Spent {
  readonly day: number;
  readonly quilt: string;
  readonly job: string;
  readonly minutes: number;
}

/** How things go in one telling. */
export interface Walk {
  /** The day each job is done; Infinity where that is past the horizon. */
  readonly done: ReadonlyMap<string, number>;
  readonly spent: readonly Spent[];
}

/** The quilt that has to be ready first is worked at first (Jackson's rule, 1955); those without a day come last. */
export const byDue = (quilts: readonly QuiltJobs[]): QuiltJobs[] =>
  [...quilts].sort((a, b) => (a.due ?? '9999').localeCompare(b.due ?? '9999'));

/**
 * Walks the days from today on, giving each day's minutes to the quilt that has to be ready first, and what it cannot
 * use, because something is awaited, to the next.
 *
 * @param quilts in the order they come first
 * @param held jobs that are not begun before a day
 */
export function walk(
  quilts: readonly QuiltJobs[],
  hours: Hours,
  today: number,
  lengths: Lengths,
  held: ReadonlyMap<string, number> = new Map(),
): Walk {
  const open = quilts.map(({ quilt, jobs }) => numbered(quilt, jobs, lengths, held));
  const spent: Spent[] = [];
  for (const { day, minutes } of sewingDays(hours, today, HORIZON_DAYS)) {
    let free = minutes;
    let anyOpen = false;
    for (const { quilt, jobs, left, done, after, from } of open)
      for (let i = 0; i < jobs.length; i += 1) {
        if (done[i] !== Infinity) continue;
        const ready = after[i]!.reduce(
          (latest, one) => Math.max(latest, done[one]!),
          Math.max(today, from[i]!),
        );
        const job = jobs[i]!;
        // A wait passes whether anybody sits down or not: its end is known as soon as its beginning is.
        if (job.what !== 'work' && ready < Infinity) done[i] = waitEnds(job, ready, left[i]!);
        else if (ready > day) anyOpen = true;
        else {
          const given = Math.min(left[i]!, free);
          if (given > 0) spent.push({ day, quilt, job: job.id, minutes: given });
          free -= given;
          left[i] = left[i]! - given;
          if (more(left[i]!, 0)) anyOpen = true;
          else done[i] = day;
        }
      }
    if (!anyOpen) break;
  }
  const done = open.flatMap(({ keys, done: days }) =>
    keys.flatMap((key, i): [string, number][] => (days[i] === Infinity ? [] : [[key, days[i]!]])),
  );
  return { done: new Map(done), spent };
}

/** Jobs of one quilt by their numbers, for the many tellings that walk them. */
function numbered(quilt: string, jobs: readonly Job[], lengths: Lengths, held: ReadonlyMap<string, number>) {
  const keys = jobs.map(({ id }) => jobKey(quilt, id));
  const at = new Map(jobs.map(({ id }, i) => [id, i]));
  return {
    ...{ quilt, jobs, keys },
    /** Minutes of work, or days of waiting, that are left. */
    left: keys.map((key) => lengths.get(key)!),
    /** The day each is done. */
    done: jobs.map(() => Infinity),
    after: jobs.map((job) => job.after.map((id) => at.get(id)!)),
    from: keys.map((key) => held.get(key) ?? 0),
  };
}

/** The day a wait is over that begins on a day. */
function waitEnds(job: Exclude<Job, { what: 'work' }>, begins: number, days: number): number {
  if (job.what === 'slot') return begins <= dayOf(job.starts) ? dayOf(job.ready) : begins + Math.round(days);
  const ends = begins + Math.round(days);
  return job.until === null ? ends : Math.max(ends, dayOf(job.until));
}

/**
 * The last day each job of a quilt can be done so that it is ready on its day, with the same lengths: the days walked
 * backwards, each minute used once, minutes that other quilts took left alone.
 */
export function latest(
  { quilt, jobs, due }: QuiltJobs,
  hours: Hours,
  lengths: Lengths,
  taken: ReadonlyMap<number, number>,
): ReadonlyMap<string, number> {
  const by = new Map<string, number>();
  if (due === null) return by;
  const minutesOn = minutesOf(hours);
  const free = new Map<number, number>();
  const freeOn = (day: number) => free.get(day) ?? Math.max(0, minutesOn(day) - (taken.get(day) ?? 0));
  /** The last day each job may begin. */
  const begins = new Map<string, number>();
  for (const job of [...jobs].reverse()) {
    const followers = jobs.filter(({ after }) => after.includes(job.id));
    const end = Math.min(dayOf(due), ...followers.map(({ id }) => begins.get(id)!));
    by.set(job.id, end);
    const length = lengths.get(jobKey(quilt, job.id))!;
    if (job.what !== 'work') {
      begins.set(job.id, job.what === 'slot' ? Math.min(end, dayOf(job.starts)) : end - Math.round(length));
      continue;
    }
    let [need, day] = [length, end];
    while (more(need, 0) && day > end - HORIZON_DAYS) {
      const given = Math.min(need, freeOn(day));
      free.set(day, freeOn(day) - given);
      need -= given;
      if (more(need, 0)) day -= 1;
    }
    begins.set(job.id, day);
  }
  return by;
}
