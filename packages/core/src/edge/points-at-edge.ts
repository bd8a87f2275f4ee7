import type { Layout } from '../layout/lay-out.ts';
import { near } from '../length/tolerance.ts';
import type { Point } from '../geometry/point.ts';

/**
 * Whose points touch the finished edge of a quilt, if any do: a block's, or those of a border's units. A point is a corner
 * on the edge that no side of its piece runs along.
 */
export function pointsAtEdge({ pieces, parts, finished }: Layout): 'blocks' | 'border' | null {
  const [width, height] = [finished.width.value, finished.height.value];
  const edges = [
    ({ x }: Point) => near(x, 0),
    ({ y }: Point) => near(y, 0),
    ({ x }: Point) => near(x, width),
    ({ y }: Point) => near(y, height),
  ];
  const touches = ({ outline }: Layout['pieces'][number]) =>
    outline.some((p, i) => {
      const beside = [outline.at(i - 1)!, outline[(i + 1) % outline.length]!];
      return edges.some((on) => on(p) && !beside.some(on));
    });
  const found = pieces.find(
    (piece) => ['block', 'border-patch'].includes(parts[piece.part]!.role) && touches(piece),
  );
  if (!found) return null;
  return parts[found.part]!.role === 'block' ? 'blocks' : 'border';
}
