import { convertLength } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { type SettingKind, settingOf, type SettingOptions } from '../setting/registry.ts';
import type { Grid } from '../setting/setting.ts';
import type { FitRequest } from './request.ts';

/** A kind of setting with its options but for the sash, on one grid: what a sash and borders are then fitted to. */
export interface Shape {
  readonly kind: SettingKind;
  readonly options: SettingOptions;
  readonly sashed: boolean;
  readonly grid: Grid;
  readonly blocks: number;
  readonly pieces: number;
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
  readonly inches: (value: number) => number;
  /** Narrowest border worth sewing beside another: about an inch (from memory). */
  readonly leastBorder: number;
}

export const groundOf = (plan: Plan, request: FitRequest): Ground => ({
  request,
  block: plan.block,
  inches: (value) => convertLength(value, plan.unit, 'in'),
  leastBorder: plan.unit === 'in' ? 1 : 2.5,
});

/** Finished centre of a shape with this sash. */
export function centreOf(ground: Ground, shape: Shape, sash: number): { width: number; height: number } {
  const options = shape.sashed ? ({ ...shape.options, sash } as SettingOptions) : shape.options;
  const { extent } = settingOf(shape.kind);
  return {
    width: extent('across', shape.grid.across, ground.block.width, options),
    height: extent('down', shape.grid.down, ground.block.height, options),
  };
}

/** Costs that the grid alone decides. */
export function gridCosts({ request }: Ground, shape: Shape): Pick<Costs, 'blocks' | 'seams'> {
  const off = request.blocks === null ? 0 : request.blocks - shape.blocks;
  return { blocks: off >= 0 ? off : -2 * off, seams: shape.pieces / 100 };
}

/** Every cost of a shape with a sash, which gives it its centre, and borders of `border` in all on each side. */
export function costsOf(ground: Ground, shape: Shape, sash: number, centre: { width: number; height: number }, border: number): Costs {
  const { request, block, inches } = ground;
  const width = inches(centre.width + 2 * border);
  const height = inches(centre.height + 2 * border);
  const shorter = inches(Math.min(block.width, block.height));
  const s = inches(sash);
  const sashOff = shape.sashed ? Math.max(0, shorter / 6 - s, s - shorter / 4) : 0;
  const widest = inches(border) / Math.max(1, request.borders.count);
  return {
    ...gridCosts(ground, shape),
    size: Math.abs(width - inches(request.target.width)) + Math.abs(height - inches(request.target.height)),
    proportion: sashOff + Math.max(0, widest - shorter),
    fabric: (width * height - shape.blocks * inches(block.width) * inches(block.height)) / (36 * 36),
  };
}

/** Costs weighed and added. Lower is better. */
export function weigh(costs: Costs, { weights }: FitRequest): number {
  return (
    costs.size * weights.size + costs.blocks * weights.blocks + costs.proportion * weights.proportion + costs.fabric * weights.fabric + costs.seams * weights.seams
  );
}

/**
 * The least a shape can miss the target by, whatever its sash and borders (inches, both ways added).
 * A border the same all round cannot mend a difference between the two sides, nor be less than
 * nothing or more than its limit; both are linear in the sash, so its ends tell.
 */
export function leastMiss(ground: Ground, shape: Shape): number {
  const { request, inches } = ground;
  const most = request.borders.count === 0 ? 0 : request.borders.most;
  const ends = (shape.sashed ? [request.sash.least, request.sash.most] : [0]).map((sash) => {
    const centre = centreOf(ground, shape, sash);
    const [wide, high] = [request.target.width - centre.width, request.target.height - centre.height];
    return { apart: wide - high, over: -(wide + high), under: wide + high - 4 * most };
  });
  const least = (values: number[]) => (Math.min(...values) < 0 && Math.max(...values) > 0 ? 0 : Math.min(...values.map(Math.abs)));
  const atLeast = (values: number[]) => Math.max(0, Math.min(...values));
  return inches(Math.max(least(ends.map((e) => e.apart)), atLeast(ends.map((e) => e.over)), atLeast(ends.map((e) => e.under))));
}
