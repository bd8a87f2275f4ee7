import fc from 'fast-check';
import type { BackingOption } from '../src/layer/backing-option.ts';
import { pricedBacking } from './support/backing.ts';
import { judgeMade } from '../src/layer/made.ts';
import { inchPlan } from './support/plans.ts';
import { cloth, eighths, expectTiled, layersOf, PLAIN, STRIPE } from './support/layers.ts';

describe('backing', () => {
  // Rule BK-1: 75 × 84 with 4": at 40" usable three horizontal panels (249") or a smaller overhang.
  test('75 × 84 at 40": three panels, or a smaller overhang, or a stripe, each said', () => {
    const { options, remarks } = pricedBacking({ width: 75, height: 84 }, { ...PLAIN, stripe: STRIPE });
    expect(options[0]).toMatchObject({ way: 'horizontal', panels: 3, fabric: { value: 249 } });
    expect(remarks).toContainEqual(
      'With 2″ of overhang, enough for quilting at home, 2 panels with upright seams would do: 176″, 73″ less.',
    );
    expect(remarks.join()).toMatch(/A stripe 4″ wide between the panels saves a panel: \d+ % less cloth/);
    // 83 to cover with two panels of 40 and a stripe of 5 as cut, four edges of half an inch lost: 80 + 5 − 2.
    expect(options.find((o) => o.way === 'stripe' && o.seams === 'vertical')).toMatchObject({
      panels: 2,
      stripe: { cut: { value: 5 }, finished: 4 },
      fabric: { value: 184 },
    });
  });
  // Common practice: wide backs give about 104" usable: no seam.
  test('a wide back has no seam and lies whichever way takes less of it', () => {
    const { options } = pricedBacking({ width: 75, height: 84 }, { ...PLAIN, wide: cloth(104) });
    expect(options.find((o) => o.way === 'wide')).toMatchObject({
      seams: 'none',
      panels: 1,
      fabric: { value: 83 },
    });
    expect(pricedBacking({ width: 100, height: 110 }, { ...PLAIN, wide: cloth(104) }).remarks).toContainEqual(
      expect.stringMatching(/Not even the wide cloth/),
    );
  });
  test('priced, the cheapest comes first and says so', () => {
    const { options, because } = pricedBacking(
      { width: 75, height: 84 },
      { ...PLAIN, cloth: cloth(40, 12), wide: cloth(104, 20) },
    );
    // 83" with half an inch to square it is sold as 2 1/3 yd = 46.67; 249" as 7 yd = 84.
    expect(options[0]).toMatchObject({ way: 'wide', cost: { value: 46.67 } });
    expect(options[1]).toMatchObject({ way: 'horizontal', cost: { value: 84 } });
    expect(because).toBe('It costs least: 46.67, and the next 84.00.');
  });
  test('a print that runs one way only takes upright seams', () => {
    const { options } = pricedBacking(
      { width: 75, height: 84 },
      { ...PLAIN, cloth: cloth(40, null, true), wide: cloth(104, null, true), stripe: STRIPE },
    );
    expect(options.map((o) => o.seams)).not.toContain('horizontal');
    // Turned round, the wide cloth would take 83"; upright it takes the height.
    expect(options.find((o) => o.way === 'wide')!.fabric.value).toBe(92);
  });
  test('a stripe of leftover blocks: as many as there are, cloth between; or the reason there is none', () => {
    const blocks = (left: number, width: number) =>
      pricedBacking(
        { width: 75, height: 84 },
        { ...PLAIN, stripe: { ...STRIPE, blocks: { left, width, height: width } } },
      );
    expect(blocks(5, 6).options.find((o) => o.way === 'stripe' && o.seams === 'vertical')).toMatchObject({
      stripe: { blocks: 5, finished: 6, gap: (92 - 30) / 6 },
    });
    expect(blocks(0, 6).remarks).toContainEqual('No block is left over for a stripe.');
    expect(blocks(5, 3).remarks.join()).toMatch(
      /A row of leftover blocks is 3 1\/2 across as cut, and 4 is wanting/,
    );
  });
  test('panels, stripes and all cover the backing exactly, the first is the least, no panel is wider than its cloth', () => {
    fc.assert(
      fc.property(
        eighths(20, 130),
        eighths(20, 130),
        fc.integer({ min: 36, max: 60 }),
        fc.boolean(),
        fc.integer({ min: 0, max: 12 }),
        (width, height, usable, ofBlocks, left) => {
          const { options } = pricedBacking(
            { width, height },
            {
              ...PLAIN,
              cloth: cloth(usable),
              wide: cloth(104),
              stripe: { ...STRIPE, blocks: ofBlocks ? { left, width: 9, height: 9 } : null },
            },
          );
          for (const option of options) {
            expectTiled(option, width + 8, height + 8);
            const widest = Math.max(
              ...option.slabs
                .filter((s) => s.what === 'panel')
                .map((s) =>
                  option.seams === 'horizontal'
                    ? s.height
                    : option.seams === 'vertical'
                      ? s.width
                      : Math.min(s.width, s.height),
                ),
            );
            expect(widest).toBeLessThanOrEqual((option.way === 'wide' ? 104 : usable) + 1e-6);
            for (const block of option.slabs.filter((s) => s.what === 'block'))
              expect(Math.min(block.x, block.y)).toBeGreaterThanOrEqual(-1e-9);
          }
          const plain = options.filter((o) => o.way !== 'stripe');
          expect(plain.map((o) => o.area)).toEqual(plain.map((o) => o.area).sort((a, b) => a - b));
        },
      ),
      { numRuns: 200 },
    );
  });
});

