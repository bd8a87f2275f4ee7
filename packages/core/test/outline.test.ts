import fc from 'fast-check';
import { middleOf, nearestSideOf } from '../src/index.ts';

/** Plain geometry: an oblong turned about its middle by any angle keeps its middle and its half width. */
const oblong = fc.record({
  x: fc.double({ min: -100, max: 100, noNaN: true }),
  y: fc.double({ min: -100, max: 100, noNaN: true }),
  width: fc.double({ min: 0.5, max: 60, noNaN: true }),
  height: fc.double({ min: 0.5, max: 60, noNaN: true }),
  angle: fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
});

describe('the outline of a piece', () => {
  test('middle and reach of an oblong, however it lies', () => {
    fc.assert(
      fc.property(oblong, ({ x, y, width, height, angle }) => {
        const outline = [
          [-1, -1],
          [1, -1],
          [1, 1],
          [-1, 1],
        ].map(([a, b]) => {
          const [dx, dy] = [(a! * width) / 2, (b! * height) / 2];
          return {
            x: x + dx * Math.cos(angle) - dy * Math.sin(angle),
            y: y + dx * Math.sin(angle) + dy * Math.cos(angle),
          };
        });
        expect(middleOf({ outline }).x).toBeCloseTo(x, 8);
        expect(middleOf({ outline }).y).toBeCloseTo(y, 8);
        expect(nearestSideOf({ outline })).toBeCloseTo(Math.min(width, height) / 2, 8);
      }),
    );
  });
  // The medians of a triangle meet a third of each height above its side (Euclid); the least height of 3, 4, 5 is 12/5.
  test('a triangle: a third of each height', () => {
    const outline = [
      { x: 0, y: 0 },
      { x: 3, y: 0 },
      { x: 0, y: 4 },
    ];
    expect(middleOf({ outline })).toEqual({ x: 1, y: 4 / 3 });
    expect(nearestSideOf({ outline })).toBeCloseTo((3 * 4) / 5 / 3, 10);
  });
});
