import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../length/format.ts';
import { rulerStepDown } from '../length/rounding.ts';
import { atLeast, near } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import { costOf } from '../shopping/cost.ts';
import type { BackingWay } from './choices.ts';
import { coverWith, type PanelCloth, panelReach, panelSeam } from './panels.ts';
import { type Slab, slabsOf, turned } from './slabs.ts';
import { type Stripe, stripeFor, type StripeWish } from './stripe.ts';
import type { Allowance } from '../shopping/shop-cut.ts';

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

/** A cloth by what it can cover and costs. */
export interface Cloth {
  readonly usable: number;
  readonly price: number | null;
  readonly allowance: Allowance;
  /** Its print has to stay upright: its length runs from top to bottom. */
  readonly upright: boolean;
}

/** What a backing is wished to be; a bare width is enough for plain panels. */
export interface BackingWish {
  readonly overhang: number;
  readonly cloth: Cloth;
  readonly unit: Unit;
  readonly seam?: number;
  readonly wide?: Cloth;
  readonly stripe?: StripeWish & Cloth;
}

/** The least overhang one quilts with at home: 2" (rule BK-2). */
const LEAST_OVERHANG_INCHES = 2;

/**
 * Top + overhang on every side, in every way asked for: panels with vertical or horizontal seams, one
 * width of a wide cloth, or panels made wide enough by a stripe. Cheapest first where every price is
 * known; otherwise least cloth, then fewest seams (rule BK-1).
 */
export function planBacking(size: { width: number; height: number }, wish: BackingWish): Backing {
  const { overhang, unit } = wish;
  const show = (v: number) => formatWorking(v, unit);
  const need = (value: number) =>
    lengthOf(
      value + 2 * overhang,
      `${show(value)} + 2 × ${show(overhang)} overhang = ${formatExact(value + 2 * overhang)}`,
    );
  const [width, height] = [need(size.width), need(size.height)];
  const cloth: PanelCloth = { usable: wish.cloth.usable, seam: wish.seam ?? panelSeam(unit), unit };
  const upright = { width: width.value, height: height.value };
  // Level seams are the same sum with the quilt on its side.
  const sides = waysOf(wish.cloth);
  const lying = (seams: 'vertical' | 'horizontal') => (seams === 'vertical' ? upright : turned(upright));
  const plain = sides.map((seams) => plainWay(lying(seams), seams, cloth, wish.cloth, unit));
  // A second way without a seam only turns the same single width round; it tells the quilter nothing.
  const panels = plain.every((o) => o.seams === 'none')
    ? [plain.reduce((a, b) => (b.fabric.value < a.fabric.value - 1e-9 ? b : a))]
    : plain;
  const remarks: string[] = [];
  const wider = wideWay(upright, wish, remarks);
  const striped = stripedWays(upright, sides, cloth, wish, remarks);
  const others = [...wider, ...striped];
  const order = better([...panels, ...others].every((o) => o.cost));
  // A stripe is a matter of taste: it is never put first, only what it saves is said.
  const options = [[...panels, ...wider].sort(order), striped.sort(order)].flat() as [
    BackingOption,
    ...BackingOption[],
  ];
  remarks.push(
    ...stripeSaves(options[0], striped[0], unit),
    ...smallerOverhang(
      size,
      panels.reduce((a, b) => (b.fabric.value < a.fabric.value ? b : a)),
      sides,
      cloth,
      overhang,
    ),
  );
  return { width, height, options, because: reasonFor(options, unit), remarks };
}

/** Ways panels of a cloth can run: its length from top to bottom, or across too where its print has no up. */
const waysOf = ({ upright }: Cloth): readonly ('vertical' | 'horizontal')[] =>
  upright ? ['vertical'] : ['vertical', 'horizontal'];

function plainWay(
  span: { width: number; height: number },
  seams: 'vertical' | 'horizontal',
  cloth: PanelCloth,
  { price, allowance }: Cloth,
  unit: Unit,
): BackingOption {
  const { count, fabric } = coverWith(span.width, span.height, cloth);
  return {
    way: seams,
    seams: count === 1 ? 'none' : seams,
    panels: count,
    fabric,
    stripe: null,
    area: fabric.value * cloth.usable,
    cost: costOf([{ length: fabric.value, price, allowance }], unit),
    slabs: slabsOf(span, seams, count, cloth, null),
  };
}

/** One width of the wide cloth, whichever way round takes less of it. */
function wideWay(
  upright: { width: number; height: number },
  { wide, unit }: BackingWish,
  remarks: string[],
): BackingOption[] {
  if (!wide) return [];
  const cloth: PanelCloth = { usable: wide.usable, seam: 0, unit };
  const ways = waysOf(wide)
    .map((seams) => ({ seams, span: seams === 'vertical' ? upright : turned(upright) }))
    .filter(({ span }) => atLeast(wide.usable, span.width));
  const [best] = ways.sort((a, b) => a.span.height - b.span.height);
  if (!best) {
    remarks.push(
      `Not even the wide cloth (${formatWithUnit(wide.usable, unit)} usable) covers it in one width.`,
    );
    return [];
  }
  return [{ ...plainWay(best.span, best.seams, cloth, wide, unit), way: 'wide', seams: 'none' }];
}

