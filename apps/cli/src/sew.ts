import {
  computeQuilt,
  formatWithUnit,
  numberOf,
  type Plan,
  pressingOf,
  type Sewing,
  sewingJson,
  sewingOf,
  type SewingWay,
} from '@lattice/core';
import { openPlan, type Surroundings } from './open-plan.ts';

export interface SewFlags {
  /** Id of the way to sew it; the best when left out. */
  readonly method?: string;
  readonly json: boolean;
}

/** Prints how a top is sewn: its ways, and the steps of one. Answers the exit code: 0, or 2 after a line. */
export function sew(file: string, { method, json }: SewFlags, around: Surroundings): number {
  const plan = openPlan(file, around);
  if (!plan) return 2;
  const { layout } = computeQuilt(plan);
  const sewing = sewingOf(plan, layout);
  if (sewing.hindered !== null) {
    around.complain(`${file}: ${sewing.hindered}`);
    return 2;
  }
  const way = sewing.ways.find((one) => one.method.id === (method ?? sewing.best?.id));
  if (!way) {
    const known = sewing.ways.map((one) => one.method.id).join(', ');
    around.complain(`--method ${method}: this quilt is not sewn so; known: ${known}.`);
    return 2;
  }
  const pressing = pressingOf(plan, layout, sewing, way);
  if (json) around.out(JSON.stringify(sewingJson(sewing, way, pressing), null, 2));
  else for (const line of told(sewing, way, plan, pressing)) around.out(line);
  return 0;
}

function told(
  { ways, best }: Sewing,
  { method, steps, seams }: SewingWay,
  { unit }: Plan,
  { crossings, nested, unnested }: ReturnType<typeof pressingOf>,
): string[] {
  const show = (v: number) => formatWithUnit(v, unit);
  return [
    'Ways to sew it',
    ...ways.map(
      ({ method: { id, name }, effort }) =>
        `  ${id.padEnd(9)} ${name}: ${numberOf(effort.seams, 'seam')}, the longest ${show(effort.longest)}, ${numberOf(effort.trips, 'trip')} to the iron, at most ${Math.round(effort.heaviest)} square ${unit} on the needle, about ${numberOf(effort.minutes, 'minute')}${best?.id === id ? `; the best. ${best.why}` : ''}`,
    ),
    '',
    `${method.name}: ${method.says}`,
    ...steps.map(
      ({ title, seams: own }, i) =>
        `  ${String(i + 1).padStart(3)}. ${title}: ${numberOf(own.length, 'seam')}, ${show(own.reduce((sum, seam) => sum + seams[seam]!.length, 0))} in all; then press`,
    ),
    '',
    crossings === 0
      ? 'No seams cross.'
      : `${nested} of ${numberOf(crossings, 'crossing')} nest${unnested.length > 0 ? ':' : '.'}`,
    ...unnested.map(({ at, why }) => `  at ${show(at.x)} from the left, ${show(at.y)} from the top: ${why}`),
  ];
}
