import type { Point } from '@lattice/core';
import { halfWay, profileAcross } from '../picture/profile.ts';
import { brightness, greyOf, type Raster, shrunk } from '../picture/raster.ts';
import { type Region, regionsOf } from '../picture/regions.ts';
import { crossing, lineDespiteStrays, type Straight } from '../picture/straight.ts';

/** A filled black square on white, as the photo shows it: its corners clockwise, in pixels. */
export interface DarkSquare {
  readonly corners: readonly [Point, Point, Point, Point];
  readonly middle: Point;
  /** Mean length of its sides, in pixels. */
  readonly side: number;
  /** How surely each corner is placed, in pixels. */
  readonly sure: number;
}

/** The longest side of the picture in which squares are looked for: a square of a far sheet is still a dozen pixels there. */
const LOOKED_AT = 1050;
/** Brightness below which something may be black, tried in turn: a sheet lies in light or in shadow. */
const DARK = Array.from({ length: 10 }, (_, i) => 30 + 12 * i);
const LEAST_AREA = 40;
const MOST_SHARE = 0.06;

/** Every filled dark square with white round it, its corners found below a pixel; the surest first. */
export function darkSquares(raster: Raster): DarkSquare[] {
  const by = Math.max(1, Math.ceil(Math.max(raster.width, raster.height) / LOOKED_AT));
  const small = shrunk(raster, by);
  const grey = greyOf(small);
  const { width, height } = grey;
  const most = width * height * MOST_SHARE;
  const found: { quad: readonly Point[]; middle: Point; side: number; fills: number }[] = [];
  const mask = new Uint8Array(width * height);
  for (const dark of DARK) {
    for (let i = 0; i < mask.length; i++) mask[i] = grey.data[i]! < dark ? 1 : 0;
    const { labels, regions } = regionsOf(mask, width, height);
    for (const region of regions) {
      if (region.area < LEAST_AREA || region.area > most) continue;
      const wide = region.right - region.left + 1;
      const tall = region.bottom - region.top + 1;
      if (Math.max(wide, tall) > 3 * Math.min(wide, tall)) continue;
      if (region.area < 0.42 * wide * tall) continue;
      const quad = quadOf(labels, width, region);
      if (!quad) continue;
      const side = Math.sqrt(quad.area);
      if (!whiteAround(small, quad.corners, quad.middle)) continue;
      const same = found.find(
        (f) => Math.hypot(f.middle.x - quad.middle.x, f.middle.y - quad.middle.y) < 0.4 * side,
      );
      if (!same) found.push({ quad: quad.corners, middle: quad.middle, side, fills: quad.fills });
      else if (quad.fills > same.fills)
        Object.assign(same, { quad: quad.corners, middle: quad.middle, side, fills: quad.fills });
    }
  }
  return found
    .map((f) =>
      sharpened(
        raster,
        f.quad.map((p) => ({ x: p.x * by, y: p.y * by })),
      ),
    )
    .filter((s) => s !== null);
}

/** The four corners of a patch that is nearly a parallelogram, in its own pixels; null when it is something else. */
function quadOf(labels: Int32Array, width: number, region: Region) {
  const rim: Point[] = [];
  let sx = 0;
  let sy = 0;
  for (let y = region.top; y <= region.bottom; y++) {
    let first = -1;
    let last = -1;
    for (let x = region.left; x <= region.right; x++)
      if (labels[y * width + x] === region.label) {
        if (first < 0) first = x;
        last = x;
        sx += x + 0.5;
        sy += y + 0.5;
      }
    if (first >= 0)
      rim.push({ x: first, y }, { x: first, y: y + 1 }, { x: last + 1, y }, { x: last + 1, y: y + 1 });
  }
  const middle = { x: sx / region.area, y: sy / region.area };
  const farthest = (score: (p: Point) => number) =>
    rim.reduce((best, p) => (score(p) > score(best) ? p : best), rim[0]!);
  const a = farthest((p) => Math.hypot(p.x - middle.x, p.y - middle.y));
  const c = farthest((p) => Math.hypot(p.x - a.x, p.y - a.y));
  const side = (p: Point) => (p.x - a.x) * (c.y - a.y) - (p.y - a.y) * (c.x - a.x);
  const b = farthest((p) => side(p));
  const d = farthest((p) => -side(p));
  const corners = clockwise([a, b, c, d]);
  const area = Math.abs(areaOf(corners));
  // A patch larger than its four corners has more than four; a smaller one is bitten or a ring.
  const fills = region.area / area;
  if (fills < 0.8 || fills > 1.2) return null;
  const sides = corners.map((p, i) => {
    const q = corners[(i + 1) % 4]!;
    return Math.hypot(q.x - p.x, q.y - p.y);
  });
  if (Math.max(...sides) > 2.2 * Math.min(...sides)) return null;
  return { corners, middle, area, fills: 1 - Math.abs(1 - fills) };
}

