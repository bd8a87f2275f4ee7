import type { Leftover } from '../cutting/steps.ts';
import { type StashPiece, stashKey } from '../log/stash.ts';
import { STOCK_JOBS, type StockJob } from '../plan/cloth-shape.ts';
import type { InStock } from '../plan/shape.ts';

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

/** What pieces are set aside under that are used up for a job, whatever cloth they are of. */
export const stockPlace = (job: StockJob): string => `for:${job}`;

/** Pieces of the stash that are set aside for a quilt to be used up for a job, one by one, as its plan has them. */
export const stockFor = (
  stash: readonly Pick<StashPiece, 'id' | 'name' | 'width' | 'length' | 'aside'>[],
  quilt: string,
): InStock[] =>
  STOCK_JOBS.flatMap((job) =>
    setAsideFor(stash, quilt, stockPlace(job)).map(({ key, w, h }): InStock => ({
      id: key,
      for: job,
      // A strip is as wide as it is narrow, whichever way it lay on its cloth.
      width: job === 'binding' ? Math.min(w, h) : w,
      length: job === 'binding' ? Math.max(w, h) : h,
    })),
  );
