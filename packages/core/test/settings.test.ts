import { computeQuilt, type Plan, type Quilt, shopCut } from '../src/index.ts';
import { borderOf, cutSize, inchPlan, lineFor, quiltOf, type SomeSetting } from './support/plans.ts';

const size = (figure: { width: { value: number }; height: { value: number } }) => [
  figure.width.value,
  figure.height.value,
];

const WITH_SQUARING = { squaring: 0.5, shrinkage: 0 };

describe('edge to edge', () => {
  // Rule ST-1, common practice: 112 blocks cut 5" set 10 × 11 use 110, two spare, 45 × 49 1/2.
  test('10 × 11 of 4 1/2" finished', () => {
    const pile = Array.from({ length: 112 }, (_, i) => ({
      id: `b${i}`,
      name: `Block ${i + 1}`,
      width: 5,
      height: 5,
    }));
    const quilt = quiltOf(4.5, 10, 11, { kind: 'edge-to-edge' }, { pile });
    expect(size(quilt.layout.finished)).toEqual([45, 49.5]);
    expect(quilt.pile.needed).toBe(110);
    expect(quilt.pile.spare.map((b) => b.name)).toEqual(['Block 111', 'Block 112']);
    expect(quilt.advice.map((a) => a.message).join()).toContain('2 spare: Block 111, Block 112');
  });
  test('10 × 12 needs 120: eight more', () => {
    const pile = Array.from({ length: 112 }, (_, i) => ({
      id: `b${i}`,
      name: `Block ${i + 1}`,
      width: 5,
      height: 5,
    }));
    const quilt = quiltOf(4.5, 10, 12, { kind: 'edge-to-edge' }, { pile });
    expect(quilt.pile).toMatchObject({ needed: 120, missing: 8 });
    expect(quilt.advice[0]!.message).toContain('8 more to make');
  });
});

describe('sashed', () => {
  // Common practice: 3 × 4 of 12" with 1 1/2" sash outside too.
  test('3 × 4 of 12": 31 sashes 2 × 12 1/2, 20 cornerstones 2 × 2, 42 × 55 1/2', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'sashed', sash: 1.5, outerSash: true, cornerstones: true });
    expect(size(quilt.layout.finished)).toEqual([42, 55.5]);
    expect(lineFor(quilt, 'upright').count.value).toBe(31);
    expect(lineFor(quilt, 'upright').parts).toEqual(['upright', 'level']);
    expect(cutSize(quilt, 'upright')).toEqual([2, 12.5]);
    expect(lineFor(quilt, 'cornerstone').count.value).toBe(20);
    expect(cutSize(quilt, 'cornerstone')).toEqual([2, 2]);
  });
  // Common practice: 5" cut squares with 1 1/2" sash.
  test('4 1/2" blocks: sash cut 2 × 5', () => {
    const quilt = quiltOf(4.5, 3, 3, { kind: 'sashed', sash: 1.5, outerSash: true, cornerstones: true });
    expect(cutSize(quilt, 'level')).toEqual([2, 5]);
  });
  test('without a sash outside: n f + (n − 1) s, m(n − 1) + n(m − 1) sashes, (n − 1)(m − 1) cornerstones', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'sashed', sash: 1.5, outerSash: false, cornerstones: true });
    expect(size(quilt.layout.finished)).toEqual([39, 52.5]);
    expect(lineFor(quilt, 'upright').count.value).toBe(4 * 2 + 3 * 3);
    expect(lineFor(quilt, 'cornerstone').count.value).toBe(2 * 3);
  });
  test('without cornerstones: short uprights, level sashes the whole width', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'sashed', sash: 1.5, outerSash: true, cornerstones: false });
    expect(lineFor(quilt, 'upright')).toMatchObject({ name: 'Upright sashes', count: { value: 16 } });
    expect(lineFor(quilt, 'level')).toMatchObject({ name: 'Level sashes', count: { value: 5 } });
    expect(cutSize(quilt, 'level')).toEqual([2, 42.5]);
  });
  test('a rectangular block has its uprights and levels apart', () => {
    const quilt = computeQuilt(inchPlan({ block: { width: 8, height: 12 } }));
    expect(cutSize(quilt, 'upright')).toEqual([2, 12.5]);
    expect(cutSize(quilt, 'level')).toEqual([2, 8.5]);
  });
  test('one block alone, no sash outside: nothing to cut', () => {
    const quilt = quiltOf(12, 1, 1, { kind: 'sashed', sash: 1.5, outerSash: false, cornerstones: true });
    expect(quilt.pieces).toEqual([]);
    expect(size(quilt.layout.finished)).toEqual([12, 12]);
  });
});

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

