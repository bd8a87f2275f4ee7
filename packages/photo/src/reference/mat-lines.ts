import type { Point } from '@lattice/core';
import type { Camera } from '../camera/camera.ts';
import type { KnownPlace, SeenLine } from './fit-camera.ts';
import { brightnessOf, profileAcross } from '../picture/profile.ts';
import type { Raster } from '../picture/raster.ts';
import { crossing, lineDespiteStrays, type Straight } from '../picture/straight.ts';

/** Places along each line. */
const SAMPLES = 60;
/** How far to either side of where it was pointed at a line is looked for, in inches. */
const REACH = 0.2;
/** Least step in brightness of a line, and how many times what is round it strays. */
const LEAST = 4;
const STANDS_OUT = 3;
/** Share of the places along it that must show a line. */
const PLAIN = 0.35;
/** How surely a point of a line is placed, in pixels; and a crossing. */
const SURE = 0.4;
const CROSSING_SURE = 0.25;

/**
 * The lines a rectangle of pointed places lies on, where there are such: of a cutting mat, of a ruler's edge. Each is
 * straight on the table, and their crossings are placed more finely than a finger does.
 *
 * @param known four places, clockwise
 * @returns null where no line shows
 */
export function matLines(
  raster: Raster,
  camera: Camera,
  known: readonly KnownPlace[],
): { readonly known: readonly KnownPlace[]; readonly lines: readonly SeenLine[] } | null {
  if (known.length !== 4) return null;
  const found = known.map((from, k) => lineAlong(raster, camera, from.place, known[(k + 1) % 4]!.place));
  const lines = found.filter((line) => line !== null);
  if (lines.length === 0) return null;
  const finer = known.map((place, k): KnownPlace => {
    const before = found[(k + 3) % 4];
    const after = found[k];
    const at = before && after ? crossing(before.line, after.line) : null;
    const seen = at && camera.seen(at);
    return seen && Math.hypot(seen.x - place.seen.x, seen.y - place.seen.y) < 6 * place.sure
      ? { ...place, seen, sure: CROSSING_SURE }
      : place;
  });
  return { known: finer, lines: lines.map(({ points }) => ({ points, sure: SURE })) };
}

/** A thin line from one place to the next, a little beyond both; null where none shows. */
function lineAlong(
  raster: Raster,
  camera: Camera,
  a: Point,
  b: Point,
): { readonly line: Straight; readonly points: readonly Point[] } | null {
  const long = Math.hypot(b.x - a.x, b.y - a.y);
  const out = { x: (b.y - a.y) / long, y: -(b.x - a.x) / long };
  const points: Point[] = [];
  const places: Point[] = [];
  for (let i = 0; i < SAMPLES; i++) {
    const t = 0.02 + (0.96 * i) / (SAMPLES - 1);
    const at = { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) };
    const from = camera.seen(at);
    const to = camera.seen({ x: at.x + 0.1 * out.x, y: at.y + 0.1 * out.y });
    const dots = Math.hypot(to.x - from.x, to.y - from.y);
    const across = { x: (to.x - from.x) / dots, y: (to.y - from.y) / dots };
    const half = Math.max(6, 10 * dots * REACH);
    const off = ridgeIn(brightnessOf(profileAcross(raster, from, across, half, 1, 0.4 * dots)));
    if (off === null) continue;
    const seen = { x: from.x + off * across.x, y: from.y + off * across.y };
    points.push(seen);
    places.push(camera.place(seen));
  }
  if (points.length < PLAIN * SAMPLES) return null;
  const line = lineDespiteStrays(places, 0.01);
  if (!line || line.points < PLAIN * SAMPLES) return null;
  const held = new Set(line.by);
  return { line, points: points.filter((_, i) => held.has(places[i]!)) };
}

/** Where the one thin line lies that stands out brighter or darker, in steps from the middle; null where none does. */
function ridgeIn(level: Float64Array): number | null {
  const n = level.length;
  const sorted = Float64Array.from(level).sort();
  const usual = sorted[Math.floor(n / 2)]!;
  const strays = Float64Array.from(level, (v) => Math.abs(v - usual)).sort()[Math.floor(n / 2)]!;
  let at = 0;
  for (let i = 1; i + 1 < n; i++) if (Math.abs(level[i]! - usual) > Math.abs(level[at]! - usual)) at = i;
  if (at < 2 || at > n - 3) return null;
  const height = Math.abs(level[at]! - usual);
  if (height < Math.max(LEAST, STANDS_OUT * strays)) return null;
  // The middle of what stands out, weighed by how far it does.
  let sum = 0;
  let weight = 0;
  for (let i = at - 2; i <= at + 2; i++) {
    const w = Math.max(0, Math.sign(level[at]! - usual) * (level[i]! - usual));
    sum += w * i;
    weight += w;
  }
  return sum / weight - (n - 1) / 2;
}
