import fc from 'fast-check';
import {
  aroundFlaw,
  atTable,
  computeQuilt,
  cutRecord,
  cuttingJob,
  type LogEntry,
  planEntry,
  type Plan,
  planProblems,
  stepEntry,
  type TableCloth,
} from '../src/index.ts';
import { lyingFaults } from './support/cloths.ts';
import { borderOf, inchPlan } from './support/plans.ts';

const QUILT = 'raffle';
const base = () => inchPlan({ borders: [borderOf(4, 'sash')] });

/** A table that keeps its own log, as a device does. */
class Table {
  log: LogEntry[] = [];
  private clock = 0;
  constructor(
    public plan: Plan,
    readonly cloth = 'sash',
  ) {}

  now(): TableCloth {
    const { plan } = this;
    return atTable(cuttingJob(plan, computeQuilt(plan), this.cloth), this.record());
  }
  record = () => cutRecord(this.log, QUILT, this.cloth, this.plan.unit);
  private add(kind: LogEntry['kind'], body: unknown): string {
    const n = ++this.clock;
    const id = `entry-${String(n).padStart(6, '0')}`;
    const at = new Date(Date.UTC(2026, 10, 26, 9, 0, n)).toISOString();
    this.log.push({ id, quilt: QUILT, at, kind, body } as LogEntry);
    return id;
  }
  /** Does the next step, or nothing when all is cut. */
  tick(): boolean {
    const table = this.now();
    if (table.next === null) return false;
    const id = table.plan.id ?? this.add('cutting-planned', planEntry(this.cloth, table, this.plan.unit));
    this.add('step-cut', stepEntry(this.cloth, id, table.steps[table.next]!, this.plan.unit));
    return true;
  }
  undo(): void {
    const { done } = this.record();
    const last = [...done.values()].at(-1);
    if (last) this.add('step-uncut', { entries: last });
  }
  flaw(length: number, leaves: { w: number; h: number }[]): void {
    const { unit } = this.plan;
    this.add('cut-lost', { cloth: this.cloth, unit, why: 'flaw', pieces: [], instead: [], length, leaves });
  }
  spoil(): void {
    const [pieces] = this.record().made.filter(({ joined }) => !joined);
    if (pieces)
      this.add('cut-lost', {
        cloth: this.cloth,
        unit: this.plan.unit,
        why: 'miscut',
        pieces: [{ ...pieces, count: 1 }],
        instead: [],
        length: 0,
      });
  }
}

const all = (table: Table) => {
  let steps = 0;
  while (table.tick()) if (++steps > 500) throw new Error('There is no end of it.');
};

test('ticked to the end every piece is cut, and nothing is left to cut', () => {
  const table = new Table(base());
  const before = table.now();
  expect(before.counts).toContainEqual(expect.objectContaining({ name: 'Sashes', cut: 0, wanted: 31 }));
  all(table);
  const after = table.now();
  for (const { cut, wanted } of after.counts) expect(cut).toBe(wanted);
  expect(after.left).toBe(0);
  expect(after.taken).toBeCloseTo(before.placed.needed.value, 9);
  expect(after.spare).toEqual([]);
});

test('progress lasts: in any order, twice over, and from two devices that ticked the same', () => {
  const table = new Table(base());
  for (let i = 0; i < 6; i++) table.tick();
  const state = JSON.stringify(table.now());
  const twice = table.log.map((entry) =>
    entry.kind === 'step-cut' ? { ...entry, id: `${entry.id}-b` } : entry,
  );
  table.log = [...table.log, ...twice].reverse();
  expect(JSON.stringify(table.now())).toBe(state);
});

test('a changed name, a cornerstone switched, another border: what is cut stays counted', () => {
  const table = new Table(base());
  for (let i = 0; i < 8; i++) table.tick();
  const cut = (name: string) => table.now().counts.find((count) => count.name.includes(name))?.cut;
  const sashes = cut('Sashes');
  expect(sashes).toBeGreaterThan(0);
  table.plan = {
    ...table.plan,
    title: 'Another name',
    fabrics: table.plan.fabrics.map((f) => ({ ...f, name: `${f.name}, washed` })),
    borders: [borderOf(2, 'accent'), ...table.plan.borders],
  };
  expect(cut('Sashes')).toBe(sashes);
  expect(table.now().replanned).toBe(true);
  all(table);
  for (const count of table.now().counts) expect(count.cut).toBe(count.wanted);
});

test('a wider sash: those already cut are spare, and are cut down for nothing larger than themselves', () => {
  const table = new Table(base());
  for (let i = 0; i < 8; i++) table.tick();
  const made = table.record().made.filter((pieces) => pieces.name === 'Sashes')[0]!.count;
  table.plan = { ...table.plan, setting: { ...table.plan.setting, sash: 2 } as Plan['setting'] };
  const { spare, counts } = table.now();
  expect(spare).toContainEqual(expect.objectContaining({ name: 'Sashes', count: made }));
  expect(counts.find(({ name }) => name === 'Sashes')).toMatchObject({ cut: 0, wanted: 31 });
});

