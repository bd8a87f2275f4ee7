import { sum } from 'd3-array';
import { RANGES } from '../soundness/ranges.ts';
import { mostIn } from '../length/rounding.ts';
import { atLeast, howManyCover, howManyFit, near } from '../length/tolerance.ts';
import type { Plan } from '../plan/shape.ts';
import { lengthsOf, settingOf, type SettingOptions } from '../setting/registry.ts';
import type { SettingField } from '../setting/setting.ts';
import { bestBorders, borderSteps } from './best-borders.ts';
import { clothCheck } from './cloth.ts';
import { type FitRequest, MOST_PLACES, searchStep } from './request.ts';
import { isTooLongForItsWidth } from './too-long.ts';
import {
  type BorderTotal,
  centreOf,
  type Costs,
  costsOf,
  type SearchScale,
  searchScale,
  growingSize,
  type Lengths,
  lowerBound,
  optionsWith,
  lengthRange,
  type Shape,
  weigh,
} from './score.ts';

/** Finished widths of one border of a found design. */
export type FitBorder = BorderTotal;

/** A design that comes to, or near, the target. */
export interface Fit {
  readonly setting: SettingOptions;
  readonly grid: { readonly across: number; readonly down: number };
  /** Borders from the centre out, narrow to wide; finished. */
  readonly borders: readonly FitBorder[];
  readonly finished: { readonly width: number; readonly height: number };
  /** Blocks it takes; how many stay over, or are missing when negative; null when any number can be made. */
  readonly blocks: number;
  readonly over: number | null;
  readonly costs: Costs;
  readonly score: number;
}

/** Where a search has got to. */
export interface Progress {
  readonly done: number;
  readonly of: number;
  readonly looked: number;
  readonly best: readonly Fit[];
}

/** How many designs a search brings back. */
const BEST = 20;

/** Grids are tried whose centre is at most this much over the target: nothing larger could rank. */
const OVERSIZE = 1.25;

/** Shapes looked at between two reports of progress. */
const REPORT_EVERY = 16;

/**
 * Searches settings × grids × sashes × floats × borders for the best designs of a size: the best sash,
 * float and borders for each setting and grid, ranked. A generator, so that whoever runs it can show
 * progress and stop; it yields now and then and returns the ranking.
 *
 * Exact on the ruler's marks: `bestBorders` finds the least for a sash and float, and what is passed
 * over has a `lowerBound` that the worst design kept already beats. A test compares with trying everything.
 */
export function* findFits(plan: Plan, request: FitRequest): Generator<Progress, readonly Fit[]> {
  const shapes = shapesFor(plan, request);
  const scale = searchScale(plan, request, shapes);
  const step = searchStep(plan.unit);
  const bounded = shapes
    .map((shape) => ({ shape, bound: lowerBound(scale, shape, lengthRange(shape)) }))
    .sort((a, b) => a.bound - b.bound);
  const enough = clothCheck(plan, request);
  const turns = isAnySide(plan, request);
  let best: readonly Fit[] = [];
  let looked = 0;
  const worst = () => (best.length === BEST ? best[BEST - 1]!.score : Infinity);
  for (let i = 0; i < bounded.length; i++) {
    const { shape, bound } = bounded[i]!;
    if (bound > worst()) break;
    const fit = bestOfShape(scale, shape, step, worst(), enough, () => looked++);
    // Nothing is proposed that no quilt may be.
    if (fit && isOfAQuilt(fit, plan)) best = withFit(best, fit, turns);
    if (i % REPORT_EVERY === REPORT_EVERY - 1) yield { done: i + 1, of: bounded.length, looked, best };
  }
  yield { done: bounded.length, of: bounded.length, looked, best };
  return best;
}

/** It is not larger than any quilt: what is would be refused when it is taken. */
const isOfAQuilt = ({ finished: { width, height } }: Fit, { unit }: Plan): boolean =>
  atLeast(mostIn(RANGES.finished.most, unit), Math.max(width, height));

