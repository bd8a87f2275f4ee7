import ClipperLib from 'clipper-lib';
import type { Piece } from '../../src/index.ts';

/** Clipper works on whole numbers: ten decimals of a length. */
const SCALE = 1e10;

const toPath = (piece: Pick<Piece, 'outline'>) =>
  piece.outline.map(({ x, y }) => ({ X: Math.round(x * SCALE), Y: Math.round(y * SCALE) }));

const areaOf = (paths: ClipperLib.Path[]): number =>
  paths.reduce((sum, path) => sum + ClipperLib.Clipper.Area(path), 0) / SCALE ** 2;

/** Area two outlines share, by the same library. */
export function sharedArea(a: Pick<Piece, 'outline'>, b: Pick<Piece, 'outline'>): number {
  const clipper = new ClipperLib.Clipper();
  clipper.AddPath(toPath(a), ClipperLib.PolyType.ptSubject, true);
  clipper.AddPath(toPath(b), ClipperLib.PolyType.ptClip, true);
  const shared: ClipperLib.Path[] = [];
  clipper.Execute(
    ClipperLib.ClipType.ctIntersection,
    shared,
    ClipperLib.PolyFillType.pftNonZero,
    ClipperLib.PolyFillType.pftNonZero,
  );
  return Math.abs(areaOf(shared));
}

/**
 * Measures pieces with an independent polygon library: the area of their union and the sum of their
 * areas. No gap and no overlap when both equal the area they should fill.
 */
export function measureTiling(pieces: readonly Pick<Piece, 'outline'>[]): { union: number; sum: number } {
  const paths = pieces
    .map(toPath)
    .map((path) => (ClipperLib.Clipper.Area(path) < 0 ? [...path].reverse() : path));
  const clipper = new ClipperLib.Clipper();
  clipper.AddPaths(paths, ClipperLib.PolyType.ptSubject, true);
  const union: ClipperLib.Path[] = [];
  clipper.Execute(
    ClipperLib.ClipType.ctUnion,
    union,
    ClipperLib.PolyFillType.pftNonZero,
    ClipperLib.PolyFillType.pftNonZero,
  );
  return { union: areaOf(union), sum: areaOf(paths) };
}
