import { type PanelCloth, panelReach } from './panels.ts';
import { lostByPanels, type Stripe } from './stripe.ts';

/** One piece of a backing as it lies, seams sewn and the excess trimmed; from the backing's top left corner. */
export interface Slab {
  readonly what: 'panel' | 'stripe' | 'block';
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The same rectangle lying on its side. */
export const turned = ({
  width,
  height,
}: {
  readonly width: number;
  readonly height: number;
}): { width: number; height: number } => ({ width: height, height: width });

/**
 * Where panels and stripe lie. `span` is the backing with its seams upright; what the panels span more
 * than that is trimmed off the two outer ones alike. A
 * stripe lies beside the first panel, or a third of the way across a single one: off the middle.
 */
export function slabsOf(
  span: { width: number; height: number },
  seams: 'vertical' | 'horizontal',
  count: number,
  cloth: PanelCloth,
  stripe: Stripe | null,
): Slab[] {
  const upright = stripe ? withStripe(span, count, cloth, stripe) : plainSlabs(span, count, cloth);
  return seams === 'vertical'
    ? upright
    : upright.map(({ what, x, y, width, height }) => ({ what, x: y, y: x, width: height, height: width }));
}

function plainSlabs(
  { width, height }: { width: number; height: number },
  count: number,
  cloth: PanelCloth,
): Slab[] {
  const trim = (panelReach(count, cloth) - width) / 2;
  const seamAt = (i: number) =>
    i === 0 ? 0 : i === count ? width : i * (cloth.usable - 2 * cloth.seam) + cloth.seam - trim;
  return Array.from({ length: count }, (_, i) => ({
    what: 'panel',
    x: seamAt(i),
    y: 0,
    width: seamAt(i + 1) - seamAt(i),
    height,
  }));
}

function withStripe(
  { width, height }: { width: number; height: number },
  count: number,
  { usable, seam }: PanelCloth,
  stripe: Stripe,
): Slab[] {
  // Beside the stripe a panel loses the stripe's seam, between two panels theirs; the outer two are trimmed alike.
  const trim = (panelsWithStripe(count, usable, seam, stripe) - (width - stripe.finished)) / 2;
  const single = usable - 2 * stripe.seam - 2 * trim;
  const widths =
    count === 1
      ? [single / 3, (2 * single) / 3]
      : Array.from({ length: count }, (_, i) => {
          const inner = i === 0 || i === 1 ? stripe.seam : seam;
          return i === 0 || i === count - 1 ? usable - inner - trim : usable - inner - seam;
        });
  const panels: Slab[] = [];
  let x = 0;
  widths.forEach((own, i) => {
    panels.push({ what: 'panel', x, y: 0, width: own, height });
    x += own + (i === 0 ? stripe.finished : 0);
  });
  const at = widths[0]!;
  const size = stripe.blocks > 0 ? (height - stripe.gap * (stripe.blocks + 1)) / stripe.blocks : 0;
  const blocks = Array.from({ length: stripe.blocks }, (_, i): Slab => ({
    what: 'block',
    x: at,
    y: stripe.gap + i * (size + stripe.gap),
    width: stripe.finished,
    height: size,
  }));
  return [...panels, { what: 'stripe', x: at, y: 0, width: stripe.finished, height }, ...blocks];
}

/** What the panels alone span once all seams are sewn. */
const panelsWithStripe = (count: number, usable: number, seam: number, stripe: Stripe): number =>
  count * usable - lostByPanels(count, seam, stripe.seam);
