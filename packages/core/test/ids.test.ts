import fc from 'fast-check';
import {
  bookingInOldPlan,
  changesBetween,
  computeQuilt,
  type Plan,
  planProblems,
  type Quilt,
  readPlan,
  settingOf,
  SETTINGS,
  turnInto,
  withFabric,
} from '../src/index.ts';
import { withSpacer } from '../src/border/spacer.ts';
import { lengthOf } from '../src/figure/figure.ts';
import { anyPlan, borderOf, inchPlan, wholeSetting } from './support/plans.ts';

/** One edit of a plan, as a quilter makes it. */
interface Edit {
  readonly name: string;
  readonly to: (plan: Plan) => Plan;
}

const spacer = { sides: lengthOf(1), ends: lengthOf(1), across: 1, down: 1, onRuler: true };
const withSetting = (plan: Plan, change: object): Plan => ({
  ...plan,
  setting: { ...plan.setting, ...change } as Plan['setting'],
});

/** Edits that leave every piece where it was among its fellows, however it is called, sized, cut or bought. */
const SAME_PIECES: readonly Edit[] = [
  { name: 'another name', to: (p) => ({ ...p, title: 'Another' }) },
  {
    name: 'cloths renamed',
    to: (p) => ({ ...p, fabrics: p.fabrics.map((f) => ({ ...f, name: `New ${f.name}` })) }),
  },
  {
    name: 'narrower cloth',
    to: (p) => ({ ...p, fabrics: p.fabrics.map((f) => ({ ...f, usableWidth: f.usableWidth - 1 })) }),
  },
  {
    name: 'cloth with a direction',
    to: (p) => ({ ...p, fabrics: p.fabrics.map((f) => ({ ...f, direction: 'one-way' as const })) }),
  },
  { name: 'cornerstones of the sash’s cloth', to: (p) => withFabric(p, { what: 'cornerstone' }, 'sash') },
  {
    name: 'borders cut lengthwise',
    to: (p) => ({ ...p, borders: p.borders.map((b) => ({ ...b, cut: 'lengthwise' as const })) }),
  },
  {
    name: 'joins straight',
    to: (p) => ({ ...p, borders: p.borders.map((b) => ({ ...b, joins: 'straight' as const })) }),
  },
  { name: 'no binding', to: (p) => ({ ...p, edge: { ...p.edge, finishes: ['prairie-points'] } }) },
  {
    name: 'larger blocks',
    to: (p) => ({ ...p, block: { width: p.block.width + 1, height: p.block.height + 1 } }),
  },
  {
    name: 'a measured centre',
    to: (p) => ({ ...p, measured: [{ borders: 0, width: [50, 50, 50], height: [60, 60, 60] }] }),
  },
];

/** Edits that add pieces, or take some away. What is still there keeps its id. */
const OTHER_PIECES: readonly Edit[] = [
  { name: 'a border inside the others', to: (p) => withSpacer(p, 0, spacer, 'spacer') },
  { name: 'a border outside', to: (p) => ({ ...p, borders: [...p.borders, borderOf(2, 'border')] }) },
  { name: 'the first border off', to: (p) => ({ ...p, borders: p.borders.slice(1) }) },
  { name: 'the last border off', to: (p) => ({ ...p, borders: p.borders.slice(0, -1) }) },
  {
    name: 'corner squares',
    to: (p) => ({ ...p, borders: p.borders.map((b) => ({ ...b, corners: 'squares' as const })) }),
  },
  { name: 'a row more', to: (p) => ({ ...p, grid: { ...p.grid, down: p.grid.down + 1 } }) },
  { name: 'a column more', to: (p) => ({ ...p, grid: { ...p.grid, across: p.grid.across + 1 } }) },
  ...['outerSash', 'cornerstones', 'plainBetween'].map((option): Edit => ({
    name: `${option} switched`,
    to: (p) =>
      option in p.setting ? withSetting(p, { [option]: !(p.setting as Record<string, unknown>)[option] }) : p,
  })),
];

