import { longer, near } from '../length/tolerance.ts';
import { sum } from 'd3-array';
import type { Path } from '../geometry/path.ts';
import { at, type Point } from '../geometry/point.ts';
import { type EdgeShape, type Side, SIDES } from '../choice/edge.ts';
import { type Scallops, solveScallops } from './scallops.ts';

/** One stretch of an edge, straight or an arc. Angles in radians, growing clockwise as one looks at the quilt. */
export type EdgeRun =
  | (RunPlace & { readonly kind: 'line' })
  | (RunPlace & {
      readonly kind: 'arc';
      readonly centre: Point;
      readonly radius: number;
      readonly start: number;
      readonly sweep: number;
    });

/** What every stretch has; `side` is null where it turns a corner. */
interface RunPlace {
  readonly from: Point;
  readonly to: Point;
  readonly length: number;
  readonly side: Side | null;
}

/** A place where the edge turns sharply: a corner to mitre, or a valley to pivot in. */
interface EdgeTurn {
  /** How far along the edge, from its beginning. */
  readonly at: number;
  /** Inside the quilt, in degrees: 90 at a square corner, above 180 in a valley. */
  readonly angle: number;
  readonly kind: 'corner' | 'valley';
}

/** The finished edge of a quilt, clockwise from the left end of the top side. */
export interface EdgeOutline {
  readonly width: number;
  readonly height: number;
  readonly runs: readonly EdgeRun[];
  readonly turns: readonly EdgeTurn[];
  readonly length: number;
  readonly scallops: Scallops | null;
}

/** What shapes an edge. */
export interface EdgeForm {
  readonly shape: EdgeShape;
  readonly corners: 'all' | 'foot';
  readonly radius: number;
  /** Of a corner that is cut out for a bed post; asked of that shape alone. */
  readonly cutOut?: { readonly across: number; readonly down: number };
  /** `sides` are those that have them; all where it does not say. */
  readonly scallop: { readonly width: number; readonly depth: number; readonly sides?: readonly Side[] };
}

const SQUARE: EdgeForm = { shape: 'square', corners: 'all', radius: 0, scallop: { width: 1, depth: 0 } };

/** A stretch of a side as it lies with its beginning at the origin and the quilt below it. */
type Local = { readonly turns?: true } & (
  | { readonly kind: 'line'; readonly from: Point; readonly to: Point }
  | {
      readonly kind: 'arc';
      readonly centre: Point;
      readonly radius: number;
      readonly start: number;
      readonly sweep: number;
    }
);

/** The edge of a quilt of this size, in the shape asked for; square where nothing is, or where its scallops find no room. */
export function edgeOutline(
  { width, height }: { readonly width: number; readonly height: number },
  form: EdgeForm = SQUARE,
): EdgeOutline {
  const scallops =
    form.shape === 'scalloped'
      ? solveScallops({ width, height }, form.scallop.width, form.scallop.depth, form.scallop.sides)
      : null;
  const shaped = SIDES.map(
    (side) => isCornered(form.shape) && (form.corners === 'all' || side === 'right' || side === 'bottom'),
  );
  const radius = Math.min(form.radius, width / 2, height / 2);
  const { across, down } = form.cutOut ?? { across: 0, down: 0 };
  const runs = SIDES.flatMap((side, i): EdgeRun[] => {
    const level = side === 'top' || side === 'bottom';
    const long = level ? width : height;
    // What a shaped corner takes of this side, and of the next.
    const [own, next] = form.shape !== 'posts' ? [radius, radius] : level ? [across, down] : [down, across];
    // The corner before this side is the one the side before it ends at.
    const local = scallops
      ? scalloped(long, scallops, side)
      : plain(long, shaped[(i + 3) % 4]! ? own : 0, shaped[i]! ? [own, next] : null, form.shape);
    return local.map((run) => placed(run, i, width, height)).filter((run) => longer(run.length, 0));
  });
  return {
    width,
    height,
    runs,
    turns: turnsOf(runs),
    length: sum(runs, (r) => r.length),
    scallops,
  };
}

/** Shapes that are of the corners alone. */
export const isCornered = (shape: EdgeShape): boolean =>
  shape === 'rounded' || shape === 'clipped' || shape === 'posts';

/** A straight side and the corner at its end: square, rounded, cut off, or cut out. */
function plain(
  long: number,
  before: number,
  corner: readonly [after: number, next: number] | null,
  shape: EdgeShape,
): Local[] {
  const [after, next] = corner ?? [0, 0];
  const side: Local = { kind: 'line', from: at(before, 0), to: at(long - after, 0) };
  if (after === 0) return [side];
  if (shape === 'posts')
    return [
      side,
      { turns: true, kind: 'line', from: at(long - after, 0), to: at(long - after, next) },
      { turns: true, kind: 'line', from: at(long - after, next), to: at(long, next) },
    ];
  return shape === 'rounded'
    ? [
        side,
        {
          turns: true,
          kind: 'arc',
          centre: at(long - after, after),
          radius: after,
          start: -Math.PI / 2,
          sweep: Math.PI / 2,
        },
      ]
    : [side, { turns: true, kind: 'line', from: at(long - after, 0), to: at(long, after) }];
}

