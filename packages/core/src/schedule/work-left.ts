import { sum } from 'd3-array';
import { CLOSING_NAMES } from '../choice/edge.ts';
import { closingStep } from '../edge/finish/registry.ts';
import { feetOf } from '../clock/size-done.ts';
import { numberOf } from '../figure/figure.ts';
import { bookingIn } from '../log/booking.ts';
import type { LogEntry } from '../log/entry.ts';
import { sewRecord } from '../log/sew-record.ts';
import { holdsIn } from '../log/shop-holds.ts';
import { stashIn } from '../log/stash.ts';
import type { Plan } from '../plan/shape.ts';
import { withStock } from '../plan/stock.ts';
import { computeQuilt } from '../quilt/compute.ts';
import type { Quilt } from '../quilt/quilt.ts';
import { settingOf } from '../setting/registry.ts';
import { chosenSewing } from '../sewing/chosen.ts';
import { atMachine } from '../sewing/machine.ts';
import { seamWords } from '../sewing/words.ts';
import { stockFor } from '../table/set-aside.ts';
import { toBuy, type ToBuy } from '../table/to-buy.ts';
import { dueIn } from './hours.ts';
import type { Job, QuiltJobs } from './jobs.ts';

/** Cloth that is not in the house yet: asked for, sent, come (days, from memory). */
const SHOP_DAYS = [1, 4, 9] as const;
/** A long-arm service that nobody has booked: days until top and backing come back (from memory). */
const LONG_ARM_DAYS = [14, 28, 60] as const;
/** A place in its queue that was missed: days until they are back from the next. */
const AGAIN_DAYS = [14, 24, 45] as const;
/** A quilt is washed, dried flat and looked over. */
const WASH_DAYS = [1, 2, 3] as const;

/** How much is left of a quilt, and how large it is for work that is counted by its size. */
export interface WorkLeft {
  readonly jobs: QuiltJobs;
  /** Finished, in the plan's unit. */
  readonly size: { readonly width: number; readonly height: number };
  /** Square feet, and feet round the edge. */
  readonly area: number;
  readonly round: number;
  /** Acts left that the log counts, for looking back from. */
  readonly left: { readonly cuts: number; readonly seams: number; readonly presses: number };
  /** Steps after the top that are done. */
  readonly finished: ReadonlySet<string>;
}

/**
 * What is left to do of a quilt, by its plan and its log: what is cut, sewn and pressed is not done again, what is in the
 * house is not waited for.
 *
 * @param plan as it is kept; it has passed `planProblems`
 */
export function workLeft(plan: Plan, log: readonly LogEntry[], id: string): WorkLeft {
  const { unit } = plan;
  const whole = withStock(plan, stockFor(stashIn(log, unit), id));
  const quilt = computeQuilt(whole);
  const { width, height } = quilt.finished;
  const size = { width: width.value, height: height.value };
  const { area, round } = feetOf({ ...size, unit });
  const cloths = toBuy(whole, quilt, { id, log });
  const cuts = sum(cloths, ({ table }) => table.steps.filter(({ done }) => !done).length);
  const { seams, presses, finished } = sewingLeft(whole, quilt, log, id);
  const jobs = jobsOf(whole, quilt, log, id, cloths, { cuts, seams, presses, finished, area, round });
  return { jobs, size, area, round, left: { cuts, seams, presses }, finished };
}

function sewingLeft(
  plan: Plan,
  quilt: Quilt,
  log: readonly LogEntry[],
  id: string,
): { seams: number; presses: number; finished: Set<string> } {
  const record = sewRecord(log, id, plan.unit);
  const finished = new Set(record.done);
  // A whole top, or a quilt that is quilted already, has no seams of its own.
  if (settingOf(plan.setting.kind).whole) return { seams: 0, presses: 0, finished };
  const { sewing, way, guide } = chosenSewing(plan, quilt, record.chosen);
  if (!way) return { seams: 0, presses: 0, finished };
  const { acts } = atMachine(sewing, way, guide, record, seamWords(sewing, way));
  const open = acts.filter(({ done }) => !done);
  return {
    seams: sum(guide, (step, number) => {
      const left = open.filter((act) => act.step === number && act.kind === 'seam').length;
      // Of strips sewn together what is left is as large a share of the long seams.
      return step.run === undefined ? left : Math.ceil((left / step.seams.length) * step.run);
    }),
    presses: open.filter(({ kind }) => kind === 'press').length,
    finished,
  };
}

