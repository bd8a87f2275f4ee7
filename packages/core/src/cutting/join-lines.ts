import type { Layout } from '../layout/lay-out.ts';
import type { Piece } from '../piece/piece.ts';
import type { Point } from '../geometry/point.ts';
import type { Placed } from './place.ts';
import type { CutLine } from '../cut/line.ts';

/** A join of two strips as it falls on the finished quilt: a seam across the strip. */
export interface JoinLine {
  readonly piece: string;
  readonly from: Point;
  readonly to: Point;
}

/** Where the joins of strips fall on the quilt as it is drawn, by the cutting of each fabric. */
export function joinLines(
  layout: Layout,
  pieces: readonly CutLine[],
  fabrics: readonly Placed[],
): JoinLine[] {
  return fabrics.flatMap(({ fabric, strips }) =>
    strips.flatMap(({ yields }) =>
      yields.flatMap(({ line, joins, straight, length }) => {
        const cut = pieces.find((p) => p.id === line && p.fabric === fabric.id);
        if (!cut || cut.under || joins.length === 0) return [];
        const strips = cut.parts.flatMap((part) => layout.pieces.filter((p) => p.part === part));
        return joins.flatMap((at, i) =>
          strips[i] ? at.flatMap((join) => lineAcross(strips[i]!, join, length, straight)) : [],
        );
      }),
    ),
  );
}

/** A seam across a strip `at` so far along what was cut; what was cut longer than it finishes is taken to stand over alike at both ends. */
function lineAcross({ id, outline }: Piece, at: number, cutLength: number, straight: boolean): JoinLine[] {
  const xs = outline.map((p) => p.x);
  const ys = outline.map((p) => p.y);
  const box = {
    x: Math.min(...xs),
    y: Math.min(...ys),
    width: Math.max(...xs) - Math.min(...xs),
    height: Math.max(...ys) - Math.min(...ys),
  };
  const level = box.width >= box.height;
  const [length, across] = level ? [box.width, box.height] : [box.height, box.width];
  const along = at - (cutLength - length) / 2;
  const half = straight ? 0 : across / 2;
  if (along < half || along > length - half) return [];
  const point = (run: number, rise: number): Point =>
    level ? { x: box.x + run, y: box.y + rise } : { x: box.x + rise, y: box.y + run };
  return [{ piece: id, from: point(along - half, 0), to: point(along + half, across) }];
}
