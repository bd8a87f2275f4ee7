import { computeQuilt, type Plan, startPlan } from '@lattice/core';
import { median } from './measure.ts';

const GRIDS = [
  [5, 6],
  [10, 10],
  [20, 20],
  [40, 40],
] as const;

function sashedPlan(across: number, down: number): Plan {
  const plan = startPlan('sashed-sampler');
  const pile = Array.from({ length: across * down }, (_, i) => ({
    id: `b${i}`,
    name: `Block ${i + 1}`,
    width: 12.5,
    height: 12.5 + (i % 5) / 32,
  }));
  return { ...plan, grid: { across, down }, pile };
}

/**
 * The whole pipeline for 30 to 1,600 sashed blocks, as a ratio to `structuredClone` of its own result:
 * what it costs to work a quilt out against merely copying the answer.
 */
export function* pipeline() {
  const plans = GRIDS.map(([across, down]) => ({ blocks: across * down, plan: sashedPlan(across, down) }));
  // All computing first: the garbage of large clones would slow what is timed after them.
  const computed = plans.map(({ blocks, plan }) => ({
    blocks,
    plan,
    compute: median(() => computeQuilt(plan), 300),
  }));
  const at400 = computed.find((c) => c.blocks === 400)!.compute;
  for (const { blocks, plan, compute } of computed) {
    const result = computeQuilt(plan);
    const clone = median(() => structuredClone(result), blocks > 500 ? 40 : 200);
    yield {
      case: 'pipeline',
      blocks,
      computeMs: round(compute),
      cloneMs: round(clone),
      ratioToClone: round(compute / clone),
      aim: 4,
      ...(blocks === 1600 ? { ratioTo400: round(compute / at400), aimTo400: 4.6 } : {}),
    };
  }
}

const round = (value: number): number => Math.round(value * 1000) / 1000;