/** Each piece by what it is and where it lies, as seen from the first block, or from a top that is made: ids play no part. */
function byPlace({ layout }: Quilt): Map<string, string> {
  const first = layout.pieces.find((p) => p.place === 0 || p.part === 'whole')!;
  const zero = first.outline[0]!;
  const round = (v: number) => Math.round(v * 64) / 64 + 0;
  return new Map(
    layout.pieces.map(({ id, part, outline }) => {
      const { role, grain } = layout.parts[part]!;
      const places = outline.map(({ x, y }) => `${round(x - zero.x)},${round(y - zero.y)}`).sort();
      return [`${role} ${grain} ${places.join(' ')}`, id];
    }),
  );
}

/** Plans of few blocks: what holds of six rows holds of twenty. */
const smallPlan = anyPlan
  .map((plan): Plan => ({
    ...plan,
    grid: { across: 1 + (plan.grid.across % 6), down: 1 + (plan.grid.down % 6) },
  }))
  .filter((plan) => planProblems(plan).length === 0);

const idsOf = (quilt: Quilt) => quilt.layout.pieces.map((p) => p.id);
const cutsOf = (quilt: Quilt) => quilt.pieces.flatMap((line) => line.cuts);
const cutIds = (quilt: Quilt) => Object.fromEntries(cutsOf(quilt).map((cut) => [cut.id, cut.pieces]));

describe('ids that last', () => {
  test('every piece has one of its own, and so has every cut', () => {
    fc.assert(
      fc.property(smallPlan, (plan) => {
        const quilt = computeQuilt(plan);
        const cuts = [...quilt.pieces, ...quilt.besides].flatMap((line) => line.cuts.map((cut) => cut.id));
        expect(new Set(idsOf(quilt)).size).toBe(quilt.layout.pieces.length);
        expect(new Set(cuts).size).toBe(cuts.length);
        // Every piece that is cut is cut once, whatever else lies under it.
        const cut = cutsOf(quilt).flatMap((c) => (c.under ? [] : c.pieces));
        const made = quilt.layout.pieces.filter((p) => quilt.layout.parts[p.part]!.role !== 'block');
        expect([...cut].sort()).toEqual(made.map((p) => p.id).sort());
      }),
      { numRuns: 60 },
    );
  });

  test.each(SAME_PIECES.map((e): [string, Edit] => [e.name, e]))(
    '%s: every piece and cut keeps its id',
    (_, edit) => {
      fc.assert(
        fc.property(smallPlan, (plan) => {
          const after = edit.to(plan);
          if (planProblems(after).length > 0) return;
          const [a, b] = [computeQuilt(plan), computeQuilt(after)];
          expect(idsOf(b)).toEqual(idsOf(a));
          // Another cloth may bring a line to another place of the list; the cuts are the same.
          expect(cutIds(b)).toEqual(cutIds(a));
        }),
        { numRuns: 25 },
      );
    },
  );

  test.each(OTHER_PIECES.map((e): [string, Edit] => [e.name, e]))(
    '%s: what is still there keeps its id',
    (_, edit) => {
      fc.assert(
        fc.property(smallPlan, (plan) => {
          const after = edit.to(plan);
          if (planProblems(after).length > 0) return;
          const [a, b] = [computeQuilt(plan), computeQuilt(after)];
          const [before, now] = [byPlace(a), byPlace(b)];
          for (const [place, id] of before)
            // A border is itself wherever it lies in the stack.
            if (now.has(place) && !place.startsWith('border'))
              expect([place, now.get(place)]).toEqual([place, id]);
          const ofBorders = (quilt: Quilt, { borders }: Plan) =>
            idsOf(quilt).filter((id) =>
              borders.some((b) => id.startsWith(`border-${b.id}-`) && !id.includes('corner')),
            );
          const both = plan.borders.filter((b) => after.borders.some((own) => own.id === b.id));
          expect(ofBorders(b, { ...after, borders: both }).sort()).toEqual(
            ofBorders(a, { ...plan, borders: both }).sort(),
          );
          // And no id has moved to a piece of another make.
          const roleOf = (quilt: Quilt) =>
            new Map(quilt.layout.pieces.map((p) => [p.id, quilt.layout.parts[p.part]!.role]));
          const [was, is] = [roleOf(a), roleOf(b)];
          for (const [id, role] of was) if (is.has(id)) expect([id, is.get(id)]).toEqual([id, role]);
        }),
        { numRuns: 40 },
      );
    },
  );

  test('a border keeps its pieces, its cut and its cloth when another is put inside it', () => {
    const plan = inchPlan({ borders: [borderOf(4, 'border')] });
    const [own] = plan.borders;
    const quilt = computeQuilt(withSpacer(plan, 0, spacer, 'spacer'));
    const line = quilt.pieces.find((l) => l.cuts.some((c) => c.id === `border-${own!.id}-side`))!;
    expect(line).toMatchObject({ fabric: 'border', name: 'Border 2 sides', use: { border: own!.id } });
    expect(line.cuts[0]!.pieces).toEqual([`border-${own!.id}-side-left`, `border-${own!.id}-side-right`]);
  });

  test('blocks keep theirs when the setting is turned into another of the same rows', () => {
    const plan = inchPlan({ setting: wholeSetting({ kind: 'edge-to-edge' }) });
    const level = SETTINGS.filter((s) => ['sashed', 'quilted', 'strip-set', 'coped'].includes(s.kind));
    const blocks = (p: Plan) =>
      computeQuilt(p).layout.pieces.flatMap(({ id, place }) => (place === undefined ? [] : [[id, place]]));
    for (const { kind } of level)
      expect([kind, blocks({ ...plan, setting: turnInto(kind, plan.setting, 'in') })]).toEqual([
        kind,
        blocks(plan),
      ]);
    expect(level).toHaveLength(4);
    expect(settingOf('sashed').kind).toBe('sashed');
  });
});

