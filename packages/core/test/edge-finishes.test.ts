import fc from 'fast-check';
import {
  computeQuilt,
  convertPlan,
  edgeOutline,
  type Plan,
  planProblems,
  pointBase,
  pointHeight,
  startPlan,
} from '../src/index.ts';
import {
  biasFromLength,
  biasFromSquare,
  biasJoinLoss,
  biasTube,
  longAndShort,
  smallestThat,
} from '../src/edge/bias.ts';
import { bestStart, joinsFrom } from '../src/edge/binding-joins.ts';
import { stripsOf } from '../src/edge/binding-strips.ts';
import { mitresOf } from '../src/edge/mitre.ts';
import type { EdgeOutline } from '../src/edge/outline.ts';
import { bindingLength } from '../src/edge/schools.ts';
import { turnsOf } from '../src/colour/turns.ts';
import { planPointStrip } from '../src/edge/point-strip.ts';
import { planPrairiePoints } from '../src/edge/prairie-points.ts';
import { areaOf } from '../src/geometry/outline.ts';
import { randomFrom } from '../src/random/random.ts';
import { inchPlan } from './support/plans.ts';
import { measureTiling, sharedArea } from './support/tiling.ts';

const eighths = (least: number, most: number) =>
  fc.integer({ min: least * 8, max: most * 8 }).map((n) => n / 8);
const plan = (
  width: number,
  height: number,
  edge: Partial<Omit<Plan['edge'], 'scallop'>> & { scallop?: Partial<Plan['edge']['scallop']> } = {},
  binding: Partial<Plan['binding']> = {},
  change: Partial<Plan> = {},
): Plan => {
  const base = inchPlan({});
  return {
    ...base,
    block: { width, height },
    grid: { across: 1, down: 1 },
    setting: { kind: 'edge-to-edge' },
    edge: { ...base.edge, ...edge, scallop: { ...base.edge.scallop, ...edge.scallop } },
    binding: { ...base.binding, ...binding },
    ...change,
  } as Plan;
};
const edgeOf = (...args: Parameters<typeof plan>) => {
  const made = plan(...args);
  const problems = planProblems(made);
  if (problems.length > 0) throw new Error(problems.map((p) => p.message).join('\n'));
  return computeQuilt(made).edge;
};
/** Leftover strips, wide and long. */
const toBindWith = (...strips: readonly [width: number, length: number][]): Partial<Plan> => ({
  stock: strips.map(([width, length], i) => ({ id: `strip-${i}`, for: 'binding', width, length })),
});
const refusalsOf = (...args: Parameters<typeof plan>) => planProblems(plan(...args)).map((p) => p.message);

