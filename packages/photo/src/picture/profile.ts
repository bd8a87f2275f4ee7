import type { Point } from '@lattice/core';
import { addColour, brightness, lightOfRgb, type Raster } from './raster.ts';

/** Colours met on the way across an edge: `count` steps of `step` pixels, the middle one on the place asked about. */
export interface Profile {
  readonly step: number;
  readonly count: number;
  /** Red, green, blue of each step. */
  readonly rgb: Float64Array;
}

/**
 * The colours met going straight across a place, each the mean of a few side by side along the edge.
 *
 * @param at the place, in pixels
 * @param across the way, of length 1
 * @param half how far to either side, in pixels
 * @param wide how much of the edge is taken together, in pixels
 */
export function profileAcross(
  raster: Raster,
  at: Point,
  across: Point,
  half: number,
  step: number,
  wide: number,
): Profile {
  const each = Math.max(1, Math.round(half / step));
  const count = 2 * each + 1;
  const rgb = new Float64Array(count * 3);
  const beside = Math.max(1, Math.round(wide));
  for (let w = 0; w < beside; w++) {
    const s = w - (beside - 1) / 2;
    const x = at.x - s * across.y;
    const y = at.y + s * across.x;
    for (let i = 0; i < count; i++) {
      const d = (i - each) * step;
      addColour(raster, x + d * across.x, y + d * across.y, rgb, i * 3);
    }
  }
  for (let i = 0; i < rgb.length; i++) rgb[i]! /= beside;
  return { step, count, rgb };
}

/**
 * A profile without what is thin: lines of a mat, threads. Each step becomes the middle one of those round it, which
 * leaves a step from one colour to another where it is.
 *
 * @param wide how many steps are looked at together
 */
export function withoutThinLines({ step, count, rgb }: Profile, wide: number): Profile {
  const half = Math.floor(wide / 2);
  if (half < 1) return { step, count, rgb };
  const out = new Float64Array(rgb.length);
  const near = new Float64Array(2 * half + 1);
  for (let c = 0; c < 3; c++)
    for (let i = 0; i < count; i++) {
      const reach = Math.min(half, i, count - 1 - i);
      const n = 2 * reach + 1;
      for (let k = 0; k < n; k++) {
        const v = rgb[3 * (i - reach + k) + c]!;
        let j = k - 1;
        while (j >= 0 && near[j]! > v) near[j + 1] = near[j--]!;
        near[j + 1] = v;
      }
      out[3 * i + c] = near[reach]!;
    }
  return { step, count, rgb: out };
}

/** How bright each step of a profile is. */
export const brightnessOf = ({ rgb, count }: Profile): Float64Array =>
  Float64Array.from({ length: count }, (_, i) => brightness(rgb[3 * i]!, rgb[3 * i + 1]!, rgb[3 * i + 2]!));

/** How much light comes from each step of a profile, 0 to 1. */
const lightOf = (profile: Profile): Float64Array => brightnessOf(profile).map(lightOfRgb);

/**
 * Where a profile passes half way from its dark beginning to its bright end, in pixels from its middle; null where it does
 * not rise by `least`. The half-way place does not move when the picture is blurred.
 */
export function halfWay(profile: Profile, least: number): number | null {
  const level = lightOf(profile);
  const n = level.length;
  const q = Math.max(2, Math.floor(n / 5));
  const dark = middleOf(level.subarray(0, q));
  const bright = middleOf(level.subarray(n - q));
  if (bright - dark < lightOfRgb(least)) return null;
  const half = (dark + bright) / 2;
  // From the middle of the ends inwards, so that a speck near an end does not count.
  let best: number | null = null;
  let steepest = 0;
  for (let i = 0; i + 1 < n; i++) {
    const a = level[i]!;
    const b = level[i + 1]!;
    if (a <= half && b > half) {
      const rise = level[Math.min(n - 1, i + 3)]! - level[Math.max(0, i - 2)]!;
      if (rise > steepest) {
        steepest = rise;
        best = (i + (half - a) / (b - a) - (n - 1) / 2) * profile.step;
      }
    }
  }
  return best;
}

const middleOf = (list: Float64Array): number => {
  const sorted = Float64Array.from(list).sort();
  return sorted[Math.floor(sorted.length / 2)]!;
};
