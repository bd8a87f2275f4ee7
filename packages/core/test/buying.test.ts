import fc from 'fast-check';
import { computeQuilt, shopCut, startPlan } from '../src/index.ts';
import { costOf } from '../src/shopping/cost.ts';
import { NO_ALLOWANCE } from '../src/shopping/shop-cut.ts';
import { startEdge, startLayers } from '../src/plan/start.ts';
import { planStrips } from '../src/strip/strips.ts';
import { pricedBacking } from './support/backing.ts';
import { lineOf } from './support/lines.ts';
import { inchPlan, quiltOf } from './support/plans.ts';

const clothOf = (usable: number) => ({ usable, seam: 1 / 4, unit: 'in' as const });
const strips = (usable: number, ...needs: [width: number, length: number, count: number][]) =>
  planStrips(
    needs.map(([width, length, count]) => lineOf({ name: 'Pieces', width, length, count })),
    clothOf(usable),
  ).groups;

describe('shop cuts', () => {
  // Rule BU-1, common practice: the steps shops cut to.
  test.each([
    [0, '0'],
    [0.1, '1/8'],
    [4.5, '1/8'],
    [4.6, '1/4'],
    [9, '1/4'],
    [10, '1/3'],
    [12, '1/3'],
    [13, '3/8'],
    [15, '1/2'],
    [20, '5/8'],
    [23, '2/3'],
    [25, '3/4'],
    [30, '7/8'],
    [32, '1'],
    [36, '1'],
    [36.5, '1 1/8'],
    [126, '3 1/2'],
    [184, '5 1/8'],
  ])('%p inches is %p yard', (needed, amount) =>
    expect(shopCut(needed, NO_ALLOWANCE, 'in').amount).toBe(amount),
  );

  test('metric shops cut in 10 cm', () => {
    expect(shopCut(81, NO_ALLOWANCE, 'cm')).toMatchObject({
      amount: '0.9',
      text: '0.9 m',
      length: { value: 90 },
    });
    expect(shopCut(90, NO_ALLOWANCE, 'cm').amount).toBe('0.9');
  });

  test('never less than needed, never a step too much, and it says so', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 500_000 }).map((n) => n / 1000),
        (needed) => {
          const { length } = shopCut(needed, NO_ALLOWANCE, 'in');
          expect(length.value).toBeGreaterThanOrEqual(needed - 1e-6);
          expect(length.value - needed).toBeLessThan(4.5 + 1e-6);
          expect(length.working[0]).toContain('next shop cut');
        },
      ),
    );
  });
});

