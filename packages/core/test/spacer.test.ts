import fc from 'fast-check';
import {
  computeQuilt,
  layOut,
  type Plan,
  planProblems,
  repeatsOf,
  spacerFits,
  withSpacer,
} from '../src/index.ts';
import { borderOf, inchPlan } from './support/plans.ts';

/** 41 × 53: a centre that 4" repeats do not fit. */
const plan = (corners: Plan['borders'][number]['corners'], change: Partial<Plan> = {}) =>
  inchPlan({
    block: { width: 20.5, height: 26.5 },
    grid: { across: 2, down: 2 },
    setting: { kind: 'edge-to-edge' },
    borders: [borderOf(1, 'accent'), { ...borderOf(4, 'border'), corners, repeat: 4 }],
    ...change,
  });

describe('a spacer border', () => {
  // Rule BO-7.
  test('by hand: 41 × 53 inside, 4" repeats: 1 1/2" all round makes 44 × 56, eleven and fourteen repeats', () => {
    const before = plan('squares');
    expect(repeatsOf(before, layOut(before).sizes, 1)).toMatchObject({
      across: 43 / 4,
      down: 55 / 4,
      fits: false,
    });
    const [best] = spacerFits(before, layOut(before).sizes, 1);
    expect(best).toMatchObject({
      sides: { value: 1.5 },
      ends: { value: 1.5 },
      across: 11,
      down: 14,
      onRuler: true,
    });
    expect(best!.sides.working).toEqual(['Along the top: 11 repeats × 4 = 44, less 41 inside, halved = 1.5']);
    const after = withSpacer(before, 1, best!, 'spacer');
    expect(repeatsOf(after, layOut(after).sizes, 1)).toEqual({ across: 11, down: 14, fits: true });
  });
  test('a border butted sides first has its own corners on the top strips', () => {
    const before = plan('sides-first');
    for (const fit of spacerFits(before, layOut(before).sizes, 1))
      expect((41 + 2 * fit.sides.value + 8) / 4).toBeCloseTo(fit.across, 9);
  });
  test('it fits only where both ways come out even; a width off the ruler is told; a plain border has no repeats to fit', () => {
    const of = (width: number, height: number) => {
      const made = plan('squares', { block: { width, height } });
      return {
        repeats: repeatsOf(made, layOut(made).sizes, 1),
        fits: spacerFits(made, layOut(made).sizes, 1),
      };
    };
    // 38 + 2 and 50 + 2 are ten and thirteen repeats; 39 + 2 and 51 + 2 are neither.
    expect([of(19, 25), of(19, 25.5), of(19.5, 25), of(19.5, 25.5)].map((o) => o.repeats!.fits)).toEqual([
      true,
      false,
      false,
      false,
    ]);
    expect(of(19.03, 25).fits[0]).toMatchObject({ onRuler: false });
    expect(of(19, 25.03).fits[0]).toMatchObject({ onRuler: false });
    const plain = plan('squares', { borders: [borderOf(1, 'accent'), borderOf(4, 'border')] });
    expect([repeatsOf(plain, layOut(plain).sizes, 1), spacerFits(plain, layOut(plain).sizes, 1)]).toEqual([
      null,
      [],
    ]);
    const butted = plan('sides-first');
    expect(spacerFits(butted, layOut(butted).sizes, 1)[0]!.sides.working[0]).toMatch(
      /less 41 inside and 8 of its own corners, halved/,
    );
  });
  test('where no border is inside, a new one is put there', () => {
    const before = plan('mitred', {
      borders: [{ ...borderOf(4, 'border'), corners: 'mitred', repeat: 4 }],
    });
    // Once that border is sewn and measured nothing goes inside it any more.
    const sewn = { ...before, measured: [{ borders: 1, width: [49, 49, 49], height: [61, 61, 61] }] } as Plan;
    expect(spacerFits(sewn, layOut(sewn).sizes, 0)).toEqual([]);
    const [best] = spacerFits(before, layOut(before).sizes, 0);
    const after = withSpacer(before, 0, best!, 'spacer');
    expect(after.borders).toHaveLength(2);
    expect(repeatsOf(after, layOut(after).sizes, 1)!.fits).toBe(true);
  });
  test('by what the centre measured, once it is measured', () => {
    const real = plan('squares', {
      measured: [{ borders: 0, width: [41.25, 41.25, 41.25], height: [53.5, 53.5, 53.5] }],
    });
    const [best] = spacerFits(real, layOut(real).sizes, 1);
    expect(best!.sides.value).toBeCloseTo((44 - 40.75) / 2, 9);
  });
  test('every answer comes out even, can be sewn, and is sound', () => {
    const eighths = (least: number, most: number) =>
      fc.integer({ min: least * 8, max: most * 8 }).map((n) => n / 8);
    fc.assert(
      fc.property(
        eighths(6, 20),
        eighths(6, 20),
        eighths(1, 8),
        fc.constantFrom('squares', 'mitred', 'sides-first', 'top-first') as fc.Arbitrary<'squares'>,
        (w, h, repeat, corners) => {
          const before = plan(corners, { block: { width: w, height: h } });
          const patterned = { ...before, borders: [before.borders[0]!, { ...before.borders[1]!, repeat }] };
          const fits = spacerFits(patterned, layOut(patterned).sizes, 1);
          expect(fits.length).toBeGreaterThan(0);
          for (const fit of fits) {
            const after = withSpacer(patterned, 1, fit, 'spacer');
            expect(Math.min(fit.sides.value, fit.ends.value)).toBeGreaterThanOrEqual(0.5 - 1e-9);
            expect(planProblems(after)).toEqual([]);
            expect(repeatsOf(after, layOut(after).sizes, 1)!.fits).toBe(true);
          }
        },
      ),
      { numRuns: 100 },
    );
  });
  // By hand: 41 × 53 inside a border butted top first, 4 wide: its sides run 53 + 2 × 4 and the spacer.
  test('a border butted top first has its own corners on the side strips; the evenest and least moved comes first', () => {
    const before = plan('top-first');
    const fits = spacerFits(before, layOut(before).sizes, 1);
    for (const fit of fits) {
      expect((53 + 2 * fit.ends.value + 8) / 4).toBeCloseTo(fit.down, 9);
      expect((41 + 2 * fit.sides.value) / 4).toBeCloseTo(fit.across, 9);
    }
    const cost = (f: (typeof fits)[number]) =>
      2 * Math.abs(f.sides.value - f.ends.value) + Math.abs(f.sides.value - 1) + Math.abs(f.ends.value - 1);
    expect(fits.map(cost)).toEqual(fits.map(cost).sort((a, b) => a - b));
    // Every whole number of repeats that leaves half an inch to sew, three at most each way, tried out.
    const ways = [11, 12, 13]
      .flatMap((across) =>
        [15, 16, 17].map((down) => ({
          sides: { value: (4 * across - 41) / 2 },
          ends: { value: (4 * down - 61) / 2 },
        })),
      )
      .filter((f) => f.sides.value >= 0.5 && f.ends.value >= 0.5);
    expect(cost(fits[0]!)).toBeCloseTo(Math.min(...ways.map((w) => cost(w as never))), 9);
    expect(repeatsOf(before, layOut(before).sizes, 1)).toMatchObject({
      across: 41 / 4 + 0.5,
      down: 61 / 4 + 0.5,
    });
  });
  test('plain cloth has nothing to fit', () => {
    const before = plan('squares', { borders: [borderOf(4, 'border')] });
    expect(repeatsOf(before, layOut(before).sizes, 0)).toBeNull();
    expect(spacerFits(before, layOut(before).sizes, 0)).toEqual([]);
    expect(computeQuilt(before).finished.width.value).toBe(49);
  });
});