const areaOf = (p: readonly Point[]): number =>
  p.reduce((sum, a, i) => sum + a.x * p[(i + 1) % p.length]!.y - p[(i + 1) % p.length]!.x * a.y, 0) / 2;

/** Four points in the order a clock goes, as the picture shows them. */
export function clockwise(points: readonly Point[]): Point[] {
  const mx = points.reduce((s, p) => s + p.x, 0) / points.length;
  const my = points.reduce((s, p) => s + p.y, 0) / points.length;
  return [...points].sort((a, b) => Math.atan2(a.y - my, a.x - mx) - Math.atan2(b.y - my, b.x - mx));
}

/** Whether there is something bright, of one kind and nearly without colour all round a dark patch. */
function whiteAround(small: Raster, corners: readonly Point[], middle: Point): boolean {
  const at = (p: Point) => {
    const x = Math.floor(p.x);
    const y = Math.floor(p.y);
    if (x < 0 || y < 0 || x >= small.width || y >= small.height) return null;
    const i = (y * small.width + x) * 4;
    return [small.data[i]!, small.data[i + 1]!, small.data[i + 2]!] as const;
  };
  const inside = at(middle);
  if (!inside) return false;
  const dark = brightness(...inside);
  const seen: number[] = [];
  for (let k = 0; k < 4; k++) {
    const a = corners[k]!;
    const b = corners[(k + 1) % 4]!;
    for (const t of [0, 0.25, 0.5, 0.75]) {
      const p = { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) };
      const out = 1.28 + 2 / Math.max(4, Math.hypot(p.x - middle.x, p.y - middle.y));
      const rgb = at({ x: middle.x + out * (p.x - middle.x), y: middle.y + out * (p.y - middle.y) });
      if (!rgb) continue;
      if (Math.max(...rgb) - Math.min(...rgb) > 0.35 * Math.max(...rgb)) return false;
      seen.push(brightness(...rgb));
    }
  }
  if (seen.length < 11) return false;
  seen.sort((p, q) => p - q);
  return seen[1]! > dark + 35 && seen[1]! > 1.6 * dark && seen[1]! > 0.55 * seen.at(-1)!;
}

/** Profiles across each side of a square. */
const ACROSS = 28;

/** A square with its sides laid through the places where black turns to white, and its corners where the sides cross. */
function sharpened(raster: Raster, rough: readonly Point[]): DarkSquare | null {
  let corners = clockwise(rough);
  let lines: Straight[] = [];
  for (let round = 0; round < 2; round++) {
    lines = [];
    for (let k = 0; k < 4; k++) {
      const line = sideOf(raster, corners[k]!, corners[(k + 1) % 4]!, round === 0 ? 0.2 : 0.14);
      if (!line) return null;
      lines.push(line);
    }
    const next = lines.map((line, k) => crossing(lines[(k + 3) % 4]!, line));
    if (next.some((p) => !p)) return null;
    corners = next as Point[];
  }
  const side =
    corners.reduce(
      (s, p, i) => s + Math.hypot(corners[(i + 1) % 4]!.x - p.x, corners[(i + 1) % 4]!.y - p.y),
      0,
    ) / 4;
  const off = Math.sqrt(lines.reduce((s, l) => s + l.off ** 2 / l.points, 0) / 4);
  return {
    corners: corners as unknown as DarkSquare['corners'],
    middle: { x: corners.reduce((s, p) => s + p.x, 0) / 4, y: corners.reduce((s, p) => s + p.y, 0) / 4 },
    side,
    sure: Math.max(0.07, 2 * off),
  };
}

/** The side of a dark square from one rough corner to the next, by where it is half way from black to white. */
function sideOf(raster: Raster, a: Point, b: Point, reach: number): Straight | null {
  const long = Math.hypot(b.x - a.x, b.y - a.y);
  if (long < 6) return null;
  const way = { x: (b.x - a.x) / long, y: (b.y - a.y) / long };
  // Clockwise as the picture shows it: outside lies to the left of the way.
  const out = { x: way.y, y: -way.x };
  const half = Math.max(4, reach * long);
  const points: Point[] = [];
  for (let i = 0; i < ACROSS; i++) {
    const t = 0.12 + (0.76 * i) / (ACROSS - 1);
    const at = { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) };
    const off = halfWay(
      profileAcross(raster, at, out, half, Math.max(0.5, half / 24), Math.max(1, long / 60)),
      30,
    );
    if (off !== null) points.push({ x: at.x + off * out.x, y: at.y + off * out.y });
  }
  return points.length < ACROSS / 2 ? null : lineDespiteStrays(points, 0.15);
}
