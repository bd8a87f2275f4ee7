import type { Point } from '@lattice/core';
import { perspective, through } from './camera.ts';
import { addColour, type Raster } from '../picture/raster.ts';

/** The colour of a photo at a place, red, green and blue from 0 to 255 (bilinear). */
export function colourAt(raster: Raster, p: Point): readonly [number, number, number] {
  const rgb = new Float64Array(3);
  addColour(raster, p.x, p.y, rgb, 0);
  return [rgb[0]!, rgb[1]!, rgb[2]!];
}

/** Looks into each dot of a straightened picture, across and down: prints do not shimmer. */
const LOOKS = 2;

/**
 * A four-cornered part of a photo as a square picture.
 *
 * @param corners in the photo's pixels, clockwise; the first comes to lie top left
 * @param size pixels of a side
 * @returns red, green, blue and opacity of each pixel in turn
 */
export function straightened(
  raster: Raster,
  corners: readonly Point[],
  size: number,
): Uint8ClampedArray<ArrayBuffer> {
  const out = new Uint8ClampedArray(size * size * 4);
  const onto = perspective(
    [
      { x: 0, y: 0 },
      { x: 1, y: 0 },
      { x: 1, y: 1 },
      { x: 0, y: 1 },
    ],
    corners,
  );
  if (!onto) return out;
  const rgb = new Float64Array(3);
  for (let y = 0, i = 0; y < size; y++)
    for (let x = 0; x < size; x++, i += 4) {
      rgb.fill(0);
      for (let k = 0; k < LOOKS * LOOKS; k++) {
        const u = (x + ((k % LOOKS) + 0.5) / LOOKS) / size;
        const v = (y + (Math.floor(k / LOOKS) + 0.5) / LOOKS) / size;
        const p = through(onto, { x: u, y: v });
        addColour(raster, p.x, p.y, rgb, 0);
      }
      for (let c = 0; c < 3; c++) out[i + c] = rgb[c]! / (LOOKS * LOOKS);
      out[i + 3] = 255;
    }
  return out;
}
