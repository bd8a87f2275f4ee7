import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { near } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';
import type { BackingOption, BackingWish } from './backing-option.ts';
import { panelWays, stripeWays, wideWay } from './backing-ways.ts';
import { reasonFor, smallerOverhang, stripeSaves } from './backing-words.ts';
import { type PanelCloth, panelSeam } from './panels.ts';

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