/** The best design of a shape that there is cloth for and that scores below `limit`; null when there is none. */
function bestOfShape(
  scale: SearchScale,
  shape: Shape,
  step: number,
  limit: number,
  enough: (shape: Shape, lengths: Lengths) => boolean,
  look: () => void,
): Fit | null {
  const steps = borderSteps(scale, step);
  const checks = scale.request.inHand.length > 0;
  const ways: { lengths: Lengths; border: BorderTotal; score: number }[] = [];
  let least = limit;
  for (const lengths of shape.lengths) {
    if (lowerBound(scale, shape, { least: lengths, most: lengths }) > least) continue;
    const found = {
      lengths,
      ...bestBorders(scale, shape, lengths, centreOf(shape, lengths), steps, step, look),
    };
    if (found.score >= least) continue;
    ways.push(found);
    // A way there may be no cloth for must not shut out a worse one.
    if (!checks) least = found.score;
  }
  const best = ways
    .sort((a, b) => a.score - b.score)
    .find(({ lengths }) => !checks || enough(shape, lengths));
  return best ? fitOf(scale, shape, best.lengths, best.border, step) : null;
}

/**
 * The ranking with one more design, if it ranks. A grid of a setting with as many blocks is there once, at its best.
 * Equal scores keep the order they were found in.
 *
 * @param turns a grid on its side comes to the same, and is not shown again
 */
function withFit(best: readonly Fit[], fit: Fit, turns: boolean): readonly Fit[] {
  if (best.length === BEST && fit.score >= best[BEST - 1]!.score) return best;
  const alike = best.find((had) => isTheSame(had, fit, turns));
  if (alike && alike.score <= fit.score) return best;
  const others = alike ? best.filter((had) => had !== alike) : best;
  const at = others.findIndex((b) => fit.score < b.score);
  const placed = at < 0 ? [...others, fit] : [...others.slice(0, at), fit, ...others.slice(at)];
  return placed.slice(0, BEST);
}

function isTheSame(a: Fit, b: Fit, turns: boolean): boolean {
  if (a.setting.kind !== b.setting.kind || a.blocks !== b.blocks) return false;
  const same = a.grid.across === b.grid.across && a.grid.down === b.grid.down;
  return same || (turns && a.grid.across === b.grid.down && a.grid.down === b.grid.across);
}

/** Whether a grid on its side comes to the same: blocks are square, and so is what they are to come to, or it is any size. */
const isAnySide = ({ block }: Plan, { target }: FitRequest): boolean =>
  near(block.width, block.height) && (target === null || near(target.width, target.height));

/** Every setting allowed, with every option that changes its size, on every grid that could come near. */
export function shapesFor(plan: Plan, request: FitRequest): Shape[] {
  const { unit, block, seam } = plan;
  const { target } = request;
  const found = request.kinds.flatMap((kind) => {
    const setting = settingOf(kind);
    const start = plan.setting.kind === kind ? plan.setting : setting.start(unit);
    return optionsOf(setting.fields, start).flatMap((options) => {
      const own = lengthsOf(options);
      const has = { sash: own.sash !== undefined, float: own.float !== undefined };
      const lengths = lengthsFor(has, request, searchStep(unit)).filter(
        (l) =>
          setting.refusals({
            unit,
            block,
            grid: { across: 1, down: 1 },
            options: optionsWith({ options, has }, l),
            seam,
          }).length === 0,
      );
      if (lengths.length === 0) return [];
      const least = optionsWith({ options, has }, lengths[0]!);
      const shapes: Shape[] = [];
      for (let across = 1; across <= MOST_PLACES; across++) {
        if (target && setting.extent('across', across, block.width, least, seam) > target.width * OVERSIZE)
          break;
        for (let down = 1; down <= MOST_PLACES; down++) {
          if (target && setting.extent('down', down, block.height, least, seam) > target.height * OVERSIZE)
            break;
          const grid = { across, down };
          const blocks = setting.blocksNeeded(grid, options).value;
          // Without a target, only the blocks there are set a limit.
          if (!target && blocks > request.blocks!) break;
          const shape: Shape = {
            kind,
            options,
            has,
            lengths,
            grid,
            blocks,
            pieces: setting.pieceCount(grid, options),
            width: growingSize({ kind, options, has }, 'across', across, block.width, seam),
            height: growingSize({ kind, options, has }, 'down', down, block.height, seam),
          };
          if (target || !isTooLongForItsWidth(shape.width.base, shape.height.base)) shapes.push(shape);
        }
      }
      return shapes;
    });
  });
  // An option may make no difference on a grid: plain blocks between, where nothing lies between.
  const alike = ({ kind, grid, blocks, pieces, width, height }: Shape) =>
    JSON.stringify([kind, grid, blocks, pieces, width, height]);
  return [...new Map(found.map((shape) => [alike(shape), shape] as const).reverse()).values()].reverse();
}

