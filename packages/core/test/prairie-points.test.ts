import fc from 'fast-check';
import { computeQuilt, pointBase, pointHeight } from '../src/index.ts';
import { turnsOf } from '../src/colour/turns.ts';
import { planPointStrip } from '../src/edge/point-strip.ts';
import { planPrairiePoints } from '../src/edge/prairie-points.ts';
import { randomFrom } from '../src/random/random.ts';
import { sharedArea } from './support/tiling.ts';
import { edgedPlan as plan, eighths } from './support/edges.ts';

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
