import type { House, Numbers } from '@lattice/contract';
import type { Handlers } from '../serve/handler.ts';
import { Under } from '../serve/handler.ts';
import { whoIs } from '../gate/who.ts';

/** What is watched. */
export interface Watched {
  /** @throws Error where nothing can be read */
  readonly look: () => void;
  /** Why nothing can be written; null where it can. */
  readonly readOnly: House['readOnly'];
  readonly isShared: () => boolean;
  readonly numbers: () => Numbers;
}

/** Whether it lives, whether it can write, who asks, and the numbers. */
export const watchHandlers = ({
  look,
  readOnly,
  isShared,
  numbers,
}: Watched): Handlers<'health' | 'ready' | 'house' | 'numbers'> => ({
  health: () => ({ ok: true }),
  ready() {
    look();
    const said = { writes: readOnly === null, why: readOnly };
    return said.writes ? new Under(200, said) : new Under(503, said);
  },
  house: ({ response }) => ({ who: whoIs(response), readOnly, shared: isShared() }),
  numbers,
});
