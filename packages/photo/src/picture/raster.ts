/** A photo as its pixels: red, green, blue and opacity of each in turn, 0 to 255, row by row. Pixel (0,0) begins at the picture's outer corner. */
export interface Raster {
  readonly width: number;
  readonly height: number;
  readonly data: ArrayLike<number>;
}

/** How bright each pixel of a picture is, 0 to 255 (Rec. 601 weights, as in JPEG itself). */
export interface Grey {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array;
}

export const brightness = (r: number, g: number, b: number): number => 0.299 * r + 0.587 * g + 0.114 * b;

/** How much light each stored brightness stands for, 0 to 1 (IEC 61966-2-1, sRGB): blur mixes light, not numbers. */
const LIGHT = Float64Array.from({ length: 257 }, (_, i) =>
  i <= 10 ? i / 255 / 12.92 : ((i / 255 + 0.055) / 1.055) ** 2.4,
);

/** How much light a stored brightness of 0 to 255 (fractions too) stands for, 0 to 1. */
export function lightOfRgb(v: number): number {
  const low = v <= 0 ? 0 : v >= 255 ? 255 : Math.floor(v);
  return LIGHT[low]! + (Math.min(255, Math.max(0, v)) - low) * (LIGHT[low + 1]! - LIGHT[low]!);
}

/** The stored number, 0 to 255, that stands for so much light (IEC 61966-2-1); light beyond white is white. */
export function storedOf(light: number): number {
  const v = Math.min(1, Math.max(0, light));
  return 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);
}

/** The picture made smaller by a whole number: each pixel is the mean of a square of them. What is left over at the right and below is dropped. */
export function shrunk(raster: Raster, by: number): Raster {
  if (by <= 1) return raster;
  if (by % 2 === 0 && by > 2) return shrunk(half(raster), by / 2);
  if (by === 2) return half(raster);
  return reduced(raster, by);
}

/** A large photo is gone through once: what is smaller is made of its half. */
const halves = new WeakMap<Raster, Raster>();
function half(raster: Raster): Raster {
  let made = halves.get(raster);
  if (!made) halves.set(raster, (made = reduced(raster, 2)));
  return made;
}

function reduced(raster: Raster, by: number): Raster {
  const width = Math.floor(raster.width / by);
  const height = Math.floor(raster.height / by);
  const data = new Uint8ClampedArray(width * height * 4);
  const from = raster.data;
  const sums = new Uint32Array(width * 3);
  const each = by * by;
  for (let y = 0; y < height; y++) {
    sums.fill(0);
    for (let dy = 0; dy < by; dy++) {
      let i = (y * by + dy) * raster.width * 4;
      for (let x = 0, s = 0; x < width; x++, s += 3) {
        let r = 0;
        let g = 0;
        let b = 0;
        for (let dx = 0; dx < by; dx++, i += 4) {
          r += from[i]!;
          g += from[i + 1]!;
          b += from[i + 2]!;
        }
        sums[s]! += r;
        sums[s + 1]! += g;
        sums[s + 2]! += b;
      }
    }
    for (let x = 0, s = 0, o = y * width * 4; x < width; x++, s += 3, o += 4) {
      data[o] = sums[s]! / each;
      data[o + 1] = sums[s + 1]! / each;
      data[o + 2] = sums[s + 2]! / each;
      data[o + 3] = 255;
    }
  }
  return { width, height, data };
}

/** The picture without its colours. */
export function greyOf({ width, height, data: from }: Raster): Grey {
  const data = new Uint8Array(width * height);
  for (let i = 0, j = 0; i < data.length; i++, j += 4)
    data[i] = brightness(from[j]!, from[j + 1]!, from[j + 2]!);
  return { width, height, data };
}

/**
 * The colour at a place between pixels (bilinear), added to three numbers of `into` from `at`.
 *
 * @param x, y in pixels from the picture's outer corner; outside it, its edge goes on
 */
export function addColour(raster: Raster, x: number, y: number, into: Float64Array, at: number): void {
  const { width, height, data } = raster;
  const px = Math.min(Math.max(x - 0.5, 0), width - 1.001);
  const py = Math.min(Math.max(y - 0.5, 0), height - 1.001);
  const x0 = Math.floor(px);
  const y0 = Math.floor(py);
  const fx = px - x0;
  const fy = py - y0;
  const i = (y0 * width + x0) * 4;
  const j = i + width * 4;
  const a = (1 - fx) * (1 - fy);
  const b = fx * (1 - fy);
  const c = (1 - fx) * fy;
  const d = fx * fy;
  into[at]! += a * data[i]! + b * data[i + 4]! + c * data[j]! + d * data[j + 4]!;
  into[at + 1]! += a * data[i + 1]! + b * data[i + 5]! + c * data[j + 1]! + d * data[j + 5]!;
  into[at + 2]! += a * data[i + 2]! + b * data[i + 6]! + c * data[j + 2]! + d * data[j + 6]!;
}