/**
 * A side where the edge has scallops: its own, if it has any, and the corner's arc at its end where the next
 * side has some too. Where only one of two sides that meet has scallops they begin in the corner, a valley
 * deep, and the straight one is so much shorter.
 */
function scalloped(long: number, { sides, across, down, corner, depth }: Scallops, side: Side): Local[] {
  const at4 = SIDES.indexOf(side);
  const has = (which: number) => sides.includes(SIDES[(at4 + which + 4) % 4]!);
  if (!has(0))
    return [{ kind: 'line', from: at(has(-1) ? depth : 0, 0), to: at(long - (has(1) ? depth : 0), 0) }];
  const { count, width, radius, half } = (side === 'top' || side === 'bottom' ? across : down)!;
  const begin = has(-1) ? corner!.inset : 0;
  const arcs = Array.from({ length: count }, (_, i): Local => ({
    kind: 'arc',
    centre: at(begin + (i + 0.5) * width, radius),
    radius,
    start: -Math.PI / 2 - half,
    sweep: 2 * half,
  }));
  if (!has(1)) return arcs;
  return [
    ...arcs,
    {
      turns: true,
      kind: 'arc',
      centre: at(long - corner!.radius, corner!.radius),
      radius: corner!.radius,
      start: -Math.PI / 2 - corner!.half,
      sweep: Math.PI / 2 + 2 * corner!.half,
    },
  ];
}

/** Turns a side's stretch to where the side lies on the quilt: `quarter` turns clockwise from the top. */
function placed(run: Local, quarter: number, width: number, height: number): EdgeRun {
  const turn = ({ x, y }: Point): Point =>
    [at(x, y), at(width - y, x), at(width - x, height - y), at(y, height - x)][quarter]!;
  const side = run.turns ? null : SIDES[quarter]!;
  if (run.kind === 'line') {
    const [from, to] = [turn(run.from), turn(run.to)];
    return { kind: 'line', side, from, to, length: Math.hypot(to.x - from.x, to.y - from.y) };
  }
  const centre = turn(run.centre);
  const start = run.start + (quarter * Math.PI) / 2;
  const on = (angle: number) =>
    at(centre.x + run.radius * Math.cos(angle), centre.y + run.radius * Math.sin(angle));
  return {
    kind: 'arc',
    side,
    centre,
    radius: run.radius,
    sweep: run.sweep,
    start,
    from: on(start),
    to: on(start + run.sweep),
    length: run.radius * run.sweep,
  };
}

/** Which way the edge goes at the beginning or the end of a stretch, in radians. */
export function heading(run: EdgeRun, end: boolean): number {
  return run.kind === 'line'
    ? Math.atan2(run.to.y - run.from.y, run.to.x - run.from.x)
    : run.start + (end ? run.sweep : 0) + Math.PI / 2;
}

function turnsOf(runs: readonly EdgeRun[]): EdgeTurn[] {
  let along = 0;
  return runs.flatMap((run, i): EdgeTurn[] => {
    const before = runs[(i + runs.length - 1) % runs.length]!;
    const start = along;
    along += run.length;
    // Clockwise round the quilt, a turn to the right closes the inside angle and one to the left opens it.
    const right = Math.atan2(
      Math.sin(heading(run, false) - heading(before, true)),
      Math.cos(heading(run, false) - heading(before, true)),
    );
    if (near(right, 0)) return [];
    const angle = 180 - (right * 180) / Math.PI;
    return [{ at: start, angle, kind: angle < 180 ? 'corner' : 'valley' }];
  });
}

/** An edge as a closed polygon, arcs broken into chords no longer than `step`: for areas and for programs that know no arcs. */
export function edgePolygon({ runs }: EdgeOutline, step: number): Point[] {
  return runs.flatMap((run): Point[] => {
    if (run.kind === 'line') return [run.from];
    const parts = Math.max(2, Math.ceil(run.length / step));
    return Array.from({ length: parts }, (_, i) => {
      const angle = run.start + (run.sweep * i) / parts;
      return at(run.centre.x + run.radius * Math.cos(angle), run.centre.y + run.radius * Math.sin(angle));
    });
  });
}

/** The edge as a path to draw. */
export function edgePath({ runs }: Pick<EdgeOutline, 'runs'>): Path {
  return {
    from: runs[0]!.from,
    closed: true,
    steps: runs.map((run) =>
      run.kind === 'line' ? { to: run.to } : { to: run.to, arc: { centre: run.centre, radius: run.radius } },
    ),
  };
}
