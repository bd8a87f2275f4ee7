import { dayOf } from '../moment/moment.ts';
import { type Hours, minutesOf } from './hours.ts';
import type { Job, QuiltJobs } from './jobs.ts';

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
  const minutesOn = minutesOf(hours);
  const done = new Map<string, number>();
  const spent: Spent[] = [];
  const left = new Map<string, number>();
  const open = quilts.map(({ quilt, jobs }) => ({ quilt, jobs: [...jobs] }));
  for (let day = today; day < today + HORIZON_DAYS && open.some(({ jobs }) => jobs.length > 0); day += 1) {
    let minutes = minutesOn(day);
    for (const { quilt, jobs } of open) {
      for (let i = 0; i < jobs.length;) {
        const job = jobs[i]!;
        const key = jobKey(quilt, job.id);
        const ready = readyOn(job, quilt, done);
        if (ready === null || ready > day || (held.get(key) ?? 0) > day) {
          i += 1;
          continue;
        }
        if (job.what !== 'work') {
          done.set(key, waitEnds(job, Math.max(ready, held.get(key) ?? ready), lengths.get(key)!));
          jobs.splice(i, 1);
          continue;
        }
        const need = left.get(key) ?? lengths.get(key)!;
        const given = Math.min(need, minutes);
        if (given > 0) spent.push({ day, quilt, job: job.id, minutes: given });
        minutes -= given;
        left.set(key, need - given);
        if (need - given > 1e-9) {
          i += 1;
          continue;
        }
        done.set(key, day);
        jobs.splice(i, 1);
      }
    }
  }
  return { done, spent };

  /** The day a job can be begun; null while something before it is not done. What is done today can be gone on with today. */
  function readyOn({ after }: Job, quilt: string, sofar: ReadonlyMap<string, number>): number | null {
    let ready = today;
    for (const id of after) {
      const at = sofar.get(jobKey(quilt, id));
      if (at === undefined) return null;
      ready = Math.max(ready, at);
    }
    return ready;
  }
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
    while (need > 1e-9 && day > end - HORIZON_DAYS) {
      const given = Math.min(need, freeOn(day));
      free.set(day, freeOn(day) - given);
      need -= given;
      if (need > 1e-9) day -= 1;
    }
    begins.set(job.id, day);
  }
  return by;
}
