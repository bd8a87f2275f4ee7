import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { near } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';
import { panelWays, stripeWays, wideWay } from './backing-ways.ts';
import { reasonFor, smallerOverhang, stripeSaves } from './backing-words.ts';
import type { BackingWay } from '../choice/layers.ts';
import { type PanelCloth, panelSeam } from './panels.ts';
import { type Slab } from './slabs.ts';
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

/** The backing of a quilt: the size it has to reach and the ways to reach it, best first. */
export interface Backing {
  readonly width: Figure;
  readonly height: Figure;
  readonly options: readonly [BackingOption, ...BackingOption[]];
  /** Why the first is the best. */
  readonly because: string;
  /** Ways that cannot be, and a smaller overhang that would save a panel. */
  readonly remarks: readonly string[];
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

/**
 * Top + overhang on every side, in every way asked for: panels with vertical or level seams, one
 * width of a wide cloth, or panels made wide enough by a stripe. Cheapest first where every price is
 * known; otherwise least cloth, then fewest seams (rule BK-1). Lengths in the plan's unit.
 */
export function planBacking(size: { width: number; height: number }, wish: BackingWish): Backing {
  const { overhang, unit } = wish;
  const width = withOverhang(size.width, overhang, unit);
  const height = withOverhang(size.height, overhang, unit);
  const reach = { width: width.value, height: height.value };
  const cloth: PanelCloth = { usable: wish.cloth.usable, seam: wish.seam ?? panelSeam(unit), unit };

  const panels = panelWays(reach, cloth, wish);
  const wide = wideWay(reach, wish);
  const striped = stripeWays(reach, cloth, wish);
  const order = better([...panels, ...wide.options, ...striped.options].every((o) => o.cost));
  // A stripe is a matter of taste: it is never put first, only what it saves is said.
  const plain = [...panels, ...wide.options].sort(order);
  const stripes = [...striped.options].sort(order);
  const options = [...plain, ...stripes] as [BackingOption, ...BackingOption[]];
  return {
    width,
    height,
    options,
    because: reasonFor(options, unit),
    remarks: [
      ...wide.remarks,
      ...striped.remarks,
      ...stripeSaves(options[0], stripes[0], unit),
      ...smallerOverhang(size, panels, cloth, wish),
    ],
  };
}

function withOverhang(side: number, overhang: number, unit: Unit): Figure {
  const value = side + 2 * overhang;
  const [top, over] = [formatWorking(side, unit), formatWorking(overhang, unit)];
  return lengthOf(value, `${top} + 2 × ${over} overhang = ${formatExact(value)}`);
}

/** Cheaper first; where a price is not known, or two cost alike, less cloth, then fewer pieces to join. */
const better =
  (priced: boolean) =>
  (a: BackingOption, b: BackingOption): number => {
    if (priced && !near(a.cost!.value, b.cost!.value)) return a.cost!.value - b.cost!.value;
    return near(a.area, b.area) ? a.slabs.length - b.slabs.length : a.area - b.area;
  };
