import type { Leftover } from '../cutting/steps.ts';
import { type StashPiece, stashKey } from '../log/stash.ts';

/** Pieces of the stash that are set aside for a cloth of a quilt, one by one, as its cutting uses them. */
export const setAsideFor = (
  stash: readonly Pick<StashPiece, 'id' | 'name' | 'width' | 'length' | 'aside'>[],
  quilt: string,
  cloth: string,
): Leftover[] =>
  stash.flatMap(({ id, name, width, length, aside }) =>
    aside
      .filter((one) => one.quilt === quilt && one.cloth === cloth)
      .flatMap(({ count }) =>
        Array.from({ length: count }, (_, i) => ({
          key: stashKey(id, i),
          name: `${name}, from the stash`,
          w: width,
          h: length,
        })),
      ),
  );
