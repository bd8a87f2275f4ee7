import fc from 'fast-check';
import { type Plan, rectangleOf } from '../../src/index.ts';
import type { BackingOption } from '../../src/layer/backing-option.ts';
import { quiltOf } from './plans.ts';
import { measureTiling } from './tiling.ts';

export const cloth = (usable: number, price: number | null = null, upright = false) => ({
  usable,
  price,
  upright,
  allowance: { squaring: 0.5, again: 0, spare: 0, shrinkage: 0 },
});
export const PLAIN = { unit: 'in' as const, overhang: 4, cloth: cloth(40) };
export const STRIPE = { ...cloth(40), seam: 0.25, blocks: null };
export const eighths = (least: number, most: number) =>
  fc.integer({ min: least * 8, max: most * 8 }).map((n) => n / 8);
export const layersOf = (change: Partial<Plan> = {}) =>
  quiltOf(12, 5, 6, { kind: 'edge-to-edge' }, change).layers!;

/** Area of all slabs but the blocks, which lie on their stripe, and whether they cover the backing without gap or overlap. */
export function expectTiled(option: BackingOption, width: number, height: number): void {
  const { union, sum } = measureTiling(
    option.slabs
      .filter((s) => s.what !== 'block')
      .map((s) => ({ outline: rectangleOf(s.x, s.y, s.width, s.height) })),
  );
  expect(union).toBeCloseTo(width * height, 4);
  expect(sum).toBeCloseTo(width * height, 4);
}