describe('alternate', () => {
  // Rule ST-10.
  test.each([
    [3, 3, 5, 4],
    [4, 5, 10, 10],
    [1, 1, 1, 0],
  ])('%p × %p: %p blocks, %p plain', (across, down, blocks, plain) => {
    const quilt = quiltOf(9, across, down, { kind: 'alternate' });
    expect(quilt.pile.needed).toBe(blocks);
    expect(quilt.layout.parts['plain']?.count.value ?? 0).toBe(plain);
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

describe('blocks quilted already, joined by covered sashing', () => {
  // Rule ST-8, common practice: 12 1/4" blocks (cut), 3 in a row, 2" sash: front strips 4", batting 1 7/8", back 2 1/2", row strip 39 3/4".
  let quilt: Quilt;
  beforeAll(() => {
    quilt = quiltOf(11.75, 3, 4, { kind: 'quilted', sash: 2 });
  });
  const line = (name: string) => quilt.pieces.find((p) => p.name === name)!;
  test('a sash is three strips', () => {
    expect(line('Upright sashes, front').cut).toMatchObject({
      width: { value: 4 },
      length: { value: 12.25 },
    });
    expect(line('Upright sashes, batting').cut).toMatchObject({
      width: { value: 1.875 },
      length: { value: 12.25 },
    });
    expect(line('Upright sashes, back').cut).toMatchObject({
      width: { value: 2.5 },
      length: { value: 12.25 },
    });
    expect(line('Upright sashes, front').count.value).toBe(8);
  });
  test('row strips are as long as the joined row: n c − 2a(n − 1) + (n − 1)s', () => {
    expect(line('Row strips, front').cut).toMatchObject({ length: { value: 39.75 } });
    expect(3 * 12.25 - 0.5 * 2 + 2 * 2).toBe(39.75);
    expect(line('Row strips, front').count.value).toBe(3);
  });
  test('marked where uprights cross, and with a quilting grid: 12 1/4 less 1/8 at each end is six 2" squares', () => {
    expect(line('Row strips, front').notes.join(' ')).toContain('12 to 14, 25 3/4 to 27 3/4');
    expect(line('Row strips, front').notes.join(' ')).toContain('Join the rows in pairs, then the pairs');
    expect(line('Upright sashes, front').notes.join(' ')).toContain(
      '12 1/4 less 1/8 at each end = 12, 6 squares of 2″',
    );
  });
  test('no backing goes under the whole; each layer has its own cloth; borders have their layers too', () => {
    expect(quilt.layers).toBeNull();
    expect(line('Upright sashes, batting').fabric).toBe('batting');
    const bordered = quiltOf(11.75, 2, 2, { kind: 'quilted', sash: 2 }, { borders: [borderOf(3, 'border')] });
    expect(bordered.pieces.map((p) => p.name)).toEqual(
      expect.arrayContaining(['Border sides, front', 'Border sides, batting', 'Border sides, back']),
    );
  });
  test('one block alone has nothing to join', () =>
    expect(quiltOf(11.75, 1, 1, { kind: 'quilted', sash: 2 }).pieces).toEqual([]));
});

describe('blocks of two sizes', () => {
  test('12" and 9" in turn: coping strips finishing 1 1/2" bring the small ones up', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'coped', small: 9 });
    expect(size(quilt.layout.finished)).toEqual([36, 48]);
    expect(quilt.pile.needed).toBe(12);
    expect(quilt.layout.parts['small-block']!.count.value).toBe(6);
    expect(cutSize(quilt, 'coping-side')).toEqual([2, 9.5]);
    expect(cutSize(quilt, 'coping-end')).toEqual([2, 12.5]);
    expect(lineFor(quilt, 'coping-side').count.value).toBe(12);
  });
  test.each([
    ['odd', 6],
    ['rows', 6],
    ['columns', 4],
  ] as const)('small ones in every other %s', (places, small) => {
    expect(
      quiltOf(12, 3, 4, { kind: 'coped', small: 9, places }).layout.parts['small-block']!.count.value,
    ).toBe(small);
  });
  test('generous strips are cut 1/2" more each way and trimmed', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'coped', small: 9, coping: 'generous' });
    expect(cutSize(quilt, 'coping-side')).toEqual([2.5, 10]);
    expect(lineFor(quilt, 'coping-side').notes.join()).toContain(
      'trim every small block back to 12 × 12″ finished',
    );
  });
  test('a difference too small for a strip is refused', () => {
    expect(() => quiltOf(12, 3, 4, { kind: 'coped', small: 11.75 })).toThrow(/too narrow to sew/);
  });
});

