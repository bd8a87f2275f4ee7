import { differenceOf } from '@lattice/core';
import { balanced } from '../src/swatch.ts';

/** Stored value of a light (IEC 61966-2-1). */
const stored = (v: number) => 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);
const lightOf = (hex: string) =>
  [1, 3, 5].map((i) => {
    const v = parseInt(hex.slice(i, i + 2), 16) / 255;
    return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
  });

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
    const seen = lightOf(cloth).map((share, c) => stored(share * lamp[c]!)) as [number, number, number];
    const paper = lamp.map((v) => stored(0.85 * v)) as [number, number, number];
    expect(differenceOf(balanced(seen, paper), cloth)).toBeLessThan(2);
  });
  test('and would not without the paper', () => {
    const seen = lightOf('#e8e2d4').map((share, c) => Math.round(stored(share * lamp[c]!)));
    const raw = `#${seen.map((v) => v.toString(16).padStart(2, '0')).join('')}`;
    if (lamp[0] !== lamp[2]) expect(differenceOf(raw, '#e8e2d4')).toBeGreaterThan(5);
  });
});
