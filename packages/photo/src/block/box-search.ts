import type { Point } from '@lattice/core';
import type { Flat } from '../camera/flat.ts';
import { regionsOf } from '../picture/regions.ts';

/** A rectangle lying askew on the table, found in a flat picture. */
export interface FoundBox {
  /** Its corners, clockwise, in inches. */
  readonly corners: readonly Point[];
  /** How much in it is unlike the ground less how much is like it, in square inches. */
  readonly score: number;
  readonly area: number;
}

/** Pixels of the picture searched, along its longer side. */
const LONG = 128;
/** Angles tried: a quarter turn, divided. */
const EVERY_ANGLE = Array.from({ length: 30 }, (_, k) => (k * Math.PI) / 2 / 30);
/** A block is no narrower than this, in inches. */
const NARROWEST = 1.2;

/**
 * Whether each pixel is something laid on the ground: 1 where it surely is, −1 where it surely is ground.
 *
 * @param unlike how unlike the ground each is
 * @param hidden 1 where the reference lies
 * @param least how unlike the ground a thing must be
 */
export function laidOn(flat: Flat, unlike: Float32Array, hidden: Uint8Array, least: number): Float32Array {
  const laid = Float32Array.from(unlike, (u, i) =>
    !flat.shown[i] || hidden[i] ? -1 : Math.max(-1, Math.min(1, (u - least) / 2)),
  );
  const thin = Math.max(1, Math.round(THIN * flat.perInch));
  const worn = spread(laid, flat.width, flat.height, thin, Math.min);
  return spread(worn, flat.width, flat.height, thin, Math.max);
}

/** What is thinner than twice this is no block, in inches: lines of a mat, threads, pens. */
const THIN = 0.13;

/** Each pixel the least (or most) of those within so many pixels of it, across and down. */
function spread(
  plane: Float32Array,
  width: number,
  height: number,
  by: number,
  pick: (a: number, b: number) => number,
): Float32Array {
  const rows = new Float32Array(plane.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let v = plane[y * width + x]!;
      for (let k = Math.max(0, x - by); k <= Math.min(width - 1, x + by); k++)
        v = pick(v, plane[y * width + k]!);
      rows[y * width + x] = v;
    }
  const out = new Float32Array(plane.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let v = rows[y * width + x]!;
      for (let k = Math.max(0, y - by); k <= Math.min(height - 1, y + by); k++)
        v = pick(v, rows[k * width + x]!);
      out[y * width + x] = v;
    }
  return out;
}

/**
 * Rectangles of what is laid on the ground: of each patch that hangs together, the largest first, and of all together
 * (where the cloth is so like the ground that it falls into patches).
 *
 * @param most patches looked at
 */
export function boxesIn(flat: Flat, laid: Float32Array, most: number): FoundBox[] {
  const { labels, regions } = regionsOf(
    Uint8Array.from(laid, (v) => (v > 0 ? 1 : 0)),
    flat.width,
    flat.height,
  );
  const patches = regions
    .filter((r) => r.area > (NARROWEST * flat.perInch) ** 2)
    .sort((p, q) => q.area - p.area)
    .slice(0, most);
  const alone = patches.map((r) => laid.map((v, i) => (v > 0 && labels[i] !== r.label ? -1 : v)));
  return [...alone, ...(patches.length > 1 ? [laid] : [])]
    .map((plane) => boxOf(flat, plane))
    .filter((box) => box !== null);
}

/** The best rectangle of every angle and place. */
function boxOf(flat: Flat, laid: Float32Array): FoundBox | null {
  // First every angle in a small picture, then the likely ones in a larger.
  const first = bestBox(reduced(flat, laid, LONG / 2), EVERY_ANGLE);
  if (!first) return null;
  const close = [-1, 0, 1].map((k) => first.angle + (k * Math.PI) / 4 / EVERY_ANGLE.length);
  const box = bestBox(reduced(flat, laid, LONG), close) ?? first;
  const { inches } = box.of;
  return {
    corners: box.corners.map((p) => ({ x: flat.left + p.x * inches, y: flat.top + p.y * inches })),
    score: box.score * inches * inches,
    area: box.area * inches * inches,
  };
}

/** A picture made small for searching. */
interface Small {
  readonly plane: Float32Array;
  readonly width: number;
  readonly height: number;
  /** Inches to a pixel. */
  readonly inches: number;
}

function reduced(flat: Flat, laid: Float32Array, long: number): Small {
  const by = Math.max(1, Math.ceil(Math.max(flat.width, flat.height) / long));
  const width = Math.floor(flat.width / by);
  const height = Math.floor(flat.height / by);
  const plane = new Float32Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let sum = 0;
      for (let dy = 0; dy < by; dy++)
        for (let dx = 0; dx < by; dx++) sum += laid[(y * by + dy) * flat.width + x * by + dx]!;
      plane[y * width + x] = sum / (by * by);
    }
  return { plane, width, height, inches: by / flat.perInch };
}

interface PixelBox {
  of: Small;
  angle: number;
  corners: Point[];
  score: number;
  area: number;
}

function bestBox(of: Small, angles: readonly number[]): PixelBox | null {
  const { plane, width, height, inches } = of;
  let best: PixelBox | null = null;
  const size = Math.ceil(Math.hypot(width, height));
  const turned = new Float32Array(size * size);
  for (const angle of angles) {
    const cos = Math.cos(angle);
    const sin = Math.sin(angle);
    const back = (u: number, v: number) => ({
      x: (u - size / 2) * cos - (v - size / 2) * sin + width / 2,
      y: (u - size / 2) * sin + (v - size / 2) * cos + height / 2,
    });
    for (let v = 0; v < size; v++)
      for (let u = 0; u < size; u++) {
        const p = back(u + 0.5, v + 0.5);
        const x = Math.floor(p.x);
        const y = Math.floor(p.y);
        turned[v * size + u] = x >= 0 && y >= 0 && x < width && y < height ? plane[y * width + x]! : -1;
      }
    const box = richest(turned, size, NARROWEST / inches, best?.score ?? 0);
    if (!box) continue;
    best = {
      of,
      angle,
      corners: [
        back(box.left, box.top),
        back(box.right, box.top),
        back(box.right, box.bottom),
        back(box.left, box.bottom),
      ],
      score: box.score,
      area: (box.right - box.left) * (box.bottom - box.top),
    };
  }
  return best;
}

/** The upright rectangle whose sum is greatest (Kadane, over every pair of rows); null when none is above `least`. */
function richest(plane: Float32Array, size: number, narrowest: number, least: number) {
  // No rectangle begins or ends in a row that has less in it than the narrowest: lines of a mat, pens.
  const begins = Array.from({ length: size }, (_, v) => {
    let laid = 0;
    for (let u = 0; u < size; u++) if (plane[v * size + u]! > 0) laid++;
    return laid >= narrowest;
  });
  let best: { left: number; right: number; top: number; bottom: number; score: number } | null = null;
  let most = least;
  const sums = new Float32Array(size);
  for (let top = 0; top < size; top++) {
    if (!begins[top]) continue;
    sums.fill(0);
    for (let v = top; v < size; v++) {
      const row = v * size;
      let run = 0;
      let from = 0;
      for (let u = 0; u < size; u++) {
        const s = (sums[u]! += plane[row + u]!);
        if (run <= 0) {
          run = s;
          from = u;
        } else run += s;
        if (run > most && u + 1 - from >= narrowest && v + 1 - top >= narrowest) {
          most = run;
          best = { left: from, right: u + 1, top, bottom: v + 1, score: run };
        }
      }
    }
  }
  return best;
}
