import { rulerFine } from '../length/rounding.ts';
import { convertLength, type Unit } from '../length/unit.ts';
import { settingOf } from '../setting/registry.ts';
import { withEdgeThatFits } from './another-top.ts';
import type { Plan, Target } from './shape.ts';
import { USUAL_SEAM } from './start.ts';

/**
 * The same quilt in the other unit. Each length is converted exactly, then taken to the nearest mark
 * one can read off a ruler (1/16" or 1 mm); the seam allowance becomes what is sewn in that unit
 * (1/4" and 0.75 cm stand for each other, common practice).
 */
export function convertPlan(plan: Plan, to: Unit): Plan {
  const from = plan.unit;
  if (from === to) return plan;
  const length = (value: number) => rulerFine(to).apply(convertLength(value, from, to));
  const seam = plan.seam === USUAL_SEAM[from] ? USUAL_SEAM[to] : length(plan.seam);
  const three = (values: readonly [number, number, number]) => values.map(length) as [number, number, number];
  const setting = { ...plan.setting } as Record<string, unknown>;
  for (const field of settingOf(plan.setting.kind).fields) {
    if (field.type === 'length') setting[field.key] = length(setting[field.key] as number);
  }
  // A millimetre of rounding can tip a corner that only just fitted.
  return withEdgeThatFits({
    ...plan,
    unit: to,
    seam,
    block: { width: length(plan.block.width), height: length(plan.block.height) },
    pile: plan.pile.map((block) => ({
      ...block,
      width: block.width === null ? null : length(block.width),
      height: block.height === null ? null : length(block.height),
      ...(block.edges ? { edges: { top: length(block.edges.top), bottom: length(block.edges.bottom), left: length(block.edges.left), right: length(block.edges.right) } } : {}),
    })),
    setting: setting as Plan['setting'],
    borders: plan.borders.map((border) => ({ ...border, sides: length(border.sides), ends: length(border.ends), repeat: border.repeat === null ? null : length(border.repeat) })),
    measured: plan.measured.map((m) => ({ ...m, width: three(m.width), height: three(m.height) })),
    target: plan.target && convertTarget(plan.target, length),
    ...convertLayers(plan, length),
    ...convertEdge(plan, length),
    // A price of a yard becomes the price of a metre, to the penny.
    fabrics: plan.fabrics.map((fabric) => ({ ...fabric, usableWidth: length(fabric.usableWidth), price: fabric.price === null ? null : Math.round(100 * fabric.price * (to === 'cm' ? 100 / 91.44 : 0.9144)) / 100 })),
  });
}

type Convert = (value: number) => number;

function convertLayers({ backing, batting, quilting }: Plan, length: Convert): Pick<Plan, 'backing' | 'batting' | 'quilting'> {
  const sheet = <T extends { width: number; height: number }>(of: T): T => ({ ...of, width: length(of.width), height: length(of.height) });
  const { made } = backing;
  return {
    backing: { ...backing, overhang: length(backing.overhang), made: made && { ...sheet(made), diagonals: [length(made.diagonals[0]), length(made.diagonals[1])] } },
    batting: { ...batting, rollWidth: length(batting.rollWidth), pieces: batting.pieces.map(sheet) },
    quilting: { ...quilting, spacing: length(quilting.spacing), booking: quilting.booking && sheet(quilting.booking) },
  };
}

function convertEdge({ edge, binding }: Plan, length: Convert): Pick<Plan, 'edge' | 'binding'> {
  const { points, scallop, flange } = edge;
  return {
    edge: {
      ...edge, radius: length(edge.radius), around: edge.around === null ? null : length(edge.around),
      scallop: { width: length(scallop.width), depth: length(scallop.depth) },
      flange: { ...flange, visible: length(flange.visible) },
      points: { ...points, square: length(points.square), overlap: length(points.overlap), opening: length(points.opening) },
    },
    binding: {
      ...binding, stripWidth: length(binding.stripWidth), start: binding.start === null ? null : length(binding.start),
      flange: binding.flange && { ...binding.flange, visible: length(binding.flange.visible) },
      leftovers: binding.leftovers.map((piece) => ({ width: length(piece.width), length: length(piece.length) })),
    },
  };
}

function convertTarget(target: Target, length: Convert): Target {
  switch (target.of) {
    case 'size':
      return { ...target, width: length(target.width), height: length(target.height) };
    case 'wall':
      return { ...target, width: length(target.width), height: length(target.height), free: length(target.free) };
    case 'bed': {
      const { drop, tuck, depth } = target;
      return { ...target, drop: { left: length(drop.left), right: length(drop.right), foot: length(drop.foot) }, tuck: length(tuck), depth: depth === null ? null : length(depth) };
    }
  }
}
