import {
  findFits,
  type Fit,
  type FitRequest,
  clothUse,
  PRECUT_IDS,
  formatLength,
  formatSize,
  lengthsOf,
  numberOf,
  parseLength,
  type Plan,
  settingOf,
  startRequest,
} from '@lattice/core';
import { openPlan, type Surroundings } from './open-plan.ts';

export interface FitFlags {
  /** `90x100`, or `largest`. */
  readonly target: string;
  readonly blocks?: string;
  /** A sash that is fixed. */
  readonly sash?: string;
  readonly borders?: string;
  readonly even?: boolean;
  /** Cloth in hand, as `sash=1 1/4 yd`. */
  readonly have?: readonly string[];
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
  else if (best.length === 0)
    around.out(
      'No design of these blocks comes near that size. Allow a smaller block count, a wider border, more cloth or another setting.',
    );
  else best.forEach((found, i) => around.out(line(found, i, plan)));
  return 0;
}

/** The search asked for, or the one line that says which flag is wrong. */
function requestOf(plan: Plan, flags: FitFlags): FitRequest | string {
  const target = targetOf(flags.target, plan);
  if (typeof target === 'string') return target;
  const start = startRequest(plan, target);
  const blocks = flags.blocks === undefined ? start.blocks : Number(flags.blocks);
  if (blocks !== null && (!Number.isInteger(blocks) || blocks < 1))
    return `--blocks ${flags.blocks}: a whole number of blocks, 1 or more.`;
  if (target === null && blocks === null)
    return '--target largest: say how many blocks there are with --blocks.';
  const count = flags.borders === undefined ? start.borders.count : Number(flags.borders);
  if (!Number.isInteger(count) || count < 0 || count > 3) return `--borders ${flags.borders}: 0, 1, 2 or 3.`;
  const sash = flags.sash === undefined ? null : parseLength(flags.sash, plan.unit);
  if (sash && (!sash.ok || sash.value <= 0))
    return `--sash ${flags.sash}: ${sash.ok ? 'a sash has to be wider than nothing.' : sash.message}`;
  const inHand: FitRequest['inHand'] = [];
  for (const have of flags.have ?? []) {
    const cloth = clothOf(have, plan);
    if (typeof cloth === 'string') return cloth;
    inHand.push(cloth);
  }
  return {
    ...start,
    blocks,
    ...(sash?.ok ? { sash: { least: sash.value, most: sash.value } } : {}),
    borders: { ...start.borders, count, even: flags.even ?? false },
    inHand,
  };
}

function targetOf(text: string, { unit }: Plan): FitRequest['target'] | string {
  if (text === 'largest') return null;
  const [width, height, more] = text.split(/[x×]/i).map((side) => parseLength(side, unit));
  if (more || !width?.ok || !height?.ok || width.value <= 0 || height.value <= 0) {
    return `--target ${text}: write a width and a height with an x between, like 90x100 or 150cmx200cm, or largest.`;
  }
  return { width: width.value, height: height.value };
}

/** Cloth for a job: an amount, or so many pieces that are sold cut. */
function clothOf(text: string, { unit }: Plan): FitRequest['inHand'][number] | string {
  const [use = '', amount = ''] = text.split('=');
  const known = clothUse.safeParse(use.trim());
  if (!known.success)
    return `--have ${text}: cloth for one of ${clothUse.options.join(', ')}, like "sash=1 1/4 yd" or "sash=12 fat-quarter".`;
  const [, count, precut] = /^\s*(\d+)\s+([a-z]+(?:-[a-z0-9]+)?)\s*$/.exec(amount) ?? [];
  const cut = PRECUT_IDS.find((id) => id === precut?.replace(/s$/, '') || id === precut);
  if (cut && Number(count) > 0) return { use: known.data, precut: cut, count: Number(count) };
  const length = parseLength(amount, unit);
  if (!length.ok || length.value <= 0)
    return `--have ${text}: ${length.ok ? 'an amount of cloth is missing.' : length.message}`;
  return { use: known.data, length: length.value };
}

function line({ setting, grid, borders, finished, over, score }: Fit, i: number, { unit }: Plan): string {
  const show = (v: number) => formatLength(v, unit);
  const { sash, float = 0 } = lengthsOf(setting);
  const widths = borders.map((b) =>
    b.sides === b.ends ? show(b.sides) : `${show(b.sides)} and ${show(b.ends)} at the ends`,
  );
  const parts = [
    `${settingOf(setting.kind).name}, ${grid.across} × ${grid.down}`,
    sash === undefined ? '' : `sash ${show(sash)}`,
    float > 0 ? `float ${show(float)}` : '',
    widths.length > 0 ? `${widths.length === 1 ? 'border' : 'borders'} ${widths.join(', ')}` : 'no border',
    over === null
      ? ''
      : over >= 0
        ? `${numberOf(over, 'block')} over`
        : `${numberOf(-over, 'block')} missing`,
  ];
  return `${String(i + 1).padStart(2)}  ${formatSize(finished.width, finished.height, unit).padEnd(20)} ${parts.filter(Boolean).join('; ')}  (${score.toFixed(2)})`;
}