describe('strips between columns or rows', () => {
  test('columns: long upright strips, height of the blocks alone', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'strip-set', direction: 'columns', sash: 2, outerSash: false });
    expect(size(quilt.layout.finished)).toEqual([40, 48]);
    expect(lineFor(quilt, 'strip').count.value).toBe(2);
    expect(cutSize(quilt, 'strip')).toEqual([2.5, 48.5]);
  });
  test('rows, with strips outside', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'strip-set', direction: 'rows', sash: 2, outerSash: true });
    expect(size(quilt.layout.finished)).toEqual([36, 58]);
    expect(lineFor(quilt, 'strip').count.value).toBe(5);
  });
});

describe('sash pieced of strips', () => {
  test.each([
    [
      '2',
      [
        [16, 'upright'],
        [16, 'upright-middle'],
      ],
    ],
    [
      '3',
      [
        [32, 'upright'],
        [16, 'upright-middle'],
      ],
    ],
  ] as const)('of %p', (strips, counts) => {
    const quilt = quiltOf(12, 3, 4, {
      kind: 'sashed',
      sash: 3,
      outerSash: true,
      cornerstones: false,
      strips,
    });
    for (const [count, part] of counts) expect(lineFor(quilt, part).count.value).toBe(count);
    expect(cutSize(quilt, 'upright')).toEqual([3 / Number(strips) + 0.5, 12.5]);
    expect(lineFor(quilt, 'upright-middle').fabric).toBe('accent');
  });
  test('strips too thin to sew are refused', () => {
    expect(() => quiltOf(12, 3, 4, { kind: 'sashed', sash: 0.5, strips: '3' })).toThrow(
      /sash of 3 strips of 1\/2″ cannot be sewn: make it 3\/4″ or more/,
    );
  });
});

describe('half drop', () => {
  // Rule ST-13, counted on paper: three full columns of four and two dropped ones of three.
  test('5 columns of 12\" blocks, 4 down: 18 blocks and four plain halves, cut 6 1/2 × 12 1/2', () => {
    const quilt = quiltOf(12, 5, 4, { kind: 'half-drop' });
    expect([quilt.finished.width.value, quilt.finished.height.value]).toEqual([60, 48]);
    expect(quilt.layout.pieces.filter((p) => p.place !== undefined)).toHaveLength(18);
    expect(lineFor(quilt, 'half')).toMatchObject({ name: 'Plain halves', count: { value: 4 } });
    expect(cutSize(quilt, 'half')).toEqual([6.5, 12.5]);
  });
  test('a dropped block begins at the middle of its neighbour', () => {
    const { pieces } = quiltOf(12, 2, 2, { kind: 'half-drop' }).layout;
    const tops = (x: number) =>
      pieces
        .filter((p) => p.outline[0]!.x === x)
        .map((p) => p.outline[0]!.y)
        .sort((a, b) => a - b);
    expect([tops(0), tops(12)]).toEqual([
      [0, 12],
      [0, 6, 18],
    ]);
  });
});

