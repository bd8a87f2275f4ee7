import { near } from '../length/tolerance.ts';
import { convertLength, type Unit } from '../length/unit.ts';
import { settingOf } from '../setting/registry.ts';
import type { Measured, Plan, Target } from './shape.ts';

/** Noise that a conversion there and back leaves, dropped where a figure comes back to thousandths. */
const THOUSANDTHS = 1000;

/** Exactly converted; a figure that was a plain one in this unit is that one again. */
function converted(value: number, from: Unit, to: Unit): number {
  const exact = convertLength(value, from, to);
  // Halvings of an inch down to sixty-fourths are finer than thousandths and exact in binary.
  const marks = [THOUSANDTHS, 64].map((parts) => Math.round(exact * parts) / parts);
  return marks.find((mark) => near(mark, exact)) ?? exact;
}

/**
 * The same quilt in the other unit: every length converted exactly, so that no verdict and no count changes, and
 * converted back it is the plan it was (rule UN-1). Figures that come out between two marks are shown to the
 * nearest one and stand in workings as they are.
 */
export function convertPlan(plan: Plan, to: Unit): Plan {
  const from = plan.unit;
  if (from === to) return plan;
  const length = (value: number) => converted(value, from, to);
  const measured = (value: number | null) => (value === null ? null : length(value));
  const three = (values: Measured['width']) => values.map(measured) as Measured['width'];
  const setting = { ...plan.setting } as Record<string, unknown>;
  for (const field of settingOf(plan.setting.kind).fields) {
    if (field.type === 'length') setting[field.key] = length(setting[field.key] as number);
  }
  return {
    ...plan,
    unit: to,
    seam: length(plan.seam),
    squaring: length(plan.squaring),
    hanging: { ...plan.hanging, depth: length(plan.hanging.depth) },
    block: { width: length(plan.block.width), height: length(plan.block.height) },
    pile: plan.pile.map((block) => ({
      ...block,
      ...(block.diagonals
        ? { diagonals: [length(block.diagonals[0]), length(block.diagonals[1])] as [number, number] }
        : {}),
      width: block.width === null ? null : length(block.width),
      height: block.height === null ? null : length(block.height),
      ...(block.edges
        ? {
            edges: {
              top: length(block.edges.top),
              bottom: length(block.edges.bottom),
              left: length(block.edges.left),
              right: length(block.edges.right),
            },
          }
        : {}),
    })),
    setting: setting as Plan['setting'],
    borders: plan.borders.map((border) => ({
      ...border,
      sides: length(border.sides),
      ends: length(border.ends),
      repeat: border.repeat === null ? null : length(border.repeat),
      pieced: border.pieced && { ...border.pieced, key: length(border.pieced.key) },
    })),
    measured: plan.measured.map((m) => ({ ...m, width: three(m.width), height: three(m.height) })),
    target: plan.target && convertTarget(plan.target, length),
    ...convertLayers(plan, length),
    ...convertEdge(plan, length),
    overLong: { sashes: length(plan.overLong.sashes), borders: length(plan.overLong.borders) },
    stock: plan.stock.map((piece) => ({
      ...piece,
      width: length(piece.width),
      length: length(piece.length),
    })),
    // A price of a yard becomes the price of a metre, exactly, so that it comes back as it was; it is said to the penny.
    fabrics: plan.fabrics.map((fabric) => ({
      ...fabric,
      usableWidth: length(fabric.usableWidth),
      price: fabric.price === null ? null : pricedIn(fabric.price * (to === 'cm' ? 100 / 91.44 : 0.9144)),
    })),
  };
}

/** A price without the noise of a conversion there and back: whole pennies where it comes to them. */
function pricedIn(exact: number): number {
  const pennies = Math.round(100 * exact) / 100;
  return near(pennies, exact) ? pennies : Math.round(exact * 1e8) / 1e8;
}

type Convert = (value: number) => number;

function convertLayers(
  { backing, batting, quilting }: Plan,
  length: Convert,
): Pick<Plan, 'backing' | 'batting' | 'quilting'> {
  const measured = (value: number | null) => (value === null ? null : length(value));
  const { made } = backing;
  return {
    backing: {
      ...backing,
      overhang: length(backing.overhang),
      made: made && {
        width: measured(made.width),
        height: measured(made.height),
        diagonals: [measured(made.diagonals[0]), measured(made.diagonals[1])],
      },
    },
    batting: { ...batting, rollWidth: length(batting.rollWidth) },
    quilting: { ...quilting, spacing: length(quilting.spacing) },
  };
}

function convertEdge({ edge, binding }: Plan, length: Convert): Pick<Plan, 'edge' | 'binding'> {
  const { points, scallop, flange, facing, selfBinding, piping } = edge;
  return {
    edge: {
      ...edge,
      radius: length(edge.radius),
      cutOut: { across: length(edge.cutOut.across), down: length(edge.cutOut.down) },
      around: edge.around === null ? null : length(edge.around),
      scallop: { ...scallop, width: length(scallop.width), depth: length(scallop.depth) },
      flange: { ...flange, visible: length(flange.visible) },
      facing: { ...facing, width: length(facing.width) },
      selfBinding: { shows: length(selfBinding.shows) },
      piping: { ...piping, cord: length(piping.cord) },
      points: {
        ...points,
        square: length(points.square),
        overlap: length(points.overlap),
        opening: length(points.opening),
      },
    },
    binding: {
      ...binding,
      stripWidth: length(binding.stripWidth),
      seam: binding.seam === null ? null : length(binding.seam),
      start: binding.start === null ? null : length(binding.start),
      flange: binding.flange && { ...binding.flange, visible: length(binding.flange.visible) },
    },
  };
}

function convertTarget(target: Target, length: Convert): Target {
  switch (target.of) {
    case 'size':
      return { ...target, width: length(target.width), height: length(target.height) };
    case 'wall':
      return {
        ...target,
        width: length(target.width),
        height: length(target.height),
        free: length(target.free),
      };
    case 'bed': {
      const { drop, tuck, depth } = target;
      return {
        ...target,
        drop: { left: length(drop.left), right: length(drop.right), foot: length(drop.foot) },
        tuck: length(tuck),
        depth: depth === null ? null : length(depth),
      };
    }
  }
}
