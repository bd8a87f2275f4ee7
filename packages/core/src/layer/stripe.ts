import { stripsFor } from '../strip/joins.ts';
import { type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { rulerUp } from '../length/rounding.ts';
import { atLeast, howManyCover, howManyFit, longer } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import { type Granted, granted, refused } from '../refusal/refusal.ts';
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
const joinsWith = (panels: number): number => Math.max(2, panels);

/** What so many panels lose in width to seams: the stripe's own along two of them, and theirs between the others. */
export const lostByPanels = (panels: number, panelSeam: number, stripeSeam: number): number =>
  2 * panelSeam * (joinsWith(panels) - 2) + 2 * stripeSeam;

/**
 * The stripe that lets `panels` widths cover `span` where by themselves they do not, or why there is none. Off the
 * middle, so that no seam runs down the quilt's centre fold. Lengths in the plan's unit.
 *
 * @param run how long the stripe is
 */
export function stripeFor(
  span: number,
  run: number,
  panels: number,
  cloth: PanelCloth,
  wish: StripeWish,
): Granted<Stripe> {
  const show = (v: number) => formatWorking(v, cloth.unit);
  const seam = wish.blocks ? wish.seam : cloth.seam;
  const lost = lostByPanels(panels, cloth.seam, seam) + 2 * seam;
  const short = span + lost - panels * cloth.usable;
  const says =
    `${show(span)} to cover, + ${formatExact(lost)} for ${numberOf(joinsWith(panels), 'seam')}, ` +
    `− ${panels} × ${show(cloth.usable)} = ${formatExact(short)} to make up`;
  const gap: Gap = { short, run, seam, says, unit: cloth.unit };
  return wish.blocks ? ofBlocks(gap, wish.blocks, wish.usable) : ofCloth(gap, wish.usable, cloth.seam);
}

/** What the panels leave to make up: so much across, as cut, along so long a run. */
interface Gap {
  readonly short: number;
  readonly run: number;
  readonly seam: number;
  readonly says: string;
  readonly unit: Unit;
}

/** A row of leftover blocks with cloth between them and at both ends. */
function ofBlocks(
  { short, run, seam, says, unit }: Gap,
  { left, width, height }: NonNullable<StripeWish['blocks']>,
  usable: number,
): Granted<Stripe> {
  const show = (v: number) => formatWorking(v, unit);
  const across = width + 2 * seam;
  if (left < 1) return refused('No block is left over for a stripe.');
  if (!atLeast(across, short))
    return refused(
      `A row of leftover blocks is ${show(across)} across as cut, and ${show(short)} is wanting.`,
    );
  const used = Math.min(left, Math.max(1, howManyFit(run, height)));
  const free = Math.max(0, run - used * height);
  const gap = free / (used + 1);
  const pieces = longer(gap, 0) ? used + 1 : 0;
  const long = gap + 2 * seam;
  if (pieces > 0 && !atLeast(usable, across) && !atLeast(usable, long))
    return refused('The stripe’s cloth is too narrow for what lies between the blocks.');
  const strips = stripsBetween(pieces, long, usable, seam);
  return granted({
    cut: lengthOf(across, says, `A block is ${show(across)} as cut: enough`),
    finished: width,
    seam,
    blocks: used,
    gap,
    fabric: lengthOf(
      strips * across,
      `${numberOf(used, 'block')} of ${show(height)} leave ${formatExact(free)} of ${show(run)}: ${numberOf(pieces, 'piece')} between and at the ends`,
      `${numberOf(strips, 'strip')} × ${show(across)} = ${formatExact(strips * across)}`,
    ),
  });
}

/** Strips for the pieces between blocks: several from one strip, or joined where one piece is longer than that. */
function stripsBetween(pieces: number, long: number, usable: number, seam: number): number {
  if (pieces === 0) return 0;
  if (long > usable) return stripsFor(pieces * long, usable, 2 * seam);
  return howManyCover(pieces, Math.max(1, howManyFit(usable, long)));
}

/** A stripe of cloth alone. */
function ofCloth({ short, run, seam, says, unit }: Gap, usable: number, join: number): Granted<Stripe> {
  const show = (v: number) => formatWorking(v, unit);
  const least = fromInches(LEAST_INCHES, unit);
  const across = rulerUp(unit).apply(Math.max(short, least));
  if (!atLeast(usable, across)) return refused(`A stripe of ${show(across)} is wider than its cloth.`);
  const strips = stripsFor(run, usable, 2 * join);
  const why =
    short < least
      ? `At least ${show(least)}, so that it looks meant: ${show(across)}`
      : `${rulerUp(unit).name}: ${show(across)}`;
  return granted({
    cut: lengthOf(across, says, why),
    finished: across - 2 * seam,
    seam,
    blocks: 0,
    gap: 0,
    fabric: lengthOf(
      strips * across,
      `${show(run)} long, from ${numberOf(strips, 'strip')} × ${show(across)} = ${formatExact(strips * across)}`,
    ),
  });
}
