import type { Problem } from '../refusal/refusal.ts';
import { formatWithUnit } from '../length/format.ts';
import { leastIn, limitIn, mostIn } from '../length/rounding.ts';
import { atLeast } from '../length/tolerance.ts';
import { settingOf } from '../setting/registry.ts';
import { targetSize } from '../target/size.ts';
import { patchRefusals, piecedRefusals } from './pieced-borders.ts';
import { finishRefusals, shapeRefusals } from '../edge/together.ts';
import { fabricFor, fabricUsePath, fabricUses } from '../plan/fabric-use.ts';
import { plannedSize } from './planned-size.ts';
import { clothLengths, edgeLengths, layerLengths } from './layers-and-edge-lengths.ts';
import { type Range, RANGES } from './ranges.ts';
import { BORDER_LIMIT, type Plan } from '../plan/shape.ts';

/** The most blocks across or down. */
export const GRID_LIMIT = 50;

/**
 * Every reason this plan cannot be drawn or cut, in the quilter's words. Empty when it can. The plan
 * has the right shape already; this looks at its figures and how they go together.
 *
 * @example
 * planProblems({ ...blankPlan('in'), seam: 2 }).map(({ path }) => path); // [['seam']]
 */
export function planProblems(plan: Plan): Problem[] {
  const problems: Problem[] = [];
  const { unit } = plan;
  const say = (path: Problem['path'], message: string) => problems.push({ path, message });
  const within = (path: Problem['path'], value: number, range: Range) => {
    const least = limitIn(range.least, unit);
    const most = limitIn(range.most, unit);
    if (atLeast(value, leastIn(range.least, unit)) && atLeast(mostIn(range.most, unit), value)) return;
    say(
      path,
      `${range.what} of ${formatWithUnit(value, unit)} cannot be right: it lies between ${formatWithUnit(least, unit)} and ${formatWithUnit(most, unit)}.`,
    );
  };

  within(['seam'], plan.seam, RANGES.seam);
  within(['squaring'], plan.squaring, RANGES.squaring);
  within(['block', 'width'], plan.block.width, RANGES.block);
  within(['block', 'height'], plan.block.height, RANGES.block);
  for (const [key, value] of Object.entries(plan.grid)) {
    if (value < 1 || value > GRID_LIMIT) {
      say(['grid', key], `${value} blocks ${key} cannot be laid out: choose 1 to ${GRID_LIMIT}.`);
    }
  }
  plan.pile.forEach((block, i) => {
    for (const side of ['width', 'height'] as const)
      if (block[side] !== null) within(['pile', i, side], block[side], RANGES.measured);
    if (block.edges)
      for (const [edge, value] of Object.entries(block.edges))
        within(['pile', i, 'edges', edge], value, RANGES.measured);
  });
  problems.push(...pileProblems(plan));
  if (plan.borders.length > BORDER_LIMIT)
    say(['borders'], `A plan holds at most ${BORDER_LIMIT} borders; this one has ${plan.borders.length}.`);
  problems.push(...sharedIds(plan.borders, 'borders', 'border'), ...sharedIds(plan.stock, 'stock', 'piece'));
  plan.borders.forEach((border, i) => {
    within(['borders', i, 'sides'], border.sides, RANGES.border);
    within(['borders', i, 'ends'], border.ends, RANGES.border);
    if (border.repeat !== null) within(['borders', i, 'repeat'], border.repeat, RANGES.repeat);
    if (border.pieced) within(['borders', i, 'pieced', 'key'], border.pieced.key, RANGES.key);
  });
  plan.measured.forEach((measured, i) => {
    if (measured.borders < 0 || measured.borders > plan.borders.length)
      say(
        ['measured', i, 'borders'],
        `The quilt was measured with ${measured.borders} borders on, and the plan has ${plan.borders.length}.`,
      );
    for (const side of ['width', 'height'] as const)
      measured[side].forEach((value, place) => {
        if (value !== null) within(['measured', i, side, place], value, RANGES.top);
      });
  });
  if (plan.target?.of === 'bed') {
    const { drop, tuck, depth } = plan.target;
    for (const side of ['left', 'right', 'foot'] as const)
      within(['target', 'drop', side], drop[side], RANGES.drop);
    within(['target', 'tuck'], tuck, RANGES.drop);
    if (depth !== null) within(['target', 'depth'], depth, RANGES.depth);
  } else if (plan.target) {
    const { width, height } = targetSize(plan.target, unit);
    within(['target', 'width'], width.value, RANGES.target);
    within(['target', 'height'], height.value, RANGES.target);
  }
  layerLengths(plan).forEach((args) => within(...args));
  edgeLengths(plan).forEach((args) => within(...args));
  clothLengths(plan).forEach((args) => within(...args));
  plan.fabrics.forEach((fabric, i) =>
    within(['fabrics', i, 'usableWidth'], fabric.usableWidth, RANGES.usable),
  );

  problems.push(...fabricProblems(plan));
  // A setting judges its own options only against blocks that make sense.
  if (problems.length === 0) {
    problems.push(
      ...settingOf(plan.setting.kind).refusals({
        unit,
        block: plan.block,
        grid: plan.grid,
        options: plan.setting,
        seam: plan.seam,
      }),
      ...finishRefusals(plan),
      ...piecedRefusals(plan),
    );
  }
  if (problems.length === 0) problems.push(...sizeProblems(plan));
  if (problems.length === 0) problems.push(...patchRefusals(plan, plannedSize({ ...plan, borders: [] })));
  // An edge is judged against a size that there is.
  if (problems.length === 0) problems.push(...shapeRefusals(plan, plannedSize(plan)));
  return problems;
}

