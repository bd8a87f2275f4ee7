import fc from 'fast-check';
import {
  computeQuilt,
  convertPlan,
  hasLongSashes,
  isUsed,
  type Plan,
  planProblems,
  readPlan,
  startPlan,
  TURN_FABRICS,
  waitOf,
  withoutFabric,
  withStock,
} from '../src/index.ts';
import { anyPlan, borderOf, inchPlan, quiltOf, wholeSetting } from './support/plans.ts';

const turns = (
  job: (typeof TURN_FABRICS)[number],
  fabrics: string[],
  order: 'sequence' | 'scattered' = 'sequence',
): Plan['rotations'][number] => ({ for: job, fabrics, order, seed: 7 });
const pieceCount = (plan: Plan) => {
  const { layout, pieces } = computeQuilt(plan);
  return { drawn: layout.pieces.length, cut: pieces.reduce((sum, line) => sum + line.count.value, 0) };
};

describe('cloths that take turns', () => {
  test('twenty cornerstones of three cloths: seven, seven and six, as one counts them off', () => {
    const quilt = quiltOf(
      12,
      3,
      4,
      { kind: 'sashed', sash: 1.5, outerSash: true, cornerstones: true },
      { rotations: [turns('cornerstone', ['border', 'binding'])] },
    );
    const lines = quilt.pieces.filter(({ role }) => role === 'cornerstone');
    expect(lines.map(({ fabric, count }) => [fabric, count.value])).toEqual([
      ['accent', 7],
      ['border', 7],
      ['binding', 6],
    ]);
    // The first cloth keeps the name everything is recorded under.
    expect(lines[0]!.id).toBe('cornerstone');
    expect(new Set(lines.map(({ id }) => id)).size).toBe(3);
  });
  test('nothing is lost or doubled, counts are those drawn, and each piece is one cloth’s', () => {
    fc.assert(
      fc.property(
        anyPlan,
        fc.uniqueArray(fc.constantFrom(...TURN_FABRICS), { maxLength: 3 }),
        fc.array(fc.constantFrom('sash', 'accent', 'border', 'binding'), { minLength: 1, maxLength: 5 }),
        fc.constantFrom('sequence' as const, 'scattered' as const),
        (plan, jobs, fabrics, order) => {
          const turned = { ...plan, rotations: jobs.map((job) => turns(job, fabrics, order)) };
          expect(planProblems(turned)).toEqual([]);
          expect(pieceCount(turned)).toEqual(pieceCount(plan));
          const { layout } = computeQuilt(turned);
          for (const part of Object.values(layout.parts))
            expect(layout.pieces.filter((piece) => piece.part === part.key)).toHaveLength(part.count.value);
        },
      ),
      { numRuns: 40 },
    );
  });
  test('a cloth that is not there, and a job listed twice, are refused with the place', () => {
    const plan = {
      ...startPlan('sashed-sampler'),
      rotations: [turns('sash', ['nowhere']), turns('sash', ['border'])],
    };
    expect(planProblems(plan).map(({ path }) => path.join('.'))).toEqual([
      'rotations.0.fabrics.0',
      'rotations.1.for',
    ]);
  });
  test('no more of a cloth: another takes its turns too', () => {
    const plan = inchPlan({ rotations: [turns('sash', ['accent', 'border'])] });
    expect(isUsed(plan, 'border')).toBe(true);
    const without = withoutFabric(plan, 'accent', 'border');
    expect(without.rotations[0]!.fabrics).toEqual(['border', 'border']);
    expect(without.fabricFor.cornerstone).toBe('border');
    expect(computeQuilt(without).pieces.some(({ fabric }) => fabric === 'accent')).toBe(false);
  });
});