describe('binding', () => {
  // Rule BD-1, common practice: 65 × 78, each side up to the next ten: 300; the others + 10 and + 12.
  test('schools; a curved or measured edge cannot be rounded up side by side', () => {
    expect(edgeOf(38, 47, {}, { school: 'round-up-sides' }).binding!.length.value).toBe(180);
    // Whole tens already: nothing would be left for the corners.
    expect(edgeOf(40, 50, {}, { school: 'round-up-sides' }).binding!.length.value).toBe(190);
    expect(edgeOf(39, 49, {}, { school: 'round-up-sides' }).binding!.length.value).toBe(190);
    expect(edgeOf(40, 50, {}, { school: 'plus-twelve' }).binding!.length.value).toBe(192);
    const rounded = edgeOf(40, 50, { shape: 'rounded', radius: 6 }, { school: 'round-up-sides' }).binding!;
    expect(rounded.length.value).toBeCloseTo(180 - 48 + 12 * Math.PI + 10, 9);
    expect(rounded.length.working.join()).toMatch(/only be rounded up where they are straight/);
    expect(edgeOf(40, 50, { around: 200 }).binding!.length.value).toBe(210);
  });
  // Rule BD-5. From memory: a 2 1/2" double-fold strip finishes 3/8" wide with a flat batting, 2 1/4" about 5/16".
  test('finished width by fold and batting', () => {
    const width = (
      stripWidth: number,
      fold: 'double' | 'single' = 'double',
      fibre: Plan['batting']['fibre'] = 'cotton',
    ) =>
      edgeOf(40, 50, {}, { stripWidth, fold }, { batting: { ...inchPlan({}).batting, fibre } }).binding!
        .finished.value;
    expect(width(2.5)).toBe(0.375);
    expect(width(2.25)).toBe(0.3125);
    expect(width(1.5, 'single')).toBe(0.3125);
    expect(width(2.5, 'double', 'polyester')).toBeLessThan(width(2.5));
  });
  test('a strip too narrow to cover its seam behind is told', () => {
    const said = (stripWidth: number) =>
      computeQuilt(plan(40, 50, {}, { stripWidth }))
        .advice.filter((a) => a.path.join('.') === 'binding.stripWidth')
        .map((a) => a.message)
        .join();
    // 1 1/2" folded is 3/4": less two seams of 1/4" and 1/8" to wrap round, 1/8" is left.
    expect(said(1.5)).toMatch(
      /leaves 1\/8″ behind and does not cover its seam there: sew it at 3\/16″, or cut it wider/,
    );
    expect(said(2)).toBe('');
  });
  // Rule BD-6, common practice: a main strip of 1 1/2" and one of 1 3/4" for the flange make a binding whose flange shows 1/8".
  test('with a flange built in: 1 1/2" and 1 3/4"', () => {
    const { flange, strips } = edgeOf(
      40,
      50,
      {},
      { stripWidth: 2.75, flange: { visible: 0.125, fabric: 'accent' } },
    ).binding!;
    expect([flange!.main.value, flange!.flange.value]).toEqual([1.5, 1.75]);
    expect(flange!.fabric.value).toBe(strips.value * 1.75);
    expect(refusalsOf(40, 50, {}, { flange: { visible: 1.2, fabric: 'accent' } })).toEqual([
      expect.stringMatching(/leaves nothing of a binding/),
    ]);
  });
  test('leftovers of several widths are used up first, long and short by turns; what is wanting comes from the cloth', () => {
    const { leftovers, strips, joined } = edgeOf(
      40,
      50,
      {},
      {},
      toBindWith([5.25, 30], [2.5, 44], [2, 90]),
    ).binding!;
    // 5 1/4" holds two strips of 2 1/2"; 2" holds none. 30 + 30 + 44 less two joins of 2 1/2" reach 99 of 190.
    expect(leftovers!.lengths).toEqual([44, 30, 30]);
    expect(leftovers!.reach.value).toBe(99);
    expect(leftovers!.wanting.value).toBe(190 - 99 + 2.5);
    expect(leftovers!.tooNarrow).toEqual([2]);
    expect(strips.value).toBe(3);
    // 93 1/2" and 2" to spare are wanted of the cloth: two strips, and what is over of a third may serve something else.
    expect(joined.lengths).toEqual([44, 30, 30, 40, 40, 93.5 + 2 - 80 + 2 * 2.5]);
    expect(edgeOf(12, 12, {}, {}, toBindWith([2.5, 60])).binding!.strips.value).toBe(0);
  });
  test('strips, joined, always reach; whatever the grain', () => {
    fc.assert(
      fc.property(
        eighths(12, 58),
        eighths(12, 58),
        fc.constantFrom('straight', 'bias-square', 'bias-length', 'bias-tube'),
        fc.constantFrom(2, 2.25, 2.5, 3),
        (w, h, grain, stripWidth) => {
          const { binding } = edgeOf(w, h, {}, { grain: grain as 'straight', stripWidth });
          const { length, strips, strictStrips, bias, joined } = binding!;
          if (grain === 'straight') {
            expect(strips.value * 40).toBeGreaterThanOrEqual(length.value - 1e-6);
            expect(strictStrips.value * 40 - (strictStrips.value - 1) * stripWidth).toBeGreaterThanOrEqual(
              length.value - 1e-6,
            );
          } else {
            expect(bias!.gives.value).toBeGreaterThanOrEqual(length.value - 1e-6);
            expect(joined.loss).toBeCloseTo(grain === 'bias-tube' ? 0 : biasJoinLoss(0.25), 12);
            expect(
              joined.lengths.reduce((a, b) => a + b, 0) - (joined.lengths.length - 1) * joined.loss,
            ).toBeCloseTo(bias!.gives.value, 6);
          }
        },
      ),
      { numRuns: 120 },
    );
  });
});

