import { stripsFor } from '../cutting/joins.ts';
import { type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { rulerUp } from '../length/rounding.ts';
import { atLeast, howManyCover, howManyFit } from '../length/tolerance.ts';
import { fromInches } from '../length/unit.ts';
import type { PanelCloth } from './panels.ts';

/** What a stripe between the panels is made of. */
export interface StripeWish {
  /** Usable width of its cloth. */
  readonly usable: number;
  /** Seam its blocks were made for. */
  readonly seam: number;
  /** Leftover blocks to use, with their finished size; null for cloth alone. */
  readonly blocks: { readonly left: number; readonly width: number; readonly height: number } | null;
}

/** A stripe that saves a panel. */
export interface Stripe {
  /** Across the stripe, as cut. */
  readonly cut: Figure;
  readonly finished: number;
  /** It is joined to the panels with. */
  readonly seam: number;
  /** Blocks used; the rest of its run is cloth between them. */
  readonly blocks: number;
  /** Cloth between two blocks, and at each end, finished; 0 where there is none. */
  readonly gap: number;
  /** Of the stripe's own cloth. */
  readonly fabric: Figure;
}

/** A stripe of cloth narrower than this looks like a mistake: 3" cut (from memory). */
const LEAST_INCHES = 3;

/** Joins a stripe adds: one where it lies between two panels; a single panel is cut in two for it. */
export const joinsWith = (panels: number): number => Math.max(2, panels);

/**
 * The stripe that lets `panels` widths cover `span` where by themselves they do not; a word where there is
 * none. Off the middle, so that no seam runs down the quilt's centre fold.
 */
export function stripeFor(
  span: number,
  run: number,
  panels: number,
  cloth: PanelCloth,
  wish: StripeWish,
): Stripe | string {
  const show = (v: number) => formatWorking(v, cloth.unit);
  const own = wish.blocks ? wish.seam : cloth.seam;
  const joins = joinsWith(panels);
  const lost = 2 * cloth.seam * (joins - 2) + 2 * 2 * own;
  const short = span + lost - panels * cloth.usable;
  const says = `${show(span)} to cover, + ${formatExact(lost)} for ${numberOf(joins, 'seam')}, − ${panels} × ${show(cloth.usable)} = ${formatExact(short)} to make up`;
  if (wish.blocks) {
    const { left, width, height } = wish.blocks;
    const cut = width + 2 * own;
    if (left < 1) return 'No block is left over for a stripe.';
    if (!atLeast(cut, short))
      return `A row of leftover blocks is ${show(cut)} across as cut, and ${show(short)} is wanting.`;
    const used = Math.min(left, Math.max(1, howManyFit(run, height)));
    const gap = Math.max(0, run - used * height) / (used + 1);
    const pieces = gap > 1e-6 ? used + 1 : 0;
    const long = gap + 2 * own;
    if (pieces > 0 && !atLeast(wish.usable, cut) && !atLeast(wish.usable, long))
      return 'The stripe’s cloth is too narrow for what lies between the blocks.';
    const each = Math.max(1, howManyFit(wish.usable, long));
    const strips =
      pieces === 0
        ? 0
        : long > wish.usable
          ? stripsFor(pieces * long, wish.usable, 2 * own)
          : howManyCover(pieces, each);
    return {
      cut: lengthOf(cut, says, `A block is ${show(cut)} as cut: enough`),
      finished: width,
      seam: own,
      blocks: used,
      gap,
      fabric: lengthOf(
        strips * cut,
        `${numberOf(used, 'block')} of ${show(height)} leave ${formatExact(Math.max(0, run - used * height))} of ${show(run)}: ${numberOf(pieces, 'piece')} between and at the ends`,
        `${numberOf(strips, 'strip')} × ${show(cut)} = ${formatExact(strips * cut)}`,
      ),
    };
  }
  const least = fromInches(LEAST_INCHES, cloth.unit);
  const cut = rulerUp(cloth.unit).apply(Math.max(short, least));
  if (!atLeast(wish.usable, cut)) return `A stripe of ${show(cut)} is wider than its cloth.`;
  const strips = stripsFor(run, wish.usable, 2 * cloth.seam);
  return {
    cut: lengthOf(
      cut,
      says,
      short < least
        ? `At least ${show(least)}, so that it looks meant: ${show(cut)}`
        : `${rulerUp(cloth.unit).name}: ${show(cut)}`,
    ),
    finished: cut - 2 * own,
    seam: own,
    blocks: 0,
    gap: 0,
    fabric: lengthOf(
      strips * cut,
      `${show(run)} long, from ${numberOf(strips, 'strip')} × ${show(cut)} = ${formatExact(strips * cut)}`,
    ),
  };
}
