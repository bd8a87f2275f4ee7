import fc from 'fast-check';
import { computeQuilt, type Plan, type Quilt, rectangleOf } from '../src/index.ts';
import { type BackingOption } from '../src/layer/backing.ts';
import { pricedBacking } from './support/backing.ts';
import { planBatting } from '../src/layer/batting.ts';
import { lightAndDark } from '../src/layer/batting-advice.ts';
import { judgeMade } from '../src/layer/made.ts';
import { markTop } from '../src/layer/marking.ts';
import { inchPlan, quiltOf } from './support/plans.ts';
import { measureTiling } from './support/tiling.ts';

const cloth = (usable: number, price: number | null = null, upright = false) => ({
  usable,
  price,
  upright,
  allowance: { squaring: 0.5, shrinkage: 0 },
});
const PLAIN = { unit: 'in' as const, overhang: 4, cloth: cloth(40) };
const STRIPE = { ...cloth(40), seam: 0.25, blocks: null };
const eighths = (least: number, most: number) =>
  fc.integer({ min: least * 8, max: most * 8 }).map((n) => n / 8);
const layersOf = (change: Partial<Plan> = {}) => quiltOf(12, 5, 6, { kind: 'edge-to-edge' }, change).layers!;

/** Area of all slabs but the blocks, which lie on their stripe, and whether they cover the backing without gap or overlap. */
function expectTiled(option: BackingOption, width: number, height: number): void {
  const { union, sum } = measureTiling(
    option.slabs
      .filter((s) => s.what !== 'block')
      .map((s) => ({ outline: rectangleOf(s.x, s.y, s.width, s.height) })),
  );
  expect(union).toBeCloseTo(width * height, 4);
  expect(sum).toBeCloseTo(width * height, 4);
}

