import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { readBlocksCsv, readPlanJson } from '@lattice/core';
import type { QuiltRepository, QuiltRow } from '../quilts/repository.ts';
import { newRow, type Surroundings } from '../quilts/service.ts';

const FIRST = 'potting-shed';

/**
 * Puts the demo quilts on an empty shelf, through the same readers a quilter's own files go through.
 * A `NAME.plan.json` with a `NAME-blocks.csv` beside it gets its pile from there. A shelf that has, or
 * ever had, a quilt is left alone. All are put there or none. Returns how many were put there.
 */
export async function seedDemo(
  rows: QuiltRepository,
  outside: Surroundings,
  folder: string,
): Promise<number> {
  if ((await rows.count()) > 0) return 0;
  const files = readdirSync(folder);
  // The potting shed is the quilt to show first: last put there, first on the shelf.
  const names = files
    .filter((f) => f.endsWith('.plan.json'))
    .map((f) => f.replace('.plan.json', ''))
    .sort((a, b) => Number(a === FIRST) - Number(b === FIRST));
  const shelf: QuiltRow[] = [];
  let at = outside.now().getTime() - names.length * 1000;
  for (const name of names) {
    const read = readPlanJson(readFileSync(path.join(folder, `${name}.plan.json`), 'utf8'));
    if (!read.ok) throw new Error(`demo/${name}.plan.json: ${read.problems.map((p) => p.message).join(' ')}`);
    const csv = `${name}-blocks.csv`;
    const pile = files.includes(csv)
      ? readBlocksCsv(readFileSync(path.join(folder, csv), 'utf8'), read.plan.unit).blocks
      : read.plan.pile;
    at += 1000;
    const made = { id: outside.newId(), at: new Date(at).toISOString() };
    shelf.push(newRow({ ...read.plan, pile: [...pile] }, made));
  }
  await rows.insertAll(shelf);
  return names.length;
}