describe('bias', () => {
  // Common practice: 198" round + 10 = 208, × 2 1/2 = 520, √ = 22.8 → 23 → a 25" square.
  test('the rule of the root holds for 208" of 2 1/2": 25" gives enough by geometry too', () => {
    const { bias, length } = edgeOf(45, 54, {}, { grain: 'bias-square' }).binding!;
    expect(length.value).toBe(208);
    expect(bias!.rule.value).toBe(25);
    expect(bias!.cloth.value).toBe(25);
    expect(bias!.gives.value).toBeGreaterThanOrEqual(208);
    expect(bias!.gives.value).toBeLessThan((25 * 25) / 2.5);
  });
  // Common practice: a fat quarter (17 1/2" of it square) binds about 30 × 30.
  test('a square from a fat quarter binds about 30 × 30', () => {
    const { length } = biasFromSquare(17.5, 2.25, 0.25, 'in');
    expect(length).toBeGreaterThan(4 * 25);
    expect(length).toBeLessThan(4 * 30 + 10);
  });
  // The polygon library, which knows nothing of bias: strips lie inside the cloth, apart from one another, and each is as large as its length × its width.
  test('strips fit the cloth without overlapping, each as long as it says', () => {
    fc.assert(
      fc.property(
        eighths(8, 44),
        eighths(8, 44),
        fc.constantFrom(1.5, 2, 2.25, 2.5, 3),
        fc.boolean(),
        (width, height, strip, square) => {
          const {
            strips,
            length,
            height: h,
          } = square
            ? biasFromSquare(width, strip, 0.25, 'in')
            : biasFromLength(width, height, strip, 0.25, 'in');
          const { union, sum } = measureTiling(strips);
          if (strips.length > 0) expect(union).toBeCloseTo(sum, 6);
          for (const { outline, length: own } of strips) {
            expect(areaOf(outline)).toBeCloseTo(own * strip, 6);
            for (const { x, y } of outline) {
              expect(Math.min(x, y, width - x, h - y)).toBeGreaterThan(-1e-9);
            }
            // Both ends are cut along a thread, level or upright, so that any two strips can be joined.
            const [a, b, c, d] = outline;
            for (const [p, q] of [
              [a, d],
              [b, c],
            ] as const)
              expect(Math.min(Math.abs(p.x - q.x), Math.abs(p.y - q.y))).toBeLessThan(1e-9);
          }
          expect(length).toBeLessThanOrEqual((width * h) / strip);
        },
      ),
      { numRuns: 150 },
    );
  });
  // Geometry: across the strips u = x + y; at u the cloth reaches from the larger of −u and u − 2h to the smaller of u and 2w − u.
  // An end on a thread leans one way or the other; both are pushed outward until they touch the cloth's edge, and the longer is right.
  test('no strip could be longer with its ends cut the other way', () => {
    fc.assert(
      fc.property(eighths(8, 44), eighths(8, 44), fc.constantFrom(1.5, 2.25, 3), (width, height, strip) => {
        for (const { outline, length } of biasFromLength(width, height, strip, 0.25, 'in').strips) {
          const across = outline.map((p) => p.x + p.y);
          const [u1, u2] = [Math.min(...across), Math.max(...across)];
          const left = (u: number) => Math.max(-u, u - 2 * height);
          const right = (u: number) => Math.min(u, 2 * width - u);
          const middle = (u1 + u2) / 2;
          const lefts = [1, -1].map(
            (lean) => Math.max(...[u1, u2].map((u) => left(u) - lean * u)) + lean * middle,
          );
          const rights = [1, -1].map(
            (lean) => Math.min(...[u1, u2].map((u) => right(u) - lean * u)) + lean * middle,
          );
          expect(length).toBeCloseTo((Math.max(...rights) - Math.min(...lefts)) / Math.SQRT2, 6);
        }
      }),
      { numRuns: 60 },
    );
  });
  test('the smallest square that is enough, up to what the cloth holds and no further', () => {
    const gives = (side: number) => side * side;
    expect(smallestThat(10, gives, 100)).toBe(10);
    expect(smallestThat(10, gives, 99)).toBe(10);
    expect(smallestThat(10, gives, 101)).toBeNull();
    expect(smallestThat(20, gives, 100)).toBe(10);
  });
  // Rule BI-3.
  test('the strip on the double fold lies along the diagonal, half to each side', () => {
    const fold = biasFromSquare(25, 2.5, 0.25, 'in').strips.find((s) => s.from === 'fold')!;
    const sums = fold.outline.map((p) => p.x + p.y - 25);
    expect(Math.max(...sums)).toBeCloseTo(2.5 / Math.SQRT2, 9);
    expect(Math.min(...sums)).toBeCloseTo(-2.5 / Math.SQRT2, 9);
  });
  // Rule BI-4. Geometry, built up from the two triangles: the square cut along its diagonal, one half moved along and sewn on with a
  // quarter-inch seam. Bias edges and lanes are measured on the outline that makes.
  test('the tube: bias edges lie closer by its seam, every lane goes once round between the straight edges', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 44 }),
        fc.constantFrom(2, 2.25, 2.5),
        fc.constantFrom(0.25, 0.375),
        (side, strip, seam) => {
          // One half keeps its corner at the origin, its bias edge from (S, 0) to (0, S); the other lies under it, its own from
          // (S, −S) up to the origin, raised by both allowances of the seam along y = seam.
          const [upper, lower] = [
            { from: { x: side, y: 0 }, to: { x: 0, y: side } },
            { from: { x: side, y: 2 * seam - side }, to: { x: 0, y: 2 * seam } },
          ];
          const ux = (upper.to.x - upper.from.x) / Math.hypot(side, side);
          const uy = (upper.to.y - upper.from.y) / Math.hypot(side, side);
          const apart = Math.abs((lower.from.x - upper.from.x) * uy - (lower.from.y - upper.from.y) * ux);
          // Straight edges x = 0 and x = S are sewn together a seam inside both.
          const round = (side - 2 * seam) * Math.SQRT2;
          const { lanes, length } = biasTube(side, strip, seam);
          expect(lanes).toBe(Math.floor(apart / strip + 1e-9));
          expect(length).toBeCloseTo(lanes * round, 9);
          // Both seams off, the sewn tube has the cloth of a square smaller by them each way.
          expect(apart * round).toBeCloseTo((side - 2 * seam) ** 2, 9);
        },
      ),
    );
  });
  test('long and short take turns, and none is lost', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 60 }), { maxLength: 20 }), (lengths) => {
        const order = longAndShort(lengths.map((length) => ({ length }))).map((s) => s.length);
        expect([...order].sort((a, b) => a - b)).toEqual([...lengths].sort((a, b) => a - b));
        for (let i = 0; i + 1 < order.length; i += 2) expect(order[i]!).toBeGreaterThanOrEqual(order[i + 1]!);
      }),
    );
  });
  // Rule SC-2.
  test('curves want bias, straight edges do not; a square wider than the cloth is refused a place', () => {
    const said = (...args: Parameters<typeof plan>) =>
      computeQuilt(plan(...args))
        .advice.filter((a) => a.path.join('.') === 'binding.grain')
        .map((a) => a.message)
        .join();
    expect(said(40, 50, { shape: 'rounded' })).toMatch(/Curves need a bias binding/);
    expect(said(40, 50, { shape: 'scalloped', scallop: { width: 6, depth: 0.75 } })).toMatch(/pulled taut/);
    expect(said(40, 50, {}, { grain: 'bias-tube' })).toMatch(/do not need bias/);
    expect(said(60, 60, { shape: 'rounded', radius: 1 }, { grain: 'bias-square', stripWidth: 6 })).toMatch(
      /wider than this cloth/,
    );
    expect(said(40, 50)).toBe('');
  });
});