describe('backing', () => {
  // Rule BK-1: 75 × 84 with 4": at 40" usable three horizontal panels (249") or a smaller overhang.
  test('75 × 84 at 40": three panels, or a smaller overhang, or a stripe, each said', () => {
    const { options, remarks } = pricedBacking({ width: 75, height: 84 }, { ...PLAIN, stripe: STRIPE });
    expect(options[0]).toMatchObject({ way: 'horizontal', panels: 3, fabric: { value: 249 } });
    expect(remarks).toContainEqual(
      'With 2″ of overhang, enough for quilting at home, 2 panels with vertical seams would do: 176″, 73″ less.',
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
    expect(judgeMade({ width: 75, height: 88, diagonals: [115, 115] }, top, 4, 'in').text).toMatch(
      /enough for quilting at home from 2″\.$/i,
    );
    expect(
      judgeMade({ width: 175, height: 200, diagonals: [265, 265] }, { width: 165, height: 180 }, 10, 'cm')
        .text,
    ).toMatch(/by only 5 cm at the sides.*from 5 cm\.$/);
    // Diagonals an inch apart are still square.
    expect(judgeMade({ width: 78, height: 88, diagonals: [117, 118] }, top, 4, 'in').kind).toBe('good');
    expect(judgeMade({ width: 78, height: 85, diagonals: [115, 115] }, top, 4, 'in').text).toMatch(
      /by only 2 1\/2″ at top and bottom/,
    );
    expect(judgeMade({ width: 68, height: 88, diagonals: [110, 110] }, top, 4, 'in').text).toMatch(
      /smaller than the top by 2″/,
    );
  });
});

describe('batting', () => {
  const wish = { overhang: 4, rollWidth: 96, pieces: [], unit: 'in' as const };
  const ways = (width: number, height: number, change = {}) =>
    planBatting({ width, height }, { ...wish, ...change }).options;
  // Rule BT-1, packaged sizes from memory.
  test.each([
    [37, 52, '45 × 60″'],
    [70, 81, '81 × 96″'],
    [50, 50, '60 × 60″'],
    [110, 100, '120 × 120″'],
  ])('%p × %p with 4" round: package %s', (width, height, said) => {
    expect(ways(width, height).find((o) => o.way === 'package')?.text).toBe(`Package ${said}`);
  });
  test('off a roll, whichever way takes less; too wide, in widths joined', () => {
    expect(ways(70, 84).find((o) => o.way === 'roll')).toMatchObject({ buy: { value: 78 } });
    const wide = ways(112, 112);
    expect(wide.find((o) => o.way === 'roll')).toBeUndefined();
    expect(wide.find((o) => o.way === 'package')?.text).toBe('Package 120 × 120″');
    expect(wide.find((o) => o.way === 'joined')).toMatchObject({ joins: [expect.anything()] });
  });
  test('pieces that are there come first, the fewest of them', () => {
    const pieces = [
      { width: 40, height: 60 },
      { width: 45, height: 62 },
      { width: 30, height: 90 },
    ];
    expect(ways(44, 50, { pieces: [{ width: 60, height: 54 }] })[0]).toMatchObject({
      way: 'pieces',
      text: 'What is there: 60 × 54″',
    });
    const [best] = ways(70, 50, { pieces });
    expect(best).toMatchObject({ way: 'pieces', joins: [expect.anything()] });
    // 45 + 40 lapped 2" is 83: enough for 78.
    expect(best!.working[0]).toMatch(/reach 83″/);
    expect(ways(70, 50, { pieces: pieces.slice(2) })[0]!.way).toBe('package');
  });
  test('whatever is offered holds what is needed', () => {
    fc.assert(
      fc.property(eighths(10, 112), eighths(10, 112), (width, height) => {
        for (const { way, text, area } of ways(width, height)) {
          expect(area).toBeGreaterThanOrEqual((width + 8) * (height + 8) - 1e-6);
          if (way === 'package') {
            const [w, h] = /(\d+) × (\d+)/.exec(text)!.slice(1).map(Number) as [number, number];
            expect(Math.min(w, h)).toBeGreaterThanOrEqual(Math.min(width, height) + 8);
          }
        }
      }),
    );
  });
  // Rule BT-2, common practice: white-on-white tops want a white batting.
  test('white on white wants white, a dark top dark; flat colours are told apart', () => {
    const bordered = (colour: string, batting: Plan['batting']['colour']) => {
      const plan = inchPlan({});
      return quiltOf(
        4,
        2,
        2,
        { kind: 'edge-to-edge' },
        {
          fabrics: plan.fabrics.map((f) => ({ ...f, colour })),
          batting: { ...plan.batting, colour: batting },
          borders: [
            {
              id: '1',
              sides: 8,
              ends: 8,
              corners: 'sides-first',
              cut: 'crosswise',
              joins: 'diagonal',
              repeat: null,
              fabric: 'border',
              cornerFabric: 'border',
            },
          ],
        },
      )
        .advice.filter((a) => a.path.join('.') === 'batting.colour')
        .map((a) => a.message);
    };
    expect(bordered('#fdfcf8', 'natural')).toEqual([
      expect.stringMatching(/good as white.*natural one show/),
    ]);
    expect(bordered('#fdfcf8', 'white')).toEqual([]);
    expect(bordered('#1b2433', 'natural')).toEqual([expect.stringMatching(/is dark/)]);
    expect(bordered('#c4532f', 'dark')).toEqual([expect.stringMatching(/Hardly any/)]);
    const plan = inchPlan({});
    expect(lightAndDark(plan, computeQuilt(plan).layout).dark).toBeLessThan(0.5);
  });
  test('quilting farther apart than the fibre holds is said', () => {
    const plan = inchPlan({});
    const said = (fibre: Plan['batting']['fibre'], spacing: number) =>
      quiltOf(
        12,
        3,
        3,
        { kind: 'edge-to-edge' },
        { batting: { ...plan.batting, fibre }, quilting: { ...plan.quilting, spacing } },
      ).advice.some((a) => a.path.join('.') === 'quilting.spacing');
    expect(said('cotton', 8)).toBe(false);
    expect(said('wool', 5)).toBe(true);
  });
});

describe('marking for quilting at home', () => {
  test('a grid runs from the middle outward; its length is every line edge to edge', () => {
    const { layout } = quiltOf(10, 3, 4, { kind: 'edge-to-edge' });
    const { lines, length, pins } = markTop(layout, 'grid', 4, 'in');
    // 30 across: lines at 15, 11, 7, 3 … : seven; 40 down: at 20, 16, 12, 8, 4 … : nine (one at 0 and 40 would lie on the edge).
    expect(lines).toHaveLength(7 + 9);
    expect(length.value).toBe(7 * 40 + 9 * 30);
    // Rule QL-1: one a hand's breadth.
    expect(pins.value).toBe(8 * 10);
    for (const { from, to } of lines)
      expect(Math.abs(from.x + to.x - 30) % 8 < 1e-9 || Math.abs(from.y + to.y - 40) % 8 < 1e-9).toBe(true);
  });
  // Geometry: the length of evenly laid lines × their distance is nearly the area they cover, each way.
  test('slanting lines cover the top both ways', () => {
    fc.assert(
      fc.property(eighths(20, 90), eighths(20, 90), eighths(1, 4), (w, h, spacing) => {
        const { layout } = quiltOf(4, 1, 1, { kind: 'edge-to-edge' });
        const size = {
          ...layout,
          finished: {
            width: { ...layout.finished.width, value: w },
            height: { ...layout.finished.height, value: h },
          },
        };
        const { lines, length } = markTop(size, 'diagonal', spacing, 'in');
        expect(length.value * spacing).toBeGreaterThan(0.8 * 2 * w * h);
        expect(length.value * spacing).toBeLessThan(1.2 * 2 * w * h);
        for (const { from, to } of lines) {
          expect(Math.abs(Math.abs(from.x - to.x) - Math.abs(from.y - to.y))).toBeLessThan(1e-9);
          for (const p of [from, to]) expect(Math.min(p.x, p.y, w - p.x, h - p.y)).toBeCloseTo(0, 9);
        }
      }),
    );
  });
  // Plain arithmetic: 3 × 4 blocks of 10" have two upright seams of 40" and three level ones of 30".
  test('along the seams: every seam once', () => {
    expect(
      markTop(quiltOf(10, 3, 4, { kind: 'edge-to-edge' }).layout, 'ditch', 4, 'in').length.value,
    ).toBeCloseTo(2 * 40 + 3 * 30, 9);
  });
});

describe('layers of a plan', () => {
  test('the chosen way is bought; a way that cannot be had falls back to the best', () => {
    const plan = inchPlan({});
    const quilt = quiltOf(12, 5, 6, { kind: 'edge-to-edge' }, { backing: { ...plan.backing, way: 'wide' } });
    expect(quilt.layers!.chosenBacking.way).toBe('wide');
    expect(quilt.fabrics.find((f) => f.fabric.id === 'wide-back')!.needed.working).toEqual([
      'Backing: one width, 68',
    ]);
    expect(
      layersOf({
        backing: { ...plan.backing, way: 'stripe', overhang: 4 },
        fabrics: plan.fabrics.map((f) => ({ ...f, usableWidth: 110 })),
      }).chosenBacking.way,
    ).not.toBe('stripe');
  });
  test('a stripe has its own cloth on the list', () => {
    const plan = inchPlan({});
    const quilt = quiltOf(
      15,
      5,
      6,
      { kind: 'edge-to-edge' },
      { backing: { ...plan.backing, way: 'stripe', stripe: { of: 'fabric', fabric: 'accent' } } },
    );
    expect(quilt.fabrics.find((f) => f.fabric.id === 'accent')!.needed.working.join()).toMatch(
      /Stripe of the backing/,
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
    expect(wide.because).toBe('Least cloth: less than 1 % less cloth than the next.');
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
      'Least cloth: 1 % less cloth than the next.',
    );
    expect(
      pricedBacking({ width: 75, height: 84 }, { ...PLAIN, cloth: cloth(40, 12), wide: cloth(104, 36) })
        .because,
    ).toBe('Least cloth: 13 % less cloth than the next.');
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

describe('batting, joined', () => {
  const wish = { overhang: 4, rollWidth: 96, pieces: [], unit: 'in' as const };
  const way = (width: number, height: number, name: string, change = {}) =>
    planBatting({ width, height }, { ...wish, ...change }).options.find((o) => o.way === name);
  // Geometry: two alike, trimmed alike at both ends, meet in the middle; three at either side of it.
  test('sheets alike meet where symmetry has them', () => {
    const two = way(112, 112, 'joined', { rollWidth: 96 })!;
    expect(two.joins).toEqual([{ from: { x: 60, y: 0 }, to: { x: 60, y: 120 } }]);
    const three = planBatting({ width: 192, height: 192 }, { ...wish, rollWidth: 80 }).options.find(
      (o) => o.way === 'joined',
    )!;
    const at = three.joins.map((j) => (j.from.x === j.to.x ? j.from.x : j.from.y));
    expect(at).toHaveLength(2);
    expect(at[0]! + at[1]!).toBeCloseTo(200, 9);
    // Apart by one sheet less a lap.
    expect(at[1]! - at[0]!).toBeCloseTo(78, 9);
  });
  test('four are the most; more is no batting', () => {
    expect(
      planBatting({ width: 192, height: 192 }, { ...wish, rollWidth: 51.5 }).options.find((o) =>
        o.text.includes('in 4 widths'),
      ),
    ).toBeDefined();
    expect(
      planBatting({ width: 192, height: 192 }, { ...wish, rollWidth: 51 }).options.find((o) =>
        o.text.includes('roll'),
      ),
    ).toBeUndefined();
  });
  test('pieces that are there meet where the wider ends', () => {
    const pieces = [
      { width: 40, height: 60 },
      { width: 45, height: 62 },
    ];
    // 45 and 40 lapped 2" are 83, trimmed 2 1/2" at either end of 78: the lap lies from 40 1/2 to 42 1/2.
    expect(way(70, 50, 'pieces', { pieces })!.joins).toEqual([
      { from: { x: 41.5, y: 0 }, to: { x: 41.5, y: 58 } },
    ]);
    expect(way(44, 50, 'pieces', { pieces: [{ width: 60, height: 54 }] })).toMatchObject({
      joins: [],
      area: 60 * 54,
      buy: null,
    });
  });
  /** The least area of any two to four sheets alike laid side by side with 2" laps, tried one by one. */
  const leastJoined = (w: number, h: number, roll: number): number => {
    const sizes = [
      [36, 45],
      [45, 60],
      [60, 60],
      [72, 90],
      [81, 96],
      [90, 108],
      [120, 120],
    ] as const;
    let least = Infinity;
    for (const [across, down] of [
      [w, h],
      [h, w],
    ] as const) {
      for (let k = 2; k <= 4; k++) {
        const enough = (width: number) => k * width - (k - 1) * 2 >= across - 1e-9;
        const one = (width: number) => width >= across - 1e-9;
        for (const [a, b] of sizes.flatMap(
          ([x, y]) =>
            [
              [x, y],
              [y, x],
            ] as const,
        ))
          if (b >= down - 1e-9 && enough(a) && !one(a)) least = Math.min(least, k * a * b);
        if (enough(roll) && !one(roll)) least = Math.min(least, k * down * roll);
      }
    }
    return least;
  };
  test('joined, it is the least there is', () => {
    fc.assert(
      fc.property(
        eighths(60, 150),
        eighths(60, 150),
        fc.constantFrom(48, 60, 90, 96),
        (width, height, rollWidth) => {
          const found = way(width, height, 'joined', { rollWidth });
          const least = leastJoined(width + 8, height + 8, rollWidth);
          if (found) expect(found.area).toBeCloseTo(least, 6);
          else expect(least).toBe(Infinity);
        },
      ),
      { numRuns: 100 },
    );
  });
  test('of what is there the fewest pieces, whichever way round; at most four', () => {
    const strips = (width: number, count: number) =>
      Array.from({ length: count }, () => ({ width, height: 60 }));
    // 98 across of 26: four reach 98; of 25 five would be wanted.
    expect(way(90, 52, 'pieces', { pieces: strips(26, 5) })).toMatchObject({
      area: 4 * 26 * 60,
      working: [expect.stringMatching(/side by side, lapped 2″, reach 98″/)],
    });
    expect(way(90, 52, 'pieces', { pieces: strips(25, 5) })).toBeUndefined();
    // On its side two are enough, upright it would be three.
    expect(
      way(52, 72, 'pieces', {
        pieces: [
          { width: 24, height: 80 },
          { width: 24, height: 80 },
          { width: 24, height: 80 },
          { width: 42, height: 60 },
          { width: 42, height: 60 },
        ],
      })!.joins,
    ).toHaveLength(1);
    expect(way(44, 50, 'pieces', { pieces: [{ width: 60, height: 54 }] })!.working).toEqual([
      '60 × 54″ holds 52 × 58″',
    ]);
  });
  test('a package is one, and says what it holds', () => {
    expect(way(37, 52, 'package')).toMatchObject({
      buy: { value: 1, kind: 'count', working: ['The smallest package that holds 45 × 60″: 45 × 60″'] },
      working: ['45 × 60″ holds 45 × 60″'],
      joins: [],
      area: 2700,
    });
    expect(way(70, 84, 'roll')).toMatchObject({ joins: [], area: 78 * 96 });
  });
});

describe('quilting at home', () => {
  let layout: Quilt['layout'];
  beforeAll(() => {
    ({ layout } = quiltOf(12, 3, 4, { kind: 'edge-to-edge' }));
  });
  test('along the seams nothing is marked; thread is three times the quilting', () => {
    const ditch = markTop(layout, 'ditch', 3, 'in');
    // Two seams of 48 and three of 36.
    expect(ditch).toMatchObject({
      lines: [],
      count: { value: 0, working: ['The seams are there already: nothing to mark'] },
      length: { value: 204 },
      thread: { value: 612 },
    });
    const grid = markTop(layout, 'grid', 6, 'in');
    // 36 × 48 every six inches from the middle: five upright, seven level.
    expect(grid).toMatchObject({
      count: { value: 12, working: ['Every 6″ from the middle outward: 12 lines'] },
      length: { value: 5 * 48 + 7 * 36 },
      pins: { value: 9 * 12 },
    });
    expect(grid.thread.value).toBe(3 * grid.length.value);
    expect(markTop(layout, 'grid', 15, 'cm').pins.value).toBe(4 * 5);
  });
  test('as good as white, or dark: by how much of the top it is', () => {
    const pile = ['#ffffff', '#ffffff', '#000000', '#888888'].map((c, i) => ({
      id: `b${i}`,
      name: `B${i}`,
      width: 12.5,
      height: 12.5,
      colours: [c, '#000000'],
    }));
    const plan = inchPlan({
      block: { width: 12, height: 12 },
      grid: { across: 2, down: 2 },
      setting: { kind: 'edge-to-edge' },
      pile,
    });
    expect(lightAndDark(plan, computeQuilt(plan).layout)).toEqual({ white: 0.5, dark: 0.25 });
  });
});
