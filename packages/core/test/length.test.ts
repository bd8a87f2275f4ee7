import fc from 'fast-check';
import {
  formatExact,
  formatFine,
  formatLength,
  formatRun,
  formatSize,
  formatWorking,
  fractionParts,
} from '../src/length/format.ts';
import { parseLength } from '../src/length/parse.ts';
import {
  isOnRuler,
  leastIn,
  limitIn,
  mostIn,
  nextEighth,
  ontoMark,
  rulerFine,
  rulerFineDown,
  rulerNearest,
  rulerStepDown,
  rulerUp,
} from '../src/length/rounding.ts';
import { atLeast, howManyCover, howManyFit, near, nearestWhole } from '../src/length/tolerance.ts';
import { convertLength, rulerStep } from '../src/length/unit.ts';

const inches = (text: string) => {
  const parsed = parseLength(text, 'in');
  return parsed.ok ? parsed.value : parsed.message;
};

describe('reading a length', () => {
  test.each([
    ['12 1/2', 12.5],
    ['12½', 12.5],
    ['12 ½', 12.5],
    ['12-1/2', 12.5],
    ['12 - 1/2', 12.5],
    ['12.5', 12.5],
    ['12,5', 12.5],
    ['12 1⁄2', 12.5],
    ['12  -  ½', 12.5],
    ['12  1 / 2', 12.5],
    ['7 /8', 0.875],
    ['¼', 0.25],
    ['3⅓', 10 / 3],
    ['2⅔', 8 / 3],
    ['1⅛', 1.125],
    ['1⅜', 1.375],
    ['1⅝', 1.625],
    ['¾', 0.75],
    ['5.', 5],
    ['5,', 5],
    ['31.75 cm', 12.5],
    ['317.5mm', 12.5],
    ['0.3175 m', 12.5],
    ['1/3 yd', 12],
    ['2 yards', 72],
    ['1 ft', 12],
    ['12"', 12],
    ['12 in.', 12],
    ['12-½', 12.5],
    ['12–1/2', 12.5],
    ['12—½', 12.5],
    ['12 1/2 ins', 12.5],
    ['１２．５', 12.5],
    ['１２ １／２', 12.5],
    ['1\' 6"', 18],
    ['1 ft 6 1/2 in', 18.5],
    ['5’ 2½', 62.5],
    ['1/3', 1 / 3],
    ['½', 0.5],
    ['⅞″', 0.875],
    ['.25', 0.25],
    ['  7/8 ', 0.875],
    ['-3', -3],
    ['0', 0],
  ])('%s', (text, value) => expect(inches(text)).toBeCloseTo(value, 12));

  test.each([
    ['', /missing/],
    ['ten', /not a length/],
    ['12 1/0', /nought under the line/],
    ['1,234', /two ways/],
    ['12 furlongs', /“furlongs” is not a unit/],
    ['1e5', /not a length/],
    ['a 5 cm', /not a length/],
    ['5 cms', /“cms” is not a unit/],
    ['5 xcm', /“xcm” is not a unit/],
    ['5 inchs', /“inchs” is not a unit/],
    ['1 2\' 6"', /not a length/],
    ["1' x", /not a length|not a unit/],
    ['12,345', /two ways/],
    ['123,456', /two ways/],
    ["1' 14", /not a length/],
    ["1' 6 cm", /not a length/],
    ['12 1/2 1/2', /not a length/],
    ['1'.repeat(400), /too long a figure/],
  ])('refuses %p in words', (text, message) => expect(inches(text)).toMatch(message));

  test('says what it understood, in the plan’s unit', () => {
    expect(parseLength('26.7 cm', 'in')).toMatchObject({ ok: true, understood: '10.512″', writtenIn: 'cm' });
    expect(parseLength('1 in', 'cm')).toMatchObject({ ok: true, value: 2.54, understood: '2.54 cm' });
  });

  test.each([
    ['12″', 12],
    ["12''", 12],
    ['1’', 12],
    ['2 feet', 24],
    ['1 foot', 12],
    ['1 ft.', 12],
    ['1 yd.', 36],
    ['2 yds', 72],
    ['2 yds.', 72],
    ['1 yard', 36],
    ['2 inches', 2],
    ['1 inch', 1],
    ['2 ins.', 2],
    ['2 in', 2],
    ['10\'6"', 126],
    ["10' 6", 126],
    ['2 ft ½', 24.5],
    ['2 feet 3 3/4 in', 27.75],
    ['2′ 3″', 27],
  ])('%s', (text, value) => expect(inches(text)).toBeCloseTo(value, 12));
  test.each([
    ['1 m', 100],
    ['12 mm', 1.2],
    ['3 mm.', 0.3],
    ['2 cm.', 2],
    ['2 m.', 200],
    ['1 in', 2.54],
    ["1' 6", 45.72],
    ['4,5', 4.5],
  ])('%s in centimetres', (text, value) => {
    const parsed = parseLength(text, 'cm');
    expect(parsed.ok && parsed.value).toBeCloseTo(value, 12);
  });
  test('12,5 is a decimal, 12,500 could be read two ways, 1234,5 is one again', () => {
    expect(inches('12,5')).toBe(12.5);
    expect(inches('12,50')).toBe(12.5);
    expect(inches('12,500')).toMatch(/two ways/);
    expect(inches('1234,500')).toBe(1234.5);
    expect(inches('12,5000')).toBe(12.5);
  });

  test('a fraction no ruler has is said as it was meant, decimals as they are', () => {
    const said = (text: string, unit: 'in' | 'cm' = 'in') => {
      const parsed = parseLength(text, unit);
      return parsed.ok ? parsed.understood : parsed.message;
    };
    expect([
      said('1/3'),
      said('12 2/3'),
      said('⅓'),
      said('12.3'),
      said('12 5/16'),
      said('1/3 yd'),
      said('12.345', 'cm'),
      said('1\' 6"', 'cm'),
    ]).toEqual(['1/3″', '12 2/3″', '1/3″', '12.3″', '12 5/16″', '12″', '12.345 cm', '45.72 cm']);
  });

  test('whatever it writes, it reads back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 16 * 200 }), (n) => {
        expect(parseLength(formatLength(n / 16, 'in'), 'in')).toMatchObject({ ok: true, value: n / 16 });
      }),
    );
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5000 }), (n) => {
        const parsed = parseLength(formatLength(n / 10, 'cm'), 'cm');
        expect(parsed.ok && parsed.value).toBeCloseTo(n / 10, 9);
      }),
    );
  });

  test('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), (text) => {
        const parsed = parseLength(text, 'in');
        expect(parsed.ok ? Number.isFinite(parsed.value) : parsed.message.length > 0).toBe(true);
      }),
    );
  });
});

