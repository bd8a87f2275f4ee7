import { shopCut } from '../src/index.ts';
import { borderOf, cutSize, lineFor, quiltOf } from './support/plans.ts';

const size = (figure: { width: { value: number }; height: { value: number } }) => [
  figure.width.value,
  figure.height.value,
];

const WITH_SQUARING = { squaring: 0.5, again: 0, spare: 0, shrinkage: 0 };

describe('on point', () => {
  // Common practice: 10" blocks, 1 × 2.
  test('1 × 2 of 10": 2 sides from one 15 1/2" square (two left over), 4 corners from two 8", 14 1/8 × 28 1/4', () => {
    const quilt = quiltOf(10, 1, 2, { kind: 'on-point' });
    expect(lineFor(quilt, 'side-triangle')).toMatchObject({
      count: { value: 2 },
      squares: { count: { value: 1 }, leftOver: 2 },
    });
    expect(cutSize(quilt, 'side-triangle')).toEqual([15.5]);
    expect(lineFor(quilt, 'corner-triangle')).toMatchObject({
      count: { value: 4 },
      squares: { count: { value: 2 }, leftOver: 0 },
    });
    expect(cutSize(quilt, 'corner-triangle')).toEqual([8]);
    const [width, height] = size(quilt.layout.finished);
    expect(width).toBeCloseTo(10 * Math.SQRT2, 12);
    expect(height).toBeCloseTo(20 * Math.SQRT2, 12);
    expect(lineFor(quilt, 'corner-triangle').cut).toMatchObject({
      side: { working: ['7.071 short side + 7/8 = 7.946, next 1/8 up: 8″'] },
    });
  });
  // Common practice: the trade-rule table, finished block → side square, corner square, next 1/8 up.
  test.each([
    [3, 5.5, 3],
    [4, 7, 3.75],
    [5, 8.375, 4.5],
    [6, 9.75, 5.125],
    [8, 12.625, 6.625],
    [9, 14, 7.25],
    [10, 15.5, 8],
    [12, 18.25, 9.375],
    [15, 22.5, 11.5],
    [16, 24, 12.25],
    [18, 26.75, 13.625],
  ])('%p" block: side %p, corner %p', (block, side, corner) => {
    const quilt = quiltOf(block, 2, 2, { kind: 'on-point' });
    expect(cutSize(quilt, 'side-triangle')).toEqual([side]);
    expect(cutSize(quilt, 'corner-triangle')).toEqual([corner]);
  });
  test('any other seam uses the exact form f√2 + 2a(1 + √2), f/√2 + a(2 + √2)', () => {
    const quilt = quiltOf(10, 2, 2, { kind: 'on-point' }, { seam: 0.375 });
    expect(cutSize(quilt, 'side-triangle')).toEqual([
      Math.ceil((10 * Math.SQRT2 + 0.75 * (1 + Math.SQRT2)) * 8) / 8,
    ]);
    expect(cutSize(quilt, 'corner-triangle')).toEqual([
      Math.ceil((10 / Math.SQRT2 + 0.375 * (2 + Math.SQRT2)) * 8) / 8,
    ]);
  });
  test('counts: n m + (n − 1)(m − 1) blocks, 2(n − 1) + 2(m − 1) sides', () => {
    const quilt = quiltOf(10, 4, 5, { kind: 'on-point' });
    expect(quilt.pile.needed).toBe(20 + 12);
    expect(lineFor(quilt, 'side-triangle').count.value).toBe(6 + 8);
  });
});

describe('on point with plain blocks between', () => {
  test('the nested places are cut from cloth, the size of a block', () => {
    const quilt = quiltOf(10, 3, 4, { kind: 'on-point', plainBetween: true });
    expect(quilt.pile.needed).toBe(12);
    expect(lineFor(quilt, 'plain').count.value).toBe(6);
    expect(cutSize(quilt, 'plain')).toEqual([10.5, 10.5]);
  });
});

describe('on point, sashed', () => {
  // Rule ST-6: width (n f + (n + 1) s)√2; sashes 4nm; cornerstones n(m + 1) + m(n + 1);
  // side triangle (f + s)√2 + 1 1/4; corner (f + 2s)/√2 + 7/8. Common practice.
  test('3 × 4 of 10" with 1 1/2" sash', () => {
    const quilt = quiltOf(10, 3, 4, { kind: 'on-point-sashed', sash: 1.5 });
    expect(quilt.layout.finished.width.value).toBeCloseTo((30 + 4 * 1.5) * Math.SQRT2, 9);
    expect(lineFor(quilt, 'falling')).toMatchObject({ parts: ['falling', 'rising'], count: { value: 48 } });
    expect(cutSize(quilt, 'falling')).toEqual([2, 10.5]);
    expect(lineFor(quilt, 'cornerstone').count.value).toBe(3 * 5 + 4 * 4);
    const eighthUp = (v: number) => Math.ceil(v * 8) / 8;
    expect(cutSize(quilt, 'side-triangle')).toEqual([eighthUp(11.5 * Math.SQRT2 + 1.25)]);
    expect(cutSize(quilt, 'corner-triangle')).toEqual([eighthUp(13 / Math.SQRT2 + 0.875)]);
  });
});

