import type { Point } from '@lattice/core';

/** A straight line: a place on it, its way, and how far the points it was laid through lie off it. */
export interface Straight {
  readonly at: Point;
  readonly way: Point;
  /** Root of the mean square of the distances, in the points' unit. */
  readonly off: number;
  /** How many points it goes by. */
  readonly points: number;
}

/**
 * The line that lies nearest to points, each counted by its weight (total least squares).
 *
 * @returns null for fewer than two points
 */
export function lineThrough(points: readonly Point[], weights?: ArrayLike<number>): Straight | null {
  let n = 0;
  let sx = 0;
  let sy = 0;
  points.forEach((p, i) => {
    const w = weights ? weights[i]! : 1;
    n += w;
    sx += w * p.x;
    sy += w * p.y;
  });
  if (points.length < 2 || n <= 0) return null;
  const at = { x: sx / n, y: sy / n };
  let xx = 0;
  let xy = 0;
  let yy = 0;
  points.forEach((p, i) => {
    const w = weights ? weights[i]! : 1;
    const dx = p.x - at.x;
    const dy = p.y - at.y;
    xx += w * dx * dx;
    xy += w * dx * dy;
    yy += w * dy * dy;
  });
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  const way = { x: Math.cos(angle), y: Math.sin(angle) };
  const least = (xx + yy - Math.hypot(2 * xy, xx - yy)) / 2;
  return { at, way, off: Math.sqrt(Math.max(0, least) / n), points: points.length };
}

/** How far a point lies to the left of a line (looking along its way), in its unit. */
export const offLine = ({ at, way }: Straight, p: Point): number =>
  (p.y - at.y) * way.x - (p.x - at.x) * way.y;

/** Share of points a line must still go by after the strays are left out. */
const KEPT = 0.4;

/**
 * The line through points of which some are strays (threads, specks): the farthest are left out until the rest
 * agree (Tukey's biweight, reweighted).
 *
 * @param usual what an honest point may lie off it at least, in the points' unit
 * @param counts how much each counts to begin with; all the same when left out
 * @returns the line, and which points it goes by; null when too few agree
 */
export function lineDespiteStrays(
  points: readonly Point[],
  usual: number,
  counts?: ArrayLike<number>,
): (Straight & { readonly by: readonly Point[] }) | null {
  let line = throughMost(points, usual * 2);
  if (!line) return null;
  let weights = new Float64Array(points.length).fill(1);
  for (let round = 0; round < 12; round++) {
    const held: Straight = line;
    const off = points.map((p) => Math.abs(offLine(held, p)));
    const sorted = [...off].sort((a, b) => a - b);
    const spread = Math.max(usual, 1.4826 * sorted[Math.floor(sorted.length / 2)]!);
    weights = Float64Array.from(off, (o) => (o < 4.7 * spread ? (1 - (o / (4.7 * spread)) ** 2) ** 2 : 0));
    const counted = counts ? weights.map((w, i) => w * counts[i]!) : weights;
    const next = lineThrough(points, counted);
    if (!next) return null;
    const done = Math.abs(offLine(held, next.at)) < usual * 1e-4 && round > 2;
    line = next;
    if (done) break;
  }
  const by = points.filter((_, i) => weights[i]! > 0.1);
  return by.length < Math.max(2, KEPT * points.length) ? null : { ...line, points: by.length, by };
}

/** A first line: of the lines through two of the points, the one most points lie near to. */
function throughMost(points: readonly Point[], near: number): Straight | null {
  if (points.length < 2) return null;
  let best: Straight | null = null;
  let most = -1;
  const step = Math.max(1, Math.floor(points.length / 14));
  for (let i = 0; i < points.length; i += step)
    for (let j = i + step; j < points.length; j += step) {
      const a = points[i]!;
      const b = points[j]!;
      const long = Math.hypot(b.x - a.x, b.y - a.y);
      if (long < 1e-9) continue;
      const line = { at: a, way: { x: (b.x - a.x) / long, y: (b.y - a.y) / long }, off: 0, points: 2 };
      let score = 0;
      for (const p of points) score += Math.max(0, 1 - (offLine(line, p) / near) ** 2);
      score *= 1 + 1e-9 * long;
      if (score > most) {
        most = score;
        best = line;
      }
    }
  return best;
}

/** Where two lines cross; null when they run side by side. */
export function crossing(a: Straight, b: Straight): Point | null {
  const turn = a.way.x * b.way.y - a.way.y * b.way.x;
  if (Math.abs(turn) < 1e-9) return null;
  const along = ((b.at.x - a.at.x) * b.way.y - (b.at.y - a.at.y) * b.way.x) / turn;
  return { x: a.at.x + along * a.way.x, y: a.at.y + along * a.way.y };
}

/** The middle of some points. */
export const middleOf = (points: readonly Point[]): Point => ({
  x: points.reduce((s, p) => s + p.x, 0) / points.length,
  y: points.reduce((s, p) => s + p.y, 0) / points.length,
});
