import {
  buysTheSame,
  changesBetween,
  computeQuilt,
  judgeTop,
  type Measured,
  type Plan,
} from '../src/index.ts';
import { borderOf, lineFor, cutSize, inchPlan } from './support/plans.ts';

const plan = inchPlan({
  grid: { across: 3, down: 4 },
  borders: [borderOf(2.5, 'border'), borderOf(4, 'accent')],
});
const three = (first: number, middle = first, last = first): [number, number, number] => [
  first,
  middle,
  last,
];
const measured = (borders: number, width: number, height: number): Measured => ({
  borders,
  width: three(width),
  height: three(height),
});
const withMeasured = (list: Measured[], change: Partial<Plan> = {}) =>
  computeQuilt({ ...plan, measured: list, ...change });

describe('a measured centre', () => {
  // 3 × 4 of 12" with 1 1/2" sash: 42 × 55 1/2 finished, 42 1/2 × 56 with its seams (common practice).
  test('nothing measured: theoretical lengths', () => {
    const quilt = computeQuilt(plan);
    expect(cutSize(quilt, 'border-0-side')).toEqual([3, 56]);
    expect(cutSize(quilt, 'border-0-end')).toEqual([3, 47.5]);
  });
  test('takes the place of the theoretical one, and everything follows: borders, next border, backing, binding', () => {
    const quilt = withMeasured([measured(0, 42.25, 55.625)]);
    expect(cutSize(quilt, 'border-0-side')).toEqual([3, 55.625]);
    // Sides first: the top is the measured width and both borders.
    expect(cutSize(quilt, 'border-0-end')).toEqual([3, 42.25 + 5]);
    expect(cutSize(quilt, 'border-1-side')).toEqual([4.5, 55.625 + 5]);
    expect(quilt.finished.width.value).toBeCloseTo(41.75 + 5 + 8, 9);
    expect(quilt.layers!.backing.width.value).toBeCloseTo(41.75 + 13 + 8, 9);
    expect(quilt.edge.binding!.length.value).toBeCloseTo(2 * (54.75 + 55.125 + 13) + 10, 9);
    // Drawn as planned.
    expect(quilt.layout.finished.width.value).toBe(55);
  });
  test('a later measurement, with the first border on, is what the second is cut by', () => {
    const quilt = withMeasured([measured(0, 42.25, 55.625), measured(1, 47.5, 60.5)]);
    expect(cutSize(quilt, 'border-1-side')).toEqual([4.5, 60.5]);
    expect(cutSize(quilt, 'border-0-side')).toEqual([3, 55.625]);
  });
  // Rule BO-5: the middle measurement, since edges stretch; or the average of three.
  test('by the middle, or by the average of three', () => {
    const stretched: Measured = { borders: 0, width: three(42.5), height: three(56.25, 55.875, 56.125) };
    expect(cutSize(withMeasured([stretched]), 'border-0-side')).toEqual([3, 55.875]);
    expect(cutSize(withMeasured([stretched], { measureBy: 'average' }), 'border-0-side')).toEqual([
      3, 56.125,
    ]);
  });
  test('the length carries its working from the tape', () => {
    const { cut } = lineFor(withMeasured([measured(0, 42.25, 55.625)]), 'border-0-side');
    expect(cut).toMatchObject({
      length: {
        working: [
          'Measured across the middle: 55 5/8',
          'less 2 × 1/4 seam = 55 1/8 finished',
          expect.stringContaining('55 1/8'),
        ],
      },
    });
  });
});

describe('a measurement that is not of this top', () => {
  test('is pointed out: perhaps the plan was changed since', () => {
    const said = (list: Measured[]) =>
      withMeasured(list)
        .advice.filter((a) => a.path[0] === 'measured')
        .map((a) => a.message);
    expect(said([measured(0, 42.25, 55.625)])).toEqual([]);
    expect(said([measured(0, 54.5, 56)])).toEqual([
      'The centre was planned 42 × 55 1/2″ and measured 54 × 55 1/2″. If the plan was changed since, measure again, or forget the measurement.',
    ]);
  });
});

describe('judging a top', () => {
  // Rule BO-6: sides differing a little are fine; by about an inch, square up first.
  test.each([
    [three(42.5), three(56), 'true'],
    [three(42.5, 42.5, 42.625), three(56), 'true'],
    [three(42.5, 42.25, 42.625), three(56), 'ease'],
    [three(42.5), three(56, 56.5, 57), 'square-up'],
    [three(42.5, 43.25, 42.5), three(56), 'square-up'],
  ] as const)('%j by %j: %s', (width, height, kind) => {
    const verdict = judgeTop({ borders: 0, width: [...width], height: [...height] }, 'in');
    expect(verdict.kind).toBe(kind);
    expect(verdict.text).toMatch(
      {
        true: /lies true/,
        ease: /ease the edge/,
        'square-up': /Square the top up first, or the border will wave/,
      }[kind],
    );
  });
  test('in centimetres at the same sizes', () => {
    expect(judgeTop({ borders: 0, width: three(108, 106, 108), height: three(142) }, 'cm').kind).toBe(
      'square-up',
    );
    expect(judgeTop({ borders: 0, width: three(108, 107, 108), height: three(142) }, 'cm').kind).toBe('ease');
  });
});

