import type { Work } from '../choice/works.ts';
import type { LogEntry } from '../log/entry.ts';
import { mergeLogs } from '../log/merge.ts';
import { msOf } from '../moment/moment.ts';
import { type StepMark, stepsOf, type StepTime } from './by-step.ts';

/** A time somebody sat at work. */
export interface Sitting {
  /** Of the entry that began it. */
  readonly id: string;
  readonly quilt: string;
  readonly work: Work;
  /** When it began, or was written down. */
  readonly start: string;
  readonly minutes: number;
  /** How much was done in it, as far as the log knows. */
  readonly did: Did;
  /** How much of it went to which step, as far as that was said. */
  readonly steps: readonly StepTime[];
  readonly typed: boolean;
  /** Its clock was left on: it counts until the last thing that was done, unless the maker says how long it was. */
  readonly leftOn: boolean;
  readonly struck: boolean;
}

/** What was done in a sitting; `said` is what the maker said it was, of whatever the work is counted by. */
interface Did {
  readonly cuts: number;
  readonly seams: number;
  readonly presses: number;
  readonly blocks: number;
  readonly said: number | null;
}

/** A clock that runs. */
export interface Running {
  readonly id: string;
  readonly quilt: string;
  readonly work: Work;
  readonly start: string;
  /** The step it is at, where that was said. */
  readonly step: string | null;
}

/** Times of a maker: what was sat through, and the clock that still runs. */
export interface Sittings {
  readonly sittings: readonly Sitting[];
  readonly running: Running | null;
}

const MINUTE_MS = 60_000;
/** A clock that has run so long was most likely forgotten (from memory: few sit longer). */
const FORGOTTEN_MINUTES = 4 * 60;

/**
 * Sittings by the log, the oldest first. Nobody sits in two places: a clock that was not stopped is stopped where the
 * next one starts. Entries in any order, and any of them more than once, give the same.
 *
 * @param quilt only its own; all of the maker's where none is named
 */
export function sittingsIn(log: readonly LogEntry[], quilt?: string): Sittings {
  const all = mergeLogs(log);
  const stops = new Map<string, Extract<LogEntry, { kind: 'clock-stopped' }>>();
  const struck = new Map<string, boolean>();
  const moves = new Map<string, { readonly at: string; readonly step: string }[]>();
  const starts: Extract<LogEntry, { kind: 'clock-started' }>[] = [];
  for (const entry of all) {
    // Of two devices that stopped one clock the first counts, unless a later word says how long it really was.
    if (entry.kind === 'clock-stopped' && (!stops.has(entry.body.start) || entry.body.minutes !== null))
      stops.set(entry.body.start, entry);
    if (entry.kind === 'time-struck') struck.set(entry.body.entry, entry.body.struck);
    if (entry.kind === 'clock-started') starts.push(entry);
    if (entry.kind === 'clock-moved') {
      const { start, step } = entry.body;
      moves.set(start, [...(moves.get(start) ?? []), { at: entry.at, step }]);
    }
  }
  const sittings: Sitting[] = [];
  let running: Running | null = null;
  starts.forEach((entry, i) => {
    const { id, at, quilt: of, body } = entry;
    const stop = stops.get(id);
    const next = starts[i + 1];
    const end = Math.min(stop ? msOf(stop.at) : Infinity, next ? msOf(next.at) : Infinity);
    const marks: StepMark[] = [
      { after: 0, step: body.step ?? null },
      ...(moves.get(id) ?? []).map((move) => ({ after: minutesBetween(at, move.at), step: move.step })),
    ];
    if (end === Infinity) {
      const { step } = marks.at(-1)!;
      if (!struck.get(id)) running = { id, quilt: of, work: body.work, start: at, step };
      return;
    }
    const ran = Math.max(0, (end - msOf(at)) / MINUTE_MS);
    const leftOn = !stop && ran >= FORGOTTEN_MINUTES;
    const minutes = stop?.body.minutes ?? (leftOn ? (minutesToLast(all, entry, end) ?? 0) : ran);
    sittings.push({
      id,
      quilt: of,
      work: body.work,
      start: at,
      minutes,
      did: didIn(all, of, msOf(at), Math.max(end, msOf(at) + minutes * MINUTE_MS)),
      steps: stepsOf(marks, minutes),
      typed: false,
      leftOn,
      struck: struck.get(id) ?? false,
    });
  });
  for (const entry of all)
    if (entry.kind === 'time-noted') {
      const { work, minutes, amount, step } = entry.body;
      const did = { ...NOTHING, said: amount };
      sittings.push({
        ...{ id: entry.id, quilt: entry.quilt, work, start: entry.at, minutes, did },
        steps: stepsOf([{ after: 0, step: step ?? null }], minutes),
        typed: true,
        leftOn: false,
        struck: struck.get(entry.id) ?? false,
      });
    }
  sittings.sort((a, b) => msOf(a.start) - msOf(b.start) || (a.id < b.id ? -1 : 1));
  return { sittings: sittings.filter((one) => quilt === undefined || one.quilt === quilt), running };
}

