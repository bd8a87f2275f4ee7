import { SEAM_NAMES } from '../choice/layers.ts';
import { formatWithUnit } from '../length/format.ts';
import { rulerStepDown } from '../length/rounding.ts';
import { atLeast, more, near, shorter } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { BackingOption, BackingWish } from './backing-option.ts';
import { seamsOf, spanFor } from './backing-ways.ts';
import { coverWith, type PanelCloth, panelReach } from './panels.ts';

/** The least overhang one quilts with at home: 2" (rule BK-2). */
const LEAST_OVERHANG_INCHES = 2;

/** Why the first of the ways is the best, against the next. */
export function reasonFor([best, ...rest]: readonly [BackingOption, ...BackingOption[]], unit: Unit): string {
  const next = rest.find((o) => o.way !== 'stripe');
  const plain = rest.some((o) => o.way === 'stripe') ? ' without a stripe' : '';
  if (!next) return `The only way there is${plain}.`;
  if (best.cost && next.cost && more(next.cost.value, best.cost.value))
    return `It costs least${plain}: ${best.cost.value.toFixed(2)}, and the next ${next.cost.value.toFixed(2)}.`;
  if (near(best.area, next.area))
    return best.slabs.length < next.slabs.length
      ? 'As much cloth as the next, and fewer seams.'
      : 'As good as the next: as much cloth, as many seams.';
  const saved =
    next.way === 'wide' || best.way === 'wide'
      ? lessCloth(best, next)
      : formatWithUnit(next.fabric.value - best.fabric.value, unit);
  return `It takes the least cloth${plain}, by ${saved}.`;
}

/** How much less cloth one way takes than another, to the whole per cent. */
function lessCloth(best: BackingOption, next: BackingOption): string {
  const share = Math.round(100 * (1 - best.area / next.area));
  return share < 1 ? 'less than 1 %' : `${share} %`;
}

/** A stripe is said where it saves so much of the cloth. */
const WORTH_A_STRIPE = 0.1;

/** What a stripe would save, where it saves anything. */
export function stripeSaves(best: BackingOption, stripe: BackingOption | undefined, unit: Unit): string[] {
  // One width that is enough has no panel to save; under a tenth less cloth is not worth a seam more (from memory).
  if (!stripe || best.way === 'wide' || best.panels < 2) return [];
  if (best.cost && stripe.cost)
    return more(best.cost.value, stripe.cost.value)
      ? [
          `With a stripe between the panels it costs ${(best.cost.value - stripe.cost.value).toFixed(2)} less.`,
        ]
      : [];
  return stripe.area < best.area * (1 - WORTH_A_STRIPE)
    ? [
        `A stripe ${formatWithUnit(stripe.stripe!.finished, unit)} wide between the panels saves a panel: ${lessCloth(stripe, best)} less cloth.`,
      ]
    : [];
}

/** Where a little less overhang, still enough at home, saves a whole panel, against the best way of the same cloth. */
export function smallerOverhang(
  size: { readonly width: number; readonly height: number },
  panels: readonly BackingOption[],
  cloth: PanelCloth,
  { overhang, cloth: fabric }: Pick<BackingWish, 'overhang' | 'cloth'>,
): string[] {
  const show = (v: number) => formatWithUnit(v, cloth.unit);
  const taken = Math.min(...panels.map((way) => way.fabric.value));
  const all = seamsOf(fabric);
  // A square quilt is the same on its side: once is enough.
  const sides = near(size.width, size.height) ? all.slice(0, 1) : all;
  return sides.flatMap((seams) => {
    const span = spanFor(seams, size);
    const fewer = coverWith(span.width + 2 * overhang, 1, cloth).count - 1;
    if (fewer < 1) return [];
    const reached = (panelReach(fewer, cloth) - span.width) / 2;
    const over = rulerStepDown(cloth.unit).apply(Math.min(overhang, reached));
    const length = fewer * (span.height + 2 * over);
    const tooLittle = shorter(over, fromInches(LEAST_OVERHANG_INCHES, cloth.unit));
    if (tooLittle || atLeast(length, taken)) return [];
    const what = fewer === 1 ? 'one width' : `${fewer} panels with ${SEAM_NAMES[seams]}`;
    const saved = show(taken - length);
    return [
      `With ${show(over)} of overhang, enough for quilting at home, ${what} would do: ${show(length)}, ${saved} less.`,
    ];
  });
}
