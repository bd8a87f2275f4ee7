import type { Piece } from '../piece/piece.ts';
import type { Point } from '../geometry/point.ts';
import { near } from '../length/tolerance.ts';

/** Seams a straight line across a quilt crosses: those at right angles to it, and those that slant at 45°. */
export interface SeamsCrossed {
  readonly square: number;
  readonly slanting: number;
}

/**
 * The most seams a straight line from edge to edge crosses, across or down, by how much of the quilt they take
 * (rule SM-2). Read off the laid-out pieces, so that no setting can be forgotten: each piece the line passes
 * through has a seam where it enters and one where it leaves, but for the quilt's own edge; two pieces share one.
 */
export function mostSeams(
  pieces: readonly Pick<Piece, 'outline'>[],
  size: { readonly width: number; readonly height: number },
  way: 'across' | 'down',
): SeamsCrossed {
  // Down is across with the quilt on its side.
  const turn = ({ x, y }: Point): Point => (way === 'across' ? { x, y } : { x: y, y: x });
  const outlines = pieces.map(({ outline }) => outline.map(turn));
  const long = way === 'across' ? size.width : size.height;
  const taken = ({ square, slanting }: SeamsCrossed) => square + slanting * Math.SQRT1_2;
  return linesBetween(outlines)
    .map((y) => crossedAt(outlines, y, long))
    .reduce((most, crossed) => (taken(crossed) > taken(most) + 1e-9 ? crossed : most), {
      square: 0,
      slanting: 0,
    });
}

/** A level line between each two neighbouring corners: between them nothing changes. */
function linesBetween(outlines: readonly (readonly Point[])[]): number[] {
  const levels = [
    ...new Set(outlines.flatMap((outline) => outline.map((p) => Math.round(p.y * 1e6) / 1e6))),
  ].sort((a, b) => a - b);
  return levels.slice(1).flatMap((level, i) => (level - levels[i]! > 1e-4 ? [(level + levels[i]!) / 2] : []));
}

function crossedAt(outlines: readonly (readonly Point[])[], y: number, long: number): SeamsCrossed {
  const sides = { square: 0, slanting: 0 };
  for (const outline of outlines) {
    outline.forEach((p, i) => {
      const q = outline[(i + 1) % outline.length]!;
      if (p.y > y === q.y > y) return;
      const x = p.x + ((y - p.y) / (q.y - p.y)) * (q.x - p.x);
      if (near(x, 0) || near(x, long)) return;
      if (near(p.x, q.x)) sides.square++;
      else sides.slanting++;
    });
  }
  // Every seam is a side of two pieces.
  return { square: sides.square / 2, slanting: sides.slanting / 2 };
}
