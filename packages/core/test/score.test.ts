import fc from 'fast-check';
import { kindsFor, SETTINGS, startRequest } from '../src/index.ts';
import { borderSteps } from '../src/finder/best-borders.ts';
import { shapesFor } from '../src/finder/find.ts';
import { searchStep } from '../src/finder/request.ts';
import {
  centreOf,
  costsOf,
  searchScale,
  lowerBound,
  optionsWith,
  lengthRange,
  type Shape,
  weigh,
} from '../src/finder/score.ts';
import { inchPlan } from './support/plans.ts';

const plan = inchPlan({ block: { width: 12, height: 12 } });
const request = { ...startRequest(plan, { width: 60, height: 72 }), blocks: 20 };
const shapes = shapesFor(plan, request);
const scale = searchScale(plan, request, shapes);
const none = { sash: 0, float: 0 };
const all = (width: number) => ({ sides: width, ends: width });
const anyWay = (shape: Shape, pick: number) => shape.lengths[pick % shape.lengths.length]!;
const edgeToEdge = (across: number, down: number) =>
  shapes.find((s) => s.kind === 'edge-to-edge' && s.grid.across === across && s.grid.down === down)!;

describe('what a design costs', () => {
  test('each cost is what it says, by hand', () => {
    // 4 × 5 edge to edge is 48 × 60; with 6" all round 60 × 72, on target, every block used.
    const shape = edgeToEdge(4, 5);
    const costs = costsOf(scale, shape, none, centreOf(shape, none), all(6));
    expect(costs).toEqual({
      size: 0,
      blocks: 0,
      proportion: 0,
      seams: 0.2,
      fabric: (60 * 72 - 20 * 144) / 1296,
    });
    expect(weigh(costs, request)).toBeCloseTo(0.2 * 0.25 + ((60 * 72 - 2880) / 1296) * 0.25, 12);
  });
  test('a missing block counts double, a spare one once', () => {
    const cost = (across: number, down: number) =>
      costsOf(scale, edgeToEdge(across, down), none, centreOf(edgeToEdge(across, down), none), all(0)).blocks;
    expect(cost(4, 4)).toBe(4);
    expect(cost(4, 6)).toBe(8);
  });
  // Common practice: sash 1/6 to 1/4 of the block, no border wider than the block. Sides unlike ends: half an inch an inch.
  test('proportion: only outside the rules of thumb', () => {
    const shape = shapes.find((s) => s.kind === 'sashed')!;
    const proportion = (sash: number, border: { sides: number; ends: number }) =>
      costsOf(scale, shape, { sash, float: 0 }, centreOf(shape, { sash, float: 0 }), border).proportion;
    expect(proportion(2, all(12))).toBe(0);
    expect(proportion(3, all(0))).toBe(0);
    expect(proportion(1.5, all(0))).toBeCloseTo(0.5, 12);
    expect(proportion(4, all(13))).toBeCloseTo(1 + 1, 12);
    expect(proportion(2, { sides: 3, ends: 5 })).toBeCloseTo(1, 12);
  });
  test('of three borders the widest is four sevenths of all', () => {
    const three = searchScale(plan, { ...request, borders: { ...request.borders, count: 3 } }, shapes);
    const shape = edgeToEdge(2, 2);
    expect(costsOf(three, shape, none, centreOf(shape, none), all(21)).proportion).toBe(0);
    expect(costsOf(three, shape, none, centreOf(shape, none), all(22.75)).proportion).toBeCloseTo(1, 12);
  });
  test('without a target the cost is what the quilt is smaller than the largest, in square yards', () => {
    const free = { ...request, target: null };
    const wide = shapesFor(plan, free);
    const whole = searchScale(plan, free, wide);
    expect(Math.max(...wide.map((s) => s.blocks))).toBe(20);
    const sizes = wide.map(
      (s) =>
        costsOf(whole, s, lengthRange(s).most, centreOf(s, lengthRange(s).most), all(request.borders.most))
          .size,
    );
    expect(Math.min(...sizes)).toBeCloseTo(0, 9);
  });
});

describe('a bound', () => {
  test.each([
    ['a target', request],
    ['none', { ...request, target: null }],
  ] as const)('with %s, is never above any design of its shape', (_, asked) => {
    const found = shapesFor(plan, asked);
    const whole = searchScale(plan, asked, found);
    const { most } = borderSteps(whole, searchStep('in'));
    fc.assert(
      fc.property(
        fc.constantFrom(...found),
        fc.nat(),
        fc.nat({ max: most }),
        fc.nat({ max: most }),
        (shape, pick, sides, ends) => {
          const lengths = anyWay(shape, pick);
          const score = weigh(
            costsOf(whole, shape, lengths, centreOf(shape, lengths), { sides: sides / 8, ends: ends / 8 }),
            asked,
          );
          expect(score).toBeGreaterThanOrEqual(lowerBound(whole, shape, lengthRange(shape)) - 1e-9);
          expect(score).toBeGreaterThanOrEqual(
            lowerBound(whole, shape, { least: lengths, most: lengths }) - 1e-9,
          );
        },
      ),
      { numRuns: 2000 },
    );
  });
});

describe('what is searched', () => {
  test('every setting that takes plain blocks, each with every option that changes its size', () => {
    expect(new Set(shapes.map((s) => s.kind))).toEqual(
      new Set(SETTINGS.filter((s) => !('otherBlocks' in s)).map((s) => s.kind)),
    );
    const options = (kind: string) =>
      new Set(shapes.filter((s) => s.kind === kind).map((s) => JSON.stringify(s.options)));
    expect(options('sashed').size).toBe(2);
    expect(options('strip-set').size).toBe(8);
    expect(options('on-point').size).toBe(2);
    expect(options('on-point-sashed').size).toBe(4);
  });
  test('blocks that are quilted already are only set as such', () => {
    expect(kindsFor(inchPlan({ setting: { kind: 'quilted', sash: 2 } }))).toEqual(['quilted']);
  });
  test('a float only where the edge leaves one a meaning; no sash that the block refuses', () => {
    for (const shape of shapes) {
      const options = optionsWith(shape, shape.lengths.at(-1)!) as { edgeStones?: string; sash?: number };
      if (options.edgeStones === 'halved') expect(shape.has.float).toBe(false);
      if (options.sash !== undefined) expect(options.sash).toBeLessThanOrEqual(12);
    }
    const thin = shapesFor(
      inchPlan({
        setting: { kind: 'sashed', sash: 3, outerSash: true, cornerstones: true, long: 'level', strips: '3' },
      }),
      { ...request, kinds: ['sashed'], sash: { least: 0.5, most: 2 } },
    );
    expect(Math.min(...thin[0]!.lengths.map((l) => l.sash))).toBe(0.75);
  });
  test('a size grows straight with sash and float, so that a few extents tell them all', () => {
    fc.assert(
      fc.property(fc.constantFrom(...shapes), fc.nat(), (shape, pick) => {
        const lengths = anyWay(shape, pick);
        const { extent } = SETTINGS.find((s) => s.kind === shape.kind)! as unknown as (typeof SETTINGS)[1];
        const centre = centreOf(shape, lengths);
        expect(centre.width).toBeCloseTo(
          extent('across', shape.grid.across, 12, optionsWith(shape, lengths) as never, 0.25),
          9,
        );
        expect(centre.height).toBeCloseTo(
          extent('down', shape.grid.down, 12, optionsWith(shape, lengths) as never, 0.25),
          9,
        );
      }),
      { numRuns: 500 },
    );
  });
});