describe('joins of the binding', () => {
  test('lie a strip less a join apart; the best beginning keeps them all from the corners', () => {
    fc.assert(
      fc.property(eighths(30, 100), eighths(30, 100), (w, h) => {
        const outline = edgeOutline({ width: w, height: h });
        const joined = {
          lengths: Array.from({ length: Math.ceil(outline.length / 37) + 1 }, () => 40),
          loss: 2.5,
        };
        const best = bestStart(outline, joined, outline.length, 'in');
        for (let start = 4; start < w; start += 3.5)
          expect(best.clear).toBeGreaterThanOrEqual(
            Math.min(6, joinsFrom(outline, joined, start, outline.length).clear) - 0.51,
          );
        for (const { side, from, point } of best.joins)
          expect(side === 'top' || side === 'bottom' ? point.x : point.y).toBeCloseTo(from, 9);
        expect(best.joins.filter((j) => j.last)).toHaveLength(1);
      }),
      { numRuns: 40 },
    );
  });
  test('a beginning that puts a join on a corner is told, with a better one', () => {
    const bad = plan(40, 50, {}, { start: 1.5 });
    const advice = computeQuilt(bad).advice.filter((a) => a.path.join('.') === 'binding.start');
    expect(advice.map((a) => a.message).join()).toMatch(
      /A join falls 1 1\/2″ from a corner\. Begin .* from the left/,
    );
  });
  // Rule ED-3. Geometry: seams a quarter inch in meet a quarter inch before a square corner, and 0.1036" before one of 135°.
  test('where sewing stops before a corner', () => {
    expect(mitresOf(edgeOutline({ width: 40, height: 50 }), 0.25, 'in')).toMatchObject([
      { angle: 90, count: 4, stop: { value: expect.closeTo(0.25, 9) } },
    ]);
    const clipped = edgeOutline(
      { width: 40, height: 50 },
      { shape: 'clipped', corners: 'all', radius: 8, scallop: { width: 6, depth: 1 } },
    );
    expect(mitresOf(clipped, 0.25, 'in')).toMatchObject([
      { angle: 135, count: 8, stop: { value: expect.closeTo(0.25 * (Math.SQRT2 - 1), 9) } },
    ]);
  });
});

