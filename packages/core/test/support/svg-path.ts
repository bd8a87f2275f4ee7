import type { Point } from '../../src/index.ts';

/**
 * A path of M, L, H, V, A and Z as a polygon. Arcs are broken into short chords, their centres found by
 * the formulas of the SVG 2 recommendation, appendix B.2.4 (published), for circles that are not turned.
 */
export function polygonOf(path: string, chords = 64): Point[] {
  const points: Point[] = [];
  let at: Point = { x: 0, y: 0 };
  const go = (to: Point) => {
    points.push(to);
    at = to;
  };
  for (const [, letter, rest] of path.matchAll(/([MLHVAZ])([^MLHVAZ]*)/g)) {
    const n = rest!
      .trim()
      .split(/[\s,]+/)
      .filter((t) => t !== '')
      .map(Number);
    if (letter === 'M' || letter === 'L') go({ x: n[0]!, y: n[1]! });
    else if (letter === 'H') go({ x: n[0]!, y: at.y });
    else if (letter === 'V') go({ x: at.x, y: n[0]! });
    else if (letter === 'A') {
      const from = at;
      for (const p of arcPoints(from, { x: n[5]!, y: n[6]! }, n[0]!, n[3] === 1, n[4] === 1, chords)) go(p);
    }
  }
  return points;
}

function arcPoints(
  from: Point,
  to: Point,
  r: number,
  large: boolean,
  sweep: boolean,
  chords: number,
): Point[] {
  // (eq. 5.1) halfway between the ends; (5.2) the centre as seen from there; (5.3) where it lies.
  const [x, y] = [(from.x - to.x) / 2, (from.y - to.y) / 2];
  const root = Math.sqrt(Math.max(0, (r * r - x * x - y * y) / (x * x + y * y))) * (large === sweep ? -1 : 1);
  const centre = { x: root * y + (from.x + to.x) / 2, y: -root * x + (from.y + to.y) / 2 };
  const start = Math.atan2(from.y - centre.y, from.x - centre.x);
  let turn = Math.atan2(to.y - centre.y, to.x - centre.x) - start;
  if (sweep && turn < 0) turn += 2 * Math.PI;
  if (!sweep && turn > 0) turn -= 2 * Math.PI;
  return Array.from({ length: chords }, (_, i) => {
    const angle = start + (turn * (i + 1)) / chords;
    return { x: centre.x + r * Math.cos(angle), y: centre.y + r * Math.sin(angle) };
  });
}
