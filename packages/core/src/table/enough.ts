import type { CuttingJob } from '../cutting/ways.ts';
import { cutRecord } from '../log/cut-record.ts';
import type { StashPiece } from '../log/stash.ts';
import { atTable } from './at-table.ts';
import { setAsideFor } from './set-aside.ts';

/** More of a piece than this are not tried. */
const MOST_TRIED = 4;
const NOTHING_CUT = cutRecord([], '', '', 'in');

/** The fewest of a piece of the stash that leave nothing of a cloth to buy; null where a few are not enough. */
export function enoughOf(
  { id, name, width, length, free }: Pick<StashPiece, 'id' | 'name' | 'width' | 'length' | 'free'>,
  job: CuttingJob,
): number | null {
  for (let count = 1; count <= Math.min(free, MOST_TRIED); count++) {
    const aside = [{ quilt: 'this', cloth: job.fabric.id, count }];
    const stash = setAsideFor([{ id, name, width, length, aside }], 'this', job.fabric.id);
    const { needed, tooNarrow } = atTable(job, NOTHING_CUT, { stash }).placed;
    if (tooNarrow.length === 0 && needed.value <= 0) return count;
  }
  return null;
}