describe('framed on point', () => {
  // Common practice: 6" blocks, 7 × 8 = 56, borders finishing 2" and 6": 75 3/8 × 83 7/8; 112 squares, 19 strips of six, 3 1/2 yd
  // by the generous school's 6 1/2" squares. The exact square here is f/√2 + 7/8, next 1/8 up.
  test('56 blocks of 6" with borders of 2 and 6', () => {
    const quilt = quiltOf(
      6,
      7,
      8,
      { kind: 'framed' },
      { borders: [borderOf(2, 'accent'), borderOf(6, 'border')] },
    );
    expect(quilt.pile.needed).toBe(56);
    expect(Math.round(quilt.layout.finished.width.value * 8) / 8).toBe(75.375);
    expect(Math.round(quilt.layout.finished.height.value * 8) / 8).toBe(83.875);
    expect(lineFor(quilt, 'frame')).toMatchObject({
      count: { value: 224 },
      squares: { count: { value: 112 }, leftOver: 0 },
    });
    expect(cutSize(quilt, 'frame')).toEqual([5.125]);
    expect(shopCut(Math.ceil(112 / 6) * 6.5, WITH_SQUARING, 'in').amount).toBe('3 1/2');
  });
});

describe('a float', () => {
  // Rule ST-5: blocks float inside the edge, and the float is part of the finished size. Geometry: a float of t makes
  // every triangle's leg along the edge 2t longer.
  test('adds itself on every side and makes the triangles larger', () => {
    const quilt = quiltOf(10, 2, 3, { kind: 'on-point', float: 0.75 });
    expect(quilt.layout.finished.width.value).toBeCloseTo(20 * Math.SQRT2 + 1.5, 12);
    expect(quilt.layout.finished.height.value).toBeCloseTo(30 * Math.SQRT2 + 1.5, 12);
    const eighthUp = (v: number) => Math.ceil(v * 8) / 8;
    expect(cutSize(quilt, 'side-triangle')).toEqual([eighthUp(10 * Math.SQRT2 + 1.5 + 1.25)]);
    expect(cutSize(quilt, 'corner-triangle')).toEqual([eighthUp(10 / Math.SQRT2 + 1.5 + 0.875)]);
  });
  test('with the exact rule each is the exact form, up to the next mark', () => {
    const quilt = quiltOf(10, 2, 3, { kind: 'on-point', triangles: 'exact' });
    expect(lineFor(quilt, 'side-triangle').cut).toMatchObject({
      side: {
        value: Math.ceil((10 * Math.SQRT2 + 0.5 * (1 + Math.SQRT2)) * 8) / 8,
        working: [expect.stringContaining('× (1 + √2)')],
      },
    });
  });
  test('no wider than the block, no less than nothing', () => {
    expect(() => quiltOf(10, 2, 3, { kind: 'on-point', float: 11 })).toThrow(
      /A float of 11″ is wider than the block/,
    );
    expect(() => quiltOf(10, 2, 3, { kind: 'on-point-sashed', float: -1 })).toThrow(
      /cannot be less than nothing/,
    );
  });
});

describe('on point, sashed, the edge halving its cornerstones', () => {
  test('finishes n (f + s)√2; every cornerstone is cut whole', () => {
    const quilt = quiltOf(10, 3, 4, { kind: 'on-point-sashed', sash: 1.5, edgeStones: 'halved' });
    expect(quilt.layout.finished.width.value).toBeCloseTo(3 * 11.5 * Math.SQRT2, 9);
    expect(lineFor(quilt, 'cornerstone').count.value).toBe(3 * 5 + 4 * 4);
    expect(lineFor(quilt, 'edge-cornerstone').parts).toEqual(['cornerstone', 'edge-cornerstone']);
    expect(quilt.layout.parts['edge-cornerstone']!.count.value).toBe(14);
    // The edge lies a cornerstone's half diagonal further in than with whole ones, so the long side is 2 × that shorter: f√2.
    const eighthUp = (v: number) => Math.ceil(v * 8) / 8;
    expect(cutSize(quilt, 'side-triangle')).toEqual([eighthUp(11.5 * Math.SQRT2 - 1.5 * Math.SQRT2 + 1.25)]);
  });
});

describe('framed, the generous school', () => {
  // Rule ST-7, common practice: 6" blocks, two squares of 6 1/2" a block: 112, six to a strip → 19 strips → 3 1/2 yd; squared up with 1/4" left beyond each point.
  test('56 blocks of 6": 112 squares of 6 1/2", 3 1/2 yd', () => {
    const quilt = quiltOf(6, 7, 8, { kind: 'framed', frame: 'generous' });
    expect(lineFor(quilt, 'frame')).toMatchObject({
      count: { value: 224 },
      squares: { count: { value: 112 } },
    });
    expect(cutSize(quilt, 'frame')).toEqual([6.5]);
    expect(lineFor(quilt, 'frame').notes.join()).toContain('1/4″ left beyond every point');
    const fabric = quilt.fabrics.find((f) => f.fabric.id === 'triangle')!;
    expect(fabric.strips[0]!.strips.value).toBe(19);
    expect(shopCut(fabric.strips[0]!.strips.value * 6.5, WITH_SQUARING, 'in').amount).toBe('3 1/2');
    expect(quilt.layout.finished.width.value).toBeCloseTo(7 * 6 * Math.SQRT2, 9);
  });
});