describe('borders', () => {
  const borders = (corners: 'sides-first' | 'top-first' | 'squares' | 'mitred', change = {}) => ({
    borders: [{ ...borderOf(2.5, 'border'), corners, ...change }],
  });

  // Common practice: a 24 × 36 centre with borders finishing 1 and 3 1/2 is 33 × 45.
  test('24 × 36, borders 1 and 3 1/2', () => {
    const quilt = quiltOf(
      12,
      2,
      3,
      { kind: 'edge-to-edge' },
      { borders: [borderOf(1, 'accent'), borderOf(3.5, 'border')] },
    );
    expect(size(quilt.layout.finished)).toEqual([33, 45]);
    // Rule BO-1: sides first: side H, then top W + 2b.
    expect(cutSize(quilt, 'border-0-side')).toEqual([1.5, 36.5]);
    expect(cutSize(quilt, 'border-0-end')).toEqual([1.5, 26.5]);
    expect(cutSize(quilt, 'border-1-side')).toEqual([4, 38.5]);
    expect(cutSize(quilt, 'border-1-end')).toEqual([4, 33.5]);
    expect(quilt.layout.finished.width.working).toEqual([
      '2 blocks × 12 = 24',
      '24 + 2 × 1 = 26',
      '26 + 2 × 3 1/2 = 33',
    ]);
  });
  test('top first is the reverse', () => {
    const quilt = quiltOf(12, 2, 3, { kind: 'edge-to-edge' }, borders('top-first'));
    expect(cutSize(quilt, 'border-0-end')).toEqual([3, 24.5]);
    expect(cutSize(quilt, 'border-0-side')).toEqual([3, 41.5]);
  });
  // Common practice: 42 × 55 1/2 centre, 2 1/2" border with corner squares: two 3 × 42 1/2, two 3 × 56, four 3 × 3.
  test('corner squares: all four strips at centre size', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'sashed', sash: 1.5 }, borders('squares'));
    expect(cutSize(quilt, 'border-0-end')).toEqual([3, 42.5]);
    expect(cutSize(quilt, 'border-0-side')).toEqual([3, 56]);
    expect(cutSize(quilt, 'border-0-corner')).toEqual([3, 3]);
    expect(lineFor(quilt, 'border-0-corner').count.value).toBe(4);
  });
  // Rule BO-2: length + 2b + 2a, plus a hand's breadth (4") to spare.
  test('mitred: whole outer length and a hand’s breadth', () => {
    const quilt = quiltOf(12, 2, 3, { kind: 'edge-to-edge' }, borders('mitred'));
    expect(cutSize(quilt, 'border-0-side')).toEqual([3, 36 + 5 + 0.5 + 4]);
    expect(cutSize(quilt, 'border-0-end')).toEqual([3, 24 + 5 + 0.5 + 4]);
  });
  test('other widths at top and bottom', () => {
    const quilt = quiltOf(12, 2, 3, { kind: 'edge-to-edge' }, borders('sides-first', { ends: 4 }));
    expect(size(quilt.layout.finished)).toEqual([29, 44]);
    expect(cutSize(quilt, 'border-0-end')).toEqual([4.5, 29.5]);
  });
  // Rule BO-3, common practice: lengthwise 6 1/2" strips, four side by side across a 42" width, the yardage at least the longest strip; 3 yd is 108".
  test('lengthwise: four strips of 6 1/2" side by side, no joins, as long as the longest', () => {
    const plan = inchPlan({});
    const fabrics = plan.fabrics.map((f) => ({ ...f, usableWidth: 42 }));
    const quilt = quiltOf(
      12,
      6,
      8,
      { kind: 'edge-to-edge' },
      {
        fabrics,
        binding: { ...plan.binding, fabric: 'accent' },
        borders: [{ ...borderOf(6, 'border'), cut: 'lengthwise' }],
      },
    );
    const cut = quilt.fabrics.find((f) => f.fabric.id === 'border')!;
    expect(cut.needed).toMatchObject({ value: 96.5 });
    expect(cut.strips).toMatchObject([{ width: 96.5, along: true, yields: [{ count: 2 }, { count: 2 }] }]);
    expect(cut.buy.length.value).toBeLessThanOrEqual(108);
    expect(cut.runs).toEqual([]);
  });
  test('lengthwise strips that do not fit side by side take another length, for the shorter ones', () => {
    const quilt = quiltOf(
      12,
      6,
      8,
      { kind: 'edge-to-edge' },
      { borders: [{ ...borderOf(12, 'border'), cut: 'lengthwise' }] },
    );
    // Sides of 96 1/2" and ends of 72 + 24 + 1/2 = 96 1/2", three to 40".
    expect(quilt.fabrics.find((f) => f.fabric.id === 'border')!.needed.value).toBe(96.5 + 96.5);
  });
});