describe('prairie points', () => {
  const wish = { square: 4, overlap: 0.25, seam: 0.25, usable: 40, unit: 'in' as const };
  /** Outlines of the points along a side, its beginning at the origin and outward up. */
  const outlines = (side: { middles: readonly number[] }, square: number) => {
    const half = pointBase(square, 0.25) / 2;
    return side.middles.map((middle) => [
      { x: middle - half, y: 0 },
      { x: middle + half, y: 0 },
      { x: middle, y: -pointHeight(square, 0.25) },
    ]);
  };
  // Rule PP-1: base q − 2a, height q/2 − a at the sewing line.
  test('a point of a 4" square', () =>
    expect([pointBase(4, 0.25), pointHeight(4, 0.25)]).toEqual([3.5, 1.75]));
  // Rule PP-2. The polygon library: whatever the overlap, the last point of one side and the first of the next share no cloth, and neither reaches past the corner.
  test('two points meet at every corner, neither reaching past it', () => {
    fc.assert(
      fc.property(
        eighths(24, 100),
        eighths(24, 100),
        fc.constantFrom(0, 0.25, 0.5, 1, 1.5),
        fc.constantFrom('all' as const, 'last-three' as const),
        (width, height, overlap, spread) => {
          const { across, down } = planPrairiePoints({ width, height }, { ...wish, overlap, spread });
          for (const [side, length] of [
            [across, width],
            [down, height],
          ] as const) {
            expect(side.middles).toHaveLength(side.count.value);
            // What is said of the overlap is how the points stand: neighbours lie a square less the overlap apart.
            expect(side.middles.at(-1)! - side.middles.at(-2)!).toBeCloseTo(4 - side.overlap.value, 9);
            expect(side.gap.value).toBeCloseTo(0.5 - side.overlap.value, 9);
            // Base to base they fill the side from corner to corner, or stand off either corner by half a gap.
            const ends = side.middles[0]! - 1.75 + (length - side.middles.at(-1)! - 1.75);
            if (spread === 'all') expect(ends).toBeCloseTo(Math.max(0, side.gap.value), 9);
            expect(side.middles[0]!).toBeGreaterThanOrEqual(1.75 - 1e-9);
          }
          const top = outlines(across, 4).at(-1)!;
          const right = outlines(down, 4)[0]!.map(({ x, y }) => ({ x: width - y, y: x }));
          expect(sharedArea({ outline: top }, { outline: right })).toBeLessThan(1e-9);
          expect(top[1]!.x).toBeLessThanOrEqual(width + 1e-9);
          // Where bases lie over one another the two at a corner meet exactly there.
          if (across.gap.value <= 0) expect(top[1]!.x).toBeCloseTo(width, 9);
          if (spread === 'all' && down.gap.value <= 0) expect(right[0]!.y).toBeCloseTo(0, 9);
        },
      ),
      { numRuns: 120 },
    );
  });
  test('the difference in the last three only', () => {
    const { across } = planPrairiePoints({ width: 61, height: 72 }, { ...wish, spread: 'last-three' });
    expect(across.count.value).toBe(16);
    expect(across.middles.slice(0, 13)).toEqual(Array.from({ length: 13 }, (_, i) => (i + 0.5) * 3.75));
    expect(across.overlap.value).toBeCloseTo(4 - (61 - 13 * 3.75) / 3, 9);
  });
  test('scattered colours never lie beside their like, all round, and are shared out evenly', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 120 }),
        fc.integer({ min: 3, max: 8 }),
        fc.integer({ min: 1, max: 99_999 }),
        (total, fabrics, seed) => {
          const colours = turnsOf(total, fabrics, 'scattered', randomFrom(seed));
          for (const [i, colour] of colours.entries()) expect(colour).not.toBe(colours.at(i - 1));
          for (let f = 0; f < fabrics; f++)
            expect(Math.abs(colours.filter((c) => c === f).length - total / fabrics)).toBeLessThan(1);
        },
      ),
      // Once no single exchange could mend this one.
      { examples: [[13, 3, 82_619]], numRuns: 300 },
    );
    expect(turnsOf(6, 3, 'sequence', randomFrom(1))).toEqual([0, 1, 2, 0, 1, 2]);
  });
  // Rule PP-3.
  test('a continuous strip: points half over one another, cut so that the first and last end at the corners', () => {
    const strip = planPointStrip({ width: 61, height: 71.5 }, { square: 4, seam: 0.25, unit: 'in' }, 1);
    expect(strip.cutWidth.value).toBe(8);
    // A raw side of 72 holds 36 half squares: 35 points, cut every 4 exactly.
    expect(strip.down.count.value).toBe(35);
    expect(strip.cutEvery.down.value).toBe(4);
    for (const [side, length, cut] of [
      [strip.across, 61, strip.cutEvery.across.value],
      [strip.down, 71.5, 4],
    ] as const) {
      expect(side.middles[0]! - pointBase(cut, 0.25) / 2).toBeCloseTo(0, 9);
      expect(side.middles.at(-1)! + pointBase(cut, 0.25) / 2).toBeCloseTo(length, 9);
    }
    expect(
      planPointStrip({ width: 60, height: 72 }, { square: 4, seam: 0.25, unit: 'in' }, 2).cutWidth,
    ).toMatchObject({ value: 4.25, working: ['4 + 1/4 seam to join the two cloths = 4 1/4'] });
    expect(
      planPointStrip({ width: 60, height: 72 }, { square: 4, seam: 0.25, unit: 'in' }, 1).cutWidth.working,
    ).toEqual(['2 × 4 = 8']);
  });
  test('bought by the colour', () => {
    const made = plan(60, 56, {}, {}, {});
    const { points } = computeQuilt({
      ...made,
      edge: {
        ...made.edge,
        finishes: ['prairie-points'],
        points: { ...made.edge.points, fabrics: ['accent', 'border', 'sash'] },
      },
    }).edge;
    expect(points!.cloths.reduce((sum, c) => sum + c.squares!.value, 0)).toBe(points!.total.value);
    for (const cloth of points!.cloths)
      expect(cloth.strips.value * 10).toBeGreaterThanOrEqual(cloth.squares!.value);
  });
});