describe('strips', () => {
  // Common practice: 112 squares of 6 1/2", six to a strip → 19 strips → 3 1/2 yd.
  test('112 squares of 6 1/2" from a 40" width', () => {
    const [group] = strips(40, [6.5, 6.5, 112]);
    expect(group!.strips.value).toBe(19);
    expect(shopCut(19 * 6.5, NO_ALLOWANCE, 'in').amount).toBe('3 1/2');
  });

  // Common practice: two 3 × 42 1/2 and two 3 × 56 take five strips only if the fabric is really 42 1/2 usable, otherwise six.
  test('border strips depend on what is really usable', () => {
    expect(strips(42.5, [3, 42.5, 2], [3, 56, 2])[0]!.strips.value).toBe(5);
    // At 42" the long strips alone just come out of five; with the four corner squares it is six.
    expect(strips(42, [3, 42.5, 2], [3, 56, 2], [3, 3, 4])[0]!.strips.value).toBe(6);
    expect(strips(40, [3, 42.5, 2], [3, 56, 2], [3, 3, 4])[0]!.strips.value).toBe(6);
  });

  test('lays a piece whichever way takes less', () => {
    // 49 sashes of 2 × 10 1/2: three 10 1/2" strips of twenty (31 1/2") beat seventeen 2" strips (34").
    expect(strips(40, [2, 10.5, 49])).toMatchObject([{ width: 10.5, strips: { value: 3 } }]);
    expect(strips(40, [2, 12.5, 31])).toMatchObject([{ width: 2, strips: { value: 11 } }]);
  });

  test('what is left of one need’s strips serves the next of that width', () => {
    const [group] = strips(40, [2, 30, 1], [2, 4, 2]);
    expect(group!.strips.value).toBe(1);
    expect(group!.strips.working).toContain('Pieces: 2 × 4 from what is left of strips already cut');
  });

  test('a piece wider than the cloth is named, not hidden', () => {
    expect(
      planStrips([lineOf({ name: 'Squares', width: 42, length: 42, count: 1 })], clothOf(40)),
    ).toMatchObject({ groups: [], tooWide: [{ wanted: { name: 'Squares' }, measure: 'width' }] });
  });

  test('first-fit never takes more than double the least possible, nor less than the area', () => {
    const need = fc.tuple(
      fc.constant(2),
      fc.integer({ min: 4, max: 160 }).map((n) => n / 4),
      fc.integer({ min: 1, max: 60 }),
    );
    fc.assert(
      fc.property(fc.array(need, { minLength: 1, maxLength: 6 }), (needs) => {
        for (const group of strips(40, ...needs)) {
          const least = Math.ceil(group.yields.reduce((sum, y) => sum + y.length * y.count, 0) / 40 - 1e-9);
          expect(group.strips.value).toBeGreaterThanOrEqual(least);
          expect(group.strips.value).toBeLessThanOrEqual(2 * least);
        }
      }),
    );
  });

  test('packs as an item-by-item first-fit would', () => {
    const sizes = fc.array(fc.tuple(fc.integer({ min: 2, max: 40 }), fc.integer({ min: 1, max: 25 })), {
      minLength: 1,
      maxLength: 5,
    });
    fc.assert(
      fc.property(sizes, (list) => {
        // Only the groups laid along the strip are compared; the rest were laid across it as the cheaper way.
        const groups = planStrips(
          list.map(([length, count]) => lineOf({ width: 1, length, count })),
          clothOf(40),
        ).groups.filter((g) => g.width === 1);
        const packed = groups.reduce((sum, g) => sum + g.strips.value, 0);
        const along = groups.flatMap((g) => g.yields);
        const items = along.flatMap((y) => Array<number>(y.count).fill(y.length)).sort((a, b) => b - a);
        const bins: number[] = [];
        for (const item of items) {
          // Fullest bin that still holds it, as a cutter uses the shortest remnant first.
          const fit = bins
            .map((left, i) => [left, i] as const)
            .filter(([left]) => left >= item)
            .sort((a, b) => a[0] - b[0])[0];
          if (fit) bins[fit[1]]! -= item;
          else bins.push(40 - item);
        }
        expect(packed).toBe(bins.length);
      }),
    );
  });
});

/** The usual binding of a square quilt. */
const boundQuilt = (side: number) => quiltOf(side, 1, 1, { kind: 'edge-to-edge' }).edge.binding!;

describe('binding', () => {
  // Common practice: 36 × 36 → 144 + 10 = 154; ÷ 40 = 3.85 → 4 strips; × 2 1/2 = 10" → 1/3 yd.
  test('36 × 36', () => {
    const binding = boundQuilt(36);
    expect(binding.length.value).toBe(154);
    expect(binding.strips.value).toBe(4);
    expect(binding.strips.working[0]).toBe('154 ÷ 40 usable = 3.85, up to whole strips: 4');
    expect(shopCut(4 * 2.5, { ...NO_ALLOWANCE, squaring: 0.5 }, 'in').amount).toBe('1/3');
  });
  // Common practice: when the last strip is all but used (3.98) take one more.
  test('3.98 strips is five', () => {
    const binding = boundQuilt(37.3);
    expect(binding.length.value / 40).toBeCloseTo(3.98, 2);
    expect(binding.strips.value).toBe(5);
  });
});

const plainBacking = (size: { width: number; height: number }, overhang: number, usable: number) =>
  pricedBacking(size, {
    overhang,
    cloth: { usable, price: null, allowance: NO_ALLOWANCE, upright: false },
    unit: 'in',
  });