describe('a sash pieced of strips', () => {
  // Rule ST-9. Arithmetic: finished strips side by side are the sash, to the last bit; outer ones lie on the ruler.
  test.each([
    [1.5, 2],
    [1.75, 2],
    [1.75, 3],
    [1.5, 3],
    [2, 3],
    [2.25, 3],
    [1.875, 2],
    [1.8125, 3],
  ])('a sash of %p in %p strips is cut to come to it', (sash, strips) => {
    const quilt = quiltOf(10, 2, 2, { kind: 'sashed', sash, strips: String(strips) });
    const cutOf = (part: string) => quilt.pieces.find((p) => p.parts.includes(part))!.cut;
    const width = (part: string) => {
      const cut = cutOf(part);
      return cut.shape === 'rectangle' ? cut.width.value - 0.5 : NaN;
    };
    const outer = strips === 3 ? 2 * width('upright') : width('upright');
    expect(outer + width('upright-middle')).toBe(sash);
    expect(width('upright') * 8).toBe(Math.round(width('upright') * 8));
  });
  // 5 × 6 of 14" with six sashes of 2 3/8" in three strips each: each rounded up would make it 86 5/8.
  test('the quilt is as wide as it says, cornerstones meet', () => {
    const quilt = quiltOf(14, 5, 6, { kind: 'sashed', sash: 2.375, strips: '3' });
    const [outer, middle] = ['upright', 'upright-middle'].map((part) => cutSize(quilt, part)[0]! - 0.5);
    expect(5 * 14 + 6 * (2 * outer! + middle!)).toBe(quilt.layout.finished.width.value);
  });
});

describe('what is said of a piece where it is cut', () => {
  const notesFor = (setting: SomeSetting, part: string, change: Partial<Plan> = {}) =>
    lineFor(quiltOf(12, 3, 4, setting, change), part).notes.join(' ');
  // Rule TR-1, common practice: the straight grain on the quilt's edge, the bias inside.
  test('why a square is cut twice, or once', () => {
    expect(notesFor({ kind: 'on-point' }, 'side-triangle')).toMatch(
      /Cut twice.*straight grain lies on the long side, along the quilt’s edge/,
    );
    expect(notesFor({ kind: 'on-point' }, 'corner-triangle')).toMatch(/Cut once.*both short sides/);
    expect(notesFor({ kind: 'framed' }, 'frame')).toMatch(/Cut once/);
  });
  // Rule ST-4.
  test('long sashes are marked where blocks meet them', () => {
    expect(notesFor({ kind: 'sashed', cornerstones: false }, 'level')).toContain(
      'blocks begin 1 3/4″ from its end and every 13 1/2″ after, each 12″ long',
    );
    expect(notesFor({ kind: 'strip-set' }, 'strip')).toContain(
      'blocks begin 1/4″ from its end and every 12″ after',
    );
    expect(notesFor({ kind: 'sashed' }, 'level')).toBe('');
  });
  // Geometry: a mitre runs from the inner corner to the outer: 3 along for 4 up is 53°.
  test('a mitre between strips of two widths is not at 45°, and that is said', () => {
    const mitred = (sides: number, ends: number) =>
      notesFor({ kind: 'edge-to-edge' }, 'border-0-side', {
        borders: [{ ...borderOf(sides, 'border'), ends, corners: 'mitred' }],
      });
    expect(mitred(3, 4)).toContain(
      'its mitre is not at 45°: it runs from corner to corner, 53° up from the top strip',
    );
    expect(mitred(4, 4)).toBe('');
  });
  // Rule ST-11. Handed from side strips to end strips: generous side strips make the block an inch wider, and the end strips as much longer.
  test('generous coping strips reach across one another', () => {
    const quilt = quiltOf(12, 3, 3, { kind: 'coped', small: 10, coping: 'generous' });
    const [sides, ends] = [cutSize(quilt, 'coping-side'), cutSize(quilt, 'coping-end')];
    // 10" blocks cut 10 1/2; strips of 2" cut add 1 1/2 a side.
    expect(sides).toEqual([2, 11]);
    expect(ends[1]).toBe(10.5 + 2 * (sides[0]! - 0.5));
  });
});
