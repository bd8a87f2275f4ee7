import { quantileSorted } from 'd3-array';
import { randomGamma, randomNormal } from 'd3-random';
import { WORKS, type Work } from '../choice/works.ts';
import type { Pace } from '../clock/pace.ts';
import type { Random } from '../random/random.ts';
import { dateOf, dayOf, weekdayOf } from '../moment/moment.ts';
import { type Enough, enoughMore } from './enough.ts';
import type { Hours } from './hours.ts';
import type { Job, QuiltJobs } from './jobs.ts';
import { byDue, HORIZON_DAYS, jobKey, latest, type Lengths, type Spent, type Walk, walk } from './walk.ts';

type Paces = Readonly<Record<Work, Pace>>;

/** Everything a forecast is made from. */
export interface ForecastTask {
  readonly quilts: readonly QuiltJobs[];
  /** The quilt that is asked about. */
  readonly quilt: string;
  readonly hours: Hours;
  readonly paces: Paces;
  readonly today: string;
  readonly runs: number;
}

/** One thing on the way, by when it is likely done and by when it has to be. */
export interface Milestone {
  readonly job: string;
  readonly name: string;
  readonly what: Job['what'];
  /** Half of the tellings have it done by then; null where that is past the horizon. */
  readonly likely: string | null;
  /** Done by then, four tellings in five come out in time; null without a day to be ready by. */
  readonly by: string | null;
  /** Minutes of work, the middle of all tellings; 0 for waits. */
  readonly minutes: number;
}

/** How likely a quilt is ready, and what hangs on what. */
export interface Forecast {
  /** Share of the tellings that are ready in time; null without a day to be ready by. */
  readonly chance: number | null;
  /** Ready by then in one telling in ten, in half, in nine of ten; null past the horizon. */
  readonly ready: readonly [string | null, string | null, string | null];
  /** Minutes of work left: one in ten less, the middle, one in ten more. */
  readonly minutes: readonly [number, number, number];
  readonly milestones: readonly Milestone[];
  /** Jobs that can be begun now, with the chance if each waits for a week. The one that matters most first. */
  readonly first: readonly { readonly job: string; readonly name: string; readonly ifLater: number | null }[];
  /** The chance if the week from that Monday on falls out. */
  readonly weeks: readonly { readonly monday: string; readonly chance: number }[];
  /** What would make it likely; null where it is already, or nothing would: then it is waited for, or the day is past. */
  readonly enough: Enough | null;
  /** Work left at the end of each week from today: one in ten less, the middle, one in ten more. */
  readonly burn: readonly { readonly date: string; readonly left: readonly [number, number, number] }[];
  /** When one would sit, if everything takes as long as is most likely. */
  readonly sittings: readonly Spent[];
}

/** From one stretch of work to the next of its kind a maker's pace differs by about so much (from memory). */
const UNEVEN = 0.12;
const WEEKS_TRIED = 6;

/**
 * A forward simulation: many tellings of how things may go, each with its own pace and waits; nothing in it knows how it
 * ends. What is uncertain about a maker's pace is uncertain for all quilts alike, so it is drawn once a telling.
 */
export function forecast(task: ForecastTask, random: Random): Forecast {
  const quilts = byDue(task.quilts);
  const asked = quilts.find(({ quilt }) => quilt === task.quilt)!;
  const today = dayOf(task.today);
  const tellings = Array.from({ length: task.runs }, () => drawn(quilts, task.paces, random));
  const walks = tellings.map((lengths) => walk(quilts, task.hours, today, lengths));
  const own = (id: string) => jobKey(asked.quilt, id);
  const endOf = (done: ReadonlyMap<string, number>) =>
    Math.max(today, ...asked.jobs.map(({ id }) => done.get(own(id)) ?? Infinity));
  const ends = walks.map(({ done }) => endOf(done)).sort((a, b) => a - b);
  const dueDay = asked.due === null ? null : dayOf(asked.due);
  const inTime = (all: readonly number[]) =>
    dueDay === null ? null : all.filter((end) => end <= dueDay).length / all.length;
  const workOf = (lengths: Lengths) =>
    asked.jobs.reduce((sum, { what, id }) => (what === 'work' ? sum + lengths.get(own(id))! : sum), 0);
  const chanceIf = (hours: Hours, held?: ReadonlyMap<string, number>) =>
    inTime(few(tellings).map((lengths) => endOf(walk(quilts, hours, today, lengths, held).done)));
  const chance = inTime(ends);
  return {
    chance,
    ready: [0.1, 0.5, 0.9].map((p) => dateAt(ends, p, today)) as unknown as Forecast['ready'],
    minutes: band(tellings.map(workOf)),
    milestones: milestonesOf(task, asked, today, tellings, walks),
    first: firstOf(asked, dueDay === null ? null : (held) => chanceIf(task.hours, held), today),
    weeks:
      dueDay === null
        ? []
        : weeksFrom(today, dueDay).map((monday) => ({
            monday: dateOf(monday),
            chance: chanceIf({
              ...task.hours,
              away: [...task.hours.away, { from: dateOf(monday), to: dateOf(monday + 6) }],
            })!,
          })),
    enough: chance === null ? null : enoughMore(task.hours, chance, (hours) => chanceIf(hours)!),
    burn: burnOf(asked, today, tellings, walks),
    sittings: walk(quilts, task.hours, today, middling(quilts, task.paces)).spent,
  };
}

/** What-ifs ask fewer tellings. They are the same as those asked before, so that only the question differs. */
const few = <T>(all: readonly T[]): readonly T[] => all.slice(0, Math.max(1, Math.ceil(all.length / 3)));