describe('in centimetres', () => {
  // What is pure geometry comes out the same in any unit: 2.54 times as long in, 2.54 times as long out.
  test('bias, scallops, mitres and points are the inch figures times 2.54', () => {
    fc.assert(
      fc.property(eighths(36, 90), eighths(36, 90), fc.constantFrom(2, 2.25, 2.5), (w, h, strip) => {
        const k = 2.54;
        expect(biasFromSquare(w * k, strip * k, 0.25 * k, 'cm').length).toBeCloseTo(
          biasFromSquare(w, strip, 0.25, 'in').length * k,
          6,
        );
        expect(biasTube(w * k, strip * k, 0.25 * k).length).toBeCloseTo(
          biasTube(w, strip, 0.25).length * k,
          6,
        );
        const outline = (f: number) =>
          edgeOutline(
            { width: w * f, height: h * f },
            { shape: 'scalloped', corners: 'all', radius: f, scallop: { width: 6 * f, depth: f } },
          );
        expect(outline(k).length).toBeCloseTo(outline(1).length * k, 6);
        expect(outline(k).turns.map((t) => Math.round(1e6 * t.angle))).toEqual(
          outline(1).turns.map((t) => Math.round(1e6 * t.angle)),
        );
        const points = (f: number, unit: 'in' | 'cm') =>
          planPrairiePoints(
            { width: w * f, height: h * f },
            { square: 4 * f, overlap: 0.25 * f, seam: 0.25 * f, usable: 40 * f, unit },
          );
        expect(points(k, 'cm').total.value).toBe(points(1, 'in').total.value);
        expect(points(k, 'cm').across.overlap.value).toBeCloseTo(points(1, 'in').across.overlap.value * k, 9);
      }),
      { numRuns: 40 },
    );
  });
});

