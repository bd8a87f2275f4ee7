import fc from 'fast-check';
import {
  type EntryBody,
  journalOf,
  type LogEntry,
  logEntrySchema,
  type Plan,
  planChangesBetween,
  startPlan,
  withPieced,
} from '../src/index.ts';
import { notesIn } from '../src/journal/notes.ts';
import { entriesOf } from './support/entries.ts';

const names = {
  cloth: (id: string) => `Cloth ${id}`,
  step: (id: string) => `Step ${id}`,
  way: (id: string) => `Way ${id}`,
};
const texts = (log: readonly LogEntry[]) => journalOf(log, 'q1', names).map(({ text }) => text);
const plan = startPlan('sashed-sampler');

describe('what changed in a plan, in words', () => {
  const words = (to: (p: Plan) => Plan, from = plan) =>
    planChangesBetween(from, to(from)).map(({ what, from: a, to: b }) => `${what}: ${a} → ${b}`);

  test('what a border is made of: of one cloth, of units, and units of another kind', () => {
    const pieced = withPieced(plan, 0, 'geese');
    expect(words((p) => withPieced(p, 0, 'geese'))).toContain(
      'The borders: border 1, what it is made of: none → Flying geese',
    );
    expect(words((p) => withPieced(p, 0, null), pieced)).toEqual([
      'The borders: border 1, what it is made of: Flying geese → taken away',
    ]);
    expect(words((p) => withPieced(p, 0, 'checkers'), pieced)).toEqual([
      'The borders: border 1, what it is made of, units: Flying geese → Checkers',
      'The borders: border 1, what it is made of, how its units are made: Four at a time → From strips',
    ]);
    // What was not said before is none, not taken away.
    const repeat = (p: Plan, to: number | null): Plan => ({
      ...p,
      borders: p.borders.map((border, i) => (i === 0 ? { ...border, repeat: to } : border)),
    });
    expect(words((p) => repeat(p, 4))).toEqual(['The borders: border 1, repeat: none → 4″']);
    expect(words((p) => repeat(p, null), repeat(plan, 4))).toEqual([
      'The borders: border 1, repeat: 4″ → taken away',
    ]);
  });
  test('a length is told with what it was and what it is', () => {
    expect(words((p) => ({ ...p, setting: { ...p.setting, sash: 1.75 } as Plan['setting'] }))).toEqual([
      'The setting: Sash, finished: 1 1/2″ → 1 3/4″',
    ]);
  });
  test('another setting is one line, whatever lengths it has', () => {
    const other = startPlan('on-point-cot').setting;
    expect(words((p) => ({ ...p, setting: other }))).toHaveLength(1);
  });
  test('a measured block is told with its verdict, and where it is', () => {
    const block = { id: 'b7', name: 'Bean row', width: null, height: null };
    const from: Plan = { ...plan, pile: [block] };
    const meant = plan.block.width + 2 * plan.seam;
    const to: Plan = { ...from, pile: [{ ...block, width: meant - 0.25, height: meant }] };
    const [change] = planChangesBetween(from, to);
    expect(change).toMatchObject({ kind: 'measure', stage: 'blocks', about: { block: 'b7' } });
    expect(change!.from).toBe('not measured');
    expect(change!.to).toMatch(/too small$/);
    const done: Plan = { ...to, pile: [{ ...to.pile[0]!, settled: true }] };
    expect(planChangesBetween(to, done)).toMatchObject([{ kind: 'verdict', to: 'done' }]);
    // What was to be done about it is the verdict's own word: a quarter short.
    expect(planChangesBetween(to, done)[0]!.from).toMatch(/^1\/4″ too small/);
  });
  test('a wall laid anew is one line with the count of its places', () => {
    const place = (block: string) => ({ block, turn: 0 as const, locked: false });
    const from: Plan = { ...plan, wall: ['a', 'b', 'c'].map(place) };
    const to: Plan = { ...from, wall: ['b', 'a', 'c'].map(place) };
    expect(planChangesBetween(from, to)).toMatchObject([{ what: 'The wall', to: 'Laid out anew: 2 places' }]);
  });
  test('nothing changed, nothing told; and whatever changes can be kept in the log', () => {
    expect(planChangesBetween(plan, structuredClone(plan))).toEqual([]);
    const long = 'x'.repeat(120);
    const edits: ((p: Plan) => Plan)[] = [
      (p) => ({ ...p, title: long }),
      (p) => ({ ...p, borders: [] }),
      (p) => ({ ...p, target: { of: 'size', width: 60, height: 80 } }),
      (p) => ({ ...p, fabrics: p.fabrics.map((f) => ({ ...f, price: 12 })) }),
      (p) => ({
        ...p,
        pile: Array.from({ length: 40 }, (_, i) => ({
          id: `n${i}`,
          name: long.slice(0, 60),
          width: null,
          height: null,
        })),
      }),
      (p) => ({ ...p, measured: [{ borders: 0, width: [50, 50, 50], height: [60, 60, 60] }] }),
      (p) => ({ ...p, unit: 'cm' }),
    ];
    fc.assert(
      fc.property(fc.subarray(edits, { minLength: 1 }), (some) => {
        const changes = planChangesBetween(
          plan,
          some.reduce((p, edit) => edit(p), plan),
        );
        expect(changes.length).toBeGreaterThan(0);
        const entry = {
          id: 'entry-0001',
          quilt: 'q1',
          at: '2026-11-26T09:00:00Z',
          kind: 'plan-changed',
          body: { changes },
        };
        expect(logEntrySchema.safeParse(entry).error?.issues).toBeUndefined();
      }),
    );
  });
});

