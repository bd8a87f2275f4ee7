import { readFileSync } from 'node:fs';
import path from 'node:path';
import {
  computeQuilt,
  type CuttingJob,
  cuttingJob,
  type CuttingWay,
  cuttingWay,
  formatWithUnit,
  longerSearch,
  numberOf,
  type Plan,
  readCuttingProblems,
  shorter,
  solveCuttingProblem,
  stepSays,
} from '@lattice/core';
import { openPlan, type Surroundings } from './open-plan.ts';

export interface CutFlags {
  /** Id of the one cloth to cut. */
  readonly fabric?: string;
  readonly simple?: boolean;
  readonly thrifty?: boolean;
  /** Seconds to look for a shorter plan, for each cloth. */
  readonly longer?: string;
  /** A file of cutting problems instead of a plan. */
  readonly problems?: string;
  readonly json: boolean;
}

/** Prints the cutting plan of a quilt, cloth by cloth, or the plans for a file of problems. Answers the exit code: 0, or 2 after a line. */
export function cut(file: string | undefined, flags: CutFlags, around: Surroundings): number {
  const seconds = flags.longer === undefined ? null : Number(flags.longer);
  if (seconds !== null && !(seconds > 0)) {
    around.complain(`--longer ${flags.longer}: seconds to look for a shorter plan, more than 0.`);
    return 2;
  }
  if (flags.simple && flags.thrifty) {
    around.complain('--simple, --thrifty: one or the other.');
    return 2;
  }
  if (flags.problems !== undefined) return solve(flags.problems, seconds, around);
  if (file === undefined) {
    around.complain('lattice: a plan file is missing, or --problems with a file of problems.');
    return 2;
  }
  const plan = openPlan(file, around);
  if (!plan) return 2;
  const quilt = computeQuilt(plan);
  const wanted = quilt.fabrics.filter(
    ({ fabric }) => flags.fabric === undefined || fabric.id === flags.fabric,
  );
  if (wanted.length === 0) {
    const known = quilt.fabrics.map(({ fabric }) => fabric.id).join(', ');
    around.complain(`--fabric ${flags.fabric}: nothing is cut from it; known: ${known}.`);
    return 2;
  }
  const ways = wanted.map(({ fabric }) => wayFor(cuttingJob(plan, quilt, fabric.id), flags, seconds));
  if (flags.json)
    around.out(JSON.stringify({ unit: plan.unit, cloths: ways.map((way) => cloth(way)) }, null, 2));
  else for (const way of ways) for (const line of told(way, plan)) around.out(line);
  return 0;
}

function wayFor(job: CuttingJob, { simple }: CutFlags, seconds: number | null): CuttingWay {
  const now = cuttingWay(job, simple ? 'simple' : 'thrifty');
  if (simple || seconds === null) return now;
  const until = Date.now() + seconds * 1000;
  let found = now;
  for (const { length, way } of longerSearch(job)) {
    if (shorter(length, found.placed.needed.value)) found = way();
    if (Date.now() >= until) break;
  }
  return found;
}

const cloth = ({ manner, placed, steps, settings, cuts }: CuttingWay) => ({
  fabric: placed.fabric.id,
  name: placed.fabric.name,
  usable: placed.fabric.usableWidth,
  manner,
  length: placed.needed.value,
  bound: placed.bound,
  settings,
  cuts,
  pieces: placed.pieces,
  runs: placed.runs,
  tooNarrow: placed.tooNarrow,
  steps,
});

function told({ manner, placed, steps, settings, cuts }: CuttingWay, { unit }: Plan): string[] {
  const { fabric, needed, bound, tooNarrow } = placed;
  const show = (v: number) => formatWithUnit(v, unit);
  return [
    `${fabric.name}, ${show(fabric.usableWidth)} usable: ${show(needed.value)} of it, ${manner}`,
    `  nothing takes less than ${show(bound)}; ${numberOf(settings, 'setting')} of the ruler, ${numberOf(cuts, 'cut')}`,
    ...tooNarrow.map((line) => `  ${line}`),
    ...steps.map((step, i) => `  ${String(i + 1).padStart(3)}. ${stepSays(step, unit)}`),
    '',
  ];
}

function solve(file: string, seconds: number | null, { base, out, complain }: Surroundings): number {
  let text: string;
  try {
    text = readFileSync(path.resolve(base, file), 'utf8');
  } catch (error) {
    const missing = (error as NodeJS.ErrnoException).code === 'ENOENT';
    complain(`${file}: ${missing ? 'there is no such file.' : 'this file cannot be read.'}`);
    return 2;
  }
  const read = readCuttingProblems(text);
  if (!read.ok) {
    complain(`${file}: ${read.problem}`);
    return 2;
  }
  const plans = [];
  let impossible = false;
  for (const problem of read.value) {
    const until = Date.now() + (seconds ?? 0) * 1000;
    const plan = solveCuttingProblem(problem, seconds === null ? undefined : () => Date.now() < until);
    if ('tooWide' in plan) {
      complain(`${file}: ${problem.id}: ${plan.tooWide} is wider than the cloth, whichever way it lies.`);
      impossible = true;
      continue;
    }
    plans.push({ id: problem.id, length: plan.length, cuts: plan.cuts, runs: plan.runs });
  }
  // What can be cut is told all the same.
  out(JSON.stringify({ plans }));
  return impossible ? 2 : 0;
}