describe('backing', () => {
  // Common practice: 75 × 84 with 4": two vertical panels (184") only if 42" is usable; at 40" three horizontal (249").
  test('75 × 84 at 42" and at 40"', () => {
    expect(plainBacking({ width: 75, height: 84 }, 4, 42).options[0]).toMatchObject({
      seams: 'vertical',
      panels: 2,
      fabric: { value: 184 },
    });
    expect(plainBacking({ width: 75, height: 84 }, 4, 40).options[0]).toMatchObject({
      seams: 'horizontal',
      panels: 3,
      fabric: { value: 249 },
    });
  });
  test('one width is enough for a small quilt, and is offered once', () => {
    expect(plainBacking({ width: 30, height: 30 }, 2, 40).options).toMatchObject([
      { seams: 'none', panels: 1, fabric: { value: 34 } },
    ]);
  });
  test('least cloth first, panels reach', () => {
    const length = fc.integer({ min: 20 * 16, max: 120 * 16 }).map((n) => n / 16);
    fc.assert(
      fc.property(length, length, fc.integer({ min: 36, max: 104 }), (width, height, usable) => {
        const { options, ...need } = plainBacking({ width, height }, 4, usable);
        expect(options.map((o) => o.fabric.value)).toEqual(
          options.map((o) => o.fabric.value).sort((a, b) => a - b),
        );
        for (const option of options) {
          const reach = option.panels * usable - (option.panels - 1);
          const span = {
            none: Math.min(need.width.value, need.height.value),
            vertical: need.width.value,
            horizontal: need.height.value,
          }[option.seams];
          expect(reach).toBeGreaterThanOrEqual(span - 1e-6);
        }
      }),
    );
  });
});

describe('cloth by cloth', () => {
  test('every use of a cloth is counted once, with its working', () => {
    const plan = startPlan('sashed-sampler');
    const quilt = quiltOf(12, 3, 4, plan.setting, { borders: plan.borders });
    // Border and binding each have their own cloth: nothing is one silently.
    expect(quilt.fabrics.map((f) => [f.fabric.id, f.buy.text])).toEqual([
      ['sash', '5/8 yd'],
      ['accent', '1/8 yd'],
      ['border', '7/8 yd'],
      // 17 1/2 + 1/2 + 1/4 for the second squaring: half a yard would be short of it.
      ['binding', '5/8 yd'],
      ['back', '3 1/4 yd'],
    ]);
    expect(quilt.fabrics[2]!.needed.working).toEqual([
      'Border sides, Border top and bottom: 6 strips × 4 1/2 = 27',
    ]);
    expect(quilt.fabrics[3]!.needed.working).toEqual(['Binding: 7 strips × 2 1/2 = 17.5']);
  });
  test('one cloth for everything gathers everything', () => {
    const plan = inchPlan({});
    const all = plan.fabrics.slice(0, 1);
    const one = all[0]!.id;
    const quilt = quiltOf(12, 3, 4, plan.setting, {
      fabrics: all,
      fabricFor: Object.fromEntries(
        Object.keys(plan.fabricFor).map((use) => [use, one]),
      ) as typeof plan.fabricFor,
      ...startLayers('in', one, one),
      ...startEdge('in', one, one),
      hanging: { ...plan.hanging, fabric: one },
    });
    expect(quilt.fabrics).toHaveLength(1);
    // Each by itself: eleven strips of 2" (31 sashes, three to a strip, hold the cornerstones too), six of 2 1/2" and
    // two panels of 50". Together they take less.
    expect(quilt.fabrics[0]!.needed.value).toBeLessThan(11 * 2 + 6 * 2.5 + 100);
    expect(quilt.fabrics[0]!.bound).toBeLessThanOrEqual(quilt.fabrics[0]!.needed.value);
  });
  test('says when a cloth is too narrow for a setting triangle', () => {
    const quilt = quiltOf(30, 2, 2, { kind: 'on-point' });
    expect(quilt.advice.map((a) => a.message).join()).toContain(
      'Squares for side triangles are cut 43 3/4″ wide and Triangles is 40″ usable',
    );
  });
});