/** A quilt larger than any bed, wall or hall shows: a slipped decimal point, or blocks counted twice. */
function sizeProblems(plan: Plan): Problem[] {
  const { unit } = plan;
  const { width, height } = plannedSize(plan);
  const sides = [
    ['across', width, 'wide'],
    ['down', height, 'high'],
  ] as const;
  return sides.flatMap(([key, size, way]): Problem[] => {
    const { most } = RANGES.finished;
    if (atLeast(mostIn(most, unit), size)) return [];
    const message = `${RANGES.finished.what} ${formatWithUnit(size, unit)} ${way} cannot be right: at most ${formatWithUnit(limitIn(most, unit), unit)}. Lay out fewer or smaller blocks.`;
    return [{ path: ['grid', key], message }];
  });
}

/** Things of a list that share an id: each needs its own, or what is recorded of one would be taken for another's. */
function sharedIds(list: readonly { readonly id: string }[], path: string, what: string): Problem[] {
  const known = new Set<string>();
  return list.flatMap(({ id }, i): Problem[] => {
    if (!known.has(id)) {
      known.add(id);
      return [];
    }
    return [{ path: [path, i, 'id'], message: `Two ${what}s share the id “${id}”: give each its own.` }];
  });
}

/** Blocks that share an id, and places of the wall that name one twice. */
function pileProblems({ pile, wall }: Plan): Problem[] {
  const problems = sharedIds(pile, 'pile', 'block');
  const laid = new Set<string>();
  wall.forEach(({ block }, i) => {
    if (block === null) return;
    if (laid.has(block))
      problems.push({
        path: ['wall', i, 'block'],
        message: `The block with the id “${block}” lies in two places of the wall.`,
      });
    laid.add(block);
  });
  return problems;
}

/** Fabrics that are used and not listed, or listed twice under one id. */
function fabricProblems(plan: Plan): Problem[] {
  const unknown = (id: string) =>
    `No cloth in this plan has the id “${id}”: choose one of ${[...known].join(', ')}.`;
  const problems = sharedIds(plan.fabrics, 'fabrics', 'cloth');
  const known = new Set(plan.fabrics.map((fabric) => fabric.id));
  for (const use of fabricUses(plan)) {
    const id = fabricFor(plan, use);
    if (known.has(id)) continue;
    problems.push({ path: fabricUsePath(plan, use), message: unknown(id) });
  }
  plan.rotations.forEach((rotation, i) => {
    rotation.fabrics.forEach((id, at) => {
      if (!known.has(id)) problems.push({ path: ['rotations', i, 'fabrics', at], message: unknown(id) });
    });
    if (plan.rotations.findIndex((other) => other.for === rotation.for) < i)
      problems.push({
        path: ['rotations', i, 'for'],
        message: 'Cloths take turns in this job twice over: put them into one list.',
      });
  });
  return problems;
}
