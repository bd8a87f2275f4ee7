import fc from 'fast-check';
import { computeQuilt, type Plan } from '../src/index.ts';
import { planBatting } from '../src/layer/batting.ts';
import { lightAndDark } from '../src/layer/batting-advice.ts';
import { inchPlan, quiltOf } from './support/plans.ts';
import { eighths } from './support/layers.ts';

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
              pieced: null,
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
