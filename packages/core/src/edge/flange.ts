import { sum } from 'd3-array';
import { type Cut, cutOf } from '../cut/cut.ts';
import { knownPlaces } from '../border/sizes.ts';
import { linesOf } from '../cut/line.ts';
import { planStrips } from '../strip/strips.ts';
import { countOf, type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import type { Measured } from '../plan/shape.ts';

/** A flange: four folded strips, cut to the quilt's sides before they are sewn, since uncut ones stretch. */
export interface Flange {
  readonly visible: number;
  readonly cutWidth: Figure;
  readonly sides: Figure;
  readonly ends: Figure;
  readonly strips: Figure;
  readonly fabric: Figure;
}

/** What a flange is made for; lengths in `unit`. */
export interface FlangeWish {
  /** The raw edges it lies along: how long the sides are, and how long top and bottom are. */
  readonly edges: { readonly sides: Figure; readonly ends: Figure };
  /** To be seen beside the binding. */
  readonly visible: number;
  /** How far from the edge the binding is sewn that holds it. */
  readonly bindingSeam: number;
  /** Its own strips are joined with. */
  readonly seam: number;
  readonly usable: number;
  readonly unit: Unit;
}

/** A flange is cut across its cloth; wider than this share of it, it is no flange. */
const WIDEST_SHARE = 1 / 2;

/** Why a flange of so much cannot be cut from its cloth, in words; null when it can. */
export function flangeRefusal({
  visible,
  bindingSeam,
  usable,
  unit,
}: Pick<FlangeWish, 'visible' | 'bindingSeam' | 'usable' | 'unit'>): string | null {
  const width = 2 * (visible + bindingSeam);
  if (width <= usable * WIDEST_SHARE) return null;
  return `A flange that shows ${formatWithUnit(visible, unit)} takes strips cut ${formatWithUnit(width, unit)} wide, and this cloth is ${formatWithUnit(usable, unit)} usable: choose a narrower one.`;
}

/**
 * A flange of so much to be seen (rule FL-1): cut `2 × (visible + the binding's seam)`, folded in half; sides as
 * long as the raw edges they lie on, then top and bottom, joined on the diagonal when longer than the cloth.
 * The wish has passed `flangeRefusal`.
 */
export function planFlange({ edges, visible, bindingSeam, seam, usable, unit }: FlangeWish): Flange {
  const show = (v: number) => formatWorking(v, unit);
  const width = 2 * (visible + bindingSeam);
  const cutWidth = lengthOf(
    width,
    `2 × (${show(visible)} seen + ${show(bindingSeam)} that the binding’s seam takes) = ${show(width)}`,
  );
  // How many strips it takes does not depend on which cloth it is.
  const lines = linesOf(flangeCuts({ cutWidth, ...edges }, ''), () => 'none');
  const { strips } = planStrips(lines, { usable, seam, unit }).groups[0]!;
  return {
    visible,
    cutWidth,
    sides: edges.sides,
    ends: edges.ends,
    strips,
    fabric: lengthOf(
      strips.value * width,
      `${numberOf(strips.value, 'strip')} × ${show(width)} = ${formatExact(strips.value * width)}`,
    ),
  };
}

/** Its four strips as they are cut: two for the sides, two for top and bottom. */
export function flangeCuts(
  { cutWidth, sides, ends }: Pick<Flange, 'cutWidth' | 'sides' | 'ends'>,
  fabric: string,
): Cut[] {
  const pair = (id: string, name: string, length: Figure, where: string) =>
    cutOf({
      id,
      owner: 'edge',
      role: 'flange',
      name,
      fabric,
      use: { what: 'flange' },
      size: { shape: 'rectangle', width: cutWidth, length },
      count: countOf(2, `One ${where}: 2`),
      // However short, it is a strip across the cloth.
      oneWay: 'across',
    });
  return [
    pair('flange-sides', 'Flange sides', sides, 'on each of two sides'),
    pair('flange-ends', 'Flange top and bottom', ends, 'at top, one at bottom'),
  ];
}

/** The raw edges of a quilt that was measured edge to edge. */
export const edgesAsTold = ({
  width,
  height,
}: {
  readonly width: number;
  readonly height: number;
}): FlangeWish['edges'] => ({
  sides: lengthOf(height, 'As long as the quilt is high, raw edge to raw edge: 2'),
  ends: lengthOf(width, 'As long as it is wide: 2'),
});

/**
 * The raw edges of a top: the average of the places each way where the whole top was measured, as it
 * is; otherwise what it finishes at with the allowance beyond its edge on both sides (rule FL-2).
 *
 * @param beyond the seam allowance outside the finished edge; 0 of a quilt that is trimmed to its size
 */
export function rawEdges(
  top: { readonly width: number; readonly height: number },
  raw: Measured | null,
  beyond: number,
  unit: Unit,
): FlangeWish['edges'] {
  if (beyond === 0 && !raw) return edgesAsTold(top);
  const show = (v: number) => formatWorking(v, unit);
  const planned = (finished: number, says: string) =>
    lengthOf(
      finished + 2 * beyond,
      `${says}: ${show(finished)} + 2 × ${show(beyond)} seam = ${show(finished + 2 * beyond)}, raw edge to raw edge`,
    );
  const average = (places: Measured['width'] | undefined, says: string): Figure | null => {
    const there = places ? knownPlaces(places) : [];
    if (there.length === 0) return null;
    const mean = sum(there) / there.length;
    return there.length === 1
      ? lengthOf(mean, `${says}, measured in one place: ${show(mean)}`)
      : lengthOf(
          mean,
          `${says}, measured in ${there.length === 3 ? 'three' : 'two'} places: (${there.map(show).join(' + ')}) ÷ ${there.length} = ${formatExact(mean)}`,
        );
  };
  return {
    sides: average(raw?.height, 'High') ?? planned(top.height, 'Two, as long as the top is high'),
    ends: average(raw?.width, 'Wide') ?? planned(top.width, 'Two, as long as it is wide'),
  };
}
