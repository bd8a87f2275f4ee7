import { differenceOf } from '@lattice/core';
import { paperIn, swatchOf } from '../src/cloth/swatch.ts';

/** Stored value of a light (IEC 61966-2-1). */
const stored = (v: number) => 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);
const lightOf = (hex: string) =>
  [1, 3, 5].map((i) => {
    const v = parseInt(hex.slice(i, i + 2), 16) / 255;
    return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
  });

/** A photo of 400 by 240 dots: paper on the left with a black square of 24 on it, as of a far sheet; cloth on the right. */
function photoIn(lamp: readonly number[], cloth: string) {
  const [width, height] = [400, 240];
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i += 4) {
      const ink = x >= 60 && x < 84 && y >= 100 && y < 124;
      const share = x >= 180 ? lightOf(cloth) : ink ? [0.01, 0.01, 0.01] : [0.85, 0.85, 0.85];
      for (let c = 0; c < 3; c++) data[i + c] = Math.round(stored(share[c]! * lamp[c]!));
      data[i + 3] = 255;
    }
  return { width, height, data };
}

/*
 * Lamps by their tint, as red, green and blue of a white seen in them: daylight, a warm bulb, a cool tube, shade (from
 * memory). What a cloth gives back is its own share of each; a difference below 2 nobody sees (CIEDE2000, common practice).
 */
describe.each([
  ['daylight', [0.9, 0.9, 0.9]],
  ['a warm bulb', [0.9, 0.66, 0.36]],
  ['a cool tube', [0.6, 0.8, 0.9]],
  ['shade', [0.22, 0.27, 0.36]],
])('a cloth in %s', (_name, lamp) => {
  test.each(['#b23a48', '#274690', '#e8e2d4', '#3f7d58', '#7a4b94'])('%s keeps its colour', (cloth) => {
    const raster = photoIn(lamp, cloth);
    // White is found by itself beside the square, and no ink is taken for it.
    const paper = paperIn(raster)!;
    expect(differenceOf(swatchOf(raster, { x: 300, y: 120 }, paper), cloth)).toBeLessThan(2);
  });
  test('and would not without the paper', () => {
    const seen = lightOf('#e8e2d4').map((share, c) => Math.round(stored(share * lamp[c]!)));
    const raw = `#${seen.map((v) => v.toString(16).padStart(2, '0')).join('')}`;
    if (lamp[0] !== lamp[2]) expect(differenceOf(raw, '#e8e2d4')).toBeGreaterThan(5);
  });
});
