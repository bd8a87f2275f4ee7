import type { Figure } from '../../src/figure/figure.ts';
import { type Backing, planBacking } from '../../src/layer/backing.ts';
import type { BackingWish } from '../../src/layer/backing-option.ts';
import { costOf } from '../../src/shopping/cost.ts';
import { type Allowance, NO_ALLOWANCE } from '../../src/shopping/shop-cut.ts';

/** A backing's cloth with its price, as a test says it. */
interface PricedCloth {
  readonly usable: number;
  readonly price: number | null;
  readonly upright?: boolean;
  readonly allowance?: Allowance;
}

type Stripe = NonNullable<BackingWish['stripe']>;
export type PricedWish = Omit<BackingWish, 'cloth' | 'wide' | 'stripe' | 'costOf'> & {
  readonly cloth: PricedCloth;
  readonly wide?: PricedCloth;
  readonly stripe?: PricedCloth & Pick<Stripe, 'seam' | 'blocks'>;
};

/** A backing of cloths whose prices are known, or not, at the shop. */
export function pricedBacking(size: { width: number; height: number }, wish: PricedWish): Backing {
  const { cloth, wide, stripe, ...rest } = wish;
  const cloths: Record<string, PricedCloth> = { cloth, ...(wide && { wide }), ...(stripe && { stripe }) };
  const plain = (fabric: string) => ({
    fabric,
    usable: cloths[fabric]!.usable,
    upright: cloths[fabric]!.upright ?? false,
  });
  const cost = (lengths: readonly { length: number; fabric: string }[]): Figure | null =>
    costOf(
      lengths.map(({ length, fabric }) => {
        const { price, allowance = NO_ALLOWANCE } = cloths[fabric]!;
        return { length, price, allowance };
      }),
      wish.unit,
    );
  return planBacking(size, {
    ...rest,
    costOf: cost,
    cloth: plain('cloth'),
    ...(wide ? { wide: plain('wide') } : {}),
    ...(stripe ? { stripe: { ...plain('stripe'), seam: stripe.seam, blocks: stripe.blocks } } : {}),
  });
}
