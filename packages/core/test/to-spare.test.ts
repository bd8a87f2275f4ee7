import fc from 'fast-check';
import { cuttingSteps } from '../src/cutting/steps.ts';
import { formatExact, formatWithUnit } from '../src/length/format.ts';
import { startPlan } from '../src/plan/start.ts';
import { computeQuilt } from '../src/quilt/compute.ts';
import { allowanceFor } from '../src/shopping/buy.ts';
import { NO_ALLOWANCE, shopCut } from '../src/shopping/shop-cut.ts';
import { anyPlan } from './support/plans.ts';

const SQUARED = { ...NO_ALLOWANCE, squaring: 0.5 };

describe('cloth to spare (rule BU-2)', () => {
  // Arithmetic: eight strips of 5" are 40"; squared before the first and after the fourth: 40 + 1/2 + 1/4 = 40 3/4.
  test('the second squaring is bought for: eight strips of 5″ are more than 1⅛ yd', () => {
    const cut = shopCut(40, { ...SQUARED, again: 1 }, 'in');
    expect(cut.text).toBe('1 1/4 yd');
    expect(cut.length.working[0]).toBe(
      '40 needed + 1/2 to square the end + 1 × 1/4 to square it again = 40.75″, next shop cut: 1 1/4 yd = 45″',
    );
    expect(shopCut(40, SQUARED, 'in').text).toBe('1 1/8 yd');
    // In centimetres half a centimetre: 101 + 1 + 3 × 0.5 = 103.5.
    expect(shopCut(101, { ...NO_ALLOWANCE, squaring: 1, again: 3 }, 'cm').length.working[0]).toBe(
      '101 needed + 1 to square the end + 3 × 0.5 to square it again = 103.5 cm, next 10 cm: 1.1 m',
    );
  });

  // Arithmetic: 45 − 44.5 = 1/2; 31.5 − 31.5 = 0; 45 − 40.75 = 4 1/4 is enough.
  test('what is hardly to spare is said, with the next cut', () => {
    expect(shopCut(44, SQUARED, 'in').tight).toBe(
      `Only ${formatWithUnit(0.5, 'in')} to spare: the next cut is 1 1/3 yd`,
    );
    expect(shopCut(31, SQUARED, 'in').tight).toBe('Nothing to spare: the next cut is 1 yd');
    expect(shopCut(40, { ...SQUARED, again: 1 }, 'in').tight).toBeNull();
    expect(shopCut(34.5, SQUARED, 'in').tight).toBeNull();
    expect(shopCut(98, { ...NO_ALLOWANCE, squaring: 1 }, 'cm').tight).toBe(
      'Only 1 cm to spare: the next cut is 1.1 m',
    );
    expect(shopCut(0, SQUARED, 'in').tight).toBeNull();
  });

  // The acts at the table are made by another rule than what is bought: they count one another.
  test('as often as a cloth is squared at the table, so much is bought for it', () => {
    let squaredThrice = 0;
    fc.assert(
      fc.property(anyPlan, (plan) => {
        for (const cloth of computeQuilt(plan).fabrics) {
          const squares = cuttingSteps(cloth, plan.unit).filter(({ kind }) => kind === 'square').length;
          const first = plan.squaring;
          const off = squares === 0 ? 0 : first + ((squares - 1) * first) / 2;
          const { shrinkage, washed } = cloth.fabric;
          const there = cloth.buy.length.value * (washed ? 1 : 1 - shrinkage / 100);
          if (squares > 2) squaredThrice++;
          expect(there).toBeGreaterThanOrEqual(cloth.needed.value + off - 1e-6);
          expect(allowanceFor(plan, cloth.fabric, cloth).again).toBe(Math.max(0, squares - 1));
        }
      }),
    );
    expect(squaredThrice).toBeGreaterThan(0);
  });

  // Common practice: one strip more than the list, of the widest; a length along the selvage is none.
  test('a strip to spare is as wide as the widest, and said', () => {
    const plan = startPlan('sashed-sampler');
    const spared = computeQuilt({ ...plan, spareStrip: true });
    const seen = computeQuilt(plan).fabrics.map(({ fabric, strips, heights, needed }, i) => {
      const widest = Math.max(0, ...strips.map(({ along, width }) => (along ? 0 : width)));
      const off = plan.squaring * (1 + (Math.ceil(heights.length / 4) - 1) / 2);
      const said = spared.fabrics[i]!.buy.length.working[0]!;
      if (widest === 0) expect([fabric.id, said]).toEqual([fabric.id, expect.not.stringContaining('spare')]);
      else expect(said).toContain(`for a strip to spare = ${formatExact(needed.value + off + widest)}″`);
      return widest > 0;
    });
    expect(new Set(seen)).toEqual(new Set([true, false]));
  });
});
