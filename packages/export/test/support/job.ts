import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { computeQuilt, type Plan, readPlanJson } from '@lattice/core';
import type { TakeJob } from '../../src/index.ts';

const root = path.resolve(__dirname, '../../../..');
const letters = (weight: number) =>
  new Uint8Array(
    readFileSync(
      createRequire(__filename).resolve(`@fontsource/archivo/files/archivo-latin-${weight}-normal.woff`),
    ),
  );

export const DEMOS = [
  'potting-shed',
  'cot-on-point',
  'swap-edge-to-edge',
  'harbour-metric',
  'tram-stop-quilted',
];

/** A plan of the demo. */
export function demoPlan(name = 'potting-shed'): Plan {
  const read = readPlanJson(readFileSync(path.join(root, `demo/${name}.plan.json`), 'utf8'));
  if (!read.ok) throw new Error(`The demo plan ${name} cannot be read.`);
  return read.plan;
}

/** What things are taken along from, at a moment that does not change. */
export const jobOf = (plan: Plan, more: Partial<TakeJob> = {}): TakeJob => ({
  ...{ plan, quilt: computeQuilt(plan), id: 'q1', log: [], made: '2026-11-27T12:00:00.000Z' },
  ...{ paper: 'a4', comma: false },
  letters: () => Promise.resolve({ plain: letters(400), strong: letters(700) }),
  draw: (svg, width, height) =>
    Promise.resolve(new TextEncoder().encode(`${width} × ${height}: ${svg.length}`)),
  picture: () => Promise.resolve(null),
  jpeg: (picture) => Promise.resolve(picture),
  ...more,
});
