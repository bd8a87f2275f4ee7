import { convertLength } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { type SettingKind, settingOf, type SettingOptions, withLengths } from '../setting/registry.ts';
import type { Grid } from '../setting/setting.ts';
import type { FitRequest } from './request.ts';

/** Lengths of a setting's own that a search chooses. */
export interface Lengths {
  readonly sash: number;
  readonly float: number;
}

/** A size along one direction as it grows with the searched lengths: `base + sash·s + float·f`. */
interface GrowingSize extends Lengths {
  readonly base: number;
}

/** A kind of setting with its options but for the searched lengths, on one grid: what a sash, a float and borders are then fitted to. */
export interface Shape {
  readonly kind: SettingKind;
  readonly options: SettingOptions;
  readonly has: Readonly<Record<keyof Lengths, boolean>>;
  /** Sashes and floats to try: those in range that the setting does not refuse. */
  readonly lengths: readonly Lengths[];
  readonly grid: Grid;
  readonly blocks: number;
  readonly pieces: number;
  readonly width: GrowingSize;
  readonly height: GrowingSize;
}

/** Finished widths of all borders together, on one side and at one end. */
export interface BorderTotal {
  readonly sides: number;
  readonly ends: number;
}

/** What a design costs under each weight, before weighing, in the words of `Weights`. */
export interface Costs {
  readonly size: number;
  readonly blocks: number;
  readonly proportion: number;
  readonly fabric: number;
  readonly seams: number;
}

/** The search's constants, in inches, so that weights mean the same in either unit. */
export interface SearchScale {
  readonly request: FitRequest;
  readonly block: { readonly width: number; readonly height: number };
  readonly toInches: number;
  /** Without a target: square inches of the largest quilt the blocks on hand can make. */
  readonly largest: number;
}

/** The widest of a stack narrow to wide, each twice the one inside, as a share of all. */
export const WIDEST_SHARE = [1, 1, 2 / 3, 4 / 7] as const;

/** What a side unlike an end costs beside an inch of any other disproportion. */
const UNEVEN = 0.5;

const SQUARE_YARD = 36 * 36;

/** The scale of a search over these shapes. */
export function searchScale(plan: Plan, request: FitRequest, shapes: readonly Shape[]): SearchScale {
  const toInches = convertLength(1, plan.unit, 'in');
  const border = request.borders.count === 0 ? 0 : request.borders.most;
  const areaOf = (shape: Shape) => {
    const { width, height } = centreOf(shape, lengthRange(shape).most);
    return (width + 2 * border) * (height + 2 * border);
  };
  const largest = request.target
    ? 0
    : shapes.reduce((most, shape) => Math.max(most, areaOf(shape)), 0) * toInches ** 2;
  return { request, block: plan.block, toInches, largest };
}

const grown = ({ base, sash, float }: GrowingSize, s: number, f: number): number =>
  base + sash * s + float * f;

/** How a setting grows along one direction with the lengths searched. Every setting's extent is linear in them: a test holds it. */
export function growingSize(
  way: Pick<Shape, 'kind' | 'options' | 'has'>,
  direction: 'across' | 'down',
  count: number,
  size: number,
  seam: number,
): GrowingSize {
  const at = (sash: number, float: number) =>
    settingOf(way.kind).extent(direction, count, size, optionsWith(way, { sash, float }), seam);
  const base = at(0, 0);
  return { base, sash: at(1, 0) - base, float: at(0, 1) - base };
}

/** Finished centre of a shape with these lengths. */
export const centreOf = (
  { width, height }: Shape,
  { sash, float }: Lengths,
): { width: number; height: number } => ({
  width: grown(width, sash, float),
  height: grown(height, sash, float),
});

/** Options of a shape with these lengths. */
export const optionsWith = (
  { options, has }: Pick<Shape, 'options' | 'has'>,
  { sash, float }: Lengths,
): SettingOptions => withLengths(options, { ...(has.sash ? { sash } : {}), ...(has.float ? { float } : {}) });

/** Costs that the grid alone decides. */
function gridCosts({ request }: SearchScale, shape: Shape): Pick<Costs, 'blocks' | 'seams'> {
  const off = request.blocks === null ? 0 : request.blocks - shape.blocks;
  return { blocks: off >= 0 ? off : -2 * off, seams: shape.pieces / 100 };
}

