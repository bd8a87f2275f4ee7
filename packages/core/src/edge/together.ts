import type { Problem } from '../refusal/refusal.ts';
import { formatWithUnit } from '../length/format.ts';
import { leastIn } from '../length/rounding.ts';
import { atLeast } from '../length/tolerance.ts';
import { fromInches } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import type { EdgeFinish } from '../choice/edge.ts';
import { bindingSeamOf } from './binding-seam.ts';
import { finishOf, wholeFinishesIn } from './finish/registry.ts';
import { flangeRefusal } from './flange.ts';
import { scallopRefusal } from './scallops.ts';

/** In the order they are asked what they go with: what closes an edge first. */
const ASKED: readonly EdgeFinish[] = [
  ...(['prairie-points', 'facing', 'self-binding', 'turned-edge', 'binding'] as const),
  ...(['piping', 'flange'] as const),
];

/** Why these finishes do not go together on an edge of this shape; empty when they do (rule ED-2; common practice). */
export function finishRefusals({ edge: { finishes, shape } }: Pick<Plan, 'edge'>): Problem[] {
  const chosen = ASKED.filter((finish) => finishes.includes(finish));
  const closed = chosen.some((finish) => finishOf(finish).closes);
  const open = chosen.includes('flange')
    ? 'A flange is only basted on: the seam of a binding is what holds it. Keep the binding with it.'
    : chosen.includes('piping')
      ? 'Piping lies in the seam of what closes the edge: choose a binding, a facing, a turned edge or points with it.'
      : 'A raw edge frays: bind it, face it, turn it in or finish it with prairie points.';
  const messages = [
    ...(closed ? [] : [open]),
    // Of two that do not go together one reason is enough.
    ...chosen.flatMap((finish, i) =>
      chosen
        .slice(i + 1)
        .flatMap((other) => finishOf(finish).against(other) ?? finishOf(other).against(finish) ?? []),
    ),
    ...chosen.flatMap((finish) => finishOf(finish).around(shape) ?? []),
  ];
  return messages.map((message) => ({ path: ['edge', 'finishes'], message }));
}

/** Why an edge of this shape cannot go round a quilt of this size; empty when it can. */
export function shapeRefusals(plan: Plan, quilt: { width: number; height: number }): Problem[] {
  const { edge, unit, binding, seam } = plan;
  const show = (v: number) => formatWithUnit(v, unit);
  const said: Problem[] = [];
  const shorter = Math.min(quilt.width, quilt.height);
  if ((edge.shape === 'rounded' || edge.shape === 'clipped') && !atLeast(shorter / 2, edge.radius)) {
    said.push({
      path: ['edge', 'radius'],
      message: `A corner of ${show(edge.radius)} is more than half of the quilt’s shorter side: at most ${show(shorter / 2)}.`,
    });
  }
  if (edge.shape === 'posts') {
    const { across, down } = edge.cutOut;
    const most = { across: quilt.width / 2, down: (edge.corners === 'all' ? 0.5 : 1) * quilt.height };
    for (const way of ['across', 'down'] as const) {
      const value = way === 'across' ? across : down;
      if (!atLeast(value, most[way])) continue;
      said.push({
        path: ['edge', 'cutOut', way],
        message: `Corners cut out ${show(value)} ${way} leave nothing of this quilt: less than ${show(most[way])}.`,
      });
    }
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
  said.push(...wholeFinishesIn(edge.finishes).flatMap(([, finish]) => finish.refusals(plan, quilt)));
  return said;
}
