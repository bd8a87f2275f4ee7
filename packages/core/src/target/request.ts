import { z } from 'zod';
import type { Unit } from '../length/unit.ts';
import { GRID_LIMIT } from '../plan/problems.ts';
import type { Plan } from '../plan/shape.ts';
import { type SettingKind, SETTINGS } from '../setting/registry.ts';

const length = z.number().finite().min(0);
const weight = z.number().finite().min(0).max(100);

/** What weighs how much when designs are ranked; each a cost per unit named beside it. */
export const weightsSchema = z.strictObject({
  /** Per inch the finished size misses the target, both ways added. */
  size: weight,
  /** Per block left over; a missing one counts double. */
  blocks: weight,
  /** Per inch outside the rules of thumb: sash 1/6 to 1/4 of the block, borders no wider than the block. */
  proportion: weight,
  /** Per square yard of cloth round and between the blocks. */
  fabric: weight,
  /** Per hundred pieces to sew. */
  seams: weight,
});
export type Weights = z.infer<typeof weightsSchema>;

/** The mix that ranks when nobody shifts it. */
export const START_WEIGHTS: Weights = { size: 1, blocks: 0.5, proportion: 2, fabric: 0.25, seams: 0.25 };

/** A search for designs that come to a size. Lengths in the unit of the plan searched for. */
export const fitRequestSchema = z.strictObject({
  target: z.strictObject({ width: length, height: length }),
  /** Blocks on hand; null when any number can be made. */
  blocks: z.int().min(1).nullable(),
  kinds: z.array(z.enum(SETTINGS.map((s) => s.kind) as [SettingKind, ...SettingKind[]])).min(1, 'Choose at least one kind of setting.'),
  /** Narrowest and widest sash to try; equal for a sash that is fixed. */
  sash: z.strictObject({ least: length, most: length }),
  /** Borders in the stack, and the widest all of them together may be. */
  borders: z.strictObject({ count: z.int().min(0).max(3), most: length }),
  weights: weightsSchema,
});
export type FitRequest = z.infer<typeof fitRequestSchema>;

/** A search as it begins for this plan: its own target, pile, and borders; every kind of setting. */
export function startRequest(plan: Plan, target: FitRequest['target']): FitRequest {
  const shorter = Math.min(plan.block.width, plan.block.height);
  const step = plan.unit === 'in' ? 1 / 4 : 0.5;
  const round = (value: number) => Math.max(step, Math.round(value / step) * step);
  return {
    target,
    blocks: plan.pile.length > 0 ? plan.pile.length : null,
    kinds: SETTINGS.map((s) => s.kind),
    sash: { least: round(shorter / 8), most: round(shorter / 3) },
    borders: { count: Math.min(3, plan.borders.length || 1), most: round(shorter * 1.5) },
    weights: START_WEIGHTS,
  };
}

/** Grids beyond this are never searched. */
export const MOST_PLACES = GRID_LIMIT;

/** Steps widths are tried in: what a ruler marks and a quilter would cut, 1/4" or 5 mm. */
export const searchStep = (unit: Unit): number => (unit === 'in' ? 1 / 4 : 0.5);
