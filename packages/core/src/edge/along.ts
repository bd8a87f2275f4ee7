import { bisector } from 'd3-array';
import type { Point } from '../geometry/point.ts';
import { TOLERANCE } from '../length/tolerance.ts';
import { type Side, SIDES } from '../choice/edge.ts';
import { type EdgeOutline, type EdgeRun, heading } from './outline.ts';

/** The point so far along an edge, and which way the edge goes there, in radians. */
export function pointAt({ runs, length }: EdgeOutline, along: number): Point & { readonly heading: number } {
  let left = ((along % length) + length) % length;
  for (const run of runs) {
    if (left <= run.length) {
      if (run.kind === 'line') {
        const t = left / run.length;
        return {
          x: run.from.x + t * (run.to.x - run.from.x),
          y: run.from.y + t * (run.to.y - run.from.y),
          heading: heading(run, false),
        };
      }
      const angle = run.start + left / run.radius;
      return {
        x: run.centre.x + run.radius * Math.cos(angle),
        y: run.centre.y + run.radius * Math.sin(angle),
        heading: angle + Math.PI / 2,
      };
    }
    left -= run.length;
  }
  const { x, y } = runs[0]!.from;
  return { x, y, heading: heading(runs[0]!, false) };
}

/** The stretch so far along an edge. */
function runAt({ runs, length }: EdgeOutline, along: number): EdgeRun | undefined {
  let left = ((along % length) + length) % length;
  return runs.find((run) => (left <= run.length ? true : ((left -= run.length), false)));
}

/** The side an edge's point lies on, and how far from that side's left, or upper, end. */
export function sideAt(outline: EdgeOutline, along: number): { readonly side: Side; readonly from: number } {
  const { x, y } = pointAt(outline, along);
  const { width, height } = outline;
  // Round a corner the nearer side has it.
  const near = [y, width - x, height - y, x];
  const side = runAt(outline, along)?.side ?? SIDES[near.indexOf(Math.min(...near))]!;
  return { side, from: side === 'top' || side === 'bottom' ? x : y };
}

/** The bottom side, made ready to be asked often: a search through many beginnings must not walk the edge for each. */
export interface BottomSide {
  /** Where it begins and ends along the edge, its corners left out. */
  readonly span: readonly [first: number, last: number];
  /** How far along the edge its point lies that is so far from its left end; its own ends where it would lie beyond. */
  readonly along: (fromLeft: number) => number;
}

/** The bottom side of an edge. */
export function bottomSide(outline: EdgeOutline): BottomSide {
  const span = bottomSpan(outline);
  const [first, last] = span;
  const stretches: { readonly run: EdgeRun; readonly at: number }[] = [];
  let at = 0;
  for (const run of outline.runs) {
    if (at >= first - TOLERANCE && at < last - TOLERANCE) stretches.push({ run, at });
    at += run.length;
  }
  const rightEnd = pointAt(outline, first + TOLERANCE).x;
  // Along the bottom the edge runs from right to left.
  const toTheLeft = bisector(({ run }: (typeof stretches)[number]) => -run.to.x);
  return {
    span,
    along(fromLeft) {
      const stretch = stretches[toTheLeft.left(stretches, -fromLeft)];
      if (!stretch || fromLeft > stretch.run.from.x) return fromLeft > rightEnd ? first : last;
      const { run } = stretch;
      if (run.kind === 'line') return stretch.at + run.from.x - fromLeft;
      const cosine = Math.min(1, Math.max(-1, (fromLeft - run.centre.x) / run.radius));
      return stretch.at + run.radius * (Math.acos(cosine) - run.start);
    },
  };
}

/** Where the bottom side begins and ends along the edge, its corners left out. */
function bottomSpan({ runs, width, height, scallops }: EdgeOutline): [number, number] {
  let along = 0;
  let span: [number, number] | null = null;
  const turned = (side: Side) =>
    scallops !== null && scallops.sides.includes('bottom') && scallops.sides.includes(side);
  const insetAt = (side: Side) => (turned(side) ? scallops!.corner!.inset : 0) - TOLERANCE;
  for (const run of runs) {
    const low = Math.min(run.from.y, run.to.y) > height / 2 && run.to.x < run.from.x - TOLERANCE;
    const side =
      run.kind === 'line'
        ? // A corner that is cut out runs level too, a drop above it.
          run.side === 'bottom'
        : scallops !== null && run.from.x <= width - insetAt('right') && run.to.x >= insetAt('left');
    if (low && side) span = [span?.[0] ?? along, along + run.length];
    along += run.length;
  }
  return span ?? [0, along];
}
