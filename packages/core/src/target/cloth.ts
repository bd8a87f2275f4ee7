import { type CutPiece, cutPieces } from '../cutting/pieces.ts';
import { planStrips } from '../cutting/strips.ts';
import { stripNeed } from '../cutting/strip-need.ts';
import { layOut } from '../layout/lay-out.ts';
import type { SettingFabric } from '../layout/piece.ts';
import { atLeast } from '../length/tolerance.ts';
import { fabricFor } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import type { FitRequest } from './request.ts';
import { type Lengths, optionsWith, type Shape } from './score.ts';

/** Length of cloth one job of a setting takes, cut by itself from the fabric the plan has for it; endless where that is too narrow. */
export function clothFor(plan: Plan, use: SettingFabric): number {
  const fabric = plan.fabrics.find((f) => f.id === fabricFor(plan, { what: use }))!;
  const pieces = cutPieces(plan, layOut(plan)).filter((p: CutPiece) => p.use.what === use);
  const { groups, lengthwise, tooWide } = planStrips(
    pieces.map((p) => stripNeed(plan, p)),
    { usable: fabric.usableWidth, seam: plan.seam, unit: plan.unit },
  );
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
