import type { DiaryEntry } from '@lattice/core';
import { createEvents, type EventAttributes } from 'ics';

const numbers = (text: string, at: RegExp) => text.split(at).map(Number);

function eventOf({ uid, title, says, date, from, minutes, remind }: DiaryEntry): EventAttributes {
  const [year, month, day] = numbers(date, /-/) as [number, number, number];
  const [hour, minute] = from === null ? [] : numbers(from, /:/);
  return {
    uid: `${uid}@dapper-lattice`,
    title,
    description: says,
    // A time of day is the maker's own, wherever the file is opened.
    start: from === null ? [year, month, day] : [year, month, day, hour!, minute!],
    startInputType: 'local',
    startOutputType: 'local',
    duration: from === null ? { days: 1 } : { minutes },
    busyStatus: from === null ? 'FREE' : 'BUSY',
    transp: from === null ? 'TRANSPARENT' : 'OPAQUE',
    alarms: [{ action: 'display', description: title, trigger: { minutes: remind, before: true } }],
  };
}

/**
 * A diary as an iCalendar file (RFC 5545): one event a sitting, each with its alarm; times are local, without a zone.
 *
 * @param made when it was written, 2026-11-26T19:30:00Z: the same diary written at the same moment is the same file
 * @throws Error where an entry cannot be an event; what `diaryOf` makes can
 */
export function calendarFile(name: string, diary: readonly DiaryEntry[], made: string): string {
  const { error, value } = createEvents(diary.map(eventOf), { calName: name, productId: 'dapper-lattice' });
  if (error || !value) throw error ?? new Error('The calendar could not be written.');
  const stamp = `${made.slice(0, 19).replace(/[-:]/g, '')}Z`;
  return value.replace(/^DTSTAMP:.*$/gm, `DTSTAMP:${stamp}`);
}
