import type { Piece } from '../piece/piece.ts';
import type { Point } from '../geometry/point.ts';
import { more, near } from '../length/tolerance.ts';

/** Seams a straight line across a quilt crosses: those at right angles to it, and those that slant at 45°. */
export interface SeamsCrossed {
  readonly square: number;
  readonly slanting: number;
}

/** A seam where a line crosses it. */
export interface Crossed {
  /** How far along the line, in the plan's unit. */
  readonly at: number;
  /** What a fat seam takes of the line's length, as a share: whole at right angles, less where it slants (rule SM-2). */
  readonly takes: number;
}

/**
 * The seams that a line along some pieces crosses where they take most (rule SM-2). Read off the laid-out pieces, so
 * that no setting can be forgotten: each piece the line passes through has a seam where it enters and one where it
 * leaves, but for the pieces' own edge; two pieces share one.
 *
 * @param along the line's way, a unit vector
 */
export function seamsOn(pieces: readonly Pick<Piece, 'outline'>[], along: Point): Crossed[] {
  const turn = ({ x, y }: Point): Point => ({
    x: x * along.x + y * along.y,
    y: -x * along.y + y * along.x,
  });
  const outlines = pieces.map(({ outline }) => outline.map(turn));
  return linesBetween(outlines)
    .map((y) => crossedAt(outlines, y))
    .reduce((most, crossed) => (more(taken(crossed), taken(most)) ? crossed : most), []);
}

/** What the seams on a line take of it, each as a share of twice the difference. */
export const taken = (crossed: readonly Crossed[]): number =>
  crossed.reduce((sum, { takes }) => sum + takes, 0);

/** The most seams a straight line from edge to edge crosses, across or down, by how much of the quilt they take. */
export function mostSeams(pieces: readonly Pick<Piece, 'outline'>[], way: 'across' | 'down'): SeamsCrossed {
  const crossed = seamsOn(pieces, way === 'across' ? { x: 1, y: 0 } : { x: 0, y: 1 });
  const square = crossed.filter(({ takes }) => takes === 1).length;
  return { square, slanting: crossed.length - square };
}

/** A level line between each two neighbouring corners: between them nothing changes. */
function linesBetween(outlines: readonly (readonly Point[])[]): number[] {
  const levels = [
    ...new Set(outlines.flatMap((outline) => outline.map((p) => Math.round(p.y * 1e6) / 1e6))),
  ].sort((a, b) => a - b);
  return levels.slice(1).flatMap((level, i) => (level - levels[i]! > 1e-4 ? [(level + levels[i]!) / 2] : []));
}

function crossedAt(outlines: readonly (readonly Point[])[], y: number): Crossed[] {
  const sides: Crossed[] = [];
  for (const outline of outlines)
    outline.forEach((p, i) => {
      const q = outline[(i + 1) % outline.length]!;
      if (p.y > y === q.y > y) return;
      const at = p.x + ((y - p.y) / (q.y - p.y)) * (q.x - p.x);
      sides.push({ at, takes: near(p.x, q.x) ? 1 : Math.SQRT1_2 });
    });
  sides.sort((a, b) => a.at - b.at);
  // Every seam is a side of two pieces; the first and the last are the edge.
  return sides.slice(1, -1).filter((_, i) => i % 2 === 0);
}
