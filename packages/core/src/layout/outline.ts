import type { Piece, Point } from './piece.ts';

/** The middle of a piece, in quilt units: the average of its corners, right for squares, oblongs and triangles alike. */
export const middleOf = ({ outline }: Pick<Piece, 'outline'>): Point => ({
  x: outline.reduce((sum, p) => sum + p.x, 0) / outline.length,
  y: outline.reduce((sum, p) => sum + p.y, 0) / outline.length,
});

/** The way from the middle of a piece to its nearest side, in quilt units: the half of its shorter way across, however it is turned. */
export function reachOf(piece: Pick<Piece, 'outline'>): number {
  const { outline } = piece;
  const m = middleOf(piece);
  return Math.min(
    ...outline.map((p, i) => {
      const q = outline[(i + 1) % outline.length]!;
      return (
        Math.abs((q.y - p.y) * (m.x - p.x) - (q.x - p.x) * (m.y - p.y)) / Math.hypot(q.x - p.x, q.y - p.y)
      );
    }),
  );
}

/** Area inside an outline, in square units (shoelace formula). */
export const areaOf = (outline: readonly Point[]): number =>
  Math.abs(
    outline.reduce((sum, p, i) => {
      const q = outline[(i + 1) % outline.length]!;
      return sum + p.x * q.y - q.x * p.y;
    }, 0),
  ) / 2;

/** Length all round an outline. */
export const lengthRound = (outline: readonly Point[]): number =>
  outline.reduce((sum, p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    return sum + Math.hypot(q.x - p.x, q.y - p.y);
  }, 0);

/** Middle of the area inside an outline (the polygon centroid formula). */
export function centroidOf(outline: readonly Point[]): Point {
  let [area, x, y] = [0, 0, 0];
  outline.forEach((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    const cross = p.x * q.y - q.x * p.y;
    area += cross;
    x += (p.x + q.x) * cross;
    y += (p.y + q.y) * cross;
  });
  return { x: x / (3 * area), y: y / (3 * area) };
}