/** The Mondays of the weeks from today up to the day, a few of them; a week that has begun counts. */
function weeksFrom(today: number, due: number): number[] {
  const first = today - weekdayOf(today);
  return Array.from({ length: WEEKS_TRIED }, (_, i) => first + 7 * i).filter((monday) => monday <= due);
}

/** One telling: how long everything takes in it. */
function drawn(quilts: readonly QuiltJobs[], paces: Paces, random: Random): Lengths {
  const normal = randomNormal.source(random)(0, 1);
  const gamma = randomGamma.source(random);
  const pace = Object.fromEntries(
    WORKS.map((work) => {
      const { middle, spread, freedom, weight } = paces[work];
      // Student's: a normal draw over the root of a mean of squares, which is a gamma draw.
      const student = normal() / Math.sqrt((2 * gamma(freedom / 2)()) / freedom);
      return [work, Math.exp(middle + (spread / Math.sqrt(weight)) * student)];
    }),
  );
  const lengths = new Map<string, number>();
  for (const { quilt, jobs } of quilts)
    for (const job of jobs) {
      const length =
        job.what === 'work'
          ? job.amount * pace[job.work]! * Math.exp(UNEVEN * normal())
          : triangular(job.what === 'slot' ? job.again : job.days, random());
      lengths.set(jobKey(quilt, job.id), length);
    }
  return lengths;
}

/** Everything as long as is most likely. */
function middling(quilts: readonly QuiltJobs[], paces: Paces): Lengths {
  return new Map(
    quilts.flatMap(({ quilt, jobs }) =>
      jobs.map((job): [string, number] => [
        jobKey(quilt, job.id),
        job.what === 'work'
          ? job.amount * paces[job.work].minutes
          : (job.what === 'slot' ? job.again : job.days)[1],
      ]),
    ),
  );
}

/** A draw from the triangular distribution of least, most likely and most (Johnson, 1997). */
export function triangular([least, likely, most]: readonly [number, number, number], u: number): number {
  if (most <= least) return likely;
  const turn = (likely - least) / (most - least);
  return u < turn
    ? least + Math.sqrt(u * (most - least) * (likely - least))
    : most - Math.sqrt((1 - u) * (most - least) * (most - likely));
}

/** The day so many of the tellings are done by: that of a telling, never one between two. */
function dateAt(ends: readonly number[], share: number, today: number): string | null {
  const end = ends[Math.min(ends.length - 1, Math.floor(share * ends.length))]!;
  return end >= today + HORIZON_DAYS ? null : dateOf(end);
}

const band = (values: readonly number[]): [number, number, number] => {
  const sorted = [...values].sort((a, b) => a - b);
  return [0.1, 0.5, 0.9].map((p) => quantileSorted(sorted, p)!) as [number, number, number];
};

function milestonesOf(
  { hours }: ForecastTask,
  asked: QuiltJobs,
  today: number,
  tellings: readonly Lengths[],
  walks: readonly Walk[],
): Milestone[] {
  const back =
    asked.due === null
      ? []
      : few(tellings).map((lengths, i) => {
          const taken = new Map<number, number>();
          for (const { day, quilt, minutes } of walks[i]!.spent)
            if (quilt !== asked.quilt) taken.set(day, (taken.get(day) ?? 0) + minutes);
          return latest(asked, hours, lengths, taken);
        });
  return asked.jobs.map(({ id, name, what }) => {
    const key = jobKey(asked.quilt, id);
    const ends = walks.map(({ done }) => done.get(key) ?? Infinity).sort((a, b) => a - b);
    const bys = back.map((by) => by.get(id)!).sort((a, b) => a - b);
    return {
      ...{ job: id, name, what },
      likely: dateAt(ends, 0.5, today),
      by: bys.length === 0 ? null : dateOf(Math.floor(quantileSorted(bys, 0.2)!)),
      minutes: what === 'work' ? band(tellings.map((lengths) => lengths.get(key)!))[1] : 0,
    };
  });
}

function firstOf(
  { quilt, jobs }: QuiltJobs,
  chanceIf: ((held: ReadonlyMap<string, number>) => number | null) | null,
  today: number,
): Forecast['first'] {
  return jobs
    .filter(({ after }) => after.length === 0)
    .map(({ id, name }) => ({
      job: id,
      name,
      ifLater: chanceIf && chanceIf(new Map([[jobKey(quilt, id), today + 7]])),
    }))
    .sort((a, b) => (a.ifLater ?? 0) - (b.ifLater ?? 0));
}

function burnOf(
  { quilt, jobs }: QuiltJobs,
  today: number,
  tellings: readonly Lengths[],
  walks: readonly Walk[],
): Forecast['burn'] {
  const all = tellings.map((lengths) =>
    jobs.reduce((sum, { what, id }) => (what === 'work' ? sum + lengths.get(jobKey(quilt, id))! : sum), 0),
  );
  const own = walks.map(({ spent }) => spent.filter((one) => one.quilt === quilt));
  const last = Math.max(today, ...own.map((spent) => spent.at(-1)?.day ?? today));
  const steps = Math.min(60, Math.ceil((last - today) / 7));
  // Days only go on: each telling is gone through once.
  const left = [...all];
  const reached = own.map(() => 0);
  return Array.from({ length: steps + 1 }, (_, week) => {
    const day = today + 7 * week;
    own.forEach((spent, i) => {
      for (; reached[i]! < spent.length && spent[reached[i]!]!.day < day; reached[i]! += 1)
        left[i]! -= spent[reached[i]!]!.minutes;
    });
    return { date: dateOf(day), left: band(left.map((value) => Math.max(0, value))) };
  });
}
