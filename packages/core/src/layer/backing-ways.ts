import { lengthOf } from '../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../length/format.ts';
import { atLeast, shorter } from '../length/tolerance.ts';
import type { BackingOption, BackingWish, Cloth } from './backing-option.ts';
import { coverWith, type PanelCloth } from './panels.ts';
import { slabsOf, turned } from './slabs.ts';
import { stripeFor } from './stripe.ts';

/** Which way the seams between panels run. */
export type Seams = 'vertical' | 'horizontal';

interface Size {
  readonly width: number;
  readonly height: number;
}

/** Ways of one kind that can be had, and why others cannot. */
interface Found {
  readonly options: readonly BackingOption[];
  readonly remarks: readonly string[];
}

/** Ways panels of a cloth can run: its length from top to bottom, or across too where its print has no up. */
export const seamsOf = ({ upright }: Cloth): readonly Seams[] =>
  upright ? ['vertical'] : ['vertical', 'horizontal'];

/** The backing as panels see it, their length upright: level seams are the same sum with the quilt on its side. */
export const spanFor = (seams: Seams, size: Size): Size => (seams === 'vertical' ? size : turned(size));

/** Panels of the backing's own cloth, side by side or one above the other. */
export function panelWays(reach: Size, cloth: PanelCloth, wish: BackingWish): BackingOption[] {
  const ways = seamsOf(wish.cloth).map((seams) =>
    panelWay(spanFor(seams, reach), seams, cloth, wish.cloth, wish),
  );
  if (!ways.every((o) => o.seams === 'none')) return ways;
  // A second way without a seam only turns the same single width round; it tells the quilter nothing.
  return [ways.reduce((a, b) => (shorter(b.fabric.value, a.fabric.value) ? b : a))];
}

function panelWay(
  span: Size,
  seams: Seams,
  panel: PanelCloth,
  cloth: Cloth,
  { costOf }: Pick<BackingWish, 'costOf'>,
): BackingOption {
  const { count, fabric } = coverWith(span.width, span.height, panel);
  return {
    way: seams,
    seams: count === 1 ? 'none' : seams,
    panels: count,
    fabric,
    stripe: null,
    area: fabric.value * panel.usable,
    cost: costOf([{ length: fabric.value, fabric: cloth.fabric }]),
    slabs: slabsOf(span, seams, count, panel, null),
  };
}

/** One width of the wide cloth, whichever way round takes less of it. */
export function wideWay(reach: Size, wish: BackingWish): Found {
  const { wide, unit } = wish;
  if (!wide) return { options: [], remarks: [] };
  const [best] = seamsOf(wide)
    .map((seams) => ({ seams, span: spanFor(seams, reach) }))
    .filter(({ span }) => atLeast(wide.usable, span.width))
    .sort((a, b) => a.span.height - b.span.height);
  if (!best) {
    const usable = formatWithUnit(wide.usable, unit);
    return { options: [], remarks: [`Not even the wide cloth (${usable} usable) covers it in one width.`] };
  }
  const seamless: PanelCloth = { usable: wide.usable, seam: 0, unit };
  const way = panelWay(best.span, best.seams, seamless, wide, wish);
  return { options: [{ ...way, way: 'wide', seams: 'none' }], remarks: [] };
}

/** Panels with a stripe let in that does the work of one more panel; why not, where there is none. */
export function stripeWays(reach: Size, panel: PanelCloth, wish: BackingWish): Found {
  const { stripe: asked, cloth, costOf } = wish;
  if (!asked) return { options: [], remarks: [] };
  const options: BackingOption[] = [];
  const remarks = new Set<string>();
  for (const seams of seamsOf(cloth)) {
    const span = spanFor(seams, reach);
    const panels = coverWith(span.width, span.height, panel).count - 1;
    if (panels < 1) continue;
    // Lying on its side, a block's height is what counts across.
    const blocks = asked.blocks && { ...asked.blocks, ...spanFor(seams, asked.blocks) };
    const found = stripeFor(span.width, span.height, panels, panel, { ...asked, blocks });
    if (!found.ok) {
      remarks.add(found.message);
      continue;
    }
    const stripe = found.value;
    const length = panels * span.height;
    const sum = `${panels} × ${formatWorking(span.height, panel.unit)} = ${formatExact(length)}`;
    options.push({
      way: 'stripe',
      seams,
      panels,
      fabric: lengthOf(length, `${sum}, and the stripe`),
      stripe,
      slabs: slabsOf(span, seams, panels, panel, stripe),
      area: length * panel.usable + stripe.fabric.value * asked.usable,
      cost: costOf([
        { length, fabric: cloth.fabric },
        { length: stripe.fabric.value, fabric: asked.fabric },
      ]),
    });
  }
  return { options, remarks: options.length === 0 ? [...remarks] : [] };
}
