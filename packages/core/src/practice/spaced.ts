import type { LogEntry } from '../log/entry.ts';
import { mergeLogs } from '../log/merge.ts';
import { dayOf } from '../moment/moment.ts';
import type { Level } from './exercise.ts';
import { EXERCISES } from './registry.ts';

/** How one kind of exercise stands with its maker. */
export interface Standing {
  readonly kind: string;
  /** How easily it goes: 2.5 to begin with, never below 1.3. */
  readonly ease: number;
  /** Right so many times in a row. */
  readonly streak: number;
  readonly right: number;
  readonly wrong: number;
  /** The day it is due again; null for one that was never done. */
  readonly due: number | null;
  readonly level: Level;
}

/** What a right and a wrong answer count on the algorithm's scale of five: remembered with a little thought, or not. */
const RIGHT = 4;
const WRONG = 2;
const EASE_AT_FIRST = 2.5;
const LEAST_EASE = 1.3;

/**
 * How every exercise stands, by the log: spaced repetition after SM-2 (Woźniak, Optimization of learning, 1990). Right
 * answers push the next time out, to 1 day, 6 days, then ease times as long; a wrong one brings it back tomorrow. What goes
 * right several times in a row gets harder.
 */
export function standingsIn(log: readonly LogEntry[]): Standing[] {
  const standing = new Map<string, Standing & { interval: number }>(
    EXERCISES.map(({ id }) => [
      id,
      { kind: id, ease: EASE_AT_FIRST, streak: 0, right: 0, wrong: 0, due: null, level: 0, interval: 0 },
    ]),
  );
  for (const entry of mergeLogs(log)) {
    if (entry.kind !== 'practised') continue;
    const had = standing.get(entry.body.exercise);
    if (!had) continue;
    const { right } = entry.body;
    const quality = right ? RIGHT : WRONG;
    const ease = Math.max(LEAST_EASE, had.ease + 0.1 - (5 - quality) * (0.08 + (5 - quality) * 0.02));
    const streak = right ? had.streak + 1 : 0;
    const interval = streak === 0 ? 1 : streak === 1 ? 1 : streak === 2 ? 6 : Math.round(had.interval * ease);
    standing.set(had.kind, {
      ...had,
      ease,
      streak,
      interval,
      right: had.right + (right ? 1 : 0),
      wrong: had.wrong + (right ? 0 : 1),
      due: dayOf(entry.at.slice(0, 10)) + interval,
      level: streak >= 4 ? 2 : streak >= 2 ? 1 : 0,
    });
  }
  return [...standing.values()].map(({ interval: _interval, ...one }) => one);
}

/** What to practise next: what is due, the hardest first; then what was never done; then what is due soonest. */
export function nextUp(standings: readonly Standing[], today: number): Standing {
  const rank = ({ due, ease, wrong }: Standing): number =>
    due === null ? 1_000 : due <= today ? ease - Math.min(1, wrong / 100) : 10_000 + due - today;
  return [...standings].sort((a, b) => rank(a) - rank(b))[0]!;
}
