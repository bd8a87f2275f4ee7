import ClipperLib from 'clipper-lib';
import type { Point } from '../../src/geometry/point.ts';

/** A seam as it is given away: which two pieces' assemblies, along what, and how it is pressed. */
export interface GivenSeam {
  readonly a: string;
  readonly b: string;
  readonly line: readonly (readonly [number, number])[];
  readonly press: string;
  readonly mitre?: boolean;
}
export interface GivenPiece {
  readonly id: string;
  readonly outline: readonly (readonly [number, number])[];
}

const SCALE = 1e6;
/** Pieces are grown by so much: what two assemblies then share is a band along their seam, twice as wide. */
const GROWN = 0.01;

type Paths = ClipperLib.Path[];
const toPath = (outline: GivenPiece['outline']) =>
  outline.map(([x, y]) => ({ X: Math.round(x * SCALE), Y: Math.round(y * SCALE) }));
const areaOf = (paths: Paths) =>
  Math.abs(paths.reduce((sum, path) => sum + ClipperLib.Clipper.Area(path), 0)) / SCALE ** 2;

function combined(type: number, subject: Paths, clip: Paths): Paths {
  const clipper = new ClipperLib.Clipper();
  clipper.AddPaths(subject, ClipperLib.PolyType.ptSubject, true);
  clipper.AddPaths(clip, ClipperLib.PolyType.ptClip, true);
  const found: Paths = [];
  const { pftNonZero } = ClipperLib.PolyFillType;
  clipper.Execute(type, found, pftNonZero, pftNonZero);
  return found;
}

function grown(outline: GivenPiece['outline']): Paths {
  const path = toPath(outline);
  if (ClipperLib.Clipper.Area(path) < 0) path.reverse();
  const offset = new ClipperLib.ClipperOffset();
  offset.AddPath(path, ClipperLib.JoinType.jtMiter, ClipperLib.EndType.etClosedPolygon);
  const found: Paths = [];
  offset.Execute(found, GROWN * SCALE);
  return found;
}

/** A band along a line, as wide as what two grown assemblies share, and a little longer at both ends. */
function band([[x1, y1], [x2, y2]]: GivenSeam['line'] & {
  0: readonly [number, number];
  1: readonly [number, number];
}): Paths {
  const length = Math.hypot(x2 - x1, y2 - y1);
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length];
  const [long, wide] = [4 * GROWN, 1.5 * GROWN];
  const at = (along: number, across: number) =>
    [x1 + ux * along - uy * across, y1 + uy * along + ux * across] as const;
  const path = toPath([at(-long, -wide), at(length + long, -wide), at(length + long, wide), at(-long, wide)]);
  return [ClipperLib.Clipper.Area(path) < 0 ? path.reverse() : path];
}

/**
 * Sews a plan again with an independent polygon library: every seam has to join two assemblies along the whole of
 * what they share and along nothing else, and one is left at the end. Answers what is wrong.
 */
export function replayFaults(pieces: readonly GivenPiece[], seams: readonly GivenSeam[]): string[] {
  const faults: string[] = [];
  const at = new Map(pieces.map(({ id, outline }) => [id, { ids: [id], paths: grown(outline) }]));
  const mitres = seams.filter(({ mitre }) => mitre).flatMap(({ line }) => band(line as never));
  seams.forEach(({ a, b, line, mitre }, i) => {
    const [A, B] = [at.get(a), at.get(b)];
    if (!A || !B) return void faults.push(`seam ${i}: an unknown piece`);
    if (mitre) {
      if (A !== B) faults.push(`seam ${i}: a mitre between two assemblies`);
      return;
    }
    if (A === B) return void faults.push(`seam ${i}: sewn together already`);
    const { ctIntersection, ctDifference, ctUnion } = ClipperLib.ClipType;
    const shared = combined(ctIntersection, A.paths, B.paths);
    const own = band(line as never);
    const elsewhere = areaOf(combined(ctDifference, combined(ctDifference, shared, own), mitres));
    if (elsewhere > GROWN * GROWN) faults.push(`seam ${i}: they touch elsewhere too (${elsewhere})`);
    const [from, to] = line as [readonly [number, number], readonly [number, number]];
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    const along = areaOf(combined(ctIntersection, shared, own)) / (2 * GROWN);
    if (Math.abs(along - length) > 12 * GROWN)
      faults.push(`seam ${i}: ${length} long, and they share ${along}`);
    const joined = { ids: [...A.ids, ...B.ids], paths: combined(ctUnion, A.paths, B.paths) };
    for (const id of joined.ids) at.set(id, joined);
  });
  const left = new Set(at.values()).size;
  if (left !== 1) faults.push(`${left} assemblies are left`);
  return faults;
}

/** Crossings and those that nest, counted from the lines alone: where earlier seams end on a seam, from either side. */
export function countedNests(
  pieces: readonly GivenPiece[],
  seams: readonly GivenSeam[],
): { crossings: number; nested: number } {
  const middles = new Map(pieces.map(({ id, outline }) => [id, middleOf(outline)]));
  const size = Math.max(...pieces.flatMap(({ outline }) => outline.flat()));
  const same = 1e-4 * size;
  let [crossings, nested] = [0, 0];
  seams.forEach(({ line }, i) => {
    const [from, to] = line.map(([x, y]) => ({ x, y })) as [Point, Point];
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    const way = { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
    const along = (p: Point) => (p.x - from.x) * way.x + (p.y - from.y) * way.y;
    const side = (p: Point) => (p.x - from.x) * -way.y + (p.y - from.y) * way.x;
    const ends: { at: number; left: boolean; leans: number }[] = [];
    for (const other of seams.slice(0, i)) {
      const [p, q] = other.line.map(([x, y]) => ({ x, y })) as [Point, Point];
      for (const end of [p, q]) {
        const at = along(end);
        if (Math.abs(side(end)) > same || at <= same || at >= length - same) continue;
        const middle = { x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 };
        const toA = middles.get(other.a)!;
        const lean = Math.sign(acrossTo(toA, p, q, way));
        const leans = other.press === 'a' ? lean : other.press === 'b' ? -lean : 0;
        ends.push({ at, left: side(middle) > 0, leans });
      }
    }
    ends.sort((p, q) => p.at - q.at);
    for (let k = 0; k < ends.length;) {
      let end = k + 1;
      while (end < ends.length && ends[end]!.at - ends[k]!.at <= same) end++;
      const here = ends.slice(k, end);
      const [left, right] = [here.filter((e) => e.left), here.filter((e) => !e.left)];
      if (left.length > 0 && right.length > 0) {
        crossings++;
        if (left.some((l) => right.some((r) => l.leans * r.leans === -1))) nested++;
      }
      k = end;
    }
  });
  return { crossings, nested };
}

/** How the side of a seam that a point lies on leans along a way. */
function acrossTo(point: Point, p: Point, q: Point, way: Point): number {
  const normal = { x: -(q.y - p.y), y: q.x - p.x };
  const onside = Math.sign((point.x - p.x) * normal.x + (point.y - p.y) * normal.y);
  return onside * (normal.x * way.x + normal.y * way.y);
}

const middleOf = (outline: GivenPiece['outline']): Point => ({
  x: outline.reduce((sum, [x]) => sum + x, 0) / outline.length,
  y: outline.reduce((sum, [, y]) => sum + y, 0) / outline.length,
});
