import { capital } from '../figure/many.ts';
import { near } from '../length/tolerance.ts';
import type { PileBlock, Plan } from '../plan/shape.ts';
import { settingOf } from '../setting/registry.ts';
import { resetForNewTop } from '../soundness/new-top.ts';
import { gridFor } from './grid-for.ts';
import { finishedSize, type PileGroup, type PileLine, pileLineIn } from './pile-line.ts';

/** The group most of a pile's blocks with a size are of. */
function mostOf({ groups }: PileLine): PileGroup | null {
  const sized = groups.filter(({ size }) => size !== null);
  return sized.reduce<PileGroup | null>(
    (most, group) => (most && most.count >= group.count ? most : group),
    null,
  );
}

/**
 * The finished size a quilt of this pile is laid out for: that of most of its blocks; null where no size was said.
 *
 * @param seam allowance, in the line's unit
 */
export function blockSizeOf(line: PileLine, seam: number): { width: number; height: number } | null {
  const most = mostOf(line);
  return most && finishedSize(most, seam);
}

/**
 * The blocks of a line, each under a name of its own, for the pile of a plan. They count as not measured, but for
 * those of another size than the plan is laid out for: their size is what was said, so that the difference shows.
 *
 * @param newId gives each an id that no block had before
 * @param numbered how many are in the pile already: the next is numbered from there
 */
export function blocksOf(
  line: PileLine,
  plan: Pick<Plan, 'block' | 'seam' | 'unit'>,
  numbered: number,
  newId: () => string,
): PileBlock[] {
  const { block, seam, unit } = plan;
  let number = numbered;
  return pileLineIn(line, unit).groups.flatMap((group) => {
    const finished = finishedSize(group, seam);
    const other =
      finished !== null && !(near(finished.width, block.width) && near(finished.height, block.height));
    const cut = other && { width: finished.width + 2 * seam, height: finished.height + 2 * seam };
    return Array.from({ length: group.count }, (): PileBlock => {
      number++;
      return {
        id: newId(),
        name: `${group.kind === null ? 'Block' : capital(group.kind)} ${number}`,
        ...(group.kind === null ? {} : { kind: capital(group.kind) }),
        ...(cut || { width: null, height: null }),
      };
    });
  });
}

/**
 * The plan with the blocks of a line put to its pile. Where they are the first, the quilt is laid out for them: their
 * size, and a grid for as many; what was measured of another top is let go.
 *
 * @param newId gives each block an id that none had before
 */
export function withSaidPile(plan: Plan, line: PileLine, newId: () => string): Plan {
  const first = plan.pile.length === 0;
  const size = first ? blockSizeOf(pileLineIn(line, plan.unit), plan.seam) : null;
  const block = size ?? plan.block;
  const blocks = blocksOf(line, { ...plan, block }, plan.pile.length, newId);
  const pile = [...plan.pile, ...blocks];
  if (!first || settingOf(plan.setting.kind).whole) return { ...plan, pile };
  const grid = gridFor(pile.length, block, plan.setting, plan.seam);
  const laid = { ...plan, pile, block, grid, wall: [] };
  const same =
    near(block.width, plan.block.width) &&
    near(block.height, plan.block.height) &&
    grid.across === plan.grid.across &&
    grid.down === plan.grid.down;
  return same ? laid : resetForNewTop(laid);
}
