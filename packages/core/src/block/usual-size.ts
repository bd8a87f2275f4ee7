import { rulerNearest, rulerStepDown } from '../length/rounding.ts';
import { near, TOLERANCE } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { settingOf } from '../setting/registry.ts';
import { type BlockMeasure, measureOf } from './measure.ts';
import type { CutTo } from './verdict.ts';
import { EASE_INCHES } from '../length/ease.ts';

/** Remaking one in ten is less than trimming the other nine; one can always be asked for (common practice: one outlier → remake it). */
const MOST_REMADE = 1 / 10;

/** The size the pattern wants blocks cut to: finished and a seam on every side, in the plan's unit. */
export const meantCut = ({ block, seam }: Pick<Plan, 'block' | 'seam'>): CutTo => ({
  width: block.width + 2 * seam,
  height: block.height + 2 * seam,
});

/** Sizes that differ less than this both ways are square: 1/16" (from memory). */
const OBLONG_INCHES = 1 / 16;

/** How much larger than meant, by width and by height; negative for smaller. */
export interface Difference {
  readonly width: number;
  readonly height: number;
}

/** The two ways a block is measured. */
export const WAYS = ['width', 'height'] as const;
type Way = (typeof WAYS)[number];

/** The straight blocks of a pile held against what was meant. */
export interface StraightBlocks {
  readonly plan: Plan;
  readonly meant: CutTo;
  readonly ease: number;
  /** Least and most of each straight block, as differences from what was meant. */
  readonly straight: readonly { readonly least: Difference; readonly most: Difference }[];
  /** The size most of them have or can have, and whether it is oblong where the pattern is not. */
  readonly usual: Difference;
  readonly oblong: boolean;
}

/** The straight blocks of a pile, and the size most of them have; null where none is measured. */
export function straightBlocks(plan: Plan): StraightBlocks | null {
  const { pile, unit } = plan;
  const meant = meantCut(plan);
  const ease = fromInches(EASE_INCHES, unit) + TOLERANCE;
  const straight = pile.flatMap((b) => {
    const measure = measureOf(b);
    return measure && measure.skew <= ease ? [differencesOf(measure, meant)] : [];
  });
  if (straight.length === 0) return null;
  if (isOblong(straight, ease, unit)) {
    const usual = {
      width: usualDifference(straight, ['width'], ease, unit),
      height: usualDifference(straight, ['height'], ease, unit),
    };
    if (takesOblong(plan, meant, usual)) return { plan, meant, ease, straight, usual, oblong: true };
  }
  const by = usualDifference(straight, WAYS, ease, unit);
  return { plan, meant, ease, straight, usual: { width: by, height: by }, oblong: false };
}

/** As many of a pile as have to be oblong alike for the pile to be so: three in four (from memory). */
const OBLONG_SHARE = 3 / 4;

/** Longer one way than the other than was meant, and nearly all of them by as much. */
function isOblong(straight: StraightBlocks['straight'], ease: number, unit: Unit): boolean {
  const by = straight.map(({ least }) => least.width - least.height).sort((a, b) => a - b);
  const middle = by[Math.floor(by.length / 2)]!;
  const alike = by.filter((d) => Math.abs(d - middle) <= ease / 2).length;
  return (
    straight.length > 1 &&
    Math.abs(middle) > fromInches(OBLONG_INCHES, unit) + TOLERANCE &&
    alike >= OBLONG_SHARE * by.length
  );
}

const differencesOf = (m: BlockMeasure, meant: CutTo) => ({
  least: { width: m.leastWidth - meant.width, height: m.leastHeight - meant.height },
  most: { width: m.mostWidth - meant.width, height: m.mostHeight - meant.height },
});

/** Blocks on point and blocks that are turned in their places have to stay as square as they were meant. */
function takesOblong({ setting, places, unit, grid, seam }: Plan, meant: CutTo, off: Difference): boolean {
  const block = { width: meant.width + off.width - 2 * seam, height: meant.height + off.height - 2 * seam };
  return (
    places.turn === 'none' &&
    settingOf(setting.kind).refusals({ unit, block, grid, options: setting, seam }).length === 0
  );
}

/**
 * The difference from what was meant, both ways alike or one way alone, at which most blocks need nothing but
 * easing; of equals the one nearest to what was meant. Blocks that are as the pattern wants them are never the
 * ones to be remade: where they would be, the pattern's size stands and the larger are trimmed to it (rule BL-3).
 */
function usualDifference(
  straight: StraightBlocks['straight'],
  ways: readonly Way[],
  ease: number,
  unit: Unit,
): number {
  const shortest = ({ least }: StraightBlocks['straight'][number]) =>
    Math.min(...ways.map((way) => least[way]));
  const candidates = [...new Set([0, ...straight.map((b) => rulerNearest(unit).apply(shortest(b)))])];
  const served = (by: number) =>
    straight.filter(({ least, most }) =>
      ways.every((way) => Math.abs(least[way] - by) <= ease && Math.abs(most[way] - by) <= ease),
    ).length;
  const { by } = candidates
    .map((c) => ({ by: c, served: served(c) }))
    .reduce((best, c) =>
      c.served > best.served ||
      (c.served === best.served &&
        Math.abs(c.by) < Math.abs(best.by) &&
        !near(Math.abs(c.by), Math.abs(best.by)))
        ? c
        : best,
    );
  const rightAndShort = straight.some((b) => Math.abs(shortest(b)) <= ease && shortest(b) < by - ease);
  return rightAndShort ? 0 : by;
}

/** The size that is so much larger than meant. */
export const sizeAt = ({ meant }: StraightBlocks, off: Difference): CutTo => ({
  width: meant.width + off.width,
  height: meant.height + off.height,
});

/** It falls short of a size by more than can be eased in. */
export const isShort = (
  { least }: StraightBlocks['straight'][number],
  off: Difference,
  ease: number,
): boolean => WAYS.some((way) => least[way] < off[way] - ease);

/** What the smallest of the straight blocks can be cut to, as square or as oblong as the usual size. */
export function smallestDifference({ plan, straight, usual, oblong }: StraightBlocks): Difference {
  const down = (way: Way) =>
    Math.min(usual[way], rulerStepDown(plan.unit).apply(Math.min(...straight.map((b) => b.least[way]))));
  const least = Math.min(down('width'), down('height'));
  return oblong ? { width: down('width'), height: down('height') } : { width: least, height: least };
}

/** Few enough are short to be remade: one in ten, or one, and fewer than are left. */
const fewEnough = (short: number, all: number): boolean =>
  short <= Math.max(1, Math.floor(all * MOST_REMADE)) && all - short > short;

/**
 * Whether the blocks that are short of the usual size are to be remade rather than all trimmed to the smallest: where they
 * are few, and none of them is as large as the pattern wants it (rule BL-3).
 */
export function remakesTheShort({ straight, usual, ease }: StraightBlocks): boolean {
  const short = straight.filter((b) => isShort(b, usual, ease));
  const wanted = { width: 0, height: 0 };
  return fewEnough(short.length, straight.length) && short.every((b) => isShort(b, wanted, ease));
}

/** The size the pile is proposed to be cut to; what was meant while nothing is measured. Every verdict on the pile is at this size. */
export function proposedCut(plan: Plan): CutTo {
  const blocks = straightBlocks(plan);
  if (!blocks) return meantCut(plan);
  const short = blocks.straight.filter((b) => isShort(b, blocks.usual, blocks.ease)).length;
  return sizeAt(blocks, short === 0 || remakesTheShort(blocks) ? blocks.usual : smallestDifference(blocks));
}