test('backing and made verdicts come out alike in centimetres', () => {
  fc.assert(
    fc.property(
      eighths(30, 120),
      eighths(30, 120),
      fc.integer({ min: 36, max: 60 }),
      (width, height, usable) => {
        const at = (k: number, unit: 'in' | 'cm') =>
          pricedBacking(
            { width: width * k, height: height * k },
            { overhang: 4 * k, cloth: cloth(usable * k), unit, seam: 0.5 * k },
          ).options.map((o) => [o.seams, o.panels, Math.round((1e6 * o.fabric.value) / k)]);
        expect(at(2.54, 'cm')).toEqual(at(1, 'in'));
      },
    ),
  );
});

describe('a backing as it was made', () => {
  const top = { width: 70, height: 80 };
  test('square and large enough; short; crooked', () => {
    // Rule BK-3. Geometry: an oblong is square when its diagonals are alike.
    expect(judgeMade({ width: 78, height: 88, diagonals: [117.6, 117.6] }, top, 4, 'in')).toMatchObject({
      kind: 'good',
      over: { sides: 4, ends: 4 },
    });
    expect(judgeMade({ width: 75, height: 88, diagonals: [115, 115.5] }, top, 4, 'in')).toMatchObject({
      kind: 'short',
      text: expect.stringMatching(/by only 2 1\/2″ at the sides/),
    });
    expect(judgeMade({ width: 78, height: 88, diagonals: [116, 119] }, top, 4, 'in')).toMatchObject({
      kind: 'crooked',
      skew: 3,
    });
    expect(judgeMade({ width: 75, height: 88, diagonals: [115, 115] }, top, 4, 'in')?.text).toMatch(
      /Quilting at home, 2″ is enough\.$/,
    );
    expect(
      judgeMade({ width: 175, height: 200, diagonals: [265, 265] }, { width: 165, height: 180 }, 10, 'cm')
        ?.text,
    ).toMatch(/by only 5 cm at the sides.*5 cm is enough\.$/);
    // Diagonals an inch apart are still square.
    expect(judgeMade({ width: 78, height: 88, diagonals: [117, 118] }, top, 4, 'in')?.kind).toBe('good');
    expect(judgeMade({ width: 78, height: 85, diagonals: [115, 115] }, top, 4, 'in')?.text).toMatch(
      /by only 2 1\/2″ at top and bottom/,
    );
    expect(judgeMade({ width: 68, height: 88, diagonals: [110, 110] }, top, 4, 'in')?.text).toMatch(
      /smaller than the top by 2″/,
    );
  });
});

