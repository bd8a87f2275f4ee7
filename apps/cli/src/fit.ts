import { findFits, type Fit, type FitRequest, formatLength, formatSize, parseLength, type Plan, settingOf, startRequest } from '@lattice/core';
import { openPlan, type Surroundings } from './open-plan.ts';

export interface FitFlags {
  readonly target: string;
  readonly blocks?: string;
  readonly json: boolean;
}

/** Searches for designs of a size from a plan's blocks and prints the best. Answers the exit code: 0, or 2 after one line for each problem. */
export function fit(file: string, flags: FitFlags, around: Surroundings): number {
  const plan = openPlan(file, around);
  if (!plan) return 2;
  const request = requestOf(plan, flags);
  if (typeof request === 'string') {
    around.complain(request);
    return 2;
  }
  const search = findFits(plan, request);
  let next = search.next();
  while (!next.done) next = search.next();
  const best = next.value;
  if (flags.json) around.out(JSON.stringify({ unit: plan.unit, request, best }, null, 2));
  else if (best.length === 0) around.out('No design of these blocks comes near that size. Allow a smaller block count, a wider border or another setting.');
  else best.forEach((found, i) => around.out(line(found, i, plan)));
  return 0;
}

/** The search asked for, or the one line that says which flag is wrong. */
function requestOf(plan: Plan, { target, blocks }: FitFlags): FitRequest | string {
  const sides = target.split(/[x×]/i).map((side) => parseLength(side, plan.unit));
  const [width, height] = sides;
  if (sides.length !== 2 || !width?.ok || !height?.ok || width.value <= 0 || height.value <= 0) {
    return `--target ${target}: write a width and a height with an x between, like 90x100 or 150cmx200cm.`;
  }
  const request = startRequest(plan, { width: width.value, height: height.value });
  if (blocks === undefined) return request;
  const count = Number(blocks);
  if (!Number.isInteger(count) || count < 1) return `--blocks ${blocks}: a whole number of blocks, 1 or more.`;
  return { ...request, blocks: count };
}

function line({ setting, grid, borders, finished, over, score }: Fit, i: number, { unit }: Plan): string {
  const parts = [
    `${settingOf(setting.kind).name}, ${grid.across} × ${grid.down}`,
    'sash' in setting ? `sash ${formatLength(setting.sash, unit)}` : '',
    borders.length > 0 ? `${borders.length === 1 ? 'border' : 'borders'} ${borders.map((b) => formatLength(b, unit)).join(', ')}` : 'no border',
    over === null ? '' : over >= 0 ? `${over} blocks over` : `${-over} blocks missing`,
  ];
  return `${String(i + 1).padStart(2)}  ${formatSize(finished.width, finished.height, unit).padEnd(20)} ${parts.filter(Boolean).join('; ')}  (${score.toFixed(2)})`;
}
