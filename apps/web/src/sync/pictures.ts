import type { Around } from './thunk.ts';
import { pictureTaken } from '../state/outboxSlice.ts';
import { nextOrder, newId } from '../browser/tabs.ts';
import { withBlock } from '../state/pileEdits.ts';
import { planChanged } from '../state/planSlice.ts';
import type { Thunk } from './thunk.ts';

/** Sends a block's picture: kept here until the server has made it, then taken up by the block. */
export const sendPicture =
  (block: string, file: Blob): Thunk<Promise<void>> =>
  async (_dispatch, getState, { outbox, tab }: Around) => {
    const quilt = getState().saving.id;
    if (quilt === null) return;
    const waiting = (await outbox.items()).filter((item) => item.kind === 'picture' && item.block === block);
    for (const { id } of waiting) await outbox.drop(id);
    await outbox.keep({ kind: 'picture', id: newId(), quilt, tab, order: nextOrder(), block, file });
    await outbox.send();
  };

/** Pictures of the open quilt that the server has made are put on their blocks. */
export const takeLandedPictures =
  (): Thunk<Promise<void>> =>
  async (dispatch, getState, { outbox }) => {
    for (const item of await outbox.items()) {
      const { plan, saving } = getState();
      if (item.kind !== 'picture' || !item.made || item.quilt !== saving.id || !plan.present) continue;
      const { block } = item;
      if (block === null) continue;
      const { id, colours, edge, notes } = item.made;
      if (plan.present.pile.some((b) => b.id === block))
        dispatch(
          planChanged(
            withBlock(plan.present, block, {
              picture: id,
              colours: [...colours],
              edge: edge ?? undefined,
            }),
          ),
        );
      dispatch(pictureTaken({ block, notes }));
      await outbox.drop(item.id);
    }
  };
