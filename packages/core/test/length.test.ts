import fc from 'fast-check';
import { formatExact, formatLength, formatSize, fractionParts } from '../src/length/format.ts';
import { parseLength } from '../src/length/parse.ts';
import { isOnRuler, nextEighth, rulerNearest, rulerUp } from '../src/length/rounding.ts';
import { howManyCover, howManyFit } from '../src/length/tolerance.ts';
import { convertLength } from '../src/length/unit.ts';

const inches = (text: string) => {
  const parsed = parseLength(text, 'in');
  return parsed.ok ? parsed.value : parsed.message;
};

describe('reading a length', () => {
  test.each([
    ['12 1/2', 12.5], ['12½', 12.5], ['12 ½', 12.5], ['12-1/2', 12.5], ['12 - 1/2', 12.5], ['12.5', 12.5], ['12,5', 12.5], ['12 1⁄2', 12.5],
    ['31.75 cm', 12.5], ['317.5mm', 12.5], ['0.3175 m', 12.5], ['1/3 yd', 12], ['2 yards', 72], ['1 ft', 12], ['12"', 12], ['12 in.', 12],
    ['12-½', 12.5], ['12–1/2', 12.5], ['12—½', 12.5], ['12 1/2 ins', 12.5], ['１２．５', 12.5], ['１２ １／２', 12.5], ["1' 6\"", 18], ['1 ft 6 1/2 in', 18.5], ['5’ 2½', 62.5], ['1/3', 1 / 3],
    ['½', 0.5], ['⅞″', 0.875], ['.25', 0.25], ['  7/8 ', 0.875], ['-3', -3], ['0', 0],
  ])('%s', (text, value) => expect(inches(text)).toBeCloseTo(value, 12));

  test.each([
    ['', /missing/], ['ten', /not a length/], ['12 1/0', /nought under the line/], ['1,234', /two ways/], ['12 furlongs', /“furlongs” is not a unit/],
    ['1e5', /not a length/], ["1' 14", /not a length/], ["1' 6 cm", /not a length/], ['12 1/2 1/2', /not a length/], ['1'.repeat(400), /too long a figure/],
  ])('refuses %p in words', (text, message) => expect(inches(text)).toMatch(message));

  test('says what it understood, in the plan’s unit', () => {
    expect(parseLength('26.7 cm', 'in')).toMatchObject({ ok: true, understood: '10.512″', writtenIn: 'cm' });
    expect(parseLength('1 in', 'cm')).toMatchObject({ ok: true, value: 2.54, understood: '2.54 cm' });
  });

  test('a fraction no ruler has is said as it was meant, decimals as they are', () => {
    const said = (text: string, unit: 'in' | 'cm' = 'in') => {
      const parsed = parseLength(text, unit);
      return parsed.ok ? parsed.understood : parsed.message;
    };
    expect([said('1/3'), said('12 2/3'), said('⅓'), said('12.3'), said('12 5/16'), said('1/3 yd'), said('12.345', 'cm'), said("1' 6\"", 'cm')]).toEqual(['1/3″', '12 2/3″', '1/3″', '12.3″', '12 5/16″', '12″', '12.345 cm', '45.72 cm']);
  });

  test('whatever it writes, it reads back', () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 16 * 200 }), (n) => {
      expect(parseLength(formatLength(n / 16, 'in'), 'in')).toMatchObject({ ok: true, value: n / 16 });
    }));
    fc.assert(fc.property(fc.integer({ min: 0, max: 5000 }), (n) => {
      const parsed = parseLength(formatLength(n / 10, 'cm'), 'cm');
      expect(parsed.ok && parsed.value).toBeCloseTo(n / 10, 9);
    }));
  });

  test('never throws, whatever is typed', () => {
    fc.assert(fc.property(fc.string({ maxLength: 30 }), (text) => {
      const parsed = parseLength(text, 'in');
      expect(parsed.ok ? Number.isFinite(parsed.value) : parsed.message.length > 0).toBe(true);
    }));
  });
});

describe('writing a length', () => {
  test.each([[12.5, '12 1/2'], [0.875, '7/8'], [14.1421356, '14 1/8'], [1.3125, '1 5/16'], [0, '0'], [11.99, '12'], [-1.5, '-1 1/2'], [-0.001, '0']])(
    '%p inches', (value, text) => expect(formatLength(value, 'in')).toBe(text),
  );
  test.each([[31.75, '31.75'], [31.8, '31.8'], [0.75, '0.75'], [14.1421, '14.1'], [30, '30'], [0.001, '0']])(
    '%p cm', (value, text) => expect(formatLength(value, 'cm')).toBe(text),
  );
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
