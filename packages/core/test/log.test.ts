import fc from 'fast-check';
import { bookingIn, type LogEntry, logEntrySchema, mergeLogs } from '../src/index.ts';

const at = fc
  .integer({ min: 0, max: 5 })
  .map((minutes) => new Date(Date.UTC(2026, 10, 26, 9, minutes)).toISOString());
const number = fc.constantFrom('LA-1', 'LA-2', 'LA-3');
const size = fc.integer({ min: 20, max: 120 });
const body = fc.oneof(
  fc.record({
    kind: fc.constant('booked' as const),
    body: fc.record({
      number,
      unit: fc.constantFrom('in' as const, 'cm' as const),
      width: size,
      height: size,
      price: size,
      starts: fc.constant('2026-12-01'),
      ready: fc.constant('2026-12-08'),
    }),
  }),
  fc.record({ kind: fc.constant('booking-cancelled' as const), body: fc.record({ number }) }),
);
/** A log as several devices could have written it: ids are unique, times may well be alike. */
const anyLog: fc.Arbitrary<LogEntry[]> = fc
  .array(fc.tuple(fc.constantFrom('q1', 'q2'), at, body), { maxLength: 12 })
  .map((list) =>
    list.map(([quilt, when, said], i) => ({ id: `entry-${i}-${i}`, quilt, at: when, ...said }) as LogEntry),
  );

/** A log dealt out to two devices, some entries to both, each in an order of its own. */
const dealt = anyLog.chain((log) =>
  fc.record({
    log: fc.constant(log),
    one: fc.shuffledSubarray(log),
    other: fc.shuffledSubarray([...log, ...log]),
    all: fc.shuffledSubarray(log, { minLength: log.length }),
  }),
);

describe('logs of several devices', () => {
  test('any order, any number of times, one log', () => {
    fc.assert(
      fc.property(dealt, ({ log, one, other, all }) => {
        const merged = mergeLogs(log);
        expect(mergeLogs(one, other, all)).toEqual(merged);
        expect(mergeLogs(all, mergeLogs(other, one))).toEqual(merged);
        expect(mergeLogs(merged, merged)).toEqual(merged);
        expect(mergeLogs(one, other)).toEqual(mergeLogs(other, one));
        expect(merged.map((e) => e.id).sort()).toEqual(log.map((e) => e.id).sort());
      }),
    );
  });
  test('the booking that stands is the same on every device, once they have heard of everything', () => {
    fc.assert(
      fc.property(dealt, ({ log, all, other }) => {
        for (const quilt of ['q1', 'q2'])
          expect(bookingIn([...other, ...all], quilt, 'in')).toEqual(bookingIn(log, quilt, 'in'));
      }),
    );
  });
  test('a booking taken back never stands, whichever was heard of first; others do', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        for (const quilt of ['q1', 'q2']) {
          const own = log.filter((e) => e.quilt === quilt);
          const cancelled = own.flatMap((e) => (e.kind === 'booking-cancelled' ? [e.body.number] : []));
          const open = own.flatMap((e) =>
            e.kind === 'booked' && !cancelled.includes(e.body.number) ? [e.body.number] : [],
          );
          const booking = bookingIn(log, quilt, 'in');
          if (open.length === 0) expect(booking).toBeNull();
          else expect(open).toContain(booking!.number);
        }
      }),
    );
  });
});

const entry = {
  id: 'a-log-entry',
  quilt: 'q1',
  at: '2026-11-26T09:00:00.000Z',
  kind: 'booked',
  body: {
    number: 'LA-7',
    unit: 'in',
    width: 40,
    height: 50,
    price: 80,
    starts: '2026-12-09',
    ready: '2026-12-16',
  },
} as const;

test('of two bookings the later stands; booked in inches it can be asked for in centimetres', () => {
  const later: LogEntry = {
    ...entry,
    id: 'later-entry',
    at: '2026-11-26T10:00:00Z',
    body: { ...entry.body, number: 'LA-8' },
  };
  expect(bookingIn([later, entry], 'q1', 'cm')).toMatchObject({ number: 'LA-8', width: 101.6, height: 127 });
  expect(bookingIn([later, entry], 'q2', 'cm')).toBeNull();
});

test('an entry from outside is read by its kind, or not at all', () => {
  expect(logEntrySchema.safeParse(entry).success).toBe(true);
  for (const wrong of [
    { ...entry, kind: 'dreamt' },
    { ...entry, body: { number: 'LA-7' } },
    { ...entry, id: '../etc' },
    { ...entry, at: 'yesterday' },
    { ...entry, more: 1 },
    { ...entry, kind: 'booking-cancelled' },
  ])
    expect([wrong, logEntrySchema.safeParse(wrong).success]).toEqual([wrong, false]);
});