test('a narrower sash is cut from those that were cut too wide', () => {
  const table = new Table(base());
  for (let i = 0; i < 8; i++) table.tick();
  table.plan = { ...table.plan, setting: { ...table.plan.setting, sash: 1 } as Plan['setting'] };
  const { steps } = table.now();
  expect(steps.some(({ kind, stock }) => kind === 'leftover' && stock!.startsWith('spare:'))).toBe(true);
  all(table);
  for (const count of table.now().counts) expect(count.cut).toBe(count.wanted);
});

test('a piece spoiled is cut again, and only that one', () => {
  const table = new Table(base());
  all(table);
  table.spoil();
  const { counts, replanned } = table.now();
  expect(replanned).toBe(true);
  const short = counts.reduce((sum, { cut, wanted }) => sum + wanted - cut, 0);
  expect(short).toBe(1);
  all(table);
  for (const count of table.now().counts) expect(count.cut).toBe(count.wanted);
});

test('a flawed patch: the good cloth before it and beside it is cut from first, and nothing is asked for twice', () => {
  const table = new Table(base());
  for (let i = 0; i < 3; i++) table.tick();
  const before = table.now();
  const { length, leaves } = aroundFlaw({ after: 4, long: 3, beside: 12, wide: 5 }, 40, 'in');
  expect(length).toBe(7);
  // Before it the whole width; beside it 12" and 23".
  expect(leaves).toEqual([
    { w: 40, h: 4 },
    { w: 12, h: 3 },
    { w: 23, h: 3 },
  ]);
  table.flaw(length, [...leaves]);
  const after = table.now();
  expect(after.steps.some(({ stock }) => stock?.startsWith('flaw/'))).toBe(true);
  expect(after.taken).toBeCloseTo(before.taken + 7, 9);
  // Right across, all of it is lost; a patch costs less.
  const across = new Table(base());
  for (let i = 0; i < 3; i++) across.tick();
  across.flaw(7, []);
  expect(after.left).toBeLessThanOrEqual(across.now().left);
  all(table);
  for (const { cut, wanted } of table.now().counts) expect(cut).toBe(wanted);
});

test('slivers beside a flaw are not kept', () => {
  expect(aroundFlaw({ after: 0, long: 3, beside: 0.5, wide: 39.5 }, 40, 'in').leaves).toEqual([]);
  expect(aroundFlaw({ after: 0, long: 8, beside: 2, wide: 100 }, 106, 'cm').leaves).toEqual([{ w: 4, h: 8 }]);
});

test('ticks, undoing, mishaps and changes of the plan in any order never lose a piece or double one', () => {
  type Act =
    | 'tick'
    | 'undo'
    | 'spoil'
    | { patch: number }
    | { sash: number }
    | { usable: number }
    | { border: number };
  const act: fc.Arbitrary<Act> = fc.oneof(
    { weight: 8, arbitrary: fc.constant<Act>('tick') },
    { weight: 2, arbitrary: fc.constantFrom<Act[]>('undo', 'spoil') },
    fc.record({ patch: fc.constantFrom(0, 6, 15) }),
    fc.record({ sash: fc.constantFrom(1, 1.5, 2) }),
    fc.record({ usable: fc.constantFrom(36, 40, 42) }),
    fc.record({ border: fc.constantFrom(3, 4, 5) }),
  );
  fc.assert(
    fc.property(fc.array(act, { minLength: 4, maxLength: 24 }), (acts) => {
      const table = new Table(base());
      for (const one of acts) {
        if (one === 'tick') table.tick();
        else if (one === 'undo') table.undo();
        else if (one === 'spoil') table.spoil();
        else if ('patch' in one) {
          const flaw = aroundFlaw({ after: 3, long: 2, beside: one.patch, wide: 4 }, 36, 'in');
          table.flaw(flaw.length, [...flaw.leaves]);
        } else {
          const { plan } = table;
          const changed: Plan =
            'sash' in one
              ? { ...plan, setting: { ...plan.setting, sash: one.sash } as Plan['setting'] }
              : 'usable' in one
                ? { ...plan, fabrics: plan.fabrics.map((f) => ({ ...f, usableWidth: one.usable })) }
                : {
                    ...plan,
                    borders: plan.borders.map((b) => ({ ...b, sides: one.border, ends: one.border })),
                  };
          if (planProblems(changed).length === 0) table.plan = changed;
        }
        const { counts, steps, placed, left } = table.now();
        // What is cut and what the steps still bring out is just what is wanted.
        const coming = new Map<string, number>();
        for (const { done, makes } of steps)
          for (const { line, count, joined } of makes)
            if (!done && !joined) coming.set(line, (coming.get(line) ?? 0) + count);
        for (const { line, cut, wanted, joined } of counts)
          if (!joined) expect(cut + (coming.get(line) ?? 0)).toBe(wanted);
        const onCloth = [...placed.pieces, ...placed.runs.flatMap((run) => run.segments)].filter(
          ({ stock }) => stock === null,
        );
        expect(lyingFaults(onCloth, placed.fabric.usableWidth + 1e-6, placed.needed.value + 1e-6)).toEqual(
          [],
        );
        expect(left).toBeLessThanOrEqual(placed.needed.value + 1e-6);
      }
      all(table);
      for (const { cut, wanted } of table.now().counts) expect(cut).toBe(wanted);
    }),
    { numRuns: 25 },
  );
});