describe('what changed', () => {
  test('is listed line by line, and whether the same is bought', () => {
    // Nothing for squaring, so that a shop cut has slack.
    const bare = { squaring: 0 };
    const [before, after] = [
      computeQuilt({ ...plan, ...bare }),
      withMeasured([measured(0, 42.25, 55.625)], bare),
    ];
    const changes = changesBetween(before, after, 'in');
    expect(changes).toContainEqual({
      what: 'Border 1 sides',
      before: '2 at 3 × 56″',
      after: '2 at 3 × 55 5/8″',
    });
    expect(changes[0]).toEqual({ what: 'Finished size', before: '55 × 68 1/2″', after: '54 3/4 × 68 1/8″' });
    expect(changes.map((c) => c.what)).toContain('Backing');
    expect(changes.map((c) => c.what)).not.toContain('Sashes');
    expect(buysTheSame(before, after)).toBe(true);
    expect(buysTheSame(before, withMeasured([measured(0, 60, 80)]))).toBe(false);
  });
  test('nothing when nothing did', () =>
    expect(changesBetween(computeQuilt(plan), computeQuilt(plan), 'in')).toEqual([]));
});

describe('borders cut by a measured top', () => {
  const cutBy = (corners: Plan['borders'][number]['corners'], sides: number, ends: number) => {
    const quilt = computeQuilt({
      ...plan,
      borders: [{ ...borderOf(sides, 'border'), ends, corners }],
      measured: [measured(0, 40.5, 50.5)],
    });
    return [cutSize(quilt, 'border-0-side')[1], cutSize(quilt, 'border-0-end')[1]];
  };
  // Rule BO-1, by hand: 40 × 50 measured, borders of 3 at the sides and 2 at the ends.
  test.each([
    ['sides-first', 50.5, 46.5],
    ['top-first', 54.5, 40.5],
    ['squares', 50.5, 40.5],
    ['mitred', 58.5, 50.5],
  ] as const)('%s: sides %p, ends %p', (corners, side, end) => {
    expect(cutBy(corners, 3, 2)).toEqual([side, end]);
  });
  test('what was not measured rests on the plan, what comes after a measurement on that', () => {
    const sizes = (list: Measured[]) =>
      computeQuilt({ ...plan, measured: list }).layout.sizes.map((s) => [
        s.borders,
        s.real.width,
        s.used.width.value,
      ]);
    expect(sizes([])).toEqual([
      [0, false, 42],
      [1, false, 47],
      [2, false, 55],
    ]);
    expect(sizes([measured(1, 47, 60)])).toEqual([
      [0, false, 42],
      [1, true, 46.5],
      [2, true, 54.5],
    ]);
  });
  test('the tapes have each border’s own handle at its own place', () => {
    const { bands } = computeQuilt({
      ...plan,
      borders: [{ ...borderOf(2.5, 'border'), ends: 1 }, borderOf(4, 'accent')],
    }).layout;
    const handles = (list: typeof bands.across) =>
      list.filter((b) => b.role === 'border').map((b) => [b.from, b.to, b.moves]);
    const moves = (index: number, side: 'sides' | 'ends') => ({ what: 'border', index, side });
    expect(handles(bands.across)).toEqual([
      [0, 4, moves(1, 'sides')],
      [4, 6.5, moves(0, 'sides')],
      [48.5, 51, moves(0, 'sides')],
      [51, 55, moves(1, 'sides')],
    ]);
    expect(handles(bands.down)).toEqual([
      [0, 4, moves(1, 'ends')],
      [4, 5, moves(0, 'ends')],
      [60.5, 61.5, moves(0, 'ends')],
      [61.5, 65.5, moves(1, 'ends')],
    ]);
  });
  test('a difference on the mark is still true, one just over is eased', () => {
    expect(judgeTop({ borders: 0, width: three(40, 40.125, 40), height: three(50) }, 'in').kind).toBe('true');
    expect(judgeTop({ borders: 0, width: three(40, 40.1875, 40), height: three(50) }, 'in')).toMatchObject({
      kind: 'ease',
      text: expect.stringContaining('The widths differ by 3/16″'),
    });
    expect(judgeTop({ borders: 0, width: three(40), height: three(50, 50.75, 50) }, 'in')).toMatchObject({
      kind: 'square-up',
      text: expect.stringContaining('The heights differ by 3/4″'),
    });
  });
});
