import type { PileBlock, Plan } from '@lattice/core';
import { newId } from '../browser/tabs.ts';

/** The plan with one block of the pile changed; a field given as undefined is taken off. */
export const withBlock = (
  plan: Plan,
  id: string,
  change: Partial<PileBlock> | { [K in keyof PileBlock]?: PileBlock[K] | undefined },
): Plan => ({
  ...plan,
  pile: plan.pile.map((b) =>
    b.id === id
      ? (Object.fromEntries(
          Object.entries({ ...b, ...change }).filter(([, value]) => value !== undefined),
        ) as unknown as PileBlock)
      : b,
  ),
});

/** The plan without some blocks of the pile. Their places on the wall are filled from the rest. */
export const withoutBlocks = (plan: Plan, ids: readonly string[]): Plan => ({
  ...plan,
  pile: plan.pile.filter((b) => !ids.includes(b.id)),
});

/** The plan with blocks put at the end of the pile, each under an id that no block had before. */
export function withMoreBlocks(plan: Plan, blocks: readonly Omit<PileBlock, 'id'>[]): Plan {
  return { ...plan, pile: [...plan.pile, ...blocks.map((b) => ({ ...b, id: newId() }))] };
}

/** The plan with so many blocks more of which nothing is known yet but that they are there. */
export const withUnmeasured = (plan: Plan, count: number): Plan =>
  withMoreBlocks(
    plan,
    Array.from({ length: count }, (_, i) => ({
      name: `Block ${plan.pile.length + i + 1}`,
      width: null,
      height: null,
    })),
  );

/** The plan with a read table in place of its pile; the wall begins anew. */
export const withPile = (plan: Plan, blocks: readonly PileBlock[]): Plan => ({
  ...plan,
  pile: [...blocks],
  wall: [],
});

/** The plan with the sizes of a read table filled in from a block on, in the pile's order. */
export function withSizesFrom(plan: Plan, first: number, read: readonly PileBlock[]): Plan {
  return {
    ...plan,
    pile: plan.pile.map((b, i) => {
      const sized = read[i - first];
      return i < first || !sized ? b : { ...b, width: sized.width, height: sized.height };
    }),
  };
}
