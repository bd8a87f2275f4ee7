import type { Point } from './point.ts';
import { near, NOISE } from '../length/tolerance.ts';

/** The side of a line where `x·px + y·py ≥ least`. */
export interface HalfPlane {
  readonly x: number;
  readonly y: number;
  readonly least: number;
}

/** What is left of a convex outline on the kept side of every line. */
export function clipped(outline: readonly Point[], cuts: readonly HalfPlane[]): readonly Point[] {
  return cuts.reduce(clippedBy, outline);
}

function clippedBy(outline: readonly Point[], { x, y, least }: HalfPlane): readonly Point[] {
  const over = (p: Point) => x * p.x + y * p.y - least;
  const kept = outline.flatMap((p, i) => {
    const next = outline[(i + 1) % outline.length]!;
    const [a, b] = [over(p), over(next)];
    const own = a >= -NOISE ? [p] : [];
    if ((a > NOISE && b < -NOISE) || (a < -NOISE && b > NOISE)) {
      const part = a / (a - b);
      return [...own, { x: p.x + part * (next.x - p.x), y: p.y + part * (next.y - p.y) }];
    }
    return own;
  });
  return kept.filter((p, i) => {
    const last = kept[(i + kept.length - 1) % kept.length]!;
    return !(near(p.x, last.x) && near(p.y, last.y));
  });
}
