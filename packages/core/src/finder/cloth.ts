import { PRECUTS, type PrecutId } from '../cloth/precuts.ts';
import type { CutLine } from '../cut/line.ts';
import { cutsOfTop, cuttingList } from '../cutting/top-cuts.ts';
import { layOut } from '../layout/lay-out.ts';
import { atLeast, howManyCover, howManyFit, TOLERANCE } from '../length/tolerance.ts';
import type { SettingFabric } from '../piece/piece.ts';
import { JOB_NAMES } from '../piece/roles.ts';
import { fabricById, fabricFor } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import { planStrips } from '../strip/strips.ts';
import type { FitRequest } from './request.ts';
import { type Lengths, optionsWith, type Shape } from './score.ts';

/** What one job of a setting has cut, from the fabric the plan has for it. */
function linesFor(plan: Plan, use: SettingFabric): CutLine[] {
  const fabric = fabricFor(plan, { what: use });
  return cuttingList(plan, cutsOfTop(plan, layOut(plan))).filter(
    (line) => line.use.what === use && line.fabric === fabric,
  );
}

/** Length of cloth one job of a setting takes, cut by itself from the fabric the plan has for it; endless where that is too narrow. */
export function clothFor(plan: Plan, use: SettingFabric): number {
  const { usableWidth } = fabricById(plan, fabricFor(plan, { what: use }));
  const cloth = { usable: usableWidth, seam: plan.seam, unit: plan.unit };
  const { groups, lengthwise, tooWide } = planStrips(linesFor(plan, use), cloth);
  if (tooWide.length > 0) return Infinity;
  return groups.reduce((sum, g) => sum + g.strips.value * g.width, lengthwise?.length.value ?? 0);
}

/**
 * How many pieces that are sold cut one job of a setting takes, cut by itself (rule PC-1): each is cut into strips along one
 * of its sides, wide ones first, and strips into pieces, which are joined where strips may be. Endless where a piece does
 * not fit.
 */
export function precutsFor(plan: Plan, use: SettingFabric, precut: PrecutId): number {
  const lines = linesFor(plan, use);
  const [width, length] = PRECUTS[precut].size[plan.unit];
  return Math.min(inPieces(lines, width, length), inPieces(lines, length, width));
}

/** So many strips of a width. */
interface Strips {
  readonly width: number;
  readonly count: number;
}

/** Strips `usable` long that a line takes, no wider than `depth`: the way that takes less cloth; null where neither fits. */
function stripsFor(
  { cut, count, squares, oneWay, joins }: CutLine,
  usable: number,
  depth: number,
): Strips | null {
  const [width, length, pieces] =
    cut.shape === 'rectangle'
      ? [cut.width.value, cut.length.value, count.value]
      : [cut.side.value, cut.side.value, squares!.count.value];
  const ways = [[width, length] as const, ...(oneWay ? [] : [[length, width] as const])];
  const found = ways.flatMap(([wide, long]): Strips[] => {
    if (wide > depth + TOLERANCE) return [];
    const each = howManyFit(usable, long);
    if (each > 0) return [{ width: wide, count: howManyCover(pieces, each) }];
    // Joined end to end, each join takes a strip's width of the length; never of bits shorter than two of those.
    if (joins === 'never' || usable < 3 * wide) return [];
    return [{ width: wide, count: howManyCover(pieces * long - wide, usable - wide) }];
  });
  return found.reduce<Strips | null>(
    (best, way) => (best && best.count * best.width <= way.count * way.width ? best : way),
    null,
  );
}

/** Pieces that strips as long as `usable` take, laid side by side across `depth`: the widest first, each into the first piece that has room. */
function inPieces(lines: readonly CutLine[], usable: number, depth: number): number {
  const strips = lines.map((line) => stripsFor(line, usable, depth));
  const left: number[] = [];
  for (const one of [...strips].sort((a, b) => (b?.width ?? 0) - (a?.width ?? 0))) {
    if (!one) return Infinity;
    let { count } = one;
    for (let i = 0; i < left.length && count > 0; i++) {
      const here = Math.min(count, howManyFit(left[i]!, one.width));
      left[i]! -= here * one.width;
      count -= here;
    }
    const each = howManyFit(depth, one.width);
    for (; count > 0; count -= each) left.push(depth - Math.min(count, each) * one.width);
  }
  return left.length;
}

/** What a design takes of the pieces in hand that are sold cut, in words: "sashes: 9 of 12 (fat quarter)". */
export const precutsSay = (design: Plan, { inHand }: Pick<FitRequest, 'inHand'>): string[] =>
  inHand.flatMap((held) => {
    const needed = 'precut' in held ? precutsFor(design, held.use, held.precut) : 0;
    // A design that has no such job takes none, and there is nothing to say.
    if (!('precut' in held) || needed === 0) return [];
    return [
      `${nameOfUse(held.use)}: ${needed} of ${held.count} (${PRECUTS[held.precut].name.toLowerCase()})`,
    ];
  });

const nameOfUse = (use: SettingFabric): string =>
  use in JOB_NAMES ? JOB_NAMES[use as keyof typeof JOB_NAMES].toLowerCase() : use;

/** Whether the cloth in hand is enough for a shape with these lengths, by its own cutting. */
export function clothCheck(plan: Plan, { inHand }: FitRequest): (shape: Shape, lengths: Lengths) => boolean {
  return (shape, lengths) => {
    const design: Plan = {
      ...plan,
      setting: optionsWith(shape, lengths),
      grid: shape.grid,
      borders: [],
      measured: [],
    };
    return inHand.every((held) =>
      'precut' in held
        ? held.count >= precutsFor(design, held.use, held.precut)
        : atLeast(held.length, clothFor(design, held.use) + plan.squaring),
    );
  };
}
