import type { CuttingJob } from '../cutting/ways.ts';
import { cutRecord } from '../log/cut-record.ts';
import type { StashPiece } from '../log/stash.ts';
import type { Plan } from '../plan/shape.ts';
import { computeQuilt, cuttingJob } from '../quilt/compute.ts';
import type { Quilt } from '../quilt/quilt.ts';
import { allowanceFor } from '../shopping/buy.ts';
import { atTable } from './at-table.ts';
import { setAsideFor } from './set-aside.ts';

/** More of a piece than this are not tried: a roll of strips has some forty. */
const MOST_TRIED = 48;
const NOTHING_CUT = cutRecord([], '', '', 'in');

/** What is known of a piece of the stash that could serve. */
type Offered = Pick<StashPiece, 'id' | 'name' | 'width' | 'length' | 'free' | 'washed' | 'direction'>;

/**
 * The fewest of a piece of the stash that leave nothing of a cloth to buy; null where a few are not enough. A piece that
 * is still to be washed is as long as the wash leaves it, and one whose print has a direction is cut by that.
 */
export function enoughOf(piece: Offered, plan: Plan, quilt: Quilt, fabric: string): number | null {
  const job = jobInPiece(piece, plan, quilt, fabric);
  const { shrinkage } = allowanceFor(plan, { ...job.fabric, washed: piece.washed });
  const length = piece.length * (1 - shrinkage / 100);
  const { id, name, width, free } = piece;
  const serve = (count: number): boolean => {
    const aside = [{ quilt: 'this', cloth: fabric, count }];
    const stash = setAsideFor([{ id, name, width, length, aside }], 'this', fabric);
    const { needed, tooNarrow } = atTable(job, NOTHING_CUT, { stash }).placed;
    return tooNarrow.length === 0 && needed.value <= 0;
  };
  let [least, most] = [1, Math.min(free, MOST_TRIED)];
  if (most < 1 || !serve(most)) return null;
  while (least < most) {
    const half = Math.floor((least + most) / 2);
    if (serve(half)) most = half;
    else least = half + 1;
  }
  return most;
}

/** What is cut of a cloth as it is cut from this piece: by the way its own print runs. */
function jobInPiece({ direction }: Offered, plan: Plan, quilt: Quilt, fabric: string): CuttingJob {
  const own = cuttingJob(plan, quilt, fabric);
  if (direction === own.fabric.direction) return own;
  const fabrics = plan.fabrics.map((one) => (one.id === fabric ? { ...one, direction } : one));
  const printed = { ...plan, fabrics };
  return cuttingJob(printed, computeQuilt(printed), fabric);
}