describe('together', () => {
  // Rule ED-2.
  test('flange and binding go together; points take the place of both, on straight sides', () => {
    expect(refusalsOf(40, 50, { finishes: ['flange', 'binding'] })).toEqual([]);
    expect(refusalsOf(40, 50, { finishes: ['prairie-points'] })).toEqual([]);
    expect(refusalsOf(40, 50, { finishes: ['prairie-points', 'binding'] })).toEqual([
      expect.stringMatching(/close the edge by themselves.*a binding would cover their bases/),
    ]);
    expect(refusalsOf(40, 50, { finishes: ['flange', 'prairie-points'] })).toEqual([
      expect.stringMatching(/held by the seam of a binding/),
    ]);
    expect(refusalsOf(40, 50, { finishes: [] })).toEqual([expect.stringMatching(/A raw edge frays/)]);
    expect(refusalsOf(40, 50, { finishes: ['flange'] })).toEqual([expect.stringMatching(/only basted on/)]);
    expect(refusalsOf(40, 50, { finishes: ['prairie-points'], shape: 'scalloped' })).toEqual([
      expect.stringMatching(/straight sides/),
    ]);
    expect(refusalsOf(40, 50, { finishes: ['flange', 'binding'], shape: 'rounded' })).toEqual([
      expect.stringMatching(/cannot follow a curve/),
    ]);
  });
  test('shapes that do not fit are refused beside their field', () => {
    expect(refusalsOf(40, 50, { shape: 'rounded', radius: 22 })).toEqual([
      expect.stringMatching(/at most 20″/),
    ]);
    expect(refusalsOf(40, 50, { shape: 'scalloped', scallop: { width: 4, depth: 3 } })).toEqual([
      expect.stringMatching(/2″ deep at most/),
    ]);
    expect(refusalsOf(20, 20, { shape: 'scalloped', scallop: { width: 12, depth: 1 } })).toEqual([
      expect.stringMatching(/do not divide sides of 20″ and 20″ and turn their corners/),
    ]);
  });
  test('everything of layers and edge is bought once, and turns into centimetres and back', () => {
    const made = plan(
      40,
      50,
      { finishes: ['flange', 'binding'] },
      { flange: { visible: 0.125, fabric: 'sash' } },
      toBindWith([5, 30]),
    );
    const lines = computeQuilt(made)
      .fabrics.flatMap((f) => f.needed.working)
      .join('|');
    for (const words of ['Backing', 'Binding', 'Flange in the binding', 'Flange sides'])
      expect(lines.split(words)).toHaveLength(2);
    const back = convertPlan(convertPlan(made, 'cm'), 'in');
    expect(planProblems(convertPlan(made, 'cm'))).toEqual([]);
    for (const key of ['backing', 'batting', 'quilting'] as const)
      expect(JSON.stringify(back[key])).toBe(JSON.stringify(made[key]));
    expect(
      Math.abs(computeQuilt(back).edge.binding!.length.value - computeQuilt(made).edge.binding!.length.value),
    ).toBeLessThan(1);
    expect(computeQuilt(startPlan('metric-sashed')).edge.binding!.finished.value).toBeGreaterThan(0.5);
  });
});

describe('a flange beside the binding', () => {
  // Rule FL-1. What is seen reaches past the binding's seam: 2 × (¼ + ⅜) beside a binding sewn at ⅜.
  test('is cut for the seam the binding is sewn with', () => {
    const width = (binding: Partial<Plan['binding']>) =>
      edgeOf(40, 50, { finishes: ['flange', 'binding'] }, binding).flange!.cutWidth.value;
    expect(width({})).toBe(1.25);
    expect(width({ seam: 0.25 })).toBe(1);
    expect(width({ stripWidth: 2.25 })).toBe(2 * (0.25 + 0.3125));
  });
  // Rule FL-2.
  test('lies along the raw edges: the finished top and its seams, or the average of the three places that were measured, as it is', () => {
    const flange = (measured: Plan['measured']) =>
      edgeOf(40, 50, { finishes: ['flange', 'binding'] }, {}, { measured }).flange!;
    expect([flange([]).sides.value, flange([]).ends.value]).toEqual([50.5, 40.5]);
    const three = flange([{ borders: 0, width: [40.5, 40.25, 40.75], height: [50.5, 50.25, 50.25] }]);
    expect(three.ends.value).toBeCloseTo(40.5, 12);
    expect(three.sides.value).toBeCloseTo(151 / 3, 12);
    expect(three.sides.working[0]).toBe(
      'High, measured in three places: (50 1/2 + 50 1/4 + 50 1/4) ÷ 3 = 50.333',
    );
  });
  test('one that its cloth is too narrow for is refused beside its field', () => {
    expect(
      refusalsOf(
        40,
        50,
        { finishes: ['flange', 'binding'], flange: { visible: 2, fabric: 'sash' } },
        {},
        { fabrics: inchPlan({}).fabrics.map((f) => ({ ...f, usableWidth: 8 })) },
      ).join(),
    ).toMatch(/A flange that shows 2″ takes strips cut 4 3\/4″ wide/);
  });
});