interface Amounts {
  readonly cuts: number;
  readonly seams: number;
  readonly presses: number;
  readonly finished: ReadonlySet<string>;
  readonly area: number;
  readonly round: number;
}

function jobsOf(
  plan: Plan,
  quilt: Quilt,
  log: readonly LogEntry[],
  id: string,
  cloths: readonly ToBuy[],
  of: Amounts,
): QuiltJobs {
  const due = dueIn(log, id);
  const jobs: Job[] = [];
  /** What the next thing comes after: whatever was added last. */
  let last: string[] = [];
  const then = (job: Job) => {
    jobs.push(job);
    last = [job.id];
  };
  const work = (
    job: string,
    name: string,
    kind: 'measure' | 'cut' | 'sew' | 'press' | 'baste' | 'quilt' | 'bind',
    amount: number,
  ) => {
    if (amount > 0) then({ id: job, name, what: 'work', work: kind, amount, after: last });
  };
  const open = plan.pile.filter(({ width, height }) => width === null || height === null).length;
  work('measure', `Measure ${numberOf(open, 'block')}`, 'measure', open);
  if (of.cuts > 0) {
    const shop = shopWait(cloths, log, id);
    if (shop) jobs.push(shop);
    if (shop) last = [...last, shop.id];
  }
  work('cut', `${numberOf(of.cuts, 'cut')} at the table`, 'cut', of.cuts);
  work('sew', `${numberOf(of.seams, 'seam')} of the top`, 'sew', of.seams);
  work('press', `${numberOf(of.presses, 'trip')} to the iron`, 'press', of.presses);
  if (quilt.layers && !of.finished.has('quilt')) {
    if (plan.quilting.by === 'long-arm') then(longArm(log, id, plan, last));
    else {
      if (!of.finished.has('layer') && !of.finished.has('turn'))
        work('baste', 'Layer and baste it', 'baste', of.area);
      work('quilt', 'Quilt it', 'quilt', of.area);
    }
  }
  const edge = closingStep(quilt.edge);
  if (edge && !of.finished.has(edge)) work('bind', CLOSING_NAMES[edge], 'bind', of.round);
  if (due.wash)
    then({ id: 'wash', name: 'Wash and dry it', what: 'wait', days: WASH_DAYS, until: null, after: last });
  if (due.postDays > 0) {
    const days = [due.postDays, due.postDays, Math.ceil(due.postDays * 1.5)] as const;
    then({ id: 'post', name: 'In the post', what: 'wait', days, until: null, after: last });
  }
  return { quilt: id, title: plan.title, due: due.date, jobs };
}

/** Cloth that is still to be bought: awaited, or to be fetched where a shop holds it. */
function shopWait(cloths: readonly ToBuy[], log: readonly LogEntry[], id: string): Job | null {
  const missing = cloths.filter(({ settled }) => settled === null);
  if (missing.length === 0) return null;
  const held = new Set(holdsIn(log, id).flatMap(({ lines }) => lines.map(({ cloth }) => cloth)));
  const all = missing.every(({ fabric }) => held.has(fabric.id));
  return {
    id: 'shop',
    name: all ? 'Fetch what the shop holds' : `Buy ${numberOf(missing.length, 'cloth')}`,
    what: 'wait',
    // What is laid aside is fetched on the way home.
    days: all ? [0, 1, 3] : SHOP_DAYS,
    until: null,
    after: [],
  };
}

function longArm(log: readonly LogEntry[], id: string, { unit }: Plan, after: readonly string[]): Job {
  const booking = bookingIn(log, id, unit);
  if (!booking)
    return {
      id: 'long-arm',
      name: 'The long-arm, not booked yet',
      what: 'wait',
      days: LONG_ARM_DAYS,
      until: null,
      after,
    };
  const { starts, ready } = booking;
  return { id: 'long-arm', name: 'At the long-arm', what: 'slot', starts, ready, again: AGAIN_DAYS, after };
}