describe('what changed, by what things are and not by what they are called', () => {
  test('a line that is only called otherwise has not changed', () => {
    const plan = inchPlan({ borders: [borderOf(4, 'border')] });
    const more: Plan = { ...plan, borders: [...plan.borders, borderOf(2, 'accent')] };
    const changes = changesBetween(computeQuilt(plan), computeQuilt(more), 'in');
    // With a second border the first is called "Border 1 sides": it is cut as it was.
    expect(changes.filter((c) => c.what.startsWith('Border 1'))).toEqual([]);
    expect(changes.filter((c) => c.before === 'none').map((c) => c.what)).toEqual([
      'Border 2 sides',
      'Border 2 top and bottom',
    ]);
    expect(changes.filter((c) => c.after === 'none')).toEqual([]);
  });
  test('a renamed cloth is bought as before', () => {
    const plan = inchPlan({});
    const renamed = { ...plan, fabrics: plan.fabrics.map((f) => ({ ...f, name: `Old ${f.name}` })) };
    expect(changesBetween(computeQuilt(plan), computeQuilt(renamed), 'in')).toEqual([]);
  });
  test('what has gone reads none after, what is new none before', () => {
    const plan = inchPlan({ borders: [borderOf(4, 'border')] });
    const bare = { ...plan, borders: [] };
    const [there, gone] = [computeQuilt(plan), computeQuilt(bare)];
    const off = changesBetween(there, gone, 'in').filter((c) => c.what.startsWith('Border'));
    expect(off.map((c) => c.after)).toEqual(['none', 'none']);
    const on = changesBetween(gone, there, 'in').filter((c) => c.what.startsWith('Border'));
    expect(on.map((c) => c.before)).toEqual(['none', 'none']);
  });
});

test('a plan of version 5 comes up with ids for its borders and without its booking', () => {
  const { borders, quilting, ...plan } = inchPlan({
    borders: [borderOf(2, 'border'), borderOf(4, 'accent')],
  });
  const booking = {
    number: 'LA-7',
    width: 40,
    height: 50,
    price: 80,
    starts: '2026-12-09',
    ready: '2026-12-16',
  };
  const old = {
    ...plan,
    schemaVersion: 5,
    borders: borders.map(({ id: _, ...border }) => border),
    quilting: { ...quilting, booking },
  };
  const read = readPlan(old);
  expect(read.ok && read.plan.borders.map((b) => b.id)).toEqual(['1', '2']);
  expect(read.ok && read.plan.quilting).toEqual(quilting);
  expect(bookingInOldPlan(old)).toEqual({ ...booking, unit: 'in' });
  expect(bookingInOldPlan({ ...old, quilting })).toBeNull();
  expect(bookingInOldPlan(null)).toBeNull();
});

test('two borders of one id are refused, with the place', () => {
  const [border] = [borderOf(2, 'border')];
  expect(planProblems({ ...inchPlan({}), borders: [border!, border!] })).toEqual([
    { path: ['borders', 1, 'id'], message: `Two borders share the id “${border!.id}”: give each its own.` },
  ]);
});
