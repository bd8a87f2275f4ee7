import fc from 'fast-check';
import {
  aroundFlaw,
  computeQuilt,
  convertPlan,
  cutRecord,
  type LogEntry,
  logInCopy,
  type Plan,
  planProblems,
  stashIn,
} from '../src/index.ts';
import { lyingFaults } from './support/cloths.ts';
import { anyPlan, borderOf, inchPlan, wholeSetting } from './support/plans.ts';
import { all, QUILT, Table } from './support/table.ts';

const base = () => inchPlan({ borders: [borderOf(4, 'sash')] });

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
  expect(table.now().replanned).toBe('changed');
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
  expect(replanned).toBe('mishap');
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

// Rule UN-1: no count changes with the unit. What is cut by an inch ruler is held against what an inch ruler would cut.
describe('what is cut stays cut when the plan changes its unit', () => {
  const counts = (table: Table) => {
    const { counts: all, spare } = table.now();
    return { cut: all.map(({ name, cut, wanted }) => [name, cut, wanted]), spare: spare.length };
  };
  test.each<readonly [string, string, { setting?: 'on-point' | 'framed'; borders?: Plan['borders'] }]>([
    ['sashed', 'sash', { borders: [borderOf(4, 'sash')] }],
    ['on-point', 'triangle', { setting: 'on-point' }],
    ['framed', 'triangle', { setting: 'framed' }],
    // √2 in the size, placed on a grid of 1/64″.
    ['backing on point', 'back', { setting: 'on-point' }],
  ])('%s: in inches, then in centimetres, and back', (_, cloth, { setting, ...rest }) => {
    const plan = inchPlan({
      grid: { across: 2, down: 3 },
      ...(setting && { setting: wholeSetting({ kind: setting }) }),
      ...rest,
    });
    const table = new Table(plan, cloth);
    all(table);
    const before = counts(table);
    expect(before.cut.every(([, cut, wanted]) => cut === wanted)).toBe(true);
    expect(before.cut.length).toBeGreaterThan(0);
    table.plan = convertPlan(plan, 'cm');
    expect(counts(table)).toEqual(before);
    table.plan = convertPlan(table.plan, 'in');
    expect(counts(table)).toEqual(before);
    // Another width is another piece all the same: nothing that is cut passes for it.
    if (setting === undefined) {
      table.plan = convertPlan({ ...plan, setting: wholeSetting({ kind: 'sashed', sash: 1.75 }) }, 'cm');
      expect(counts(table).cut.find(([name]) => name === 'Sashes')?.[1]).toBe(0);
    }
  });
  test('any quilt, any of its cloths', () => {
    fc.assert(
      fc.property(anyPlan, fc.nat(), (plan, pick) => {
        const used = computeQuilt(plan).fabrics.filter(({ needed }) => needed.value > 0);
        if (used.length === 0) return;
        const table = new Table(plan, used[pick % used.length]!.fabric.id);
        all(table);
        const before = counts(table);
        table.plan = convertPlan(plan, plan.unit === 'in' ? 'cm' : 'in');
        expect(counts(table)).toEqual(before);
      }),
      { numRuns: 15 },
    );
  });
});

// A copy of a quilt has the same cloth cut, by entries of its own; nothing is left over in one that is not in the other.
test('the log of a copy tells the same of its cloths', () => {
  const table = new Table(base());
  for (let i = 0; i < 7; i++) table.tick();
  table.flaw(3, [{ w: 20, h: 3 }]);
  for (let i = 0; i < 4; i++) table.tick();
  table.undo();
  const said = table.log[0]!.id;
  const note = { id: 'entry-note-1', quilt: QUILT, at: '2026-11-27T09:00:00.000Z', kind: 'noted' } as const;
  const noted: LogEntry = { ...note, body: { text: said, stage: 'cut', about: {}, pictures: [] } };
  let made = 0;
  const copy = logInCopy([...table.log, noted], { quilt: 'copy', newId: () => `copied-${++made}-entry` });
  const record = cutRecord(copy, 'copy', 'sash', 'in');
  const { plan: had, done: hadDone, left: hadLeft, ...was } = table.record();
  const { plan: has, done, left, ...is } = record;
  expect(is).toEqual(was);
  expect(has?.sheet.strips).toEqual(had?.sheet.strips);
  // A step that cuts a leftover up is called after it.
  const kind = (step: string) => step.replace(/^leftover-.*/, 'leftover');
  expect([...done.keys()].map(kind)).toEqual([...hadDone.keys()].map(kind));
  expect(left.map(({ w, h }) => [w, h])).toEqual(hadLeft.map(({ w, h }) => [w, h]));
  expect(hadLeft.length).toBeGreaterThan(0);
  // No id of the quilt's own is left in it, but where a text happens to say one.
  const ids = table.log.map(({ id }) => id).filter((id) => id !== said);
  expect(ids.filter((id) => JSON.stringify(copy).includes(id))).toEqual([]);
  expect(copy.at(-1)?.body).toEqual(noted.body);
});
test('a copy has neither the hours, nor the bookings, nor the stash’s pieces of the quilt it is of', () => {
  const at = '2026-11-27T09:00:00.000Z';
  const log = [
    { id: 'entry-aaa1', quilt: QUILT, at, kind: 'clock-started', body: { work: 'sew' } },
    {
      id: 'entry-aaa2',
      quilt: QUILT,
      at,
      kind: 'step-cut',
      body: {
        ...{ cloth: 'sash', unit: 'in', plan: 'entry-aaa9', step: 'leftover-0', takes: 0 },
        ...{ uses: ['stash:0:piece-0001'], makes: [], leaves: [] },
      },
    },
  ] as LogEntry[];
  let made = 0;
  const copy = logInCopy(log, { quilt: 'copy', newId: () => `copied-${++made}-entry` });
  expect(copy.map(({ kind }) => kind)).toEqual(['step-cut']);
  const put = {
    ...{
      id: 'piece-0001',
      name: 'Fern',
      colour: '#336644',
      kind: 'piece',
      unit: 'in',
      width: 20,
      length: 20,
    },
    ...{ count: 2, direction: 'none', alike: false, washed: false, price: null, from: '' },
  };
  const stash = [{ id: 'entry-put1', quilt: 'stash', at, kind: 'stash-put', body: put } as LogEntry];
  expect(stashIn([...stash, ...log, ...copy], 'in').map(({ gone }) => gone)).toEqual([1]);
});
