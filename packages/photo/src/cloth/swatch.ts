import type { Point } from '@lattice/core';
import { addColour, lightOfRgb, type Raster, storedOf } from '../picture/raster.ts';
import { darkSquares } from '../reference/squares.ts';

/** Red, green and blue from 0 to 255. */
type Rgb = readonly [number, number, number];

/** What white paper gives back of the light that falls on it (office paper; from memory). */
const PAPER = 0.85;

/**
 * The colour of cloth under even white light, by white paper seen in the same light: each of red, green and blue
 * is set against the paper's.
 *
 * @returns as #rrggbb
 */
function balanced(cloth: Rgb, paper: Rgb): string {
  const channel = (c: 0 | 1 | 2) => {
    const light = (lightOfRgb(cloth[c]) / Math.max(1e-3, lightOfRgb(paper[c]))) * PAPER;
    return Math.round(storedOf(light));
  };
  return `#${([0, 1, 2] as const).map((c) => channel(c).toString(16).padStart(2, '0')).join('')}`;
}

/** Dots looked at across and down a spot. */
const ACROSS = 16;

/** The mean colour round a place of a photo, mixed in light. */
function colourRound(raster: Raster, at: Point, reach: number): Rgb {
  const rgb = new Float64Array(3);
  const sum = [0, 0, 0];
  for (let y = 0; y < ACROSS; y++)
    for (let x = 0; x < ACROSS; x++) {
      rgb.fill(0);
      const off = (k: number) => ((k + 0.5) / ACROSS - 0.5) * 2 * reach;
      addColour(raster, at.x + off(x), at.y + off(y), rgb, 0);
      for (let c = 0; c < 3; c++) sum[c]! += lightOfRgb(rgb[c]!);
    }
  return sum.map((light) => storedOf(light / (ACROSS * ACROSS))) as unknown as Rgb;
}

/** A place of white paper in a photo: beside the largest black square there is; null where there is none. */
export function paperIn(raster: Raster): Point | null {
  const [square] = darkSquares(raster).sort((a, b) => b.side - a.side);
  if (!square) return null;
  // A quarter of a side out from the middle of one side: there the paper is white all round the square.
  const [a, b] = square.corners;
  const out = { x: (a.x + b.x) / 2 - square.middle.x, y: (a.y + b.y) / 2 - square.middle.y };
  return { x: square.middle.x + 1.4 * out.x, y: square.middle.y + 1.4 * out.y };
}

/** How far round its place cloth is looked at, and paper: a share of the photo's longer side. Paper beside a square is narrow, and ink would darken it. */
const CLOTH_SPOT = 0.012;
const PAPER_SPOT = 0.002;

/** The colour of the cloth at one place, set against the white paper at another; as #rrggbb. */
export function swatchOf(raster: Raster, cloth: Point, paper: Point): string {
  const long = Math.max(raster.width, raster.height);
  return balanced(
    colourRound(raster, cloth, CLOTH_SPOT * long),
    colourRound(raster, paper, PAPER_SPOT * long),
  );
}