describe('backing, ways held against one another', () => {
  const quilt = { width: 75, height: 84 };
  test('where every price is known the cheapest comes first, whatever takes least cloth', () => {
    // 249" of 40" is 7 yd at 12 = 84; 83" of 104" is less cloth, and 2 1/3 yd at 60 = 140.
    const { options, because, remarks } = pricedBacking(quilt, {
      ...PLAIN,
      cloth: cloth(40, 12),
      wide: cloth(104, 60),
      stripe: { ...STRIPE, price: 12 },
    });
    expect(options[0]).toMatchObject({ way: 'horizontal', cost: { value: 84 } });
    expect(because).toBe('It costs least without a stripe: 84.00, and the next 93.00.');
    const stripe = options.find((o) => o.way === 'stripe')!;
    expect(remarks).toContainEqual(
      `With a stripe between the panels it costs ${(84 - stripe.cost!.value).toFixed(2)} less.`,
    );
    expect(stripe.cost!.value).toBeLessThan(84);
    // Dearer cloth for the stripe: then nothing is saved, and nothing said.
    expect(
      pricedBacking(quilt, {
        ...PLAIN,
        cloth: cloth(40, 12),
        stripe: { ...STRIPE, price: 500 },
      }).remarks.join(),
    ).not.toContain('costs');
  });
  test('one price unknown, it is by the cloth', () => {
    expect(pricedBacking(quilt, { ...PLAIN, cloth: cloth(40, 12), wide: cloth(104) }).options[0]!.way).toBe(
      'wide',
    );
  });
  test('hardly less is said so; a square quilt hears of a smaller overhang once', () => {
    // 79 1/2 round 71 1/2: two widths of 40 less a seam are 79; with 3 3/4" of overhang they do.
    const { remarks } = pricedBacking({ width: 71.5, height: 71.5 }, PLAIN);
    expect(remarks.filter((r) => r.includes('of overhang'))).toHaveLength(1);
    const wide = pricedBacking({ width: 31, height: 100 }, { ...PLAIN, wide: cloth(40.2) });
    expect(wide.because).toBe('It takes the least cloth, by less than 1 %.');
  });
  test('a stripe has its least width, so that it looks meant; of blocks, what lies between is cut from strips', () => {
    // 80 to cover with two of 40: two seams of a half each take 2, so 2 is wanting: 3 is cut.
    const narrow = pricedBacking({ width: 72, height: 84 }, { ...PLAIN, stripe: STRIPE }).options.find(
      (o) => o.way === 'stripe' && o.seams === 'vertical',
    )!.stripe!;
    expect(narrow.cut).toMatchObject({ value: 3 });
    expect(narrow.cut.working[1]).toBe('At least 3, so that it looks meant: 3');
    // 92 long in joined strips of 40, each join two seams: three strips of 3.
    expect(narrow.fabric.value).toBe(9);
    const wanted = pricedBacking({ width: 75, height: 84 }, { ...PLAIN, stripe: STRIPE }).options.find(
      (o) => o.way === 'stripe' && o.seams === 'vertical',
    )!.stripe!;
    expect(wanted.cut.working[1]).toBe('next 1/8 up: 5');
    // Five blocks of 6 in 92 leave 62, in six pieces of 10 1/3 and two seams of a quarter: three to a strip of 40, two strips of 6 1/2.
    const blocks = pricedBacking(
      { width: 75, height: 84 },
      { ...PLAIN, stripe: { ...STRIPE, blocks: { left: 5, width: 6, height: 6 } } },
    ).options.find((o) => o.way === 'stripe' && o.seams === 'vertical')!.stripe!;
    expect(blocks.fabric).toMatchObject({
      value: 13,
      working: ['5 blocks of 6 leave 62 of 92: 6 pieces between and at the ends', '2 strips × 6 1/2 = 13'],
    });
  });
  // Geometry: three panels of 40 with half-inch seams span 118; what is over is trimmed off the outer two alike.
  test('where panels and a stripe lie, seam by seam', () => {
    const lies = (option: BackingOption) => option.slabs.map((s) => [s.what, s.x, s.width]);
    const three = pricedBacking({ width: 92, height: 150 }, PLAIN).options.find(
      (o) => o.seams === 'vertical',
    )!;
    expect(lies(three)).toEqual([
      ['panel', 0, 30.5],
      ['panel', 30.5, 39],
      ['panel', 69.5, 30.5],
    ]);
    expect(three.fabric.working[0]).toBe('3 panels × 40 less 2 seams × 2 × 1/2 span 118, enough for 100');
    // 125 to cover with three of 40: beside the stripe two seams of half an inch each, between the others one: 3 lost, 8 to make up.
    const striped = pricedBacking({ width: 117, height: 150 }, { ...PLAIN, stripe: STRIPE }).options.find(
      (o) => o.way === 'stripe' && o.seams === 'vertical',
    )!;
    expect(striped.stripe).toMatchObject({ cut: { value: 8 }, finished: 7 });
    expect(lies(striped)).toEqual([
      ['panel', 0, 39.5],
      ['panel', 46.5, 39],
      ['panel', 85.5, 39.5],
      ['stripe', 39.5, 7],
    ]);
    // Two blocks of 6 along 168 leave 156: three pieces of 52, and two seams of a quarter: joined, four strips of 40 less three joins reach 158 1/2.
    const blocks = pricedBacking(
      { width: 75, height: 160 },
      { ...PLAIN, stripe: { ...STRIPE, blocks: { left: 2, width: 6, height: 6 } } },
    ).options.find((o) => o.stripe?.blocks === 2 && o.seams === 'vertical')!;
    expect(blocks.slabs.filter((s) => s.what === 'block').map((s) => s.y)).toEqual([52, 110]);
    expect(blocks.stripe!.fabric.working[1]).toBe('4 strips × 6 1/2 = 26');
  });
  test('one width that would do with a smaller overhang; a single way; a hundredth less', () => {
    expect(pricedBacking({ width: 35, height: 60 }, PLAIN).remarks).toEqual([
      'With 2 1/2″ of overhang, enough for quilting at home, one width would do: 65″, 21″ less.',
    ]);
    expect(pricedBacking({ width: 30, height: 30 }, { ...PLAIN, overhang: 2 })).toMatchObject({
      options: [{ way: 'vertical', seams: 'none', slabs: [{ width: 34 }] }],
      because: 'The only way there is.',
    });
    expect(pricedBacking({ width: 31, height: 100 }, { ...PLAIN, wide: cloth(40.4) }).because).toBe(
      'It takes the least cloth, by 1 %.',
    );
    expect(
      pricedBacking({ width: 75, height: 84 }, { ...PLAIN, cloth: cloth(40, 12), wide: cloth(104, 36) })
        .because,
    ).toBe('It takes the least cloth, by 13 %.');
  });
  test('what the plan says reaches them: leftover blocks, a backing as made', () => {
    const pile = Array.from({ length: 36 }, (_, i) => ({
      id: `b${i}`,
      name: `B${i}`,
      width: 12.5,
      height: 12.5,
    }));
    const base = inchPlan({}).backing;
    const ofBlocks = layersOf({
      pile,
      backing: { ...base, stripe: { ...base.stripe, of: 'blocks' } },
    }).backing.options.filter((o) => o.stripe);
    expect(ofBlocks.map((o) => o.stripe!.blocks)).toContain(5);
    expect(
      layersOf({ backing: { ...base, stripe: { ...base.stripe, of: 'fabric' } } }).backing.options.every(
        (o) => !o.stripe || o.stripe.blocks === 0,
      ),
    ).toBe(true);
    expect(layersOf({}).made).toBeNull();
    expect(
      layersOf({ backing: { ...base, made: { width: 70, height: 82, diagonals: [107.8, 107.8] } } }).made,
    ).toMatchObject({ kind: 'good', over: { sides: 5, ends: 5 } });
  });
});
