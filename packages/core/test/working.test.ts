import fc from 'fast-check';
import {
  askCounter,
  computeQuilt,
  type Figure,
  type Plan,
  seamDrift,
  SETTINGS,
  startPlan,
  TOPICS,
} from '../src/index.ts';
import { anyPlan, inchPlan, wholeSetting } from './support/plans.ts';
import { sumsIn } from './support/pencil.ts';

/** Every figure anywhere in a result. */
function figuresIn(value: unknown, seen = new Set<unknown>()): Figure[] {
  if (typeof value !== 'object' || value === null || seen.has(value)) return [];
  seen.add(value);
  const own = 'working' in value && 'value' in value && Array.isArray(value.working) ? [value as Figure] : [];
  return [...own, ...Object.values(value).flatMap((inner) => figuresIn(inner, seen))];
}

/** What is said to the nearest eighth, or worked with figures in three decimals, may be off by so much. */
const ROUNDED = 0.08;

function expectSums(result: unknown): number {
  let done = 0;
  for (const { working } of figuresIn(result)) {
    for (const sum of sumsIn(working)) {
      if (Math.abs(sum.done - sum.said) > ROUNDED) throw new Error(`${sum.text}: by pencil ${sum.done}`);
      done++;
    }
  }
  return done;
}

// Arithmetic, done again from the text alone.
describe('every working adds up', () => {
  test('the pencil reads figures as people write them', () => {
    const done = (...lines: string[]) =>
      sumsIn(lines).map(({ done, said }) => [Math.round(1000 * done) / 1000, said]);
    expect(done('5 blocks × 10 + 6 sashes × 1 1/2 = 59')).toEqual([[59, 59]]);
    expect(done('Upright: 6 rows × (5 + 1) = 36')).toEqual([[36, 36]]);
    expect(done('Round the quilt: 2 × (36 + 36) = 144', '+ 10 for corners and tails = 154')).toEqual([
      [144, 144],
      [154, 154],
    ]);
    expect(done('7.071 short side + 1/4 × (2 + √2) = 7.925, next 1/8 up: 8″')).toEqual([[7.925, 7.925]]);
    expect(done('5 blocks × 10 × √2 = 70')).toEqual([[70.711, 70]]);
    expect(done('no sum here')).toEqual([]);
  });

  test('of any top, every setting and border', () => {
    let done = 0;
    fc.assert(
      fc.property(anyPlan, (plan) => {
        done += expectSums(computeQuilt(plan));
      }),
      { numRuns: 120 },
    );
    expect(done).toBeGreaterThan(100);
  });

  const edges: readonly Partial<Plan['edge']>[] = [
    { finishes: ['flange', 'binding'] },
    { finishes: ['prairie-points'] },
    {
      finishes: ['prairie-points'],
      points: { ...startPlan('sashed-sampler').edge.points, overlap: 1.25, spread: 'last-three' },
    },
    {
      finishes: ['prairie-points'],
      points: { ...startPlan('sashed-sampler').edge.points, fold: 'strip', fabrics: ['accent', 'sash'] },
    },
    { shape: 'rounded' },
    { shape: 'clipped' },
    { shape: 'scalloped' },
    { around: 250 },
  ];
  const bindings: readonly Partial<Plan['binding']>[] = [
    {},
    { school: 'round-up-sides' },
    { fold: 'single', stripWidth: 2 },
    { grain: 'bias-square' },
    { grain: 'bias-length' },
    { grain: 'bias-tube' },
    { flange: { visible: 0.125, fabric: 'accent' } },
  ];
  test.each<{ edge: Partial<Plan['edge']>; binding: Partial<Plan['binding']> }>([
    ...edges.map((edge) => ({ edge, binding: {} })),
    ...bindings.map((binding) => ({ edge: {}, binding })),
  ])('of an edge: %j', ({ edge, binding }) => {
    const base = inchPlan({});
    for (const unit of ['in', 'cm'] as const) {
      const start = unit === 'in' ? base : { ...startPlan('metric-sashed'), borders: [] };
      const finishes = edge.finishes ?? start.edge.finishes;
      const change: Partial<Plan> =
        unit === 'in'
          ? { edge: { ...start.edge, ...edge }, binding: { ...start.binding, ...binding } }
          : {
              edge: { ...start.edge, finishes },
              binding: {
                ...start.binding,
                ...(binding.grain ? { grain: binding.grain } : {}),
                ...(binding.school ? { school: binding.school } : {}),
              },
            };
      expect(expectSums(computeQuilt({ ...start, ...change }))).toBeGreaterThan(8);
    }
  });

  test('of a binding from leftover strips', () => {
    const stock = [{ id: 'a', for: 'binding' as const, width: 5, length: 40 }];
    expect(expectSums(computeQuilt({ ...inchPlan({}), stock }))).toBeGreaterThan(8);
  });

  test('of layers: panels, a stripe, leftover blocks, batting, lines and pins', () => {
    const base = inchPlan({ grid: { across: 5, down: 6 } });
    const pile = Array.from({ length: 40 }, (_, i) => ({
      id: `b${i}`,
      name: `B${i}`,
      width: 12.5,
      height: 12.5,
    }));
    for (const made of ['fabric', 'blocks'] as const) {
      for (const marking of ['ditch', 'grid', 'diagonal'] as const) {
        const plan: Plan = {
          ...base,
          pile,
          backing: { ...base.backing, stripe: { ...base.backing.stripe, of: made } },
          quilting: { ...base.quilting, marking },
          fabrics: base.fabrics.map((f, i) => ({ ...f, price: 8 + i })),
        };
        expect(expectSums(computeQuilt(plan))).toBeGreaterThan(20);
      }
    }
  });

  test('of measured tops, the seam, and every answer at the counter', () => {
    const base = inchPlan({
      borders: [
        {
          id: '1',
          sides: 3,
          ends: 4,
          corners: 'mitred',
          cut: 'crosswise',
          joins: 'straight',
          repeat: 4,
          pieced: null,
          fabric: 'border',
          cornerFabric: 'accent',
        },
      ],
    });
    const raw = {
      borders: 0,
      width: [42.25, 42.5, 42.5] as [number, number, number],
      height: [56, 55.75, 56] as [number, number, number],
    };
    for (const measureBy of ['middle', 'average'] as const)
      expect(expectSums(computeQuilt({ ...base, measureBy, measured: [raw] }))).toBeGreaterThan(10);
    for (const { kind } of SETTINGS)
      expectSums(seamDrift({ ...base, setting: wholeSetting({ kind }) }, 3.375));
    const asked: Record<string, Record<string, string>> = {
      triangles: { block: '9', sash: '1.5' },
      setting: { block: '9', across: '3', down: '4', borders: '2,3 1/2' },
      binding: { width: '61', height: '72' },
      backing: { width: '75', height: '84' },
      flange: { width: '60', height: '72' },
      'prairie-points': { width: '61', height: '72' },
      facing: { width: '62', height: '73', corners: 'bevelled' },
      piping: { width: '63', height: '74' },
      sleeve: { width: '64', height: '75' },
      precut: { pieces: '40' },
      units: { of: 'geese', finished: '4', units: '23' },
      'pieced-border': { ...{ width: '65', height: '76' }, of: 'sawtooth', depth: '4' },
      'quilted-blocks': { block: '12.25', across: '3', down: '4' },
      'bound-by': {},
    };
    for (const { name } of TOPICS)
      for (const unit of ['in', 'cm'] as const)
        expect(expectSums(askCounter(name, asked[name]!, unit))).toBeGreaterThan(1);
  });
});