const minutesBetween = (from: string, to: string): number => Math.max(0, (msOf(to) - msOf(from)) / MINUTE_MS);

const NOTHING: Did = { cuts: 0, seams: 0, presses: 0, blocks: 0, said: null };

/** What the log has of a quilt between two moments. */
function didIn(all: readonly LogEntry[], quilt: string, from: number, to: number): Did {
  const undone = new Set(all.flatMap((entry) => (entry.kind === 'step-uncut' ? entry.body.entries : [])));
  let [cuts, seams, presses] = [0, 0, 0];
  const blocks = new Set<string>();
  for (const entry of all) {
    const at = msOf(entry.at);
    if (entry.quilt !== quilt || at < from || at > to) continue;
    if (entry.kind === 'step-cut' && !undone.has(entry.id)) cuts += 1;
    else if (entry.kind === 'seams-sewn') seams += entry.body.seams.length;
    else if (entry.kind === 'seams-ripped') seams = Math.max(0, seams - entry.body.seams.length);
    else if (entry.kind === 'sewing-done') presses += entry.body.done ? 1 : presses > 0 ? -1 : 0;
    else if (entry.kind === 'plan-changed')
      for (const { kind, about } of entry.body.changes)
        if (kind === 'measure' && about.block !== undefined) blocks.add(about.block);
  }
  return { cuts, seams, presses, blocks: blocks.size, said: null };
}

/** How long a running clock has run, and how long it was really, most likely. */
export interface Forgotten {
  readonly minutes: number;
  /** Until the last thing the log has of it; null where there is none. */
  readonly untilLast: number | null;
}

/** Whether a clock was forgotten; null while it may well be right. */
export function forgottenClock(log: readonly LogEntry[], running: Running, now: string): Forgotten | null {
  const minutes = (msOf(now) - msOf(running.start)) / MINUTE_MS;
  if (minutes < FORGOTTEN_MINUTES) return null;
  const clock = { id: running.id, quilt: running.quilt, at: running.start };
  return { minutes, untilLast: minutesToLast(log, clock, msOf(now)) };
}

/** From the start of a clock to the last thing its quilt's log has until a moment; null where there is nothing. */
function minutesToLast(
  log: readonly LogEntry[],
  { id, quilt, at }: Pick<LogEntry, 'id' | 'quilt' | 'at'>,
  until: number,
): number | null {
  const last = log.reduce((latest, entry) => {
    const when = msOf(entry.at);
    const counts = entry.quilt === quilt && entry.id !== id && when >= msOf(at) && when < until;
    return counts ? Math.max(latest, when) : latest;
  }, 0);
  return last > 0 ? (last - msOf(at)) / MINUTE_MS : null;
}