/** Inches a sash lies outside the rule of thumb of a sixth to a quarter of the block. */
function sashOff({ block, toInches }: SearchScale, { has }: Shape, sash: number): number {
  const shorter = Math.min(block.width, block.height) * toInches;
  return has.sash ? Math.max(0, shorter / 6 - sash * toInches, sash * toInches - shorter / 4) : 0;
}

/** Every cost of a shape with these lengths, which give it its centre, and borders of these widths in all. */
export function costsOf(
  scale: SearchScale,
  shape: Shape,
  { sash }: Lengths,
  centre: { width: number; height: number },
  { sides, ends }: BorderTotal,
): Costs {
  const { request, block, toInches } = scale;
  const width = (centre.width + 2 * sides) * toInches;
  const height = (centre.height + 2 * ends) * toInches;
  const widest = Math.max(sides, ends) * WIDEST_SHARE[request.borders.count]! * toInches;
  const { target } = request;
  return {
    ...gridCosts(scale, shape),
    size: target
      ? Math.abs(width - target.width * toInches) + Math.abs(height - target.height * toInches)
      : (scale.largest - width * height) / SQUARE_YARD,
    proportion:
      sashOff(scale, shape, sash) +
      Math.max(0, widest - Math.min(block.width, block.height) * toInches) +
      UNEVEN * Math.abs(sides - ends) * toInches,
    fabric: (width * height - shape.blocks * block.width * block.height * toInches ** 2) / SQUARE_YARD,
  };
}

/** Costs weighed and added. Lower is better. */
export function weigh(costs: Costs, { weights }: FitRequest): number {
  return (
    costs.size * weights.size +
    costs.blocks * weights.blocks +
    costs.proportion * weights.proportion +
    costs.fabric * weights.fabric +
    costs.seams * weights.seams
  );
}

/** The lengths between which a centre can lie. */
export interface LengthRange {
  readonly least: Lengths;
  readonly most: Lengths;
}

/** The reach of all the lengths a shape has. */
export function lengthRange({ lengths }: Shape): LengthRange {
  const ends = (pick: (...values: number[]) => number): Lengths => ({
    sash: pick(...lengths.map((l) => l.sash)),
    float: pick(...lengths.map((l) => l.float)),
  });
  return { least: ends(Math.min), most: ends(Math.max) };
}

/**
 * A score no design of this shape, with lengths inside the reach and any borders allowed, can be below:
 * the nearest the size can come each way on its own, the smallest top for the cloth.
 */
export function lowerBound(scale: SearchScale, shape: Shape, { least, most }: LengthRange): number {
  const { request, block, toInches } = scale;
  const { target, weights, borders } = request;
  const border = borders.count === 0 ? 0 : borders.most;
  const [narrowest, widest] = [centreOf(shape, least), centreOf(shape, most)];
  const reached = { width: widest.width + 2 * border, height: widest.height + 2 * border };
  const squareInches = (size: { width: number; height: number }) => size.width * size.height * toInches ** 2;
  const ofBlocks = shape.blocks * squareInches(block);

  const { blocks, seams } = gridCosts(scale, shape);
  const oneSash = least.sash === most.sash;
  const proportion = oneSash ? sashOff(scale, shape, least.sash) : 0;
  const ofGrid = blocks * weights.blocks + seams * weights.seams + proportion * weights.proportion;

  if (!target) {
    // Size and cloth pull the same area either way, so one of its two ends costs least.
    const costAt = (area: number) =>
      ((scale.largest - area) * weights.size + (area - ofBlocks) * weights.fabric) / SQUARE_YARD;
    return ofGrid + Math.min(costAt(squareInches(narrowest)), costAt(squareInches(reached)));
  }
  const missed = (from: number, to: number, wanted: number) =>
    Math.max(0, from - wanted, wanted - to) * toInches;
  const size =
    missed(narrowest.width, reached.width, target.width) +
    missed(narrowest.height, reached.height, target.height);
  const cloth = (squareInches(narrowest) - ofBlocks) / SQUARE_YARD;
  return ofGrid + size * weights.size + cloth * weights.fabric;
}
