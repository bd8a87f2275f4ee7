import type { BackingWay } from '../choice/layers.ts';
import type { Figure } from '../figure/figure.ts';
import type { Unit } from '../length/unit.ts';
import type { Slab } from './slabs.ts';
import type { Stripe, StripeWish } from './stripe.ts';

/** One way of making a backing wide enough. */
export interface BackingOption {
  readonly way: BackingWay;
  readonly seams: 'none' | 'vertical' | 'horizontal';
  readonly panels: number;
  /** Length of its cloth to buy, before the shop's rounding. */
  readonly fabric: Figure;
  readonly stripe: Stripe | null;
  /** Panels, stripe and blocks as they lie on the backing once it is trimmed. */
  readonly slabs: readonly Slab[];
  /** All the cloth in it, length × width. */
  readonly area: number;
  /** Null where a price is not known. */
  readonly cost: Figure | null;
}

/** A cloth by what it can cover. */
export interface Cloth {
  /** Id of its fabric. */
  readonly fabric: string;
  readonly usable: number;
  /** Its print has to stay upright: its length runs from top to bottom. */
  readonly upright: boolean;
}

/** What lengths of fabrics cost together; null where a price is not known. Lengths in the plan's unit. */
export type CostOf = (
  lengths: readonly { readonly length: number; readonly fabric: string }[],
) => Figure | null;

/** What a backing is wished to be; a bare width is enough for plain panels. */
export interface BackingWish {
  readonly overhang: number;
  readonly cloth: Cloth;
  readonly unit: Unit;
  readonly costOf: CostOf;
  readonly seam?: number;
  readonly wide?: Cloth;
  readonly stripe?: StripeWish & Cloth;
}
