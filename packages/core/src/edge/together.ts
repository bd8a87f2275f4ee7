import type { Refusal } from '../refusal/refusal.ts';
import { formatWithUnit } from '../length/format.ts';
import { leastIn } from '../length/rounding.ts';
import { atLeast } from '../length/tolerance.ts';
import { fromInches } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { EDGE_SHAPE_NAMES, type EdgeFinish } from '../choice/edge.ts';
import { bindingSeamOf } from './binding-seam.ts';
import { flangeRefusal } from './flange.ts';
import { scallopRefusal } from './scallops.ts';

/** Why these finishes do not go together on an edge of this shape; empty when they do (rule ED-2; common practice). */
export function finishRefusals({ edge: { finishes, shape } }: Pick<Plan, 'edge'>): Refusal[] {
  const has = (finish: EdgeFinish) => finishes.includes(finish);
  const path = ['edge', 'finishes'];
  const said: Refusal[] = [];
  const say = (message: string) => said.push({ path, message });
  if (!has('binding') && !has('prairie-points'))
    say(
      has('flange')
        ? 'A flange is only basted on: the seam of a binding is what holds it. Keep the binding with it.'
        : 'A raw edge frays: finish it with a binding or with prairie points.',
    );
  if (has('prairie-points') && has('binding'))
    say(
      'Prairie points close the edge by themselves: their raw edges lie between top and backing, so nothing is left to bind, and a binding would cover their bases. Choose one of the two.',
    );
  if (has('prairie-points') && has('flange'))
    say(
      'A flange is held by the seam of a binding and lies against it; beside prairie points there is none. Take the flange off, or bind the quilt.',
    );
  if (has('prairie-points') && shape !== 'square')
    say(
      `Prairie points need straight sides that meet square: on an edge with ${EDGE_SHAPE_NAMES[shape].toLowerCase()} their bases gape. Bind it, or choose square corners.`,
    );
  if (has('flange') && shape !== 'square')
    say(
      `A flange is a folded straight strip and cannot follow ${shape === 'clipped' ? 'corners that are cut off without eight pieces' : 'a curve'}. Choose square corners, or a binding with a flange built in.`,
    );
  return said;
}

/** Why an edge of this shape cannot go round a quilt of this size; empty when it can. */
export function shapeRefusals(plan: Plan, quilt: { width: number; height: number }): Refusal[] {
  const { edge, unit, binding, seam } = plan;
  const show = (v: number) => formatWithUnit(v, unit);
  const said: Refusal[] = [];
  const shorter = Math.min(quilt.width, quilt.height);
  if ((edge.shape === 'rounded' || edge.shape === 'clipped') && !atLeast(shorter / 2, edge.radius)) {
    said.push({
      path: ['edge', 'radius'],
      message: `A corner of ${show(edge.radius)} is more than half of the quilt’s shorter side: at most ${show(shorter / 2)}.`,
    });
  }
  if (edge.shape === 'scalloped') {
    const { width, depth, sides } = edge.scallop;
    const refusal = scallopRefusal(quilt, width, depth, sides);
    if (refusal === 'too-deep')
      said.push({
        path: ['edge', 'scallop', 'depth'],
        message: `A scallop ${show(width)} wide can be ${show(width / 2)} deep at most: more would be over half a circle.`,
      });
    if (refusal === 'too-wide')
      said.push({
        path: ['edge', 'scallop', 'width'],
        message: `Scallops about ${show(width)} wide do not divide sides of ${show(quilt.width)} and ${show(quilt.height)} and turn their corners: make them narrower${depth > width / 4 ? ' or shallower' : ''}.`,
      });
  }
  if (binding.flange && !atLeast(binding.stripWidth / 2 - binding.flange.visible, leastIn(1 / 4, unit))) {
    said.push({
      path: ['binding', 'flange', 'visible'],
      message: `A flange of ${show(binding.flange.visible)} leaves nothing of a binding cut ${show(binding.stripWidth)}.`,
    });
  }
  if (edge.finishes.includes('flange')) {
    const usable = plan.fabrics.find((f) => f.id === edge.flange.fabric)?.usableWidth ?? 0;
    const why = flangeRefusal({
      visible: edge.flange.visible,
      bindingSeam: bindingSeamOf(plan),
      usable,
      unit,
    });
    if (why !== null) said.push({ path: ['edge', 'flange', 'visible'], message: why });
  }
  if (edge.finishes.includes('prairie-points')) {
    const { square, overlap, opening } = edge.points;
    if (!atLeast(square - overlap, fromInches(1 / 2, unit)))
      said.push({
        path: ['edge', 'points', 'overlap'],
        message: `An overlap of ${show(overlap)} hides a square of ${show(square)} all but whole.`,
      });
    if (!atLeast(square / 2, 1.5 * seam))
      said.push({
        path: ['edge', 'points', 'square'],
        message: `A square of ${show(square)} leaves no point beyond a seam of ${show(seam)}.`,
      });
    if (!atLeast(shorter, square))
      said.push({
        path: ['edge', 'points', 'square'],
        message: `A square of ${show(square)} is wider than the quilt.`,
      });
    if (!atLeast(quilt.width / 2, opening))
      said.push({
        path: ['edge', 'points', 'opening'],
        message: `An opening of ${show(opening)} is more than half of the bottom side.`,
      });
  }
  return said;
}
