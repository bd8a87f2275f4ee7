import { GRID_LIMIT } from '../soundness/problems.ts';
import type { BlockSize, Grid } from '../setting/setting.ts';
import { settingOf, type SettingOptions } from '../setting/registry.ts';

/** A quilt to lie under is a little longer than wide: four to five (common practice, from memory). */
const PROPORTION = 5 / 4;
/** A share of the blocks left over weighs so many times the same share of a proportion missed. */
const SPARE_WEIGHS = 4;

/**
 * The grid so many blocks come to in a setting: as many of them used as a pleasing proportion allows, so that a
 * few are over rather than that all lie in a ribbon. One by one where there is not one for more.
 */
export function gridFor(count: number, block: BlockSize, options: SettingOptions, seam: number): Grid {
  const { extent, blocksNeeded } = settingOf(options.kind);
  let best: { readonly grid: Grid; readonly cost: number } = { grid: { across: 1, down: 1 }, cost: Infinity };
  for (let across = 1; across <= GRID_LIMIT; across++) {
    for (let down = 1; down <= GRID_LIMIT; down++) {
      const grid = { across, down };
      const needed = blocksNeeded(grid, options).value;
      if (needed > count) break;
      const proportion =
        extent('down', down, block.height, options, seam) /
        extent('across', across, block.width, options, seam);
      const cost = (SPARE_WEIGHS * (count - needed)) / count + Math.abs(Math.log(proportion / PROPORTION));
      if (cost < best.cost) best = { grid, cost };
    }
  }
  return best.grid;
}
