import { cutsOfTop, cuttingList } from '../cutting/top-cuts.ts';
import { planStrips } from '../strip/strips.ts';
import { layOut } from '../layout/lay-out.ts';
import type { SettingFabric } from '../piece/piece.ts';
import { atLeast } from '../length/tolerance.ts';
import { fabricById, fabricFor } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import type { FitRequest } from './request.ts';
import { type Lengths, optionsWith, type Shape } from './score.ts';

/** Length of cloth one job of a setting takes, cut by itself from the fabric the plan has for it; endless where that is too narrow. */
export function clothFor(plan: Plan, use: SettingFabric): number {
  const fabric = fabricById(plan, fabricFor(plan, { what: use }));
  const lines = cuttingList(plan, cutsOfTop(plan, layOut(plan))).filter(
    (line) => line.use.what === use && line.fabric === fabric.id,
  );
  const cloth = { usable: fabric.usableWidth, seam: plan.seam, unit: plan.unit };
  const { groups, lengthwise, tooWide } = planStrips(lines, cloth);
  if (tooWide.length > 0) return Infinity;
  return groups.reduce((sum, g) => sum + g.strips.value * g.width, lengthwise?.length.value ?? 0);
}

/** Whether the cloth in hand is enough for a shape with these lengths, by its own cutting. */
export function clothCheck(plan: Plan, { inHand }: FitRequest): (shape: Shape, lengths: Lengths) => boolean {
  return (shape, lengths) => {
    const design: Plan = {
      ...plan,
      setting: optionsWith(shape, lengths),
      grid: shape.grid,
      borders: [],
      measured: [],
    };
    return inHand.every(({ use, length }) => atLeast(length, clothFor(design, use) + plan.squaring));
  };
}
