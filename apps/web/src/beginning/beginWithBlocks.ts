import { gridFor, type PileBlock, type Plan, blankPlan } from '@lattice/core';

/** A new quilt of blocks that another has over: its cloths and its setting, its blocks' size, and a grid for them. */
export function beginWithBlocks(
  plan: Plan,
  blocks: readonly PileBlock[],
  title: string,
  newId: () => string,
): Plan {
  const { unit, seam, block, setting, fabrics, fabricFor } = plan;
  return {
    ...blankPlan(unit),
    title,
    tags: plan.tags,
    seam,
    block,
    setting,
    fabrics: [...fabrics],
    fabricFor,
    backing: { ...blankPlan(unit).backing, fabric: plan.backing.fabric, wide: plan.backing.wide },
    edge: { ...blankPlan(unit).edge, flange: plan.edge.flange, points: plan.edge.points },
    binding: { ...blankPlan(unit).binding, fabric: plan.binding.fabric },
    pile: blocks.map((its) => ({ ...its, id: newId() })),
    grid: gridFor(blocks.length, block, setting),
  };
}
