import { sum } from 'd3-array';
import { computeQuilt } from '../quilt/compute.ts';
import type { Quilt } from '../quilt/quilt.ts';
import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { resetForNewTop } from '../soundness/new-top.ts';
import { planProblems } from '../soundness/problems.ts';
import type { Plan } from '../plan/shape.ts';
import { settingOf } from '../setting/registry.ts';
import { type ShopCut, shopCut } from '../shopping/shop-cut.ts';
import { allowanceFor } from '../shopping/buy.ts';
import { MOST_PLACES } from './request.ts';
import { isTooLongForItsWidth } from './too-long.ts';

/** One way of making several smaller quilts of one quilt's blocks. */
export interface Split {
  readonly grid: { readonly across: number; readonly down: number };
  /** How many quilts, and the blocks each takes; those over stay with none. */
  readonly quilts: number;
  readonly blocks: number;
  readonly over: number;
  /** The plans, the pile dealt out to them in its order. */
  readonly plans: readonly Plan[];
  /** The quilts in their order; with the same borders they are all alike. */
  readonly twins: readonly Twin[];
  readonly alike: boolean;
  /** How much more border strip all take together than the one quilt did. */
  readonly extra: Figure;
  /** For each fabric of a border: what the one quilt takes, and what all of them do, bought together. */
  readonly cloth: readonly { readonly name: string; readonly before: ShopCut; readonly after: ShopCut }[];
}

/** One of the smaller quilts; lengths in the plan's unit. */
interface Twin {
  readonly finished: { readonly width: number; readonly height: number };
  /** Border strip it takes. */
  readonly border: Figure;
  /** Wider borders it would need on a side and at an end to come to the plan's target; null without one, or when it is larger. */
  readonly toTarget: { readonly sides: number; readonly ends: number } | null;
}

/** The most ways that are worth looking through. */
const MOST_WAYS = 8;

/**
 * Ways of making `quilts` smaller quilts of the same blocks in the same setting (rule TG-2: one quilt cut into two needs
 * more border, and how much is to be said). Few blocks over and the proportions of the one come first: leaving a quarter
 * of the blocks out weighs as much as a quilt nearly three times as long for its width.
 *
 * @param borders of each quilt, in their order; those of the one where it does not say
 */
export function splitQuilt(
  plan: Plan,
  quilts: number,
  borders: readonly (Plan['borders'] | undefined)[] = [],
): Split[] {
  const whole = computeQuilt(plan);
  const setting = settingOf(plan.setting.kind);
  const blocks =
    plan.pile.length > 0 ? plan.pile.length : setting.blocksNeeded(plan.grid, plan.setting).value;
  const each = Math.floor(blocks / quilts);
  const grids: { grid: Split['grid']; needs: number; cost: number }[] = [];
  const long = isTooLongForItsWidth(whole.layout.centre.width.value, whole.layout.centre.height.value);
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
      if (isTooLongForItsWidth(width, height) && !long) continue;
      const own = height / width;
      grids.push({ grid, needs, cost: Math.abs(Math.log(own / proportion)) + (4 * (each - needs)) / each });
    }
  }
  return (
    grids
      .sort((a, b) => a.cost - b.cost)
      // Nothing is offered that no quilt may be.
      .filter(({ grid }) =>
        Array.from({ length: quilts }, (_, i) => borders[i] ?? plan.borders).every(
          (own) =>
            planProblems(resetForNewTop({ ...plan, grid, borders: own, pile: [], wall: [] })).length === 0,
        ),
      )
      .slice(0, MOST_WAYS)
      .map(({ grid, needs }) => splitInto(plan, whole, { quilts, grid, needs, blocks, borders }))
  );
}

/** What a split comes to, and of how many blocks. */
interface SplitWish {
  readonly quilts: number;
  readonly grid: Split['grid'];
  readonly needs: number;
  readonly blocks: number;
  readonly borders: readonly (Plan['borders'] | undefined)[];
}

function splitInto(plan: Plan, whole: Quilt, { quilts, grid, needs, blocks, borders }: SplitWish): Split {
  const plans = Array.from({ length: quilts }, (_, i): Plan =>
    resetForNewTop({
      ...plan,
      title: `${plan.title.slice(0, 108)}, ${i + 1} of ${quilts}`,
      grid,
      borders: borders[i] ?? plan.borders,
      pile: plan.pile.slice(i * needs, (i + 1) * needs),
    }),
  );
  const worked = new Map<Plan['borders'], Quilt>();
  for (const small of plans) if (!worked.has(small.borders)) worked.set(small.borders, computeQuilt(small));
  const small = plans.map((own) => worked.get(own.borders)!);
  const before = borderRun(whole);
  const runs = small.map(borderRun);
  const together = sum(runs);
  const alike = worked.size === 1;
  const names = plan.fabrics.filter((f) =>
    plan.borders.some((b) => b.fabric === f.id || b.cornerFabric === f.id),
  );
  const cutOf = (quilt: Quilt, id: string) => quilt.fabrics.find((f) => f.fabric.id === id);
  return {
    grid,
    quilts,
    blocks: needs,
    over: blocks - quilts * needs,
    plans,
    twins: small.map((one) => twinOf(plan, whole, one)),
    alike,
    extra: lengthOf(
      together - before,
      `${alike ? `${quilts} × ${formatExact(runs[0]!)}` : runs.map(formatExact).join(' + ')} − ${formatExact(before)} for the one quilt = ${formatExact(together - before)}`,
    ),
    cloth: names.map((fabric) => {
      const bought = (quilts: readonly Quilt[]) => {
        const cuts = quilts.flatMap((quilt) => cutOf(quilt, fabric.id) ?? []);
        const together = {
          heights: cuts.flatMap(({ heights }) => heights),
          strips: cuts.flatMap(({ strips }) => strips),
        };
        const needed = sum(cuts, (cut) => cut.needed.value);
        return shopCut(needed, allowanceFor(plan, fabric, together), plan.unit);
      };
      return { name: fabric.name, before: bought([whole]), after: bought(small) };
    }),
  };
}

function twinOf({ unit }: Plan, { target }: Quilt, one: Quilt): Twin {
  const finished = { width: one.finished.width.value, height: one.finished.height.value };
  const run = borderRun(one);
  const missing = target && {
    sides: (target.width.value - finished.width) / 2,
    ends: (target.height.value - finished.height) / 2,
  };
  return {
    finished,
    border: lengthOf(
      run,
      ...one.pieces
        .filter((p) => p.role === 'border' && !p.under)
        .map((p) => `${p.name}: ${p.count.value} × ${formatWorking(lengthOfCut(p), unit)}`),
      `Together ${formatExact(run)}`,
    ),
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