describe('the journal', () => {
  const change = (from: string, to: string): EntryBody['plan-changed'] => ({
    changes: [{ key: 'setting/sash', kind: 'change', stage: 'setting', what: 'Sash', from, to, about: {} }],
  });
  test('a sash dragged to and fro is told once, and not at all when it came back', () => {
    const e = entriesOf();
    const there = [
      e('2026-11-26T09:00:00Z', 'plan-changed', change('1 1/2″', '1 5/8″')),
      e('2026-11-26T09:01:00Z', 'plan-changed', change('1 5/8″', '1 3/4″')),
    ];
    expect(texts(there)).toEqual(['Sash: 1 1/2″ → 1 3/4″']);
    const back = e('2026-11-26T09:02:00Z', 'plan-changed', change('1 3/4″', '1 1/2″'));
    expect(texts([...there, back])).toEqual([]);
    // An hour later it is a decision of its own.
    const later = e('2026-11-26T10:30:00Z', 'plan-changed', change('1 3/4″', '2″'));
    expect(texts([...there, later])).toEqual(['Sash: 1 1/2″ → 1 3/4″', 'Sash: 1 3/4″ → 2″']);
  });
  test('seams of one evening are one line; what was taken out is said, and nothing vanishes', () => {
    const e = entriesOf();
    const seam = (name: string) => ({ seam: `${name} | next`, length: 10 });
    const log = [
      e('2026-11-26T19:00:00Z', 'seams-sewn', { unit: 'in', seams: [seam('a'), seam('b')] }),
      e('2026-11-26T19:20:00Z', 'seams-sewn', { unit: 'in', seams: [seam('c')] }),
      e('2026-11-26T19:21:00Z', 'seams-ripped', { seams: [seam('c').seam] }),
    ];
    expect(texts(log)).toEqual(['3 seams sewn', '1 seam taken out, or not sewn after all']);
  });
  // Two devices that tick the same seam have sewn it once; what is not sewn cannot be taken out.
  test('a seam ticked on two devices is told once, and once taken out', () => {
    const e = entriesOf('q1');
    const seam = (name: string) => ({ seam: `${name} b`, length: 12.5 });
    const log = [
      e('2026-11-26T19:00:00Z', 'seams-sewn', { unit: 'in', seams: [seam('a'), seam('b')] }),
      e('2026-11-26T19:01:00Z', 'seams-sewn', { unit: 'in', seams: [seam('b'), seam('c')] }),
      e('2026-11-26T19:02:00Z', 'seams-sewn', { unit: 'in', seams: [seam('a')] }),
      e('2026-11-26T21:00:00Z', 'seams-ripped', { seams: ['b b', 'x b'] }),
      e('2026-11-26T21:01:00Z', 'seams-ripped', { seams: ['b b'] }),
      e('2026-11-26T23:00:00Z', 'seams-sewn', { unit: 'in', seams: [seam('b')] }),
    ];
    expect(texts(log)).toEqual(['3 seams sewn', '1 seam taken out, or not sewn after all', '1 seam sewn']);
  });
  test('a note reworded and struck keeps what it said', () => {
    const e = entriesOf();
    const about = { block: 'b17' };
    const log = [
      e(
        '2026-11-26T09:00:00Z',
        'noted',
        { text: 'Remade, a quarter short', stage: 'blocks', about, pictures: [] },
        'note-0001',
      ),
      e('2026-11-26T09:05:00Z', 'note-reworded', { note: 'note-0001', text: 'Remade: a quarter short' }),
      e('2026-11-26T09:06:00Z', 'note-struck', { note: 'note-0001', struck: true }),
    ];
    const [line] = journalOf(log, 'q1', names);
    expect(line).toMatchObject({
      kind: 'note',
      text: 'Remade: a quarter short',
      earlier: ['Remade, a quarter short'],
      struck: true,
      about,
    });
    expect(notesIn(log.slice(0, 1), 'q1')).toHaveLength(1);
  });

  const at = fc
    .integer({ min: 0, max: 500 })
    .map((m) => new Date(Date.UTC(2026, 10, 26, 9, m)).toISOString());
  const someBody = fc.oneof(
    fc.constant({
      kind: 'noted' as const,
      body: { text: 'A word', stage: 'blocks', about: {}, pictures: [] },
    }),
    fc
      .integer({ min: 0, max: 9 })
      .map((i) => ({ kind: 'note-reworded' as const, body: { note: `entry-${i}-${i}`, text: `Word ${i}` } })),
    fc
      .integer({ min: 0, max: 9 })
      .map((i) => ({ kind: 'note-struck' as const, body: { note: `entry-${i}-${i}`, struck: i % 2 === 0 } })),
    fc
      .constantFrom('cut', 'sew')
      .map((work) => ({ kind: 'clock-started' as const, body: { work: work as 'cut' } })),
    fc
      .integer({ min: 0, max: 9 })
      .map((i) => ({ kind: 'clock-stopped' as const, body: { start: `entry-${i}-${i}`, minutes: null } })),
    fc.constant({
      kind: 'seams-sewn' as const,
      body: { unit: 'in' as const, seams: [{ seam: 'a | b', length: 10 }] },
    }),
    fc.constant({ kind: 'plan-changed' as const, body: change('1″', '2″') }),
    fc.integer({ min: 1, max: 300 }).map((minutes) => ({
      kind: 'time-noted' as const,
      body: { work: 'sew' as const, minutes, amount: null },
    })),
  );
  const anyLog = fc
    .array(fc.tuple(at, someBody), { maxLength: 14 })
    .map((list) =>
      list.map(([when, said], i) => ({ id: `entry-${i}-${i}`, quilt: 'q1', at: when, ...said }) as LogEntry),
    );
  test('any order of arrival, twice, from two devices: one journal', () => {
    fc.assert(
      fc.property(
        anyLog.chain((log) =>
          fc.tuple(
            fc.constant(log),
            fc.shuffledSubarray([...log, ...log]),
            fc.shuffledSubarray(log, { minLength: log.length }),
          ),
        ),
        ([log, some, all]) => {
          expect(journalOf([...some, ...all], 'q1', names)).toEqual(journalOf(log, 'q1', names));
        },
      ),
      { numRuns: 300 },
    );
  });
});
