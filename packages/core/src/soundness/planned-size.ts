import { borderTotals } from '../border/stack.ts';
import { settingOf } from '../setting/registry.ts';
import type { Plan } from '../plan/shape.ts';

/** Finished size with its borders, as planned. */
export function plannedSize({ setting, grid, block, borders, seam }: Plan): {
  width: number;
  height: number;
} {
  const { extent } = settingOf(setting.kind);
  const { sides, ends } = borderTotals(borders);
  return {
    width: extent('across', grid.across, block.width, setting, seam) + 2 * sides,
    height: extent('down', grid.down, block.height, setting, seam) + 2 * ends,
  };
}
