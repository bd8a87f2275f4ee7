import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { computeQuilt } from '@lattice/core';
import { FORMATS, type PaperName, PAPERS, take, TAKEAWAYS, takeaway, type TakeJob } from '@lattice/export';
import { ON_NODE } from '@lattice/export/node';
import { openPlan, type Surroundings } from './open-plan.ts';

export interface ExportFlags {
  readonly to: string;
  readonly what?: string;
  readonly paper?: string;
  readonly out?: string;
  /** Decimal comma and semicolon in tables. */
  readonly comma?: boolean;
  /** The day it is written, 2026-11-27; today when left out. */
  readonly date?: string;
}

/** Writes something of a plan to a file. Answers the exit code: 0, or 2 after a line. */
export async function exportPlan(file: string, flags: ExportFlags, around: Surroundings): Promise<number> {
  const refuse = (line: string) => {
    around.complain(line);
    return 2;
  };
  const { to, what, paper = 'a4', date } = flags;
  if (!FORMATS.some((format) => format === to)) return refuse(`--to ${to}: known: ${FORMATS.join(', ')}.`);
  const one = takeaway(to, what);
  if (!one) {
    const known = TAKEAWAYS.filter((other) => other.to === to).map((other) => other.what);
    return refuse(`--what ${what}: not as ${to}; known: ${known.join(', ')}.`);
  }
  if (!(paper in PAPERS)) return refuse(`--paper ${paper}: known: ${Object.keys(PAPERS).join(', ')}.`);
  if (date !== undefined && (!/^\d{4}-\d{2}-\d{2}$/.test(date) || Number.isNaN(Date.parse(date))))
    return refuse(`--date ${date}: a day, like 2026-11-27.`);
  const plan = openPlan(file, around);
  if (!plan) return 2;
  const job: TakeJob = {
    ...{ plan, quilt: computeQuilt(plan), id: '', log: [] },
    ...{ paper: paper as PaperName, comma: flags.comma ?? false, ...ON_NODE },
    made: date === undefined ? new Date().toISOString() : `${date}T12:00:00.000Z`,
    picture: () => Promise.resolve(null),
  };
  const { name, bytes } = await take(one, job);
  const place = path.resolve(around.base, flags.out ?? name);
  try {
    writeFileSync(place, bytes);
  } catch (error) {
    return refuse(
      `${place}: it cannot be written here (${(error as NodeJS.ErrnoException).code ?? 'fault'}).`,
    );
  }
  around.out(`${flags.out ?? name}: ${one.name.toLowerCase()}, ${Math.ceil(bytes.length / 1024)} kB.`);
  return 0;
}
