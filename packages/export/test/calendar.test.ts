import ICAL from 'ical.js';
import type { DiaryEntry } from '@lattice/core';
import { calendarFile } from '../src/index.ts';

const sitting: DiaryEntry = {
  uid: 'q1-sitting-2026-12-01',
  title: 'Cot quilt; for, the corner house: 12 seams of the top',
  says: '12 seams of the top: 40 min\nPress: 20 min',
  date: '2026-12-01',
  from: '19:30',
  minutes: 60,
  remind: 30,
};
const day: DiaryEntry = {
  ...sitting,
  uid: 'q1-due',
  title: 'To be ready',
  date: '2026-12-24',
  from: null,
  minutes: 0,
  remind: 1440,
};
const made = '2026-11-26T20:00:00Z';
/** Read by a library of its own, that had no part in the writing. */
const read = (text: string) => {
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
  return calendar
    .getAllSubcomponents('vevent')
    .map((one) => ({ event: new ICAL.Event(one), alarms: one.getAllSubcomponents('valarm') }));
};

describe('a calendar file (RFC 5545), read back by another library', () => {
  const text = calendarFile('Cot quilt', [sitting, day], made);
  const events = read(text);
  test('one event a sitting, when it begins, how long it is, what is to be done', () => {
    const { event } = events[0]!;
    expect(event.startDate.toString()).toBe('2026-12-01T19:30:00');
    expect(event.endDate.toString()).toBe('2026-12-01T20:30:00');
    // Semicolons, commas and new lines come back as they were (3.3.11).
    expect(event.summary).toBe(sitting.title);
    expect(event.description).toBe(sitting.says);
    expect(event.startDate.zone.tzid).toBe('floating');
  });
  test('each with an alarm before it', () => {
    for (const { alarms } of events) expect(alarms).toHaveLength(1);
    const trigger = events[0]!.alarms[0]!.getFirstPropertyValue('trigger') as ICAL.Duration;
    expect(trigger.toSeconds()).toBe(-30 * 60);
  });
  test('a day is a whole day, and nobody is busy on it', () => {
    const { event } = events[1]!;
    expect(event.startDate.isDate).toBe(true);
    expect(event.startDate.toString()).toBe('2026-12-24');
    expect(event.component.getFirstPropertyValue('transp')).toBe('TRANSPARENT');
  });
  test('lines end as the standard has them, none over 75 octets (3.1); the same diary is the same file', () => {
    const lines = text.split('\r\n');
    expect(text.replace(/\r\n/g, '')).not.toMatch(/[\r\n]/);
    for (const line of lines) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(calendarFile('Cot quilt', [sitting, day], made)).toBe(text);
    expect(text).toContain('DTSTAMP:20261126T200000Z');
  });
  test('names with markup, emoji, right-to-left text and new lines stay names', () => {
    const title = '<b>שלום</b> 🧵 BEGIN:VEVENT\nEND:VCALENDAR';
    const [{ event }] = read(calendarFile('x', [{ ...sitting, title }], made)) as [(typeof events)[0]];
    expect(event.summary).toBe(title);
    expect(read(calendarFile('x', [{ ...sitting, title }], made))).toHaveLength(1);
  });
});
