import type { Layout } from '../layout/lay-out.ts';
import { near } from '../length/tolerance.ts';

/** Whether any block of a quilt touches its finished edge with a point: a corner of the block on the edge, with cloth slanting away on both sides. */
export function pointsTouchEdge({ pieces, parts, finished }: Layout): boolean {
  const [width, height] = [finished.width.value, finished.height.value];
  return pieces.some(
    ({ part, outline }) =>
      parts[part]!.role === 'block' &&
      outline.some((p, i) => {
        const [before, after] = [
          outline[(i + outline.length - 1) % outline.length]!,
          outline[(i + 1) % outline.length]!,
        ];
        const slants = [before, after].every((q) => !near(p.x, q.x) && !near(p.y, q.y));
        return slants && (near(p.x, 0) || near(p.y, 0) || near(p.x, width) || near(p.y, height));
      }),
  );
}
