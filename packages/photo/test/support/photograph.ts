import type { Point } from '@lattice/core';
import { randomFrom } from '@lattice/core';
import type { Raster } from '../../src/picture/raster.ts';

/**
 * A camera of the tests' own, built another way than the one under test: it shoots a ray through every dot of the film
 * and looks what it meets on the table. Blur, noise and light are added in light, not in stored numbers.
 */

/** What the table looks like at a place, in inches: its light, red, green and blue, 0 to 1. */
export type Table = (x: number, y: number) => readonly [number, number, number];

export interface Shot {
  readonly width: number;
  readonly height: number;
  /** Where the camera stands, in inches: across and down the table, and above it. */
  readonly stands: readonly [number, number, number];
  /** Where on the table it looks at. */
  readonly looksAt: Point;
  /** How it is rolled, in degrees. */
  readonly roll: number;
  /** Focal length in pixels. */
  readonly focal: number;
  /** Where the lens's axis meets the film, off its middle, in pixels. */
  readonly axis: Point;
  /** How the lens bends: seen at r·(1 + bend·r²), r in focal lengths. */
  readonly bend: number;
  /** Blur, as a standard deviation in pixels. */
  readonly blur: number;
  /** Noise, as a standard deviation of the stored 0 to 255. */
  readonly noise: number;
}

type Vector = readonly [number, number, number];
const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const unit = (a: Vector): Vector => {
  const long = Math.hypot(...a);
  return [a[0] / long, a[1] / long, a[2] / long];
};
const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** The three ways of a camera: to the right, down, and forward. The table's third way leads away from it. */
function ways({ stands, looksAt, roll }: Shot): { right: Vector; down: Vector; forward: Vector; at: Vector } {
  const at: Vector = [stands[0], stands[1], -stands[2]];
  const forward = unit(minus([looksAt.x, looksAt.y, 0], at));
  const right0 = unit(cross([0, 1, 0], forward));
  const down0 = cross(forward, right0);
  const c = Math.cos((roll * Math.PI) / 180);
  const s = Math.sin((roll * Math.PI) / 180);
  const turn = (a: Vector, b: Vector, p: number, q: number): Vector => [
    p * a[0] + q * b[0],
    p * a[1] + q * b[1],
    p * a[2] + q * b[2],
  ];
  return { at, forward, right: turn(right0, down0, c, s), down: turn(right0, down0, -s, c) };
}

/** Where a place on the table falls on the film, in pixels. */
export function onFilm(shot: Shot, p: Point): Point {
  const { at, right, down, forward } = ways(shot);
  const v = minus([p.x, p.y, 0], at);
  const z = dot(v, forward);
  const x = dot(v, right) / z;
  const y = dot(v, down) / z;
  const k = shot.focal * (1 + shot.bend * (x * x + y * y));
  return { x: shot.width / 2 + shot.axis.x + k * x, y: shot.height / 2 + shot.axis.y + k * y };
}

const stored = (light: number): number => {
  const v = Math.min(1, Math.max(0, light));
  return 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);
};

/** Three rays through each dot, no two in one row or column. */
const RAYS = [
  [1 / 6, 1 / 2],
  [1 / 2, 5 / 6],
  [5 / 6, 1 / 6],
] as const;

/** Takes the photo. */
export function photograph(table: Table, shot: Shot, seed = 1): Raster {
  const { width, height, focal, bend, axis, blur, noise } = shot;
  const { at, right, down, forward } = ways(shot);
  const light = new Float32Array(width * height * 3);
  for (let py = 0; py < height; py++)
    for (let px = 0; px < width; px++) {
      let r = 0;
      let g = 0;
      let b = 0;
      for (let k = 0; k < RAYS.length; k++) {
        const x = (px + RAYS[k]![0] - width / 2 - axis.x) / focal;
        const y = (py + RAYS[k]![1] - height / 2 - axis.y) / focal;
        // The lens taken back by running towards the radius that would have been bent to this one.
        const bent = x * x + y * y;
        let straight = bent;
        for (let i = 0; i < 6; i++) straight = bent / (1 + bend * straight) ** 2;
        const f = bent === 0 ? 1 : Math.sqrt(straight / bent);
        const vx = f * x * right[0] + f * y * down[0] + forward[0];
        const vy = f * x * right[1] + f * y * down[1] + forward[1];
        const vz = f * x * right[2] + f * y * down[2] + forward[2];
        const away = vz > 1e-6 ? -at[2] / vz : 1e6;
        const seen = table(at[0] + away * vx, at[1] + away * vy);
        r += seen[0];
        g += seen[1];
        b += seen[2];
      }
      const i = (py * width + px) * 3;
      light[i] = r / RAYS.length;
      light[i + 1] = g / RAYS.length;
      light[i + 2] = b / RAYS.length;
    }
  const soft = blurred(light, width, height, blur);
  const random = randomFrom(seed);
  const bell = () => (random() + random() + random() + random() - 2) * Math.sqrt(3);
  const data = new Uint8ClampedArray(width * height * 4);
  for (let i = 0, j = 0; j < data.length; i += 3, j += 4) {
    for (let c = 0; c < 3; c++) data[j + c] = Math.round(stored(soft[i + c]!) + noise * bell());
    data[j + 3] = 255;
  }
  return { width, height, data };
}

/** Blurred across, then down (a bell of the given spread). */
function blurred(light: Float32Array, width: number, height: number, spread: number): Float32Array {
  if (spread <= 0) return light;
  const half = Math.ceil(3 * spread);
  const bell = Array.from({ length: 2 * half + 1 }, (_, i) => Math.exp(-(((i - half) / spread) ** 2) / 2));
  const sum = bell.reduce((s, v) => s + v, 0);
  const weights = bell.map((v) => v / sum);
  const pass = (from: Float32Array, across: boolean): Float32Array => {
    const out = new Float32Array(from.length);
    const [long, count, along, next] = across ? [width, height, 3, width * 3] : [height, width, width * 3, 3];
    for (let row = 0; row < count; row++)
      for (let c = 0; c < 3; c++)
        for (let i = 0, at = row * next + c; i < long; i++) {
          let v = 0;
          for (let k = -half; k <= half; k++)
            v += weights[k + half]! * from[at + Math.min(long - 1, Math.max(0, i + k)) * along]!;
          out[at + i * along] = v;
        }
    return out;
  };
  return pass(pass(light, true), false);
}