describe('points of the blocks at the edge', () => {
  const said = (setting: Plan['setting'], binding: Partial<Plan['binding']>) => {
    const base = inchPlan({});
    return computeQuilt({ ...base, setting, binding: { ...base.binding, ...binding } })
      .advice.filter((a) => a.path.join('.') === 'binding.seam')
      .map((a) => a.message)
      .join();
  };
  // Geometry: points end a quarter inch inside the raw edge; a binding sewn ⅜ deep covers an eighth of them.
  test('lose their tips under a binding sewn deeper than their seam', () => {
    const onPoint = { kind: 'on-point', plainBetween: false, float: 0, triangles: 'trade' } as const;
    expect(said(onPoint, {})).toContain('covers their tips by 1/8″');
    expect(said(onPoint, { seam: 0.25 })).toBe('');
    expect(said({ ...onPoint, float: 0.5 }, {})).toBe('');
    expect(said({ kind: 'framed', frame: 'exact', triangles: 'trade' }, {})).toContain('covers their tips');
    expect(said({ kind: 'edge-to-edge' }, {})).toBe('');
  });
});

test('two flanges, one in the binding and one beside it, are told', () => {
  const said = (finishes: Plan['edge']['finishes'], flange: Plan['binding']['flange']) =>
    computeQuilt(plan(40, 50, { finishes }, { stripWidth: 2.75, flange })).advice.some((a) =>
      a.message.includes('two will show'),
    );
  const built = { visible: 0.125, fabric: 'accent' };
  expect([
    said(['flange', 'binding'], built),
    said(['binding'], built),
    said(['flange', 'binding'], null),
  ]).toEqual([true, false, false]);
});

// Rule BD-1. Arithmetic, in centimetres: 98 and 123 up to 100 and 125; 100 and 125 leave nothing, so 25 more.
test('each side up to the next 25 cm', () => {
  expect(bindingLength({ width: 96, height: 121 }, 'round-up-sides', 'cm').value).toBe(450);
  expect(bindingLength({ width: 98, height: 123 }, 'round-up-sides', 'cm').value).toBe(475);
  expect(bindingLength({ width: 100, height: 125 }, 'round-up-sides', 'cm').value).toBe(475);
});

// Rule BD-2: 3.98 strips is too close. Arithmetic.
test('whole strips, and one more when the last would be all but used up', () => {
  expect([0, 36, 38, 38.1, 40, 41, 159].map((length) => stripsOf(length, 40, 'in').value)).toEqual([
    0, 1, 1, 2, 2, 2, 5,
  ]);
  expect(stripsOf(38, 40, 'in').working).toHaveLength(1);
  expect(stripsOf(38.1, 40, 'in').working[1]).toBe('The last would be all but used up, so one more: 2');
});

test('angles more than two degrees apart are two kinds, a corner and a valley always are', () => {
  const angles = (...of: number[]) =>
    mitresOf({ turns: of.map((angle) => ({ angle })) } as unknown as EdgeOutline, 0.25, 'in').map((m) => [
      m.angle,
      m.count,
      m.kind,
    ]);
  expect(angles(250, 252, 251)).toEqual([[251, 3, 'valley']]);
  expect(angles(250, 252.5)).toEqual([
    [250, 1, 'valley'],
    [253, 1, 'valley'],
  ]);
  expect(angles(179.5, 180.5)).toEqual([
    [180, 1, 'corner'],
    [181, 1, 'valley'],
  ]);
});

test('angles that differ by a degree are one kind of valley', () => {
  const outline = edgeOutline(
    { width: 60, height: 73 },
    { shape: 'scalloped', corners: 'all', radius: 6, scallop: { width: 6, depth: 1 } },
  );
  const mitres = mitresOf(outline, 0.25, 'in');
  expect(mitres).toHaveLength(1);
  expect(mitres[0]).toMatchObject({ kind: 'valley', count: outline.turns.length });
});
