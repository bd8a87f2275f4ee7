import type { Point } from '@lattice/core';
import type { Camera } from './camera.ts';
import { type Profile, profileAcross, withoutThinLines } from '../picture/profile.ts';
import { edgesBy } from '../picture/edge-model.ts';
import type { Raster } from '../picture/raster.ts';
import { crossing, lineDespiteStrays, offLine, type Straight } from '../picture/straight.ts';

/** One edge of the block, as it lies on the table. */
export interface FineEdge {
  readonly line: Straight;
  /** The places it was laid through, where the photo shows them, in pixels. */
  readonly seen: readonly Point[];
  /** How far those lie off it, in inches. */
  readonly off: number;
  /** Share of the places along it where an edge was found. */
  readonly plain: number;
  /** How far its middle lies outside (or, below 0, inside) the line through its ends, in inches: a bowed edge. */
  readonly bow: number;
}

/** The block's outline, its corners where its edges cross. */
export interface FineOutline {
  /** Clockwise, in inches. */
  readonly corners: readonly Point[];
  /** From each corner to the next. */
  readonly edges: readonly FineEdge[];
}

/** Places along each edge. */
export const SAMPLES = 60;
/** How far to either side of where it was last an edge is looked for, in inches. */
const REACHES = [0.3, 0.1, 0.06];
/** Within this a profile is taken as it is; where more is looked at, lines of a mat come in. */
const FINELY = 0.08;
/** Twice as wide as the lines of a mat that are not looked at, in inches. */
const THIN = 0.13;
/** How much of the cloth and of the ground beyond is looked at, in inches. */
const BEYOND = 0.1;
/** How much of the edge is taken together at each place, in inches: a few threads of cloth. */
const TOGETHER = 0.05;

/** The block's edges found below a pixel, near a rough outline; null where an edge cannot be found. */
export function fineOutline(raster: Raster, camera: Camera, rough: readonly Point[]): FineOutline | null {
  let corners = [...rough];
  let edges: FineEdge[] = [];
  for (const reach of REACHES) {
    const found = corners.map((a, k) => fineEdge(raster, camera, a, corners[(k + 1) % 4]!, reach));
    if (found.some((e) => !e)) return null;
    edges = found as FineEdge[];
    const next = edges.map((e, k) => crossing(edges[(k + 3) % 4]!.line, e.line));
    if (next.some((p) => !p)) return null;
    corners = next as Point[];
  }
  return { corners, edges };
}

/** One edge of something that lies on the table, near the line from one place to the next clockwise; null where none shows. */
export function fineEdge(raster: Raster, camera: Camera, a: Point, b: Point, reach: number): FineEdge | null {
  const long = Math.hypot(b.x - a.x, b.y - a.y);
  if (!(long > 0.5)) return null;
  const way = { x: (b.x - a.x) / long, y: (b.y - a.y) / long };
  const out = { x: way.y, y: -way.x };
  const middle = perInchAt(camera, { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }, out);
  const half = Math.max(6, (reach + BEYOND) * middle.perInch);
  const step = Math.max(0.5, half / 32);
  const widely = reach > FINELY;
  const taken: { from: Point; across: Point; profile: Profile }[] = [];
  // The corners themselves are rounded and frayed: not there.
  const clear = Math.min(0.08, 0.12 / long);
  for (let i = 0; i < SAMPLES; i++) {
    const t = clear + ((1 - 2 * clear) * i) / (SAMPLES - 1);
    const at = { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) };
    const { from, across, perInch } = perInchAt(camera, at, out);
    if (from.x < half || from.y < half || from.x > raster.width - half || from.y > raster.height - half)
      continue;
    const plain = profileAcross(raster, from, across, half, step, TOGETHER * perInch);
    const profile = widely ? withoutThinLines(plain, (THIN * perInch) / step) : plain;
    taken.push({ from, across, profile });
  }
  const seen: Point[] = [];
  const places: Point[] = [];
  const counts: number[] = [];
  edgesBy(
    taken.map((s) => s.profile),
    Math.max(4, reach * middle.perInch),
    middle.perInch,
    widely,
  ).forEach((found, i) => {
    if (!found) return;
    const { from, across } = taken[i]!;
    const p = { x: from.x + found.at * across.x, y: from.y + found.at * across.y };
    seen.push(p);
    places.push(camera.place(p));
    counts.push(found.how);
  });
  if (places.length < SAMPLES / 5) return null;
  const line = lineDespiteStrays(places, 0.008, counts);
  if (!line) return null;
  const held = new Set(line.by);
  // A line's way may turn round when it is laid again: along the edge, as it was looked for.
  const forward = line.way.x * way.x + line.way.y * way.y < 0 ? { x: -line.way.x, y: -line.way.y } : line.way;
  const straight = { ...line, way: forward };
  const third = (from: number, to: number) => {
    const part = line.by.filter((p) => {
      const t = ((p.x - a.x) * way.x + (p.y - a.y) * way.y) / long;
      return t >= from && t < to;
    });
    return part.length === 0 ? 0 : -part.reduce((s, p) => s + offLine(straight, p), 0) / part.length;
  };
  return {
    line: straight,
    seen: seen.filter((_, i) => held.has(places[i]!)),
    off: line.off,
    plain: line.by.length / SAMPLES,
    bow: third(1 / 3, 2 / 3) - (third(0, 0.2) + third(0.8, 1)) / 2,
  };
}

/** Where a place is seen, which way leads across the edge there, and how many pixels an inch is that way. */
function perInchAt(camera: Camera, at: Point, out: Point) {
  const from = camera.seen(at);
  const to = camera.seen({ x: at.x + 0.1 * out.x, y: at.y + 0.1 * out.y });
  const perInch = Math.hypot(to.x - from.x, to.y - from.y) / 0.1;
  return {
    from,
    across: { x: (to.x - from.x) / (0.1 * perInch), y: (to.y - from.y) / (0.1 * perInch) },
    perInch,
  };
}
