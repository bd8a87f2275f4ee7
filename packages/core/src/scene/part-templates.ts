import { scallopTemplates, type Template } from '../edge/template.ts';
import { grownBy } from '../geometry/offset.ts';
import { pathRound } from '../geometry/path.ts';
import type { Point } from '../geometry/point.ts';
import { formatSize } from '../length/format.ts';
import { fromInches } from '../length/unit.ts';
import type { Layout } from '../layout/lay-out.ts';
import type { Quilt } from '../quilt/quilt.ts';
import type { Plan } from '../plan/shape.ts';
import { longer } from '../length/tolerance.ts';

/** Longer than this a piece is cut with ruler and blade, and no card helps: 24". */
const LONGEST_INCHES = 24;

/** An outline turned so that its longest side lies level below, moved to the origin. */
function laidLevel(outline: readonly Point[]): Point[] {
  const sides = outline.map((from, i) => {
    const to = outline[(i + 1) % outline.length]!;
    return { from, to, length: Math.hypot(to.x - from.x, to.y - from.y) };
  });
  const { from, to, length } = sides.reduce((a, b) => (longer(b.length, a.length) ? b : a));
  const [cos, sin] = [(to.x - from.x) / length, (to.y - from.y) / length];
  const turned = outline.map(({ x, y }) => ({ x: x * cos + y * sin, y: y * cos - x * sin }));
  const [left, top] = [Math.min(...turned.map((p) => p.x)), Math.min(...turned.map((p) => p.y))];
  return turned.map(({ x, y }) => ({ x: x - left, y: y - top }));
}

/** A shape by its corners, whichever comes first. */
const shapeKey = (corners: readonly Point[]): string =>
  corners
    .map(({ x, y }) => `${x.toFixed(3)},${y.toFixed(3)}`)
    .sort()
    .join(' ');

const mirrored = (outline: readonly Point[]): Point[] => outline.map(({ x, y }) => ({ x: -x, y })).reverse();

/**
 * A card for each kind of piece of the top that goes on paper: what is cut, with the seam in it, and what is sewn. Pieces
 * of one shape share a card. True outlines: where the trade cuts a triangle's square a little larger, it is trimmed to this.
 */
function partTemplates({ seam, unit }: Pick<Plan, 'seam' | 'unit'>, { parts, pieces }: Layout): Template[] {
  const most = fromInches(LONGEST_INCHES, unit);
  const cards = new Map<string, { names: string[]; count: number; mirrored: number; sewn: Point[] }>();
  for (const { part: key, outline } of pieces) {
    const part = parts[key]!;
    if (!part.cutFrom) continue;
    // Triangles of one part differ where a float meets them at an edge or a corner: each shape has its card.
    const sewn = laidLevel(outline);
    const shape = shapeKey(sewn);
    const other = shapeKey(laidLevel(mirrored(outline)));
    // A shape that is the same in the mirror is no mirrored one.
    const isMirrored = !cards.has(shape) && cards.has(other);
    const id = isMirrored ? other : shape;
    const card = cards.get(id) ?? { names: [], count: 0, mirrored: 0, sewn };
    card.names.push(part.name);
    card.count += 1;
    if (isMirrored) card.mirrored += 1;
    cards.set(id, card);
  }
  return [...cards.values()].flatMap(({ names, count, mirrored: turned, sewn }) => {
    const cut = grownBy(sewn, seam)!;
    const [left, top] = [Math.min(...cut.map((p) => p.x)), Math.min(...cut.map((p) => p.y))];
    const moved = (points: readonly Point[]) => points.map(({ x, y }) => ({ x: x - left, y: y - top }));
    const outline = moved(cut);
    const [width, height] = [Math.max(...outline.map((p) => p.x)), Math.max(...outline.map((p) => p.y))];
    if (Math.max(width, height) > most) return [];
    return [
      {
        name: [...new Set(names)].join(', '),
        width,
        height,
        outline: pathRound(outline),
        seam: pathRound(moved(sewn)),
        half: false,
        says: `${count} in the quilt${turned > 0 ? `, ${turned} of them with the card turned over` : ''}; ${formatSize(width, height, unit)} over all, seams and all`,
      },
    ];
  });
}

/** Every card a quilt has use for: its pieces, and the scallops of its edge. */
export const templatesOf = (plan: Plan, { layout, edge }: Quilt): Template[] => [
  ...partTemplates(plan, layout),
  ...(edge.outline.scallops ? scallopTemplates(edge.outline.scallops, plan.unit) : []),
];
