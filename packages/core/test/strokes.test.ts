import fc from 'fast-check';
import { layOut, SETTINGS } from '../src/index.ts';
import type { Path } from '../src/geometry/path.ts';
import type { Point } from '../src/geometry/point.ts';
import { rectangle } from '../src/geometry/shapes.ts';
import { strokesRound } from '../src/geometry/strokes.ts';
import { inchPlan } from './support/plans.ts';

const endsOf = ({ from, steps }: Path): [Point, Point] => [from, steps.at(-1)!.to];
const between = (a: Point, b: Point, share: number): Point => ({
  x: a.x + share * (b.x - a.x),
  y: a.y + share * (b.y - a.y),
});
/** By the rule of the triangle: what lies on a stroke makes its two ways no longer than itself. */
const liesOn = (p: Point, [a, b]: readonly [Point, Point]): boolean =>
  Math.hypot(p.x - a.x, p.y - a.y) + Math.hypot(p.x - b.x, p.y - b.y) - Math.hypot(a.x - b.x, a.y - b.y) <
  1e-6;
/** Some place on some of so many. */
const somewhere = (count: number) =>
  fc.tuple(fc.nat(count - 1), fc.double({ min: 0.01, max: 0.99, noNaN: true }));
const sidesOf = (outline: readonly Point[]) =>
  outline.map((from, i): [Point, Point] => [from, outline[(i + 1) % outline.length]!]);

describe('sides of outlines, each drawn once', () => {
  // Plane geometry: a grid of a by b places has a + 1 lines one way and b + 1 the other.
  test.each([
    [1, 1],
    [4, 3],
    [20, 20],
  ])('a grid of %i by %i places is as many lines as it has, from edge to edge', (across, down) => {
    const outlines = Array.from({ length: across * down }, (_, i) =>
      rectangle((i % across) * 6.1, Math.floor(i / across) * 6.1, 6.1, 6.1),
    );
    const strokes = strokesRound(outlines).map(endsOf);
    expect(strokes).toHaveLength(across + down + 2);
    const lengths = strokes.map(([a, b]) => Math.hypot(a.x - b.x, a.y - b.y)).sort((a, b) => a - b);
    const all = [...Array(across + 1).fill(down * 6.1), ...Array(down + 1).fill(across * 6.1)];
    all.sort((a, b) => a - b).forEach((length, i) => expect(lengths[i]).toBeCloseTo(length, 6));
  });
  test('what does not touch stays apart, and a side without length is none', () => {
    const apart = [rectangle(0, 0, 1, 1), rectangle(2, 0, 1, 1)];
    expect(strokesRound(apart)).toHaveLength(8);
    const flat = { x: 0, y: 0 };
    expect(strokesRound([[flat, flat, flat]])).toEqual([]);
  });
  test('a long side over short ones, as a border lies along a row, is one stroke as long as it', () => {
    const row = [rectangle(0, 0, 40, 4), rectangle(0, 4, 10, 10), rectangle(10, 4, 10, 10)];
    const under = strokesRound(row)
      .map(endsOf)
      .filter(([a, b]) => a.y === 4 && b.y === 4);
    expect(under).toEqual([
      [
        { x: 0, y: 4 },
        { x: 40, y: 4 },
      ],
    ]);
  });
  test.each(SETTINGS.map(({ kind, start }) => [kind, start('in')] as const))(
    '%s: every side is under a stroke, every stroke over sides, and no two over one another',
    (_, setting) => {
      const { pieces } = layOut(inchPlan({ setting, grid: { across: 3, down: 4 } }));
      const sides = pieces.flatMap(({ outline }) => sidesOf(outline));
      const strokes = strokesRound(pieces.map(({ outline }) => outline)).map(endsOf);
      fc.assert(
        fc.property(somewhere(sides.length), ([i, share]) => {
          const at = between(...sides[i]!, share);
          return strokes.some((one) => liesOn(at, one));
        }),
      );
      fc.assert(
        fc.property(somewhere(strokes.length), ([i, share]) => {
          const at = between(...strokes[i]!, share);
          const [a, b] = strokes[i]!;
          // Others may cross it there; none may run along it.
          const along = strokes.filter(
            ([c, d]) => Math.abs((b.x - a.x) * (d.y - c.y) - (b.y - a.y) * (d.x - c.x)) < 1e-6,
          );
          return (
            sides.some((side) => liesOn(at, side)) && along.filter((one) => liesOn(at, one)).length === 1
          );
        }),
      );
    },
  );
});
