import fc from 'fast-check';
import { applyFit, findFits, type Fit, type FitRequest, fitRequestSchema, layOut, type Plan, planProblems, SETTINGS, startRequest } from '../src/index.ts';
import { splitBorders } from '../src/target/find.ts';
import { bruteFits } from './support/brute-fits.ts';
import { anyPlan, inchPlan } from './support/plans.ts';

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

describe('closed forms a search relies on', () => {
  test('extent is the size laid out, pieceCount the pieces drawn, for every setting', () => {
    fc.assert(fc.property(anyPlan, (drawn) => {
      const plan = { ...drawn, borders: [] };
      const setting = SETTINGS.find((s) => s.kind === plan.setting.kind)! as unknown as (typeof SETTINGS)[1];
      const { finished, pieces } = layOut(plan);
      const options = plan.setting as never;
      expect(setting.extent('across', plan.grid.across, plan.block.width, options)).toBeCloseTo(finished.width.value, 9);
      expect(setting.extent('down', plan.grid.down, plan.block.height, options)).toBeCloseTo(finished.height.value, 9);
      expect(setting.pieceCount(plan.grid, options)).toBe(pieces.length);
    }), { numRuns: 200 });
  });
});

describe('the search', () => {
  test('finds what trying everything finds: the same best twenty', () => {
    const small = fc.record({
      block: fc.integer({ min: 24, max: 56 }).map((n) => n / 4),
      width: fc.integer({ min: 24, max: 60 }), height: fc.integer({ min: 24, max: 60 }),
      blocks: fc.option(fc.integer({ min: 4, max: 40 })),
      count: fc.integer({ min: 0, max: 3 }),
      size: fc.integer({ min: 0, max: 4 }), fabric: fc.integer({ min: 0, max: 3 }), seams: fc.integer({ min: 0, max: 2 }),
    });
    fc.assert(fc.property(small, ({ block, width, height, blocks, count, ...weights }) => {
      const plan = inchPlan({ block: { width: block, height: block }, setting: { kind: 'edge-to-edge' } });
      const start = startRequest(plan, { width, height });
      const request = { ...start, blocks, borders: { ...start.borders, count }, weights: { ...start.weights, ...weights } };
      const scores = (fits: readonly Fit[]) => fits.map((f) => Math.round(f.score * 1e6));
      expect(scores(run(plan, request).best)).toEqual(scores(bruteFits(plan, request).best));
    }), { numRuns: 15 });
  });

  test('hits the target exactly where the ruler allows', () => {
    // 5 × 6 blocks of 12" and 3" of border all round: sides and ends differ by one block.
    const { best } = run(block12, { ...queen, target: { width: 66, height: 78 }, weights: { ...queen.weights, size: 10 } });
    expect(best[0]!.costs.size).toBeCloseTo(0, 9);
    expect(best[0]!.finished).toEqual({ width: 66, height: 78 });
  });

  test('each design found is a sound plan that finishes as promised, ranked best first', () => {
    const { best, steps } = run(block12, queen);
    expect(best).toHaveLength(20);
    expect(steps).toBeGreaterThanOrEqual(1);
    best.forEach((fit, i) => {
      const plan = applyFit(block12, fit, queen.target);
      expect(planProblems(plan)).toEqual([]);
      const { finished } = layOut(plan);
      expect(finished.width.value).toBeCloseTo(fit.finished.width, 9);
      expect(finished.height.value).toBeCloseTo(fit.finished.height, 9);
      if (i > 0) expect(fit.score).toBeGreaterThanOrEqual(best[i - 1]!.score);
    });
  });

  test('keeps to the blocks on hand when they weigh most, and to a fixed sash', () => {
    const { best } = run(block12, { ...queen, blocks: 30, sash: { least: 2, most: 2 }, weights: { ...queen.weights, blocks: 50 } });
    expect(best[0]).toMatchObject({ blocks: 30, over: 0 });
    for (const { setting } of best) if ('sash' in setting) expect(setting.sash).toBe(2);
  });

  test('only the kinds allowed; none that the blocks refuse', () => {
    const oblong = inchPlan({ block: { width: 8, height: 12 } });
    const { best } = run(oblong, startRequest(oblong, { width: 60, height: 72 }));
    for (const { setting } of best) expect(['on-point', 'on-point-sashed', 'framed']).not.toContain(setting.kind);
  });

  test('centimetres weigh the same as inches', () => {
    const metric = inchPlan({ unit: 'cm', block: { width: 30, height: 30 }, seam: 0.75, borders: [], backing: { overhang: 10, fabric: 'back' }, binding: { stripWidth: 6.5, fabric: 'border' }, setting: { kind: 'edge-to-edge' }, fabrics: block12.fabrics.map((f) => ({ ...f, usableWidth: 100 })) });
    const { best } = run(metric, startRequest(metric, { width: 180, height: 210 }));
    expect(best[0]!.costs.size).toBeLessThan(0.5);
  });

  test('a request is checked: no kind, a negative width, too many borders', () => {
    for (const bad of [{ kinds: [] }, { sash: { least: -1, most: 2 } }, { borders: { count: 9, most: 4 } }]) {
      expect(fitRequestSchema.safeParse({ ...queen, ...bad }).success).toBe(false);
    }
    expect(fitRequestSchema.safeParse(queen).success).toBe(true);
  });
});

describe('a stack of borders', () => {
  // Common practice: several borders go narrow to wide.
  test.each([[7, 3, [1, 2, 4]], [0, 2, []], [0.5, 3, [0.5]], [1.5, 3, [1.5]], [3, 2, [1, 2]], [4, 0, []]])('%p" as %p: %j', (total, count, stack) => {
    expect(splitBorders(total, count, 0.25, 1)).toEqual(stack);
  });
  test('adds up and never narrows outward', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 80 }), fc.integer({ min: 1, max: 3 }), (steps, count) => {
      const stack = splitBorders(steps / 4, count, 0.25, 1);
      expect(stack.reduce((sum, b) => sum + b, 0)).toBeCloseTo(steps / 4, 9);
      expect([...stack].sort((a, b) => a - b)).toEqual(stack);
    }));
  });
});
