import { sum } from 'd3-array';
import { computeQuilt, type Quilt } from '../quilt/compute.ts';
import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { forAnotherTop } from '../soundness/another-top.ts';
import { planProblems } from '../soundness/problems.ts';
import type { Plan } from '../plan/shape.ts';
import { settingOf } from '../setting/registry.ts';
import { type ShopCut, shopCut } from '../shopping/shop-cut.ts';
import { allowanceFor } from '../shopping/buy.ts';
import { MOST_PLACES } from './request.ts';
import { isRibbon } from './ribbon.ts';

/** One way of making several smaller quilts of one quilt's blocks. */
export interface Split {
  readonly grid: { readonly across: number; readonly down: number };
  /** How many quilts, and the blocks each takes; those over stay with none. */
  readonly quilts: number;
  readonly blocks: number;
  readonly over: number;
  /** The plans, the pile dealt out to them in its order. */
  readonly plans: readonly Plan[];
  readonly finished: { readonly width: number; readonly height: number };
  /** Border strip each quilt takes, and how much more all take together than the one quilt did. */
  readonly border: Figure;
  readonly extra: Figure;
  /** For each fabric of a border: what the one quilt takes, and what all of them do, bought together. */
  readonly cloth: readonly { readonly name: string; readonly before: ShopCut; readonly after: ShopCut }[];
  /** Wider borders each would need on a side and at an end to come to the plan's target; null without one, or when it is larger. */
  readonly toTarget: { readonly sides: number; readonly ends: number } | null;
}

/** The most ways that are worth looking through. */
const MOST_WAYS = 8;

/**
 * Ways of making `quilts` smaller quilts of the same blocks in the same setting, each with the borders
 * the one has (rule TG-2: one quilt cut into two needs more border, and how much is to be said). Few
 * blocks over and the proportions of the one come first: leaving a quarter of the blocks out weighs as
 * much as a quilt nearly three times as long for its width.
 */
export function splitQuilt(plan: Plan, quilts: number): Split[] {
  const whole = computeQuilt(plan);
  const setting = settingOf(plan.setting.kind);
  const blocks =
    plan.pile.length > 0 ? plan.pile.length : setting.blocksNeeded(plan.grid, plan.setting).value;
  const each = Math.floor(blocks / quilts);
  const grids: { grid: Split['grid']; needs: number; cost: number }[] = [];
  const long = isRibbon(whole.layout.centre.width.value, whole.layout.centre.height.value);
  const proportion = whole.layout.centre.height.value / whole.layout.centre.width.value;
  for (let across = 1; across <= MOST_PLACES; across++) {
    for (let down = 1; down <= MOST_PLACES; down++) {
      const grid = { across, down };
      const needs = setting.blocksNeeded(grid, plan.setting).value;
      if (needs > each) break;
      const [width, height] = [
        setting.extent('across', across, plan.block.width, plan.setting, plan.seam),
        setting.extent('down', down, plan.block.height, plan.setting, plan.seam),
      ];
      if (isRibbon(width, height) && !long) continue;
      const own = height / width;
      grids.push({ grid, needs, cost: Math.abs(Math.log(own / proportion)) + (4 * (each - needs)) / each });
    }
  }
  return (
    grids
      .sort((a, b) => a.cost - b.cost)
      // Nothing is offered that no quilt may be.
      .filter(({ grid }) => planProblems(forAnotherTop({ ...plan, grid, pile: [], wall: [] })).length === 0)
      .slice(0, MOST_WAYS)
      .map(({ grid, needs }) => splitInto(plan, whole, quilts, grid, needs, blocks))
  );
}

function splitInto(
  plan: Plan,
  whole: Quilt,
  quilts: number,
  grid: Split['grid'],
  needs: number,
  blocks: number,
): Split {
  const plans = Array.from({ length: quilts }, (_, i): Plan =>
    forAnotherTop({
      ...plan,
      title: `${plan.title.slice(0, 108)}, ${i + 1} of ${quilts}`,
      grid,
      pile: plan.pile.slice(i * needs, (i + 1) * needs),
    }),
  );
  const one = computeQuilt(plans[0]!);
  const show = (v: number) => formatWorking(v, plan.unit);
  const before = borderRun(whole);
  const run = borderRun(one);
  const names = plan.fabrics.filter((f) =>
    plan.borders.some((b) => b.fabric === f.id || b.cornerFabric === f.id),
  );
  const need = (quilt: Quilt, id: string) => quilt.fabrics.find((f) => f.fabric.id === id)?.needed.value ?? 0;
  const missing = whole.target && {
    sides: (whole.target.width.value - one.finished.width.value) / 2,
    ends: (whole.target.height.value - one.finished.height.value) / 2,
  };
  return {
    grid,
    quilts,
    blocks: needs,
    over: blocks - quilts * needs,
    plans,
    finished: { width: one.finished.width.value, height: one.finished.height.value },
    border: lengthOf(
      run,
      ...one.pieces
        .filter((p) => p.role === 'border' && !p.under)
        .map((p) => `${p.name}: ${p.count.value} × ${show(lengthOfCut(p))}`),
      `Together ${formatExact(run)}`,
    ),
    extra: lengthOf(
      quilts * run - before,
      `${quilts} × ${formatExact(run)} − ${formatExact(before)} for the one quilt = ${formatExact(quilts * run - before)}`,
    ),
    cloth: names.map((fabric) => {
      const bought = (length: number) => shopCut(length, allowanceFor(plan, fabric), plan.unit);
      return {
        name: fabric.name,
        before: bought(need(whole, fabric.id)),
        after: bought(quilts * need(one, fabric.id)),
      };
    }),
    toTarget: missing && missing.sides >= 0 && missing.ends >= 0 ? missing : null,
  };
}

const lengthOfCut = ({ cut }: Quilt['pieces'][number]): number =>
  cut.shape === 'rectangle' ? cut.length.value : cut.side.value;

/** All border strips of a quilt end to end, as cut. */
const borderRun = ({ pieces }: Quilt): number =>
  sum(
    pieces.filter((p) => p.role === 'border' && !p.under),
    (p) => p.count.value * lengthOfCut(p),
  );

/** The quilts one can be split into: two to six, as long as each has a block. */
export const splitCounts = (blocks: number): number[] => [2, 3, 4, 5, 6].filter((n) => n <= blocks);
