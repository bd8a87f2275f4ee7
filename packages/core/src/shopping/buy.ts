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
    const allowance = allowanceFor(plan, fabric);
    return {
      ...cloth,
      buy: shopCut(needed.value, allowance, plan.unit),
      cost: costOf([{ length: needed.value, price: fabric.price, allowance }], plan.unit),
    };
  });

/** What is bought of a fabric besides what is needed. */
export const allowanceFor = (
  { squaring }: Pick<Plan, 'squaring'>,
  { shrinkage, washed }: Pick<Fabric, 'shrinkage' | 'washed'>,
): Allowance => ({ squaring, shrinkage: washed ? 0 : shrinkage });

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
