import type { Point } from '@lattice/core';
import type { Camera } from './camera.ts';
import { addColour, type Raster, shrunk } from '../picture/raster.ts';

/** The table seen from straight above: each pixel's colour in CIELAB, where the photo shows it. */
export interface Flat {
  readonly width: number;
  readonly height: number;
  /** Pixels to the inch. */
  readonly perInch: number;
  /** The place of its top left corner, in inches. */
  readonly left: number;
  readonly top: number;
  readonly l: Float32Array;
  readonly a: Float32Array;
  readonly b: Float32Array;
  /** 1 where the photo shows the place. */
  readonly shown: Uint8Array;
}

/** The table is not looked at farther than this from the reference, in inches. */
const FARTHEST = 60;
/** Pixels to the inch at most: enough for a quarter of a seam allowance. */
const FINEST = 16;
const MOST_PIXELS = 420_000;

/** The part of the table a photo shows, seen from straight above. */
export function flattened(raster: Raster, camera: Camera, about: readonly Point[]): Flat {
  const { left, top, right, bottom } = partShown(raster, camera, about);
  const wide = right - left;
  const tall = bottom - top;
  const perInch = Math.min(FINEST, Math.sqrt(MOST_PIXELS / (wide * tall)));
  const width = Math.max(8, Math.floor(wide * perInch));
  const height = Math.max(8, Math.floor(tall * perInch));
  // How many of the photo's pixels make one of these: it is shrunk first, so that noise averages out.
  const middle = { x: left + wide / 2, y: top + tall / 2 };
  const a0 = camera.seen(middle);
  const a1 = camera.seen({ x: middle.x + 1 / perInch, y: middle.y });
  const dots = Math.floor(Math.hypot(a1.x - a0.x, a1.y - a0.y));
  // An even number, so that its half, which the squares were looked for in, serves.
  const by = Math.max(1, dots > 2 ? dots - (dots % 2) : dots);
  const small = shrunk(raster, by);
  const size = width * height;
  const flat = {
    width,
    height,
    perInch,
    left,
    top,
    l: new Float32Array(size),
    a: new Float32Array(size),
    b: new Float32Array(size),
    shown: new Uint8Array(size),
  };
  const rgb = new Float64Array(3);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      const place = { x: left + (x + 0.5) / perInch, y: top + (y + 0.5) / perInch };
      const p = camera.seen(place);
      if (p.x < 0 || p.y < 0 || p.x >= raster.width || p.y >= raster.height || camera.away(place) <= 0)
        continue;
      rgb.fill(0);
      addColour(small, p.x / by, p.y / by, rgb, 0);
      flat.shown[i] = 1;
      intoLab(rgb, flat, i);
    }
  return flat;
}

/** The box of the table the photo shows, as far as it is near the reference. */
function partShown(raster: Raster, camera: Camera, about: readonly Point[]) {
  const mx = about.reduce((s, p) => s + p.x, 0) / about.length;
  const my = about.reduce((s, p) => s + p.y, 0) / about.length;
  const edge: Point[] = [];
  for (let i = 0; i <= 12; i++) {
    const x = (raster.width * i) / 12;
    const y = (raster.height * i) / 12;
    edge.push({ x, y: 0 }, { x, y: raster.height }, { x: 0, y }, { x: raster.width, y });
  }
  const near = (v: number, m: number) => Math.min(Math.max(v, m - FARTHEST), m + FARTHEST);
  const places = edge
    .map((p) => camera.place(p))
    .filter((p) => camera.away(p) > 0 && Number.isFinite(p.x + p.y))
    .map((p) => ({ x: near(p.x, mx), y: near(p.y, my) }));
  const xs = places.map((p) => p.x);
  const ys = places.map((p) => p.y);
  return { left: Math.min(...xs), top: Math.min(...ys), right: Math.max(...xs), bottom: Math.max(...ys) };
}

/** Light of each stored value (IEC 61966-2-1), finely enough to be looked up. */
const LINEAR = Float64Array.from({ length: 4081 }, (_, i) => {
  const v = i / 4080;
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
});

/** A colour of sRGB as CIELAB under D65 (CIE 15), written to one pixel. */
function intoLab(rgb: Float64Array, into: Pick<Flat, 'l' | 'a' | 'b'>, i: number): void {
  const [l, a, b] = labOfRgb(rgb[0]!, rgb[1]!, rgb[2]!);
  into.l[i] = l;
  into.a[i] = a;
  into.b[i] = b;
}

/** A colour of sRGB (0 to 255 each, fractions too) as CIELAB under D65 (CIE 15). */
export function labOfRgb(red: number, green: number, blue: number): readonly [number, number, number] {
  const r = LINEAR[Math.round(red * 16)]!;
  const g = LINEAR[Math.round(green * 16)]!;
  const b = LINEAR[Math.round(blue * 16)]!;
  const x = root((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / 0.95047);
  const y = root(0.2126729 * r + 0.7151522 * g + 0.072175 * b);
  const z = root((0.0193339 * r + 0.119192 * g + 0.9503041 * b) / 1.08883);
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

const root = (t: number): number => (t > 216 / 24389 ? Math.cbrt(t) : (24389 / 27 / 116) * t + 16 / 116);

/** Each pixel the middle one of itself and its neighbours: thin lines and specks go, edges stay. */
export function despeckled(plane: Float32Array, width: number, height: number): Float32Array {
  const out = Float32Array.from(plane);
  const nine = new Float32Array(9);
  for (let y = 1; y + 1 < height; y++)
    for (let x = 1; x + 1 < width; x++) {
      let n = 0;
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) nine[n++] = plane[(y + dy) * width + x + dx]!;
      // Insertion as far as the middle: nine numbers are too few for anything cleverer.
      for (let i = 1; i < 9; i++) {
        const v = nine[i]!;
        let j = i - 1;
        while (j >= 0 && nine[j]! > v) nine[j + 1] = nine[j--]!;
        nine[j + 1] = v;
      }
      out[y * width + x] = nine[4]!;
    }
  return out;
}
