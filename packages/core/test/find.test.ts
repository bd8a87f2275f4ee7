import fc from 'fast-check';
import {
  applyFit,
  convertPlan,
  findFits,
  type Fit,
  type FitRequest,
  fitRequestSchema,
  layOut,
  type Plan,
  planProblems,
  startBed,
  startRequest,
  targetSize,
} from '../src/index.ts';
import { clothFor } from '../src/finder/cloth.ts';
import { splitBorders } from '../src/finder/find.ts';
import { bruteFits } from './support/brute-fits.ts';
import { inchPlan } from './support/plans.ts';

const run = (plan: Plan, request: FitRequest): { best: readonly Fit[]; steps: number } => {
  const search = findFits(plan, request);
  let steps = 0;
  for (let next = search.next(); ; next = search.next()) {
    if (next.done) return { best: next.value, steps };
    steps++;
  }
};
const block12 = inchPlan({});
const queen = startRequest(block12, { width: 90, height: 100 });

/** Ids for borders a design adds, one after another. */
const newIds = () => {
  let next = 0;
  return () => `new-${++next}`;
};

describe('the search', () => {
  const scores = (fits: readonly Fit[]) => fits.map((f) => Math.round(f.score * 1e6));
  const asked = fc.record({
    block: fc.integer({ min: 24, max: 56 }).map((n) => n / 4),
    width: fc.integer({ min: 24, max: 40 }),
    height: fc.integer({ min: 24, max: 40 }),
    blocks: fc.option(fc.integer({ min: 4, max: 30 })),
    count: fc.integer({ min: 0, max: 3 }),
    even: fc.boolean(),
    least: fc.integer({ min: 1, max: 8 }).map((n) => n / 4),
    most: fc.integer({ min: 8, max: 12 }).map((n) => n / 4),
    size: fc.integer({ min: 0, max: 4 }),
    fabric: fc.integer({ min: 0, max: 3 }),
    seams: fc.integer({ min: 0, max: 2 }),
    proportion: fc.integer({ min: 0, max: 4 }),
  });
  const requestFor = ({
    block,
    width,
    height,
    blocks,
    count,
    even,
    least,
    most,
    ...weights
  }: Parameters<Parameters<typeof asked.map>[0]>[0]) => {
    const plan = inchPlan({ block: { width: block, height: block }, setting: { kind: 'edge-to-edge' } });
    const start = startRequest(plan, { width, height });
    const sash = { least: 1, most: 1.375 };
    return {
      plan,
      request: {
        ...start,
        blocks,
        sash,
        float: { least: 0, most: 0.25 },
        borders: { count, even, least, most },
        weights: { ...start.weights, ...weights },
      },
    };
  };

  test('finds what trying everything finds: the same best twenty', () => {
    fc.assert(
      fc.property(asked, (given) => {
        const { plan, request } = requestFor(given);
        expect(scores(run(plan, request).best)).toEqual(scores(bruteFits(plan, request).best));
      }),
      { numRuns: 12 },
    );
  });
  test('so too as large as the blocks allow', () => {
    fc.assert(
      fc.property(asked, (given) => {
        const { plan, request } = requestFor({ ...given, blocks: given.blocks ?? 12 });
        const largest = { ...request, target: null };
        expect(scores(run(plan, largest).best)).toEqual(scores(bruteFits(plan, largest).best));
      }),
      { numRuns: 8 },
    );
  });
  test('so too with only so much cloth in hand', () => {
    fc.assert(
      fc.property(asked, fc.integer({ min: 4, max: 40 }), (given, cloth) => {
        const { plan, request } = requestFor(given);
        const held = {
          ...request,
          kinds: ['sashed', 'alternate', 'strip-set'] as const satisfies FitRequest['kinds'],
          inHand: [
            { use: 'sash' as const, length: cloth },
            { use: 'plain' as const, length: 60 },
          ],
        };
        expect(scores(run(plan, held).best)).toEqual(scores(bruteFits(plan, held).best));
      }),
      { numRuns: 6 },
    );
  });

  test('hits the target exactly where the ruler allows', () => {
    // 5 × 6 blocks of 12" and 3" of border all round: sides and ends differ by one block.
    const { best } = run(block12, {
      ...queen,
      target: { width: 66, height: 78 },
      weights: { ...queen.weights, size: 10 },
    });
    expect(best[0]!.costs.size).toBeCloseTo(0, 9);
    expect(best[0]!.finished).toEqual({ width: 66, height: 78 });
  });
  test('borders wider at the ends than at the sides hit what an even one cannot', () => {
    const only = {
      ...queen,
      kinds: ['edge-to-edge' as const],
      blocks: 20,
      weights: { ...queen.weights, size: 10, blocks: 50 },
    };
    // 4 × 5 of 12" is 48 × 60: 54 × 68 1/4 wants 3" at the sides and 4 1/8" at the ends.
    const target = { width: 54, height: 68.25 };
    expect(run(block12, { ...only, target }).best[0]).toMatchObject({
      finished: target,
      borders: [{ sides: 3, ends: 4.125 }],
    });
    expect(
      run(block12, { ...only, target, borders: { ...only.borders, even: true } }).best[0]!.costs.size,
    ).toBeGreaterThan(1);
  });
  test('as large as the blocks allow: no block missing, borders as wide as they may be', () => {
    const { best } = run(block12, { ...queen, target: null, blocks: 30 });
    for (const fit of best) expect(fit.over).toBeGreaterThanOrEqual(0);
    expect(Math.max(...best[0]!.borders.map((b) => b.sides))).toBe(
      queen.borders.count === 1 ? 12 : queen.borders.most,
    );
  });
  test('cloth in hand is a limit that the cutting list keeps to', () => {
    const yards = 36;
    const { best } = run(block12, {
      ...queen,
      kinds: ['sashed'],
      blocks: 30,
      inHand: [{ use: 'sash', length: yards }],
    });
    expect(best.length).toBeGreaterThan(0);
    for (const fit of best)
      expect(clothFor(applyFit(block12, fit, queen.target, newIds()), 'sash')).toBeLessThanOrEqual(
        yards + 1e-6,
      );
    expect(
      clothFor(
        applyFit(
          block12,
          run(block12, { ...queen, kinds: ['sashed'], blocks: 30 }).best[0]!,
          queen.target,
          newIds(),
        ),
        'sash',
      ),
    ).toBeGreaterThan(yards);
  });

  test('each design found is a sound plan that finishes as promised, ranked best first', () => {
    const { best, steps } = run(block12, queen);
    expect(best).toHaveLength(20);
    expect(steps).toBeGreaterThanOrEqual(1);
    best.forEach((fit, i) => {
      const plan = applyFit(block12, fit, queen.target, newIds());
      expect(planProblems(plan)).toEqual([]);
      const { finished } = layOut(plan);
      expect(finished.width.value).toBeCloseTo(fit.finished.width, 9);
      expect(finished.height.value).toBeCloseTo(fit.finished.height, 9);
      if (i > 0) expect(fit.score).toBeGreaterThanOrEqual(best[i - 1]!.score);
    });
  });

  test('keeps to the blocks on hand when they weigh most, and to a fixed sash', () => {
    const { best } = run(block12, {
      ...queen,
      blocks: 30,
      sash: { least: 2, most: 2 },
      weights: { ...queen.weights, blocks: 50 },
    });
    expect(best[0]).toMatchObject({ blocks: 30, over: 0 });
    for (const { setting } of best) if ('sash' in setting) expect(setting.sash).toBe(2);
  });

  test('only the kinds allowed; none that the blocks refuse', () => {
    const oblong = inchPlan({ block: { width: 8, height: 12 } });
    const { best } = run(oblong, startRequest(oblong, { width: 60, height: 72 }));
    for (const { setting } of best)
      expect(['on-point', 'on-point-sashed', 'framed']).not.toContain(setting.kind);
  });

  test('centimetres weigh the same as inches', () => {
    const metric = convertPlan(
      inchPlan({ block: { width: 12, height: 12 }, setting: { kind: 'edge-to-edge' } }),
      'cm',
    );
    const { best } = run(metric, startRequest(metric, { width: 180, height: 210 }));
    expect(best[0]!.costs.size).toBeLessThan(0.5);
  });

  // Rule TG-1: a queen mattress is 60 × 80; drops of 12" at both sides and the foot and a tuck of 15" make 84 × 107 (arithmetic).
  test('a bed’s target is its mattress, what hangs over and what is tucked', () => {
    const bed = {
      ...startBed('us-queen', 'in'),
      drop: { left: 12, right: 12, foot: 12 },
      tuck: 15,
    } as NonNullable<Plan['target']>;
    expect(targetSize(bed, 'in')).toMatchObject({ width: { value: 84 }, height: { value: 107 } });
    expect(targetSize({ ...bed, tuck: 0 } as typeof bed, 'in').height.value).toBe(92);
  });

  test('a pick for a bed keeps the bed; for another size the size takes its place; what was measured is let go', () => {
    const bed = inchPlan({
      target: startBed('us-queen', 'in'),
      measured: [{ borders: 0, width: [39, 39, 39], height: [52, 52, 52] }],
    });
    const { width, height } = targetSize(bed.target!, 'in');
    const size = { width: width.value, height: height.value };
    const [fit] = run(bed, startRequest(bed, size)).best;
    expect(applyFit(bed, fit!, size, newIds())).toMatchObject({ target: bed.target, measured: [] });
    expect(applyFit(bed, fit!, { width: 60, height: 70 }, newIds()).target).toEqual({
      of: 'size',
      width: 60,
      height: 70,
    });
    expect(applyFit(bed, fit!, null, newIds()).target).toEqual(bed.target);
  });

  test('a request is checked: no kind, a negative width, too many borders, no aim at all', () => {
    for (const bad of [
      { kinds: [] },
      { sash: { least: -1, most: 2 } },
      { sash: { least: 3, most: 2 } },
      { borders: { ...queen.borders, count: 9 } },
      { target: null, blocks: null },
    ]) {
      expect(fitRequestSchema.safeParse({ ...queen, ...bad }).success).toBe(false);
    }
    expect(fitRequestSchema.safeParse(queen).success).toBe(true);
  });
});

