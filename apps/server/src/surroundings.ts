import type { Random } from '@lattice/core';

/** What the server needs of the world: its time, new ids and chance. Passed in, so that tests hold it still. */
export interface Surroundings {
  readonly now: () => Date;
  readonly newId: () => string;
  readonly random: Random;
}