describe('bought with something to spare', () => {
  const buy = (needed: number, squaring = 0.5, shrinkage = 0) =>
    shopCut(needed, { ...NO_ALLOWANCE, squaring, shrinkage }, 'in');
  // Rule BU-2. From memory: half an inch squares an end, a centimetre in metric.
  test('what is exactly a shop cut is the next one, and that is said', () => {
    expect(buy(9)).toMatchObject({
      amount: '1/3',
      length: {
        working: [
          '9 needed + 1/2 to square the end = 9.5″, next shop cut: 1/3 yd = 12″',
          '1/4 yd would hold it with nothing to spare; squaring makes it 1/3 yd',
        ],
      },
    });
    expect(buy(10).length.working).toHaveLength(1);
    expect(shopCut(90, { ...NO_ALLOWANCE, squaring: 1 }, 'cm')).toMatchObject({ amount: '1.0' });
    expect(buy(0)).toMatchObject({
      amount: '0',
      length: { working: ['0 needed, next shop cut: 0 yd = 0″'] },
    });
    expect(shopCut(81, { ...NO_ALLOWANCE, squaring: 1 }, 'cm').length.working).toEqual([
      '81 needed + 1 to square the end = 82 cm, next 10 cm: 0.9 m',
    ]);
  });
  // Arithmetic: of a length that loses 5 % in the wash, 34.2 is left of 36.
  test('cloth that shrinks is bought for what is left of it', () => {
    expect(buy(34.2, 0, 5).amount).toBe('1');
    expect(buy(34.3, 0, 5)).toMatchObject({
      amount: '1 1/8',
      length: {
        working: [
          '34.3″ needed',
          '÷ (1 − 5 %) that the wash takes = 36.105″, next shop cut: 1 1/8 yd = 40 1/2″',
          '1 yd would hold it with nothing to spare; shrinking makes it 1 1/8 yd',
        ],
      },
    });
  });
  test('the plan says how much; each cloth shrinks by its own', () => {
    const plan = startPlan('sashed-sampler');
    const shrunk = {
      ...plan,
      fabrics: plan.fabrics.map((f) => (f.id === 'border' ? { ...f, shrinkage: 10 } : f)),
    };
    const bought = (p: typeof plan) =>
      Object.fromEntries(computeQuilt(p).fabrics.map((f) => [f.fabric.id, f.buy.length.value]));
    expect(bought(shrunk)).toEqual({ ...bought(plan), border: 31.5 });
    expect(bought({ ...plan, squaring: 0 })['border']).toBe(27);
    expect(bought(plan)['border']).toBe(31.5);
  });
});

describe('what it costs', () => {
  const priced = (length: number, price: number | null) => ({
    length,
    price,
    allowance: { ...NO_ALLOWANCE, squaring: 0 },
  });
  // Arithmetic: a yard and an eighth at 12, half a yard at 9: 13.50 + 4.50.
  test('each length as the shop cuts it, at its price a yard, to the penny', () => {
    expect(costOf([priced(40, 12), priced(18, 9)], 'in')).toEqual({
      kind: 'money',
      value: 18,
      working: ['1 1/8 yd at 12 = 13.50', '1/2 yd at 9 = 4.50', 'Together 18.00'],
    });
    expect(costOf([priced(40, 12)], 'in')!.working).toEqual(['1 1/8 yd at 12 = 13.50']);
    expect(costOf([priced(12, 9.99)], 'in')!.value).toBe(3.33);
    expect(costOf([priced(91, 12)], 'cm')).toMatchObject({ value: 12, working: ['1.0 m at 12 = 12.00'] });
    expect(costOf([{ ...priced(36, 10), allowance: { ...NO_ALLOWANCE, squaring: 0.5 } }], 'in')!.value).toBe(
      11.25,
    );
  });
  test('where any price is not known it is not known; a length of nothing asks for none', () => {
    expect(costOf([priced(40, 12), priced(18, null)], 'in')).toBeNull();
    expect(costOf([priced(18, null)], 'in')).toBeNull();
    expect(costOf([priced(40, 12), priced(0, null)], 'in')!.value).toBe(13.5);
    expect(costOf([priced(0, null)], 'in')).toMatchObject({ value: 0, working: [] });
  });
});