describe('writing a length', () => {
  test.each([
    [12.5, '12 1/2'],
    [0.875, '7/8'],
    [14.1421356, '14 1/8'],
    [1.3125, '1 5/16'],
    [0, '0'],
    [11.99, '12'],
    [-1.5, '-1 1/2'],
    [-0.001, '0'],
  ])('%p inches', (value, text) => expect(formatLength(value, 'in')).toBe(text));
  test.each([
    [31.75, '31.75'],
    [31.8, '31.8'],
    [0.75, '0.75'],
    [14.1421, '14.1'],
    [30, '30'],
    [0.001, '0'],
  ])('%p cm', (value, text) => expect(formatLength(value, 'cm')).toBe(text));
  test('a size, an exact value, parts for typesetting', () => {
    expect(formatSize(58.5, 70, 'in')).toBe('58 1/2 × 70″');
    expect(formatExact(10 / Math.SQRT2 + 0.875)).toBe('7.946');
    expect(fractionParts(-2.75)).toEqual({ negative: true, whole: 2, numerator: 3, denominator: 4 });
    expect(fractionParts(3)).toEqual({ negative: false, whole: 3, numerator: 0, denominator: 1 });
  });
});

describe('named roundings', () => {
  test('up to the next mark, leaving a value that is there already', () => {
    expect(nextEighth.apply(7.946)).toBe(8);
    expect(nextEighth.apply(8 + 1e-9)).toBe(8);
    expect(nextEighth.apply(8.001)).toBe(8.125);
    expect(rulerUp('cm').apply(7.51)).toBe(8);
    expect(rulerUp('cm').apply(7.5)).toBe(7.5);
  });
  test('to the nearest mark', () => {
    expect(rulerNearest('in').apply(42.926)).toBe(42.875);
    expect(rulerNearest('cm').apply(42.926)).toBe(42.9);
    expect(isOnRuler(1.3125, 'in')).toBe(true);
    expect(isOnRuler(14.142, 'in')).toBe(false);
  });
  test('an exact fit is a fit', () => {
    expect(howManyFit(3 * 0.1, 0.1)).toBe(3);
    expect(howManyCover(3 * 0.1, 0.1)).toBe(3);
    expect(howManyFit(0.29, 0.1)).toBe(2);
  });
  // Source: the inch is 2.54 cm exactly (international yard and pound agreement, 1959).
  test('an inch is 2.54 cm', () => {
    expect(convertLength(1, 'in', 'cm')).toBe(2.54);
    expect(convertLength(2.54, 'cm', 'in')).toBe(1);
  });
});