describe('a stack of borders', () => {
  const all = (width: number) => ({ sides: width, ends: width });
  // Common practice: several borders go narrow to wide.
  test.each([
    [7, 3, [1, 2, 4]],
    [0, 2, []],
    [0.5, 3, [0.5]],
    [1.5, 3, [1.5]],
    [3, 2, [1, 2]],
  ])('%p" as %p: %j', (total, count, stack) => {
    expect(splitBorders(all(total), count, 0.25, 1)).toEqual(stack.map(all));
  });
  test('ends wider than sides are as many borders', () => {
    expect(splitBorders({ sides: 3, ends: 6 }, 2, 0.125, 1)).toEqual([
      { sides: 1, ends: 2 },
      { sides: 2, ends: 4 },
    ]);
    expect(splitBorders({ sides: 1, ends: 6 }, 2, 0.125, 1)).toEqual([{ sides: 1, ends: 6 }]);
  });
  test('adds up and never narrows outward', () => {
    const steps = fc.integer({ min: 4, max: 160 });
    fc.assert(
      fc.property(steps, steps, fc.integer({ min: 1, max: 3 }), (sides, ends, count) => {
        const stack = splitBorders({ sides: sides / 8, ends: ends / 8 }, count, 0.125, 1);
        for (const [side, total] of [
          ['sides', sides / 8],
          ['ends', ends / 8],
        ] as const) {
          const widths = stack.map((b) => b[side]);
          expect(widths.reduce((sum, b) => sum + b, 0)).toBeCloseTo(total, 9);
          expect([...widths].sort((a, b) => a - b)).toEqual(widths);
        }
      }),
    );
  });
});
