import type { PileBlock, Plan } from '@lattice/core';
import { withMoreBlocks, withPile, withSizesFrom } from '../../state/pileEdits.ts';
import { type Taking, theseOf } from './UnderstoodSheet.tsx';
import type { TableRead } from './useBlocks.ts';

/** What can be done with a table that was read: in place of the pile, beside it, or its sizes from the cursor on. */
export function waysToTake(
  { table, from }: TableRead,
  pile: readonly PileBlock[],
  edit: (change: (plan: Plan) => Plan) => unknown,
): Taking[] {
  const these = theseOf(table.blocks.length);
  if (pile.length === 0)
    return [{ name: `Use ${these}`, take: ({ blocks }) => edit((p) => withPile(p, blocks)) }];
  const first = from === null ? undefined : pile[from];
  return [
    {
      name: `Put ${these} in place of the pile`,
      take: ({ blocks }) => edit((p) => withPile(p, blocks)),
    },
    { name: 'Add them to the pile', take: ({ blocks }) => edit((p) => withMoreBlocks(p, blocks)) },
    ...(from !== null && first
      ? [
          {
            name: `Fill sizes from ${first.name} on`,
            take: ({ blocks }: TableRead['table']) => edit((p) => withSizesFrom(p, from, blocks)),
          },
        ]
      : []),
  ];
}
