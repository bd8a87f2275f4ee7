import { type JournalLine, journalOf, namesFrom } from '@lattice/core';
import { useMemo } from 'react';
import { useAppSelector } from '../../state/hooks.ts';
import { selectPlan } from '../../state/selectors.ts';

/** The journal of the open quilt, the oldest first. */
export function useJournal(): readonly JournalLine[] {
  const plan = useAppSelector(selectPlan);
  const log = useAppSelector((s) => s.log);
  const id = useAppSelector((s) => s.saving.id)!;
  return useMemo(() => journalOf(log, id, namesFrom(plan)), [log, id, plan]);
}

const DAY = new Intl.DateTimeFormat('en-GB', {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  year: 'numeric',
});
const TIME = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** The day and the time of day of a moment, by the clock on this device. */
export const whenOf = (at: string): { day: string; time: string } => {
  const date = new Date(at);
  return { day: DAY.format(date), time: TIME.format(date) };
};

const SHORT_DAY = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  timeZone: 'UTC',
});

/** A date as one says it: "Thu 26 Nov". */
export const sayDate = (date: string): string => SHORT_DAY.format(new Date(`${date}T00:00:00Z`));
