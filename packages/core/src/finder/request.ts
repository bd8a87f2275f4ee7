import { z } from 'zod';
import { PRECUT_IDS } from '../cloth/precuts.ts';
import { SETTING_FABRICS } from '../piece/piece.ts';
import { rulerStep, type Unit } from '../length/unit.ts';
import { GRID_LIMIT } from '../soundness/problems.ts';
import type { Plan } from '../plan/shape.ts';
import { type SettingKind, settingOf, SETTINGS } from '../setting/registry.ts';

const length = z.number().finite().min(0);
const range = z
  .strictObject({ least: length, most: length })
  .refine((r) => r.least <= r.most, 'The narrowest is wider than the widest.');
const weight = z.number().finite().min(0).max(100);

/** What weighs how much when designs are ranked; each a cost per unit named beside it. */
const weightsSchema = z.strictObject({
  /** Per inch the finished size misses the target, both ways added; without a target, per square yard short of the largest. */
  size: weight,
  /** Per block left over; a missing one counts double. */
  blocks: weight,
  /** Per inch outside the rules of thumb: sash 1/6 to 1/4 of the block, borders no wider than the block, and half for sides unlike ends. */
  proportion: weight,
  /** Per square yard of cloth round and between the blocks. */
  fabric: weight,
  /** Per hundred pieces to sew. */
  seams: weight,
});
export type Weights = z.infer<typeof weightsSchema>;

/** The mix that ranks when nobody shifts it. */
const START_WEIGHTS: Weights = { size: 1, blocks: 0.5, proportion: 2, fabric: 0.25, seams: 0.25 };

/** A job one may have cloth in hand for. */
export const clothUse = z.enum(SETTING_FABRICS);

/** Cloth in hand for a job: a length of it, or so many pieces that are sold cut. */
const inHandSchema = z.union([
  z.strictObject({ use: clothUse, length }),
  z.strictObject({ use: clothUse, precut: z.enum(PRECUT_IDS), count: z.int().min(1).max(500) }),
]);

/** A search for designs that come to a size. Lengths in the unit of the plan searched for. */
export const fitRequestSchema = z
  .strictObject({
    /** Null: as large as the blocks on hand allow. */
    target: z.strictObject({ width: length, height: length }).nullable(),
    /** Blocks on hand; null when any number can be made. */
    blocks: z.int().min(1).nullable(),
    kinds: z
      .array(z.enum(SETTINGS.map((s) => s.kind) as [SettingKind, ...SettingKind[]]))
      .min(1, 'Choose at least one kind of setting.'),
    /** Narrowest and widest sash to try; equal for a sash that is fixed. */
    sash: range,
    /** How far the points of a setting on point may float. */
    float: range,
    /**
     * Borders in the stack; the narrowest each, and the widest all of them together, may be. `even`: as
     * wide at top and bottom as at the sides.
     */
    borders: z.strictObject({ count: z.int().min(0).max(3), least: length, most: length, even: z.boolean() }),
    /** Cloth there is: designs that need more of it for its job are left out. Usable width as in the plan. */
    inHand: z.array(inHandSchema).max(SETTING_FABRICS.length),
    weights: weightsSchema,
  })
  .refine(
    (r) => r.target !== null || r.blocks !== null,
    'Without a target the search needs to know how many blocks there are.',
  );
export type FitRequest = z.infer<typeof fitRequestSchema>;

/** Settings that can be proposed for a plan's blocks: its own kind where that takes blocks of its own make, otherwise all that take plain ones. */
export function kindsFor(plan: Plan): SettingKind[] {
  if (settingOf(plan.setting.kind).otherBlocks) return [plan.setting.kind];
  return SETTINGS.map((s) => s.kind).filter((kind) => !settingOf(kind).otherBlocks);
}

/** A search as it begins for this plan: its own target, pile, and borders; every kind of setting its blocks allow. */
export function startRequest(plan: Plan, target: FitRequest['target']): FitRequest {
  const shorter = Math.min(plan.block.width, plan.block.height);
  const step = searchStep(plan.unit);
  const round = (value: number) => Math.max(2 * step, Math.round(value / step) * step);
  return {
    target,
    blocks: plan.pile.length > 0 ? plan.pile.length : null,
    kinds: kindsFor(plan),
    sash: { least: round(shorter / 8), most: round(shorter / 3) },
    float: { least: 0, most: plan.unit === 'in' ? 1 : 2.5 },
    borders: {
      count: Math.min(3, plan.borders.length || 1),
      least: plan.unit === 'in' ? 1 : 2.5,
      most: round(shorter * 1.5),
      even: false,
    },
    inHand: [],
    weights: START_WEIGHTS,
  };
}

/** Grids beyond this are never searched. */
export const MOST_PLACES = GRID_LIMIT;

/** Steps widths are tried in: the marks of a ruler, 1/8" or 5 mm. */
export const searchStep = (unit: Unit): number => rulerStep(unit);