// Rule CU-8, common practice: long strips are cut an inch or two over-long and trimmed once they are sewn.
describe('cut over-long by choice', () => {
  const plan = (overLong: Plan['overLong'], corners: 'sides-first' | 'mitred' = 'sides-first') =>
    inchPlan({
      overLong,
      borders: [{ ...borderOf(4, 'border'), corners }],
      setting: wholeSetting({ kind: 'sashed', cornerstones: false }),
    });
  const lengths = (p: Plan, role: string) =>
    computeQuilt(p).pieces.flatMap(({ role: is, cut }) =>
      is === role && cut.shape === 'rectangle' ? [cut.length.value] : [],
    );
  test('long sashes and borders grow by it; short sashes are cut to their block', () => {
    const [exact, over] = [plan({ sashes: 0, borders: 0 }), plan({ sashes: 2, borders: 1.5 })];
    expect(hasLongSashes(exact, computeQuilt(exact).pieces)).toBe(true);
    const [short, long] = [Math.min(...lengths(exact, 'sash')), Math.max(...lengths(exact, 'sash'))];
    expect(short).toBe(12.5);
    expect(lengths(over, 'sash').sort((a, b) => a - b)).toEqual([short, long + 2]);
    expect(lengths(over, 'border')).toEqual(lengths(exact, 'border').map((length) => length + 1.5));
    const working = computeQuilt(over).pieces.find(({ role }) => role === 'border')!;
    expect(working.cut.shape === 'rectangle' && working.cut.length.working.join()).toMatch(
      /1 1\/2 over-long, trimmed/,
    );
  });
  test('a mitred border has its hand’s breadth already; an over-long one need not wait to be measured', () => {
    const [exact, over] = [
      plan({ sashes: 0, borders: 0 }, 'mitred'),
      plan({ sashes: 0, borders: 2 }, 'mitred'),
    ];
    expect(lengths(over, 'border')).toEqual(lengths(exact, 'border'));
    const border = (p: Plan) => computeQuilt(p).pieces.find(({ role }) => role === 'border')!;
    const [waits, goes] = [plan({ sashes: 0, borders: 0 }), plan({ sashes: 0, borders: 2 })];
    expect(waitOf(waits, border(waits))).toMatchObject({ round: 1 });
    expect(waitOf(goes, border(goes))).toBeNull();
  });
  test('what cannot be right is refused; it turns into centimetres and back', () => {
    expect(
      planProblems({ ...startPlan('sashed-sampler'), overLong: { sashes: 40, borders: -1 } }),
    ).toHaveLength(2);
    const p = plan({ sashes: 2, borders: 1.5 });
    expect(convertPlan(p, 'cm').overLong).toEqual({ sashes: 5.08, borders: 3.81 });
    expect(convertPlan(convertPlan(p, 'cm'), 'in')).toEqual(p);
  });
});

test('washed already, a cloth has shrunk: nothing is bought for the wash', () => {
  const bought = (change: Partial<Plan['fabrics'][number]>) => {
    const plan = inchPlan({});
    const fabrics = plan.fabrics.map((f) => (f.id === 'sash' ? { ...f, shrinkage: 5, ...change } : f));
    return computeQuilt({ ...plan, fabrics }).fabrics.find(({ fabric }) => fabric.id === 'sash')!.buy;
  };
  expect(bought({}).length.working.join()).toMatch(/5 %/);
  expect(bought({ washed: true }).length.working.join()).not.toMatch(/%/);
});

describe('pieces in hand', () => {
  test('a version 6 plan brings its leftovers and its batting into one list', () => {
    const { rotations, overLong, stock, ...start } = startPlan('sashed-sampler');
    const old = {
      ...start,
      schemaVersion: 6,
      batting: { ...start.batting, pieces: [{ width: 90, height: 108 }] },
      binding: { ...start.binding, leftovers: [{ width: 2.5, length: 40 }] },
      fabrics: start.fabrics.map(({ washed: _washed, from: _from, ...fabric }) => fabric),
    };
    expect(readPlan(old)).toEqual({
      ok: true,
      plan: {
        ...startPlan('sashed-sampler'),
        stock: [
          { id: 'binding-1', for: 'binding', width: 2.5, length: 40 },
          { id: 'batting-1', for: 'batting', width: 90, length: 108 },
        ],
      },
    });
    expect([rotations, overLong.sashes, stock]).toEqual([[], 0, []]);
  });
  test('what the stash sets aside counts once, wherever it is named', () => {
    const piece = { id: 'stash:0:a', for: 'binding' as const, width: 2.5, length: 40 };
    const plan = inchPlan({ stock: [piece, { ...piece, id: 'own' }] });
    expect(withStock(plan, [piece]).stock.map(({ id }) => id)).toEqual(['stash:0:a', 'own']);
    expect(withStock(plan, [])).toBe(plan);
    const strips = (p: Plan) => computeQuilt(p).edge.binding!.strips.value;
    expect(strips(plan)).toBeLessThan(strips({ ...plan, stock: [] }));
  });
});
