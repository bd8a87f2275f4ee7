import { near } from '../length/tolerance.ts';
import type { Plan } from '../plan/shape.ts';
import { settingOf, type SettingOptions } from '../setting/registry.ts';
import { type FitRequest, MOST_PLACES, searchStep } from './request.ts';
import { centreOf, type Costs, costsOf, gridCosts, type Ground, groundOf, leastMiss, type Shape, weigh } from './score.ts';

/** A design that comes to, or near, the target. */
export interface Fit {
  readonly setting: SettingOptions;
  readonly grid: { readonly across: number; readonly down: number };
  /** Borders from the centre out, narrow to wide; finished. */
  readonly borders: readonly number[];
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
export const BEST = 20;

/** Grids are tried whose centre is at most this much over the target: nothing larger could rank. */
const OVERSIZE = 1.25;

/**
 * Searches settings × grids × sashes × borders for the best designs of a size: the best sash and
 * borders for each setting and grid, ranked. A generator, so that whoever runs it can show progress
 * and stop; it yields now and then and returns the ranking.
 *
 * Exact on its own steps: for a given sash the score is a convex function of the border, so the
 * descent from the closed-form best finds its least; a grid whose own costs, with the least it can
 * miss the target by, already exceed the worst design kept cannot hold a better one. A test compares with trying everything.
 */
export function* findFits(plan: Plan, request: FitRequest): Generator<Progress, readonly Fit[]> {
  const ground = groundOf(plan, request);
  const step = searchStep(plan.unit);
  const shapes = shapesFor(plan, request)
    .map((shape) => ({ shape, bound: weigh({ ...gridCosts(ground, shape), size: leastMiss(ground, shape), proportion: 0, fabric: 0 }, request) }))
    .sort((a, b) => a.bound - b.bound);
  let best: readonly Fit[] = [];
  let looked = 0;
  for (let i = 0; i < shapes.length; i++) {
    const { shape, bound } = shapes[i]!;
    if (best.length === BEST && bound > best[BEST - 1]!.score) break;
    let least: { sash: number; border: number; score: number } | null = null;
    for (const sash of sashesFor(shape, request, step)) {
      const border = bestBorder(ground, shape, sash, step, () => looked++);
      if (!least || border.score < least.score) least = { sash, ...border };
    }
    if (least) best = withFit(best, fitOf(ground, shape, least.sash, least.border, step));
    if (i % 64 === 63) yield { done: i + 1, of: shapes.length, looked, best };
  }
  yield { done: shapes.length, of: shapes.length, looked, best };
  return best;
}

/** The ranking with one more design, if it ranks. Equal scores keep the order they were found in. */
export function withFit(best: readonly Fit[], fit: Fit): readonly Fit[] {
  if (best.length === BEST && fit.score >= best[BEST - 1]!.score) return best;
  const at = best.findIndex((b) => fit.score < b.score);
  const placed = at < 0 ? [...best, fit] : [...best.slice(0, at), fit, ...best.slice(at)];
  return placed.slice(0, BEST);
}

/** Every setting allowed, with every option that changes its size, on every grid that could come near. */
export function shapesFor(plan: Plan, request: FitRequest): Shape[] {
  const { unit, block } = plan;
  return request.kinds.flatMap((kind) => {
    const setting = settingOf(kind);
    const start = plan.setting.kind === kind ? plan.setting : setting.start(unit);
    const sashed = setting.fields.some((f) => f.type === 'length' && f.key === 'sash');
    return optionsOf(setting.fields, start).flatMap((options) => {
      const input = { unit, block, grid: { across: 1, down: 1 }, options: sashed ? ({ ...options, sash: request.sash.least } as SettingOptions) : options };
      if (setting.refusals(input).length > 0) return [];
      const shapes: Shape[] = [];
      for (let across = 1; across <= MOST_PLACES; across++) {
        if (setting.extent('across', across, block.width, input.options) > request.target.width * OVERSIZE) break;
        for (let down = 1; down <= MOST_PLACES; down++) {
          if (setting.extent('down', down, block.height, input.options) > request.target.height * OVERSIZE) break;
          const grid = { across, down };
          shapes.push({ kind, options, sashed, grid, blocks: setting.blocksNeeded(grid, options).value, pieces: setting.pieceCount(grid, options) });
        }
      }
      return shapes;
    });
  });
}

type Fields = ReturnType<typeof settingOf>['fields'];

/** Each way of setting the options that change the size; the others stay as they are. */
function optionsOf(fields: Fields, start: SettingOptions): SettingOptions[] {
  return fields.reduce<SettingOptions[]>(
    (ways, field) => {
      if (field.type === 'length' || !field.sizes) return ways;
      const values = field.type === 'switch' ? [false, true] : field.choices.map((c) => c.value);
      return ways.flatMap((way) => values.map((value) => ({ ...way, [field.key]: value }) as SettingOptions));
    },
    [start],
  );
}

/** Sash widths to try, on the ruler; one, of no matter what, for a setting without sashes. */
export function sashesFor(shape: Shape, { sash }: FitRequest, step: number): number[] {
  if (!shape.sashed) return [0];
  const count = Math.max(0, Math.floor((sash.most - sash.least) / step + 1e-9));
  return Array.from({ length: count + 1 }, (_, i) => sash.least + i * step);
}

/** Most steps the borders together may take on one side. */
export const mostBorderSteps = ({ borders }: FitRequest, step: number): number => (borders.count === 0 ? 0 : Math.floor(borders.most / step + 1e-9));

/** The border total of least score for a sash: from the closed-form middle, downhill. */
function bestBorder(ground: Ground, shape: Shape, sash: number, step: number, look: () => void): { border: number; score: number } {
  const { request } = ground;
  const most = mostBorderSteps(request, step);
  const centre = centreOf(ground, shape, sash);
  const middle = (request.target.width - centre.width + request.target.height - centre.height) / 4;
  const scoreAt = (steps: number) => {
    look();
    return weigh(costsOf(ground, shape, sash, centre, steps * step), request);
  };
  let at = Math.min(most, Math.max(0, Math.round(middle / step)));
  let score = scoreAt(at);
  for (const way of [-1, 1]) {
    for (let next = at + way; next >= 0 && next <= most; next += way) {
      const there = scoreAt(next);
      // Of equal scores the narrower border is kept, as trying everything from the narrowest would.
      if (there > score || (there === score && way === 1)) break;
      at = next;
      score = there;
    }
  }
  return { border: at * step, score };
}

/** The whole design for a sash and a border total. */
export function fitOf(ground: Ground, shape: Shape, sash: number, border: number, step: number): Fit {
  const { request } = ground;
  const centre = centreOf(ground, shape, sash);
  const costs = costsOf(ground, shape, sash, centre, border);
  return {
    setting: shape.sashed ? ({ ...shape.options, sash } as SettingOptions) : shape.options,
    grid: shape.grid,
    borders: splitBorders(border, request.borders.count, step, ground.leastBorder),
    finished: { width: centre.width + 2 * border, height: centre.height + 2 * border },
    blocks: shape.blocks,
    over: request.blocks === null ? null : request.blocks - shape.blocks,
    costs,
    score: weigh(costs, request),
  };
}

/**
 * A border total as a stack, narrow to wide, each about twice the one inside it (several borders go
 * narrow to wide, common practice), on the ruler. Fewer borders when there is not room for each to be `least` wide.
 */
export function splitBorders(total: number, count: number, step: number, least: number): number[] {
  if (near(total, 0) || count === 0) return [];
  const steps = Math.round(total / step);
  const leastSteps = Math.round(least / step);
  const borders = Math.max(1, Math.min(count, Math.floor(steps / leastSteps)));
  const shares = Array.from({ length: borders }, (_, i) => 2 ** i);
  const whole = shares.reduce((sum, s) => sum + s, 0);
  const inner = shares.slice(0, -1).map((share) => Math.max(leastSteps, Math.round((steps * share) / whole)));
  const outer = steps - inner.reduce((sum, s) => sum + s, 0);
  if (inner.length > 0 && outer < inner.at(-1)!) return splitBorders(total, borders - 1, step, least);
  return [...inner, outer].map((s) => s * step);
}
