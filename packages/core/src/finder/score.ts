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
interface Growth extends Lengths {
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
  readonly width: Growth;
  readonly height: Growth;
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
export interface Ground {
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

/** The ground of a search over these shapes. */
export function groundOf(plan: Plan, request: FitRequest, shapes: readonly Shape[]): Ground {
  const toInches = convertLength(1, plan.unit, 'in');
  const border = request.borders.count === 0 ? 0 : request.borders.most;
  const areaOf = (shape: Shape) => {
    const { width, height } = centreOf(shape, reachOf(shape).most);
    return (width + 2 * border) * (height + 2 * border);
  };
  const largest = request.target
    ? 0
    : shapes.reduce((most, shape) => Math.max(most, areaOf(shape)), 0) * toInches ** 2;
  return { request, block: plan.block, toInches, largest };
}

const grown = ({ base, sash, float }: Growth, s: number, f: number): number => base + sash * s + float * f;

/** How a setting grows along one direction with the lengths searched. Every setting's extent is linear in them: a test holds it. */
export function growthOf(
  way: Pick<Shape, 'kind' | 'options' | 'has'>,
  direction: 'across' | 'down',
  count: number,
  size: number,
): Growth {
  const at = (sash: number, float: number) =>
    settingOf(way.kind).extent(direction, count, size, optionsWith(way, { sash, float }));
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
function gridCosts({ request }: Ground, shape: Shape): Pick<Costs, 'blocks' | 'seams'> {
  const off = request.blocks === null ? 0 : request.blocks - shape.blocks;
  return { blocks: off >= 0 ? off : -2 * off, seams: shape.pieces / 100 };
}

/** Inches a sash lies outside the rule of thumb of a sixth to a quarter of the block. */
function sashOff({ block, toInches }: Ground, { has }: Shape, sash: number): number {
  const shorter = Math.min(block.width, block.height) * toInches;
  return has.sash ? Math.max(0, shorter / 6 - sash * toInches, sash * toInches - shorter / 4) : 0;
}

/** Every cost of a shape with these lengths, which give it its centre, and borders of these widths in all. */
export function costsOf(
  ground: Ground,
  shape: Shape,
  { sash }: Lengths,
  centre: { width: number; height: number },
  { sides, ends }: BorderTotal,
): Costs {
  const { request, block, toInches } = ground;
  const width = (centre.width + 2 * sides) * toInches;
  const height = (centre.height + 2 * ends) * toInches;
  const widest = Math.max(sides, ends) * WIDEST_SHARE[request.borders.count]! * toInches;
  const { target } = request;
  return {
    ...gridCosts(ground, shape),
    size: target
      ? Math.abs(width - target.width * toInches) + Math.abs(height - target.height * toInches)
      : (ground.largest - width * height) / SQUARE_YARD,
    proportion:
      sashOff(ground, shape, sash) +
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
export interface Reach {
  readonly least: Lengths;
  readonly most: Lengths;
}

/** The reach of all the lengths a shape has. */
export function reachOf({ lengths }: Shape): Reach {
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
export function lowerBound(ground: Ground, shape: Shape, { least, most }: Reach): number {
  const { request, block, toInches } = ground;
  const { target, weights, borders } = request;
  const border = borders.count === 0 ? 0 : borders.most;
  const [small, large] = [centreOf(shape, least), centreOf(shape, most)];
  const blocks = shape.blocks * block.width * block.height * toInches ** 2;
  const least2 = small.width * small.height * toInches ** 2;
  const most2 = (large.width + 2 * border) * (large.height + 2 * border) * toInches ** 2;
  const miss = (reached: number, furthest: number, wanted: number) =>
    Math.max(0, reached - wanted, wanted - furthest) * toInches;
  const grid = gridCosts(ground, shape);
  const common =
    grid.blocks * weights.blocks +
    grid.seams * weights.seams +
    (least.sash === most.sash ? sashOff(ground, shape, least.sash) * weights.proportion : 0);
  if (!target) {
    // Size and cloth pull the same area either way: its ends tell.
    const at = (area: number) =>
      ((ground.largest - area) * weights.size + (area - blocks) * weights.fabric) / SQUARE_YARD;
    return common + Math.min(at(least2), at(most2));
  }
  const size =
    miss(small.width, large.width + 2 * border, target.width) +
    miss(small.height, large.height + 2 * border, target.height);
  return common + size * weights.size + ((least2 - blocks) / SQUARE_YARD) * weights.fabric;
}
