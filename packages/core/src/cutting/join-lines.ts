import type { Layout } from '../layout/lay-out.ts';
import type { Piece } from '../piece/piece.ts';
import type { Point } from '../geometry/point.ts';
import type { Placed } from './placed.ts';
import type { CutLine } from '../cut/line.ts';

/** A join of two strips as it falls on the finished quilt: a seam across the strip. */
export interface JoinLine {
  readonly piece: string;
  readonly from: Point;
  readonly to: Point;
}

/** Where the joins of strips fall on the quilt as it is drawn, by the cutting of each fabric. */
export function joinLines(layout: Layout, lines: readonly CutLine[], fabrics: readonly Placed[]): JoinLine[] {
  const cuts = new Map(lines.flatMap((line) => line.cuts).map((cut) => [`${cut.fabric} ${cut.id}`, cut]));
  const drawn = new Map(layout.pieces.map((piece) => [piece.id, piece]));
  return fabrics.flatMap(({ fabric, runs }) =>
    runs.flatMap(({ straight, pieces }) =>
      pieces.flatMap(({ cut: id, index, joins, length }) => {
        const cut = cuts.get(`${fabric.id} ${id}`);
        const piece = cut && !cut.under ? drawn.get(cut.pieces[index] ?? '') : undefined;
        return piece ? joins.flatMap((join) => lineAcross(piece, join, length, straight)) : [];
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
