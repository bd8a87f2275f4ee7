import { type CalendarDate, isWeekday, parseDate } from '@internationalized/date';
import {
  type EntryBody,
  formatWithUnit,
  fromInches,
  type LongArmAnswer,
  type LongArmJob,
  longer,
  SKEW_INCHES,
} from '@lattice/core';

/** What the stand-in's frame and rules allow, in inches. */
const RULES = {
  /** Backing beyond the top on every side, to clamp (rule BK-2). */
  overhang: 4,
  /** Batting beyond the top on every side. */
  batting: 2,
  /** Leaders it is pinned to: the shorter side of a backing may be no wider. */
  frame: 118,
  /** The longest roll it takes up. */
  longest: 150,
  shortest: 24,
} as const;

/** A price for a square inch, by pattern, and the least a job costs. */
const PRICE = { 'all-over': 0.025, custom: 0.06 } as const;
const LEAST_PRICE = 60;
/** Square inches quilted in a working day. */
const A_DAY = { 'all-over': 9000, custom: 3200 } as const;
/** Thread, loading and trimming round every job: one working day more. */
const ROUND = 1;

/** Jobs that were waiting when the stand-in opened, in working days of work. */
const WAITING = [1, 2, 1, 3, 1, 2];

/** A job in the queue, by when it is worked on. */
type Waiting = Pick<EntryBody['booked'], 'starts' | 'ready'>;

/**
 * A stand-in for a long-arm service with a long-arm machine: it takes a job's sizes, refuses what will not go
 * on its frame and says why, or answers with a price and its place in the queue. Booked jobs lengthen the queue;
 * which those are stands in the log.
 */
export class LongArm {
  constructor(private readonly now: () => Date) {}

  /** What it says of a job, with these booked before it. */
  quote(job: LongArmJob, booked: readonly Waiting[]): LongArmAnswer {
    const reasons = reasonsAgainst(job);
    if (reasons.length > 0) return { accepted: false, reasons };
    const inch = (value: number) => (job.unit === 'in' ? value : value / 2.54);
    const area = inch(job.top.width) * inch(job.top.height);
    const price = Math.max(LEAST_PRICE, Math.round(100 * area * PRICE[job.pattern]) / 100);
    const today = dayOf(this.now());
    const queue = [...WAITING, ...booked.filter(({ ready }) => ready >= today.toString()).map(workingDays)];
    const waiting = queue.reduce((sum, days) => sum + days, 0);
    const starts = workingDaysAfter(today, waiting + 1);
    return {
      accepted: true,
      price,
      ahead: queue.length,
      starts: starts.toString(),
      ready: workingDaysAfter(starts, daysFor(job, area)).toString(),
      working: [
        `${Math.round(area)} square inches × ${PRICE[job.pattern]} = ${(area * PRICE[job.pattern]).toFixed(2)}${price === LEAST_PRICE ? `; the least for a job is ${LEAST_PRICE}` : ''}`,
        `${queue.length} jobs wait, ${waiting} working days`,
      ],
    };
  }
}

const daysFor = (job: LongArmJob, area: number): number => Math.ceil(area / A_DAY[job.pattern]) + ROUND;

function reasonsAgainst({ unit, top, backing, batting }: LongArmJob): string[] {
  const show = (value: number) => formatWithUnit(value, unit);
  const limit = (inches: number) => fromInches(inches, unit);
  const reasons: string[] = [];
  const over = (sheet: { width: number; height: number }) =>
    Math.min(sheet.width - top.width, sheet.height - top.height) / 2;
  // A thread's breadth of rounding is no reason: limits said in centimetres are not whole.
  const short = (value: number, inches: number) => value < limit(inches) - limit(1 / 8);
  if (short(over(backing), RULES.overhang))
    reasons.push(
      `The backing overhangs by ${show(Math.max(0, over(backing)))}; the clamps need ${show(limit(RULES.overhang))} on every side.`,
    );
  if (short(over(batting), RULES.batting))
    reasons.push(
      `The batting is too small: it overhangs by ${show(Math.max(0, over(batting)))} and needs ${show(limit(RULES.batting))}. Measure again, or choose a larger package.`,
    );
  if (backing.diagonals) {
    const skew = Math.abs(backing.diagonals[0] - backing.diagonals[1]);
    if (longer(skew, limit(SKEW_INCHES)))
      reasons.push(
        `The backing is not square: corner to corner it differs by ${show(skew)}, and ${show(limit(SKEW_INCHES))} is the most.`,
      );
  }
  const [narrow, long] = [Math.min(backing.width, backing.height), Math.max(backing.width, backing.height)];
  if (narrow > limit(RULES.frame))
    reasons.push(
      `The backing is ${show(narrow)} at its narrower side and the frame is ${show(limit(RULES.frame))} wide.`,
    );
  if (long > limit(RULES.longest))
    reasons.push(`The backing is ${show(long)} long and the rollers take up ${show(limit(RULES.longest))}.`);
  if (Math.min(top.width, top.height) < limit(RULES.shortest))
    reasons.push(
      `The top is ${show(Math.min(top.width, top.height))} at its shorter side; below ${show(limit(RULES.shortest))} it cannot be rolled on.`,
    );
  return reasons;
}

/** A working day so many after another: Monday to Friday only. */
function workingDaysAfter(from: CalendarDate, days: number): CalendarDate {
  let date = from;
  for (let left = days; left > 0;) {
    date = date.add({ days: 1 });
    if (isWeekday(date, 'en-US')) left--;
  }
  return date;
}

/** Working days a booked job takes up. */
function workingDays({ starts, ready }: Waiting): number {
  let days = 0;
  for (let date = parseDate(starts); date.toString() < ready; days++) date = workingDaysAfter(date, 1);
  return days;
}

/** The day it is at a moment, in UTC. */
const dayOf = (moment: Date): CalendarDate => parseDate(moment.toISOString().slice(0, 10));
