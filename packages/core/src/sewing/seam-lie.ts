import type { Point } from '../geometry/point.ts';
import type { Seam } from './seam-ledger.ts';
import type { SeamParts } from './parts.ts';
import type { Top } from './top.ts';
import type { SeamWords } from './words.ts';
import { TOLERANCE } from '../length/tolerance.ts';

/** How the two sides of a seam lie on one another: which of them on top, and what to mind. */
export interface Lie {
  readonly upper: 'a' | 'b';
  /** For one seam, by the names of its parts. */
  readonly says: (words: SeamWords, parts: SeamParts) => string;
  /** For seams alike. */
  readonly short: string;
}

/** A seam with more pieces along it than this is a long one. */
export const LONG = 4;

/**
 * Which side of a seam lies on top: a triangle underneath, since it stretches; of a border and its quilt the quilt, which
 * is eased to it; otherwise the side on which more seams end, so that they are seen and held (rule SW-4).
 */
export function howSidesLie(top: Top, { beside, line, mitre }: Seam): Lie {
  const of = (side: 'a' | 'b') => beside.filter((one) => one.side === side).map(({ piece }) => piece);
  const isTriangle = (side: 'a' | 'b') =>
    of(side).length === 1 && top.pieces[of(side)[0]!]!.role.endsWith('triangle');
  const [a, b] = [of('a').length, of('b').length];
  const triangle = isTriangle('a') !== isTriangle('b') ? (isTriangle('a') ? 'a' : 'b') : null;
  // The quilt is eased to its border: what is eased lies underneath, whatever seams it has.
  const isBorder = (side: 'a' | 'b') =>
    of(side).every((piece) => top.pieces[piece]!.role.startsWith('border'));
  const border = !mitre && isBorder('a') !== isBorder('b') ? (isBorder('a') ? 'a' : 'b') : null;
  const upper = triangle !== null ? (triangle === 'a' ? 'b' : 'a') : (border ?? (a > b ? 'a' : 'b'));
  const lower = upper === 'a' ? 'b' : 'a';
  const right = triangle !== null && hasRightAngle(top.pieces[of(triangle)[0]!]!.outline, line);
  const mind = mitre
    ? 'Begin at the inner corner, and sew out.'
    : triangle !== null
      ? right
        ? 'Begin at the right angle.'
        : 'Crease both in half and match the creases.'
      : a + b > LONG
        ? 'Hold each seam the way it was pressed.'
        : '';
  const end = mind === '' ? '' : ` ${mind}`;
  return {
    upper,
    says: (words, parts) =>
      `Right sides together, ${words.part(parts[upper]).the} on top, ${words.part(parts[lower]).the} underneath.${end}`,
    short: mitre
      ? `Fold the quilt so that both strips lie on one another, right sides together.${end}`
      : triangle !== null
        ? `Right sides together, the triangle underneath.${end}`
        : border !== null
          ? `Right sides together, edge to edge; the strip on top, the quilt underneath.${end}`
          : a !== b
            ? `Right sides together, edge to edge. Put the part that has more seams on top.${end}`
            : `Right sides together, edge to edge.${end}`,
  };
}

/** Whether one end of a seam is the right angle of a triangle that is sewn by it. */
function hasRightAngle(outline: readonly Point[], line: readonly [Point, Point]): boolean {
  return outline.some((corner, i) => {
    const [before, after] = [outline.at(i - 1)!, outline[(i + 1) % outline.length]!];
    const cos = (before.x - corner.x) * (after.x - corner.x) + (before.y - corner.y) * (after.y - corner.y);
    const isRight = Math.abs(cos) < TOLERANCE * Math.hypot(before.x - corner.x, before.y - corner.y) ** 2;
    return isRight && line.some((end) => Math.hypot(end.x - corner.x, end.y - corner.y) < 1e-4);
  });
}
