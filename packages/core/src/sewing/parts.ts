import { polygonHull } from 'd3-polygon';
import { grownBy } from '../geometry/offset.ts';
import { areaOf } from '../geometry/outline.ts';
import type { Point } from '../geometry/point.ts';
import type { SewingWay } from './sewing.ts';
import { ACROSS } from './tree.ts';
import type { Top } from './top.ts';
import { more, TOLERANCE } from '../length/tolerance.ts';

/** A part of the top while it grows: its pieces, and the outline round them all, finished. */
export interface SewnPart {
  readonly pieces: readonly number[];
  readonly hull: readonly Point[];
}

/** What a seam joins, and what it makes of them; of a mitre its two strips, and all that hangs together. */
export interface SeamParts {
  readonly a: SewnPart;
  readonly b: SewnPart;
  readonly made: SewnPart;
}

/** Raw edge to raw edge, as it lies: across and down; along the row and across it where it slants. */
export interface RawSize {
  readonly width: number;
  readonly height: number;
}

/** What is joined at every seam of a way, by the seams' numbers: what words and sizes of a seam are made from. */
export function seamParts(top: Top, { seams, steps }: Pick<SewingWay, 'seams' | 'steps'>): SeamParts[] {
  const single = (piece: number): SewnPart => ({ pieces: [piece], hull: top.pieces[piece]!.outline });
  const at: SewnPart[] = top.pieces.map((_, piece) => single(piece));
  const found: SeamParts[] = [];
  for (const step of steps)
    for (const number of step.seams) {
      const { a, b, mitre } = seams[number]!;
      const [one, other] = [at[a]!, at[b]!];
      if (mitre) {
        found[number] = { a: single(a), b: single(b), made: one };
        continue;
      }
      const made = { pieces: [...one.pieces, ...other.pieces], hull: hullOf([...one.hull, ...other.hull]) };
      for (const piece of made.pieces) at[piece] = made;
      found[number] = { a: one, b: other, made };
    }
  return found;
}

const hullOf = (points: readonly Point[]): Point[] =>
  polygonHull(points.map(({ x, y }): [number, number] => [x, y]))!.map(([x, y]) => ({ x, y }));

/**
 * What a part measures with its seam allowance on: its outline moved out by a seam, corners as sharp as they are, so
 * that the tip of a triangle reaches a(1 + √2) beyond (rule TR-2; geometry). Level, or along its slant where it lies
 * straight that way.
 */
export function rawSizeOf({ hull }: SewnPart, seam: number): RawSize {
  const raw = grownBy(clean(hull), seam)!;
  const extent = ({ x, y }: { readonly x: number; readonly y: number }) => {
    const far = raw.map((point) => point.x * x + point.y * y);
    return Math.max(...far) - Math.min(...far);
  };
  const level = { width: extent(ACROSS.columns), height: extent(ACROSS.rows) };
  const slanting = { width: extent(ACROSS.falling), height: extent(ACROSS.rising) };
  // What fills its box lies straight in it.
  const fills = ({ width, height }: RawSize) => areaOf(raw) / (width * height);
  return more(fills(slanting), fills(level)) ? slanting : level;
}

/** An outline without corners that turn nothing: the hull of touching pieces has them to rounding. */
function clean(hull: readonly Point[]): Point[] {
  return hull.filter((point, i) => {
    const before = hull.at(i - 1)!;
    const after = hull[(i + 1) % hull.length]!;
    const [ax, ay] = [point.x - before.x, point.y - before.y];
    const [bx, by] = [after.x - point.x, after.y - point.y];
    const lengths = Math.hypot(ax, ay) * Math.hypot(bx, by);
    return lengths > 0 && Math.abs(ax * by - ay * bx) > TOLERANCE * lengths;
  });
}
