import fc from 'fast-check';
import { bindingBySchool, computeQuilt, edgeOutline, type Plan } from '../src/index.ts';
import { biasJoinLoss } from '../src/edge/bias.ts';
import { bestStart, joinsFrom } from '../src/edge/binding-joins.ts';
import { stripsOf } from '../src/edge/binding-strips.ts';
import { mitresOf } from '../src/edge/mitre.ts';
import { bindingLength } from '../src/edge/schools.ts';
import { inchPlan } from './support/plans.ts';
import { edgedPlan as plan, edgeOf, eighths, refusalsOf, toBindWith } from './support/edges.ts';

describe('binding', () => {
  // Rule BD-1, common practice: 65 × 78, each side up to the next ten: 300; the others + 10 and + 12.
  test('schools; a curved or measured edge cannot be rounded up side by side', () => {
    expect(edgeOf(38, 47, {}, { school: 'round-up-sides' }).binding!.length.value).toBe(180);
    // Whole tens already: nothing would be left for the corners.
    expect(edgeOf(40, 50, {}, { school: 'round-up-sides' }).binding!.length.value).toBe(190);
    expect(edgeOf(39, 49, {}, { school: 'round-up-sides' }).binding!.length.value).toBe(190);
    expect(edgeOf(40, 50, {}, { school: 'plus-twelve' }).binding!.length.value).toBe(192);
    const rounded = edgeOf(40, 50, { shape: 'rounded', radius: 6 }, { school: 'round-up-sides' }).binding!;
    expect(rounded.length.value).toBeCloseTo(180 - 48 + 12 * Math.PI + 10, 9);
    expect(rounded.length.working.join()).toMatch(/only be rounded up where they are straight/);
    expect(edgeOf(40, 50, { around: 200 }).binding!.length.value).toBe(210);
  });
  // Rule BD-1, common practice: 65 × 78, each side up to the next ten: 70, 70, 80, 80 = 300; 286 + 10 and + 12.
  test('schools side by side, each with what it comes to', () => {
    const made = plan(32.5, 39, {}, {}, { grid: { across: 2, down: 2 } });
    const side = bindingBySchool(made, { width: 65, height: 78 });
    expect(side.map(({ school, binding }) => [school, binding.length.value])).toEqual([
      ['plus-ten', 296],
      ['round-up-sides', 300],
      ['plus-twelve', 298],
    ]);
    // The one that is chosen is the quilt's own.
    const { binding } = edgeOf(32.5, 39, {}, {}, { grid: { across: 2, down: 2 } });
    expect(side[0]!.binding.strips).toEqual(binding!.strips);
    const none = plan(32.5, 39, { finishes: ['prairie-points'] });
    expect(bindingBySchool(none, { width: 65, height: 78 })).toEqual([]);
  });
  // Rule BD-5. From memory: a 2 1/2" double-fold strip finishes 3/8" wide with a flat batting, 2 1/4" about 5/16".
  test('finished width by fold and batting', () => {
    const width = (
      stripWidth: number,
      fold: 'double' | 'single' = 'double',
      fibre: Plan['batting']['fibre'] = 'cotton',
    ) =>
      edgeOf(40, 50, {}, { stripWidth, fold }, { batting: { ...inchPlan({}).batting, fibre } }).binding!
        .finished.value;
    expect(width(2.5)).toBe(0.375);
    expect(width(2.25)).toBe(0.3125);
    expect(width(1.5, 'single')).toBe(0.3125);
    expect(width(2.5, 'double', 'polyester')).toBeLessThan(width(2.5));
  });
  test('a strip too narrow to cover its seam behind is told', () => {
    const said = (stripWidth: number) =>
      computeQuilt(plan(40, 50, {}, { stripWidth }))
        .advice.filter((a) => a.path.join('.') === 'binding.stripWidth')
        .map((a) => a.message)
        .join();
    // 1 1/2" folded is 3/4": less two seams of 1/4" and 1/8" to wrap round, 1/8" is left.
    expect(said(1.5)).toMatch(
      /leaves 1\/8″ behind and does not cover its seam there: sew it at 3\/16″, or cut it wider/,
    );
    expect(said(2)).toBe('');
  });
  // Rule BD-6, common practice: a main strip of 1 1/2" and one of 1 3/4" for the flange make a binding whose flange shows 1/8".
  test('with a flange built in: 1 1/2" and 1 3/4"', () => {
    const { flange, strips } = edgeOf(
      40,
      50,
      {},
      { stripWidth: 2.75, flange: { visible: 0.125, fabric: 'accent' } },
    ).binding!;
    expect([flange!.main.value, flange!.flange.value]).toEqual([1.5, 1.75]);
    expect(flange!.fabric.value).toBe(strips.value * 1.75);
    expect(refusalsOf(40, 50, {}, { flange: { visible: 1.2, fabric: 'accent' } })).toEqual([
      expect.stringMatching(/leaves nothing of a binding/),
    ]);
  });
  test('leftovers of several widths are used up first, long and short in turn; what is wanting comes from the cloth', () => {
    const { leftovers, strips, joined } = edgeOf(
      40,
      50,
      {},
      {},
      toBindWith([5.25, 30], [2.5, 44], [2, 90]),
    ).binding!;
    // 5 1/4" holds two strips of 2 1/2"; 2" holds none. 30 + 30 + 44 less two joins of 2 1/2" reach 99 of 190.
    expect(leftovers!.lengths).toEqual([44, 30, 30]);
    expect(leftovers!.reach.value).toBe(99);
    expect(leftovers!.wanting.value).toBe(190 - 99 + 2.5);
    expect(leftovers!.tooNarrow).toEqual([2]);
    expect(strips.value).toBe(3);
    // 93 1/2" and 2" to spare are wanted of the cloth: two strips, and what is over of a third may serve something else.
    expect(joined.lengths).toEqual([44, 30, 30, 40, 40, 93.5 + 2 - 80 + 2 * 2.5]);
    expect(edgeOf(12, 12, {}, {}, toBindWith([2.5, 60])).binding!.strips.value).toBe(0);
  });
  test('strips, joined, always reach; whatever the grain', () => {
    fc.assert(
      fc.property(
        eighths(12, 58),
        eighths(12, 58),
        fc.constantFrom('straight', 'bias-square', 'bias-length', 'bias-tube'),
        fc.constantFrom(2, 2.25, 2.5, 3),
        (w, h, grain, stripWidth) => {
          const { binding } = edgeOf(w, h, {}, { grain: grain as 'straight', stripWidth });
          const { length, strips, strictStrips, bias, joined } = binding!;
          if (grain === 'straight') {
            expect(strips.value * 40).toBeGreaterThanOrEqual(length.value - 1e-6);
            expect(strictStrips.value * 40 - (strictStrips.value - 1) * stripWidth).toBeGreaterThanOrEqual(
              length.value - 1e-6,
            );
          } else {
            expect(bias!.gives.value).toBeGreaterThanOrEqual(length.value - 1e-6);
            expect(joined.loss).toBeCloseTo(grain === 'bias-tube' ? 0 : biasJoinLoss(0.25), 12);
            expect(
              joined.lengths.reduce((a, b) => a + b, 0) - (joined.lengths.length - 1) * joined.loss,
            ).toBeCloseTo(bias!.gives.value, 6);
          }
        },
      ),
      { numRuns: 120 },
    );
  });
});

