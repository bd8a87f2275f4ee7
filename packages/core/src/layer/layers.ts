import { fabricById } from '../plan/fabric-use.ts';
import { inStockFor } from '../plan/stock.ts';
import type { Layout } from '../layout/lay-out.ts';
import type { Fabric, Plan } from '../plan/shape.ts';
import { type Backing, planBacking } from './backing.ts';
import type { BackingOption, Cloth, CostOf } from './backing-option.ts';
import { type Batting, type BattingOption, planBatting } from './batting.ts';
import { judgeMade, type MadeVerdict } from './made.ts';
import { type MarkedLines, markTop } from './marking.ts';

/** What goes under a top, and how it is held together. */
export interface Layers {
  readonly backing: Backing;
  /** The way that was chosen, or the best where it cannot be had. */
  readonly chosenBacking: BackingOption;
  /** Null until the backing was measured. */
  readonly made: MadeVerdict | null;
  readonly batting: Batting;
  /** Null where nothing is large enough. */
  readonly chosenBatting: BattingOption | null;
  readonly marked: MarkedLines;
}

/** Backing, batting and quilting lines of a plan whose top comes to this size; `leftBlocks` are in the pile and not in the top; `costOf` ranks ways of backing. */
export function planLayers(
  plan: Plan,
  layout: Layout,
  top: { width: number; height: number },
  leftBlocks: number,
  costOf: CostOf,
): Layers {
  const { unit, seam } = plan;
  const { overhang, fabric, wide, stripe, way, made } = plan.backing;
  const [cloth, wideCloth, stripeCloth] = [fabric, wide, stripe.fabric].map((id) => fabricById(plan, id)) as [
    Fabric,
    Fabric,
    Fabric,
  ];
  const backing = planBacking(top, {
    overhang,
    unit,
    costOf,
    cloth: backingClothOf(cloth),
    wide: backingClothOf(wideCloth),
    stripe: {
      ...backingClothOf(stripeCloth),
      seam,
      blocks:
        stripe.of === 'blocks'
          ? { left: leftBlocks, width: plan.block.width, height: plan.block.height }
          : null,
    },
  });
  const batting = planBatting(top, {
    overhang,
    rollWidth: plan.batting.rollWidth,
    pieces: inStockFor(plan, 'batting').map(({ width, length }) => ({ width, height: length })),
    unit,
  });
  return {
    backing,
    chosenBacking: backing.options.find((o) => o.way === way) ?? backing.options[0],
    made: made && judgeMade(made, top, overhang, unit),
    batting,
    chosenBatting: batting.options.find((o) => o.way === plan.batting.way) ?? batting.options[0] ?? null,
    marked: markTop(layout, plan.quilting.marking, plan.quilting.spacing, unit),
  };
}

/** A fabric as a backing knows it. */
const backingClothOf = (fabric: Fabric): Cloth => ({
  fabric: fabric.id,
  usable: fabric.usableWidth,
  upright: fabric.direction === 'one-way',
});

/** The fabric a way of backing is cut from. */
export const backingCloth = (plan: Plan, { way }: Pick<BackingOption, 'way'>): Fabric =>
  fabricById(plan, way === 'wide' ? plan.backing.wide : plan.backing.fabric);