/** Each way of setting the options that change the size; the others stay as they are. */
function optionsOf(fields: readonly SettingField[], start: SettingOptions): SettingOptions[] {
  return fields.reduce<SettingOptions[]>(
    (ways, field) => {
      if (field.type === 'length' || !field.sizes) return ways;
      const values = field.type === 'switch' ? [false, true] : field.choices.map((c) => c.value);
      return ways.flatMap((way) => values.map((value) => ({ ...way, [field.key]: value }) as SettingOptions));
    },
    [start],
  );
}

/** Sashes and floats in range, on the ruler, least first; one, of no matter what, where a setting has neither. */
function lengthsFor(has: Shape['has'], { sash, float }: FitRequest, step: number): Lengths[] {
  const marks = (tried: boolean, { least, most }: { least: number; most: number }) =>
    tried ? Array.from({ length: howManyFit(most - least, step) + 1 }, (_, i) => least + i * step) : [0];
  const floats = marks(has.float, float);
  return marks(has.sash, sash).flatMap((s) => floats.map((f) => ({ sash: s, float: f })));
}

/** The whole design of a shape with these lengths and border totals. */
export function fitOf(
  scale: SearchScale,
  shape: Shape,
  lengths: Lengths,
  border: BorderTotal,
  step: number,
): Fit {
  const { request } = scale;
  const centre = centreOf(shape, lengths);
  const costs = costsOf(scale, shape, lengths, centre, border);
  return {
    setting: optionsWith(shape, lengths),
    grid: shape.grid,
    borders: splitBorders(border, request.borders.count, step, request.borders.least),
    finished: { width: centre.width + 2 * border.sides, height: centre.height + 2 * border.ends },
    blocks: shape.blocks,
    over: request.blocks === null ? null : request.blocks - shape.blocks,
    costs,
    score: weigh(costs, request),
  };
}

/**
 * Border totals as a stack, narrow to wide, each about twice the one inside it (several borders go
 * narrow to wide, common practice), on the ruler; sides and ends in as many. Fewer borders when there is
 * not room for each to be `least` wide.
 */
export function splitBorders(total: BorderTotal, count: number, step: number, least: number): FitBorder[] {
  if (near(total.sides + total.ends, 0)) return [];
  for (let borders = count; borders > 1; borders--) {
    const sides = split(total.sides, borders, step, least);
    const ends = split(total.ends, borders, step, least);
    if (sides && ends) return sides.map((s, i) => ({ sides: s, ends: ends[i]! }));
  }
  return [total];
}

/** One total as so many widths that never narrow outward; null when there is not room. */
function split(total: number, borders: number, step: number, least: number): number[] | null {
  const steps = Math.round(total / step);
  const leastSteps = Math.max(1, howManyCover(least, step));
  const whole = 2 ** borders - 1;
  const inner = Array.from({ length: borders - 1 }, (_, i) =>
    Math.max(leastSteps, Math.round((steps * 2 ** i) / whole)),
  );
  const outer = steps - sum(inner);
  return outer < inner.at(-1)! ? null : [...inner, outer].map((s) => s * step);
}
