import { TOLERANCE } from '../length/tolerance.ts';
import { type Path, stroke } from './path.ts';
import type { Point } from './point.ts';

/** A line without end: the way it goes, how far it lies from the origin, and the spans of it that are sides of an outline. */
interface Line {
  readonly x: number;
  readonly y: number;
  readonly off: number;
  readonly spans: [from: number, to: number][];
}

/** Lines are told apart by whole numbers of this much, of a turn and of a unit. */
const GRAIN = 1e6;

/**
 * The sides of outlines, each drawn once: sides that lie on one line and touch are one stroke, so that a grid of four
 * hundred places is some forty strokes. In the outlines' own unit.
 */
export function strokesRound(outlines: readonly (readonly Point[])[]): Path[] {
  /** By the way they go, then by how far they lie off. */
  const lines = new Map<number, Map<number, Line>>();
  for (const outline of outlines)
    outline.forEach((from, i) => addSide(lines, from, outline[i + 1] ?? outline[0]!));
  return [...lines.values()].flatMap((parallel) => [...parallel.values()].flatMap(strokesOn));
}

function addSide(lines: Map<number, Map<number, Line>>, a: Point, b: Point): void {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  if (length <= TOLERANCE) return;
  let x = (b.x - a.x) / length;
  let y = (b.y - a.y) / length;
  // A side and its neighbour's side go opposite ways along one line.
  if (x < -1 / GRAIN || (x < 1 / GRAIN && y < 0)) [x, y] = [-x, -y];
  const off = x * a.y - y * a.x;
  const way = Math.round(Math.atan2(y, x) * GRAIN);
  let parallel = lines.get(way);
  if (!parallel) lines.set(way, (parallel = new Map()));
  const key = Math.round(off * GRAIN);
  let line = parallel.get(key);
  if (!line) parallel.set(key, (line = { x, y, off, spans: [] }));
  const [from, to] = [line.x * a.x + line.y * a.y, line.x * b.x + line.y * b.y];
  line.spans.push(from < to ? [from, to] : [to, from]);
}

/** The spans of a line that touch, as one each. */
function strokesOn({ x, y, off, spans }: Line): Path[] {
  const at = (along: number): Point => ({ x: x * along - y * off, y: y * along + x * off });
  const strokes: Path[] = [];
  spans.sort(([a], [b]) => a - b);
  let [from, to] = spans[0]!;
  for (const [start, end] of spans) {
    if (start > to + TOLERANCE) {
      strokes.push(stroke(at(from), at(to)));
      [from, to] = [start, end];
    } else to = Math.max(to, end);
  }
  strokes.push(stroke(at(from), at(to)));
  return strokes;
}
