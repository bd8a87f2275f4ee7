import fc from 'fast-check';
import { computeQuilt } from '../src/index.ts';
import { biasFromLength, biasFromSquare, biasTube, longAndShort, smallestThat } from '../src/edge/bias.ts';
import { areaOf } from '../src/geometry/outline.ts';
import { measureTiling } from './support/tiling.ts';
import { edgedPlan as plan, edgeOf, eighths } from './support/edges.ts';

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
