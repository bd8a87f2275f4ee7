import type { Box, Need, Sheet, SheetPlan } from '../../src/placing/need.ts';
import { measureTiling } from './tiling.ts';

/** What is wrong with boxes on a piece of cloth: outside it, or over one another, by an independent polygon library. */
export function lyingFaults(boxes: readonly Box[], width: number, length: number): string[] {
  const faults = boxes
    .filter(({ x, y, w, h }) => x < 0 || y < 0 || x + w > width || y + h > length)
    .map(({ x, y, w, h }) => `outside: ${x}, ${y}, ${w} × ${h}`);
  if (boxes.length === 0) return faults;
  const outlines = boxes.map(({ x, y, w, h }) => ({
    outline: [
      { x, y },
      { x: x + w, y },
      { x: x + w, y: y + h },
      { x, y: y + h },
    ],
  }));
  const { union, sum } = measureTiling(outlines);
  return Math.abs(union - sum) > 1e-3 ? [...faults, `${sum - union} lies over something else`] : faults;
}

/**
 * What is wrong with a plan, found without any of the planner's code: boxes inside the cloth and apart; pieces of the
 * right size, turned only where they may be, as many as are wanted; runs that reach.
 */
export function faultsOf(needs: readonly Need[], { usable, seam }: Sheet, plan: SheetPlan): string[] {
  const onCloth = [...plan.cuts, ...plan.runs.flatMap((run) => run.segments)].filter((box) => !box.stock);
  const faults = lyingFaults(onCloth, usable, plan.length);
  for (const need of needs) {
    const own = plan.cuts.filter(({ key }) => key === need.key);
    const inRuns = plan.runs.flatMap((run) => run.pieces.filter(({ key }) => key === need.key));
    const got = own.length + inRuns.reduce((all, { count }) => all + count, 0);
    if (got !== need.count) faults.push(`${need.key}: ${got} of ${need.count}`);
    for (const { w, h } of own) {
      const upright = w === need.width && h === need.length && need.oneWay !== 'across';
      const across = w === need.length && h === need.width && need.oneWay !== 'along' && !need.lengthwise;
      if (!upright && !across) faults.push(`${need.key}: cut ${w} × ${h}`);
    }
  }
  for (const run of plan.runs) {
    const loss = run.joins === 'straight' || run.width > usable / 2 ? 2 * seam : run.width;
    const made = run.segments.reduce((all, { w }) => all + w, 0) - (run.segments.length - 1) * loss;
    const wanted = run.pieces.reduce(
      (all, { key, count }) => all + count * needs.find((need) => need.key === key)!.length,
      0,
    );
    if (made < wanted) faults.push(`a run of ${run.width} makes ${made} of ${wanted}`);
    for (const { h } of run.segments)
      if (h !== run.width) faults.push(`a strip of ${h} in a run of ${run.width}`);
  }
  return faults;
}
