import { max } from 'd3-array';
import { squaredAgain } from '../cutting/squared.ts';
import type { Placed } from '../cutting/placed.ts';
import type { Figure } from '../figure/figure.ts';
import { fabricById } from '../plan/fabric-use.ts';
import type { Fabric, Plan } from '../plan/shape.ts';
import { costOf } from './cost.ts';
import { type Allowance, type ShopCut, shopCut } from './shop-cut.ts';

/** What is cut from one cloth, and what to ask the shop for. */
export interface FabricCut extends Placed {
  readonly buy: ShopCut;
  /** Null where nobody has said its price. */
  readonly cost: Figure | null;
}

/** What to ask the shop for, cloth by cloth. */
export const buy = (plan: Plan, placed: readonly Placed[]): FabricCut[] =>
  placed.map((cloth) => {
    const { fabric, needed } = cloth;
    const allowance = allowanceFor(plan, fabric, cloth);
    const bought = shopCut(needed.value, allowance, plan.unit);
    return {
      ...cloth,
      notes: withTight(cloth.notes, bought),
      buy: bought,
      cost: costOf([{ length: needed.value, price: fabric.price, allowance }], plan.unit),
    };
  });

/** What to mind about a cloth, with what is said where hardly anything of it is to spare. */
export const withTight = (notes: readonly string[], { tight }: ShopCut): readonly string[] =>
  tight === null ? notes : [...notes, tight];

/** The strips a cloth is cut in, as far as what is bought besides goes by them. */
type CutIn = Pick<Placed, 'heights' | 'strips'>;
const IN_ONE: CutIn = { heights: [], strips: [] };

/**
 * What is bought of a fabric besides what is needed (rule BU-2): the end squared, again after every four strips, a
 * strip to spare where that was asked for, what the wash takes.
 *
 * @param cut how it is cut; in one length where this is left out
 */
export const allowanceFor = (
  { squaring, spareStrip }: Pick<Plan, 'squaring' | 'spareStrip'>,
  { shrinkage, washed }: Pick<Fabric, 'shrinkage' | 'washed'>,
  { heights, strips }: CutIn = IN_ONE,
): Allowance => ({
  squaring,
  again: squaredAgain(heights.length),
  // Lengths along the selvage are no strips: nobody buys a panel of a backing to spare.
  spare: spareStrip ? (max(strips, ({ along, width }) => (along ? 0 : width)) ?? 0) : 0,
  shrinkage: washed ? 0 : shrinkage,
});

/** What lengths of a plan's fabrics cost as the shop cuts them, for whatever ranks by cost; null where a price is not known. */
export const costIn =
  (plan: Plan) =>
  (lengths: readonly { readonly length: number; readonly fabric: string }[]): Figure | null =>
    costOf(
      lengths.map(({ length, fabric: id }) => {
        const fabric = fabricById(plan, id);
        return { length, price: fabric.price, allowance: allowanceFor(plan, fabric) };
      }),
      plan.unit,
    );
