import { scallopTemplates, type Template } from '../edge/template.ts';
import { grownBy } from '../geometry/offset.ts';
import { pathRound } from '../geometry/path.ts';
import type { Point } from '../geometry/point.ts';
import { formatSize } from '../length/format.ts';
import { fromInches } from '../length/unit.ts';
import type { Layout } from '../layout/lay-out.ts';
import type { Quilt } from '../quilt/compute.ts';
import type { Plan } from '../plan/shape.ts';

/** Longer than this a piece is cut with ruler and blade, and no card helps: 24". */
const LONGEST_INCHES = 24;

/** An outline turned so that its longest side lies level below, moved to the origin. */
function laidLevel(outline: readonly Point[]): Point[] {
  const sides = outline.map((from, i) => {
    const to = outline[(i + 1) % outline.length]!;
    return { from, to, length: Math.hypot(to.x - from.x, to.y - from.y) };
  });
  const { from, to, length } = sides.reduce((a, b) => (b.length > a.length + 1e-9 ? b : a));
  const [cos, sin] = [(to.x - from.x) / length, (to.y - from.y) / length];
  const turned = outline.map(({ x, y }) => ({ x: x * cos + y * sin, y: y * cos - x * sin }));
  const [left, top] = [Math.min(...turned.map((p) => p.x)), Math.min(...turned.map((p) => p.y))];
  return turned.map(({ x, y }) => ({ x: x - left, y: y - top }));
}

/**
 * A card for each kind of piece of the top that goes on paper: what is cut, with the seam in it, and what is sewn. Pieces
 * of one shape share a card. True outlines: where the trade cuts a triangle's square a little larger, it is trimmed to this.
 */
function partTemplates({ seam, unit }: Pick<Plan, 'seam' | 'unit'>, { parts, pieces }: Layout): Template[] {
  const most = fromInches(LONGEST_INCHES, unit);
  const cards = new Map<string, { names: string[]; count: number; sewn: Point[] }>();
  for (const part of Object.values(parts)) {
    if (!part.cutFrom) continue;
    const own = pieces.filter((piece) => piece.part === part.key);
    if (own.length === 0) continue;
    const sewn = laidLevel(own[0]!.outline);
    const key = sewn
      .map(({ x, y }) => `${x.toFixed(3)},${y.toFixed(3)}`)
      .sort()
      .join(' ');
    const card = cards.get(key) ?? { names: [], count: 0, sewn };
    card.names.push(part.name);
    card.count += own.length;
    cards.set(key, card);
  }
  return [...cards.values()].flatMap(({ names, count, sewn }) => {
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
        says: `${count} in the quilt; ${formatSize(width, height, unit)} over all, seams and all`,
      },
    ];
  });
}

/** Every card a quilt has use for: its pieces, and the scallops of its edge. */
export const templatesOf = (plan: Plan, { layout, edge }: Quilt): Template[] => [
  ...partTemplates(plan, layout),
  ...(edge.outline.scallops ? scallopTemplates(edge.outline.scallops, plan.unit) : []),
];
