import fc from 'fast-check';
import { SETTINGS, startRequest } from '../src/index.ts';
import { mostBorderSteps, sashesFor, shapesFor } from '../src/target/find.ts';
import { searchStep } from '../src/target/request.ts';
import { centreOf, costsOf, groundOf, leastMiss, weigh } from '../src/target/score.ts';
import { inchPlan } from './support/plans.ts';

const plan = inchPlan({ block: { width: 12, height: 12 } });
const request = { ...startRequest(plan, { width: 60, height: 72 }), blocks: 20 };
const ground = groundOf(plan, request);
const shapes = shapesFor(plan, request);

describe('what a design costs', () => {
  test('each cost is what it says, by hand', () => {
    // 4 × 5 edge to edge is 48 × 60; with 6" all round 60 × 72, on target, every block used.
    const shape = shapes.find((s) => s.kind === 'edge-to-edge' && s.grid.across === 4 && s.grid.down === 5)!;
    const costs = costsOf(ground, shape, 0, centreOf(ground, shape, 0), 6);
    expect(costs).toEqual({ size: 0, blocks: 0, proportion: 0, seams: 0.2, fabric: (60 * 72 - 20 * 144) / 1296 });
    expect(weigh(costs, request)).toBeCloseTo(0.2 * 0.25 + ((60 * 72 - 2880) / 1296) * 0.25, 12);
  });
  test('a missing block counts double, a spare one once', () => {
    const cost = (across: number, down: number) => {
      const shape = shapes.find((s) => s.kind === 'edge-to-edge' && s.grid.across === across && s.grid.down === down)!;
      return costsOf(ground, shape, 0, centreOf(ground, shape, 0), 0).blocks;
    };
    expect(cost(4, 4)).toBe(4);
    expect(cost(4, 6)).toBe(8);
  });
  // Common practice: sash 1/6 to 1/4 of the block, no border wider than the block.
  test('proportion: only outside the rules of thumb', () => {
    const shape = shapes.find((s) => s.kind === 'sashed')!;
    const proportion = (sash: number, border: number) => costsOf(ground, shape, sash, centreOf(ground, shape, sash), border).proportion;
    expect(proportion(2, 12)).toBe(0);
    expect(proportion(3, 0)).toBe(0);
    expect(proportion(1.5, 0)).toBeCloseTo(0.5, 12);
    expect(proportion(4, 13)).toBeCloseTo(1 + 1, 12);
  });
  test('the least a shape can miss is never more than any of its designs misses', () => {
    const step = searchStep('in');
    const most = mostBorderSteps(request, step);
    fc.assert(fc.property(fc.constantFrom(...shapes), fc.nat(), fc.nat({ max: most }), (shape, pick, steps) => {
      const sashes = sashesFor(shape, request, step);
      const sash = sashes[pick % sashes.length]!;
      expect(costsOf(ground, shape, sash, centreOf(ground, shape, sash), steps * step).size).toBeGreaterThanOrEqual(leastMiss(ground, shape) - 1e-9);
    }), { numRuns: 2000 });
  });
  test('every setting is searched, each with every option that changes its size', () => {
    expect(new Set(shapes.map((s) => s.kind))).toEqual(new Set(SETTINGS.map((s) => s.kind)));
    const options = (kind: string) => new Set(shapes.filter((s) => s.kind === kind).map((s) => JSON.stringify(s.options)));
    expect(options('sashed').size).toBe(2);
    expect(options('strip-set').size).toBe(4);
    expect(options('on-point').size).toBe(2);
  });
});
