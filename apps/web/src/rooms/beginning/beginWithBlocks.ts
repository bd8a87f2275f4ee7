import { gridFor, type PileBlock, type Plan } from '@lattice/core';

/** A new quilt of blocks that another has over: its cloths and choices, without borders, and a grid for these blocks. */
export function beginWithBlocks(
  plan: Plan,
  blocks: readonly PileBlock[],
  title: string,
  newId: () => string,
): Plan {
  const { backing, edge, binding } = plan;
  return {
    ...plan,
    title,
    pile: blocks.map((its) => ({ ...its, id: newId() })),
    wall: [],
    grid: gridFor(blocks.length, plan.block, plan.setting, plan.seam),
    borders: [],
    measured: [],
    target: null,
    stock: [],
    // What was chosen or measured of the other top is let go; a few blocks have no room for its shaped edge.
    backing: { ...backing, way: 'best', made: null },
    edge: { ...edge, shape: 'square', around: null },
    binding: { ...binding, start: null },
  };
}
