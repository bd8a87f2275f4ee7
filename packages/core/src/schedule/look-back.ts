import type { Pace } from '../clock/pace.ts';
import { CLOSING_STEPS } from '../choice/edge.ts';
import type { Work } from '../choice/works.ts';
import type { LogEntry } from '../log/entry.ts';
import { mergeLogs } from '../log/merge.ts';
import { dateOf, dayOf } from '../moment/moment.ts';
import type { WorkLeft } from './work-left.ts';

/** Work left at the end of a day that has passed. */
export interface LeftThen {
  readonly date: string;
  readonly minutes: number;
}

/**
 * How the work of a quilt went down, day by day that something was done, at the pace that is known now: what is left, and
 * on every earlier day what was done since besides. The oldest first; the last is how it stands.
 *
 * @param dayAt the date a moment of the log lies on where the maker is
 */
export function lookBack(
  log: readonly LogEntry[],
  quilt: string,
  { jobs, area, round }: Pick<WorkLeft, 'jobs' | 'area' | 'round'>,
  paces: Readonly<Record<Work, Pace>>,
  dayAt: (at: string) => string,
): LeftThen[] {
  let minutes = jobs.jobs.reduce(
    (sum, job) => (job.what === 'work' ? sum + job.amount * paces[job.work].minutes : sum),
    0,
  );
  const sizes: Readonly<Record<string, number>> = {
    layer: area * paces.baste.minutes,
    quilt: area * paces.quilt.minutes,
    ...Object.fromEntries(CLOSING_STEPS.map((step) => [step, round * paces.bind.minutes])),
  };
  const own = mergeLogs(log.filter((entry) => entry.quilt === quilt));
  const undone = new Set(own.flatMap((entry) => (entry.kind === 'step-uncut' ? entry.body.entries : [])));
  const days: LeftThen[] = [];
  for (const entry of [...own].reverse()) {
    const did = minutesDone(entry, undone, paces, sizes);
    if (did === 0) continue;
    const date = dayAt(entry.at);
    if (days.at(-1)?.date !== date) days.push({ date, minutes });
    minutes += did;
  }
  const first = days.at(-1);
  // How it stood before the first of all.
  if (first) days.push({ date: dateOf(dayOf(first.date) - 1), minutes });
  return days.reverse();
}

function minutesDone(
  entry: LogEntry,
  undone: ReadonlySet<string>,
  paces: Readonly<Record<Work, Pace>>,
  sizes: Readonly<Record<string, number>>,
): number {
  if (entry.kind === 'step-cut') return undone.has(entry.id) ? 0 : paces.cut.minutes;
  if (entry.kind === 'seams-sewn') return entry.body.seams.length * paces.sew.minutes;
  if (entry.kind === 'seams-ripped') return -entry.body.seams.length * paces.sew.minutes;
  if (entry.kind !== 'sewing-done') return 0;
  const { what, done } = entry.body;
  return (done ? 1 : -1) * (sizes[what] ?? paces.press.minutes);
}