/** Panels with a stripe let in that does the work of one more panel. */
function stripedWays(
  upright: { width: number; height: number },
  sides: readonly ('vertical' | 'horizontal')[],
  cloth: PanelCloth,
  wish: BackingWish,
  remarks: string[],
): BackingOption[] {
  const { stripe: asked } = wish;
  if (!asked) return [];
  const found = sides.flatMap((seams): (BackingOption | string)[] => {
    const span = seams === 'vertical' ? upright : turned(upright);
    const panels = coverWith(span.width, span.height, cloth).count - 1;
    if (panels < 1) return [];
    // Lying on its side, a block's height is what counts across.
    const blocks =
      asked.blocks && seams === 'horizontal'
        ? { ...asked.blocks, width: asked.blocks.height, height: asked.blocks.width }
        : asked.blocks;
    const stripe = stripeFor(span.width, span.height, panels, cloth, { ...asked, blocks });
    if (typeof stripe === 'string') return [stripe];
    const fabric = lengthOf(
      panels * span.height,
      `${panels} × ${formatWorking(span.height, cloth.unit)} = ${formatExact(panels * span.height)}, and the stripe`,
    );
    return [
      {
        way: 'stripe',
        seams,
        panels,
        fabric,
        stripe,
        slabs: slabsOf(span, seams, panels, cloth, stripe),
        area: fabric.value * cloth.usable + stripe.fabric.value * asked.usable,
        cost: costOf(
          [
            { length: fabric.value, ...wish.cloth },
            { length: stripe.fabric.value, ...asked },
          ],
          cloth.unit,
        ),
      },
    ];
  });
  const options = found.filter((o) => typeof o !== 'string');
  if (options.length === 0) remarks.push(...new Set(found.filter((o) => typeof o === 'string')));
  return options;
}

const better =
  (priced: boolean) =>
  (a: BackingOption, b: BackingOption): number => {
    const seamsOf = (o: BackingOption) => o.slabs.length;
    if (priced && !near(a.cost!.value, b.cost!.value)) return a.cost!.value - b.cost!.value;
    return near(a.area, b.area) ? seamsOf(a) - seamsOf(b) : a.area - b.area;
  };

/** Why the first of the ways is the best, against the next. */
function reasonFor([best, ...rest]: readonly [BackingOption, ...BackingOption[]], unit: Unit): string {
  const next = rest.find((o) => o.way !== 'stripe');
  const plain = rest.some((o) => o.way === 'stripe') ? ' without a stripe' : '';
  if (!next) return `The only way there is${plain}.`;
  if (best.cost && next.cost && best.cost.value < next.cost.value - 1e-9)
    return `It costs least${plain}: ${best.cost.value.toFixed(2)}, and the next ${next.cost.value.toFixed(2)}.`;
  if (near(best.area, next.area))
    return best.slabs.length < next.slabs.length
      ? 'As much cloth as the next, and fewer seams.'
      : 'As good as the next: as much cloth, as many seams.';
  const saved =
    next.way === 'wide' || best.way === 'wide'
      ? lessCloth(best, next)
      : `${formatWithUnit(next.fabric.value - best.fabric.value, unit)} less cloth`;
  return `Least cloth${plain}: ${saved} than the next.`;
}

/** How much less cloth one way takes than another, to the whole per cent. */
function lessCloth(best: BackingOption, next: BackingOption): string {
  const share = Math.round(100 * (1 - best.area / next.area));
  return share < 1 ? 'less than 1 % less cloth' : `${share} % less cloth`;
}

/** What a stripe would save, where it saves anything. */
function stripeSaves(best: BackingOption, stripe: BackingOption | undefined, unit: Unit): string[] {
  if (!stripe) return [];
  if (best.cost && stripe.cost)
    return stripe.cost.value < best.cost.value - 1e-9
      ? [
          `With a stripe between the panels it costs ${(best.cost.value - stripe.cost.value).toFixed(2)} less.`,
        ]
      : [];
  return stripe.area < best.area - 1e-6
    ? [
        `A stripe ${formatWithUnit(stripe.stripe!.finished, unit)} wide between the panels saves a panel: ${lessCloth(stripe, best)}.`,
      ]
    : [];
}

/** Where a little less overhang, still enough at home, saves a whole panel, against the best way of the same cloth. */
function smallerOverhang(
  size: { width: number; height: number },
  best: BackingOption,
  sides: readonly ('vertical' | 'horizontal')[],
  cloth: PanelCloth,
  overhang: number,
): string[] {
  const show = (v: number) => formatWithUnit(v, cloth.unit);
  // A square quilt is the same on its side: once is enough.
  return (near(size.width, size.height) ? sides.slice(0, 1) : sides).flatMap((seams) => {
    const span = seams === 'vertical' ? size : turned(size);
    const panels = coverWith(span.width + 2 * overhang, 1, cloth).count - 1;
    if (panels < 1) return [];
    const over = rulerStepDown(cloth.unit).apply(
      Math.min(overhang, (panelReach(panels, cloth) - span.width) / 2),
    );
    const length = panels * (span.height + 2 * over);
    if (over < fromInches(LEAST_OVERHANG_INCHES, cloth.unit) - 1e-6 || length > best.fabric.value - 1e-6)
      return [];
    return [
      `With ${show(over)} of overhang, enough for quilting at home, ${panels === 1 ? 'one width' : `${panels} panels with ${seams} seams`} would do: ${show(length)}, ${show(best.fabric.value - length)} less.`,
    ];
  });
}
