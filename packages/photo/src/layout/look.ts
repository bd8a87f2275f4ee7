import { labOfRgb } from '../camera/flat.ts';
import { lightOfRgb, storedOf } from '../picture/raster.ts';

/** A block as it looks, coarsely: the light of so many cells across and down, red, green and blue. */
export type Look = Float64Array;

/** Cells across and down: enough to tell patterns apart, few enough that a place a little off does not matter. */
const CELLS = 10;
/** Left out all round: seam allowances, which a face does not show, and neighbours that look in; a share of the side. */
const RIM = 0.06;

/**
 * How a square picture looks.
 *
 * @param square red, green, blue and opacity of each pixel in turn, 0 to 255
 * @param size pixels of a side
 */
export function lookOf(square: ArrayLike<number>, size: number): Look {
  const look = new Float64Array(CELLS * CELLS * 3);
  const count = new Float64Array(CELLS * CELLS);
  for (let y = 0; y < size; y++)
    for (let x = 0; x < size; x++) {
      const u = ((x + 0.5) / size - RIM) / (1 - 2 * RIM);
      const v = ((y + 0.5) / size - RIM) / (1 - 2 * RIM);
      if (u < 0 || v < 0 || u >= 1 || v >= 1) continue;
      const cell = Math.floor(v * CELLS) * CELLS + Math.floor(u * CELLS);
      const i = (y * size + x) * 4;
      for (let c = 0; c < 3; c++) look[cell * 3 + c]! += lightOfRgb(square[i + c]!);
      count[cell]!++;
    }
  for (let i = 0; i < look.length; i++) look[i]! /= Math.max(1, count[Math.floor(i / 3)]!);
  return look;
}

/** The look turned a quarter clockwise so many times. */
export function turnedLook(look: Look, quarters: number): Look {
  let turned = look;
  for (let k = 0; k < ((quarters % 4) + 4) % 4; k++) {
    const next = new Float64Array(turned.length);
    for (let y = 0; y < CELLS; y++)
      for (let x = 0; x < CELLS; x++)
        for (let c = 0; c < 3; c++)
          next[(y * CELLS + x) * 3 + c] = turned[((CELLS - 1 - x) * CELLS + y) * 3 + c]!;
    turned = next;
  }
  return turned;
}

/** The look as CIELAB, after its light was multiplied by a gain for each of red, green and blue. */
export function asLab(look: Look, gain: readonly [number, number, number]): Float64Array {
  const lab = new Float64Array(look.length);
  for (let i = 0; i < look.length; i += 3) {
    const [l, a, b] = labOfRgb(
      storedOf(look[i]! * gain[0]),
      storedOf(look[i + 1]! * gain[1]),
      storedOf(look[i + 2]! * gain[2]),
    );
    lab[i] = LIGHT_COUNTS * l;
    lab[i + 1] = a;
    lab[i + 2] = b;
  }
  return lab;
}

/** Lightness counts less than colour: a fold's shadow is lightness. */
const LIGHT_COUNTS = 0.7;

/** How unlike two looks are: the root of the mean square of their cells' differences (CIELAB). */
export function unlike(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += (a[i]! - b[i]!) ** 2;
  return Math.sqrt((sum * 3) / a.length);
}