describe('joins of the binding', () => {
  test('lie a strip less a join apart; the best beginning keeps them all from the corners', () => {
    fc.assert(
      fc.property(eighths(30, 100), eighths(30, 100), (w, h) => {
        const outline = edgeOutline({ width: w, height: h });
        const joined = {
          lengths: Array.from({ length: Math.ceil(outline.length / 37) + 1 }, () => 40),
          loss: 2.5,
        };
        const best = bestStart(outline, joined, outline.length, 'in');
        for (let start = 4; start < w; start += 3.5)
          expect(best.clear).toBeGreaterThanOrEqual(
            Math.min(6, joinsFrom(outline, joined, start, outline.length).clear) - 0.51,
          );
        for (const { side, from, point } of best.joins)
          expect(side === 'top' || side === 'bottom' ? point.x : point.y).toBeCloseTo(from, 9);
        expect(best.joins.filter((j) => j.last)).toHaveLength(1);
      }),
      { numRuns: 40 },
    );
  });
  test('a beginning that puts a join on a corner is told, with a better one', () => {
    const bad = plan(40, 50, {}, { start: 1.5 });
    const advice = computeQuilt(bad).advice.filter((a) => a.path.join('.') === 'binding.start');
    expect(advice.map((a) => a.message).join()).toMatch(
      /A join falls 1 1\/2″ from a corner\. Begin .* from the left/,
    );
  });
  // Rule ED-3. Geometry: seams a quarter inch in meet a quarter inch before a square corner, and 0.1036" before one of 135°.
  test('where sewing stops before a corner', () => {
    expect(mitresOf(edgeOutline({ width: 40, height: 50 }), 0.25, 'in')).toMatchObject([
      { angle: 90, count: 4, stop: { value: expect.closeTo(0.25, 9) } },
    ]);
    const clipped = edgeOutline(
      { width: 40, height: 50 },
      { shape: 'clipped', corners: 'all', radius: 8, scallop: { width: 6, depth: 1 } },
    );
    expect(mitresOf(clipped, 0.25, 'in')).toMatchObject([
      { angle: 135, count: 8, stop: { value: expect.closeTo(0.25 * (Math.SQRT2 - 1), 9) } },
    ]);
  });
});

test('each side up to the next 25 cm', () => {
  expect(bindingLength({ width: 96, height: 121 }, 'round-up-sides', 'cm').value).toBe(450);
  expect(bindingLength({ width: 98, height: 123 }, 'round-up-sides', 'cm').value).toBe(475);
  expect(bindingLength({ width: 100, height: 125 }, 'round-up-sides', 'cm').value).toBe(475);
});

// Rule BD-2: 3.98 strips is too close. Arithmetic.
test('whole strips, and one more when the last would be all but used up', () => {
  expect([0, 36, 38, 38.1, 40, 41, 159].map((length) => stripsOf(length, 40, 'in').value)).toEqual([
    0, 1, 1, 2, 2, 2, 5,
  ]);
  expect(stripsOf(38, 40, 'in').working).toHaveLength(1);
  expect(stripsOf(38.1, 40, 'in').working[1]).toBe('The last would be all but used up, so one more: 2');
});