describe('said fine, and in steps', () => {
  // A thirty-second is the finest a quilter trims by (from memory).
  test.each([
    [3 / 32, '3/32″'],
    [1 / 8, '1/8″'],
    [1.25, '1 1/4″'],
    [2, '2″'],
    [0, '0″'],
    [-3 / 32, '-3/32″'],
    [0.1, '3/32″'],
  ])('%p inches is %s', (value, text) => expect(formatFine(value, 'in')).toBe(text));
  test.each([
    [0.25, '0.25 cm'],
    [1.234, '1.25 cm'],
    [2, '2 cm'],
    [0, '0 cm'],
  ])('%p cm is %s', (value, text) => expect(formatFine(value, 'cm')).toBe(text));
  test('a run is said in yards or metres, to the whole from ten up', () => {
    expect([
      formatRun(36 * 105, 'in'),
      formatRun(36 * 9.96, 'in'),
      formatRun(36 * 2.34, 'in'),
      formatRun(9600, 'cm'),
      formatRun(360, 'cm'),
    ]).toEqual(['105 yd', '10 yd', '2.3 yd', '96 m', '3.6 m']);
  });
  test('in a working, on the ruler as there, off it in decimals', () => {
    expect([
      formatWorking(12.5, 'in'),
      formatWorking(7.946, 'in'),
      formatWorking(30.48, 'cm'),
      formatWorking(30.5, 'cm'),
      formatWorking(0.635, 'cm'),
    ]).toEqual(['12 1/2', '7.946', '30.48', '30.5', '0.635']);
  });
  test('steps and marks of the rulers', () => {
    expect([rulerStep('in'), rulerStep('cm')]).toEqual([1 / 8, 0.5]);
    const at = (rounding: { apply: (v: number) => number; name: string }, value: number) => [
      rounding.apply(value),
      rounding.name,
    ];
    expect(at(rulerUp('cm'), 10.01)).toEqual([10.5, 'next 5 mm up']);
    expect(at(rulerNearest('cm'), 10.06)).toEqual([10.1, 'nearest mm']);
    expect(at(rulerFine('in'), 1.03)).toEqual([1, 'nearest 1/16']);
    expect(at(rulerFineDown('in'), 1.12)).toEqual([1.0625, 'next 1/16 down']);
    expect(at(rulerFineDown('cm'), 1.19)).toEqual([1.1, 'next mm down']);
    expect(at(rulerStepDown('in'), 1.24)).toEqual([1.125, 'next 1/8 down']);
    expect(at(rulerStepDown('cm'), 1.29)).toEqual([1.2, 'next mm down']);
    // A mark already is that mark, whatever the last bit says.
    for (const down of [rulerFineDown('in'), rulerStepDown('in')])
      expect(down.apply(1.125 - 1e-9)).toBe(1.125);
    expect([ontoMark(1.0621, 'in'), ontoMark(1.024, 'cm'), ontoMark(1.026, 'cm')]).toEqual([1.0625, 1, 1.05]);
  });
  test('a limit is as one would say it; what is allowed in one unit is allowed in the other', () => {
    expect([limitIn(1 / 4, 'in'), limitIn(1 / 4, 'cm'), limitIn(40, 'cm')]).toEqual([0.25, 0.6, 101.6]);
    for (const inches of [1 / 16, 1 / 4, 1 / 2, 1, 40]) {
      for (const [one, other] of [
        ['in', 'cm'],
        ['cm', 'in'],
      ] as const) {
        expect(convertLength(limitIn(inches, one), one, other)).toBeGreaterThanOrEqual(
          leastIn(inches, other) - 1e-12,
        );
        expect(convertLength(limitIn(inches, one), one, other)).toBeLessThanOrEqual(
          mostIn(inches, other) + 1e-12,
        );
      }
    }
  });
  test('fitting and covering: exactly is enough, a hair less is not', () => {
    expect([
      howManyFit(40, 10),
      howManyFit(39.9, 10),
      howManyFit(-1, 10),
      howManyCover(40, 10),
      howManyCover(40.1, 10),
      howManyCover(-5, 10),
    ]).toEqual([4, 3, 0, 4, 5, 0]);
    expect([nearestWhole(2.5), nearestWhole(2.49), nearestWhole(2.5 - 1e-9)]).toEqual([3, 2, 3]);
    expect([
      near(1, 1 + 1e-7),
      near(1, 1.001),
      atLeast(1, 1 + 1e-7),
      atLeast(1, 1.001),
      atLeast(1.1, 1),
    ]).toEqual([true, false, true, false, true]);
  });
});
