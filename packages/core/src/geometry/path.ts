import type { Point } from './point.ts';

/** A step of a path: straight to a point, or along an arc of a circle, clockwise as one looks at it. */
type PathStep =
  | { readonly to: Point }
  | { readonly to: Point; readonly arc: { readonly centre: Point; readonly radius: number } };

/** A way over the plane, in the plan's unit; closed, it goes back to where it began. */
export interface Path {
  readonly from: Point;
  readonly steps: readonly PathStep[];
  readonly closed: boolean;
}

/** The path round an outline. */
export function pathRound([from, ...rest]: readonly Point[]): Path {
  return { from: from!, steps: rest.map((to) => ({ to })), closed: true };
}

/** A straight stroke. */
export const stroke = (from: Point, to: Point): Path => ({ from, steps: [{ to }], closed: false });

/** The path moved as it is. */
export function pathMoved({ from, steps, closed }: Path, by: Point): Path {
  const moved = ({ x, y }: Point): Point => ({ x: x + by.x, y: y + by.y });
  return {
    from: moved(from),
    steps: steps.map((step) =>
      'arc' in step
        ? { to: moved(step.to), arc: { ...step.arc, centre: moved(step.arc.centre) } }
        : { to: moved(step.to) },
    ),
    closed,
  };
}

/** The angle an arc goes through from one of its points to another, clockwise, in radians. */
function sweepOf(from: Point, to: Point, centre: Point): number {
  const angle = ({ x, y }: Point) => Math.atan2(y - centre.y, x - centre.x);
  const sweep = angle(to) - angle(from);
  return sweep <= 0 ? sweep + 2 * Math.PI : sweep;
}

/** A path as the data of an SVG path element. */
export function pathData({ from, steps, closed }: Path): string {
  let at = from;
  let data = `M${from.x} ${from.y}`;
  for (const step of steps) {
    const { to } = step;
    if ('arc' in step) {
      const { centre, radius } = step.arc;
      const large = sweepOf(at, to, centre) > Math.PI ? 1 : 0;
      data += `A${radius} ${radius} 0 ${large} 1 ${to.x} ${to.y}`;
    } else data += `L${to.x} ${to.y}`;
    at = to;
  }
  return closed ? `${data}Z` : data;
}
