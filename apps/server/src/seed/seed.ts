import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import {
  dateOf,
  dayOf,
  type LogEntry,
  logEntrySchema,
  readBlocksCsv,
  readPlanJson,
  readStashCsv,
  STASH,
} from '@lattice/core';
import type { LogRepository } from '../log/repository.ts';
import type { QuiltRepository, QuiltRow } from '../quilts/repository.ts';
import { newRow } from '../quilts/service.ts';
import type { Surroundings } from '../surroundings.ts';

const FIRST = 'potting-shed';
const STASH_TABLE = 'stash.csv';

/**
 * Puts the demo quilts on an empty shelf, through the same readers a quilter's own files go through.
 * A `NAME.plan.json` with a `NAME-blocks.csv` beside it gets its pile from there. A shelf that has, or
 * ever had, a quilt is left alone. Quilts, what happened to them and the stash are put there in one go, all or none: a
 * kill leaves an empty shelf, which is seeded the next time. Returns how many were put there.
 */
export async function seedDemo(
  rows: QuiltRepository,
  log: Pick<LogRepository, 'addNow'>,
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
  const happened: LogEntry[] = [];
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
    const told = `${name}.log.json`;
    if (files.includes(told)) happened.push(...logFrom(path.join(folder, told), made.id, outside));
  }
  if (files.includes(STASH_TABLE)) happened.push(...stashFrom(path.join(folder, STASH_TABLE), outside));
  await rows.insertAll(shelf, () => log.addNow(happened));
  return names.length;
}

/**
 * What has happened to a demo quilt: each entry says when, what kind and what. `@name` stands for the id of the entry of
 * that name, `@day-3` for the date three days before the demo is put there.
 */
function logFrom(file: string, quilt: string, { newId, now }: Surroundings): LogEntry[] {
  const said = JSON.parse(readFileSync(file, 'utf8')) as { name?: string }[];
  const ids = new Map(said.flatMap(({ name }) => (name === undefined ? [] : [[name, newId()] as const])));
  const today = dayOf(now().toISOString().slice(0, 10));
  const text = (value: unknown) =>
    JSON.stringify(value)
      .replace(/@day([+-]\d+)/g, (_, days: string) => dateOf(today + Number(days)))
      .replace(/"@([a-z-]+)"/g, (_, name: string) => JSON.stringify(ids.get(name)));
  return said.map(({ name, ...entry }) =>
    logEntrySchema.parse(
      JSON.parse(text({ ...entry, quilt, id: name === undefined ? newId() : ids.get(name) })),
    ),
  );
}

/** The demo's stash, as its table says. */
function stashFrom(file: string, outside: Surroundings): LogEntry[] {
  const { pieces, problems } = readStashCsv(readFileSync(file, 'utf8'), 'in');
  if (problems.length > 0) throw new Error(`${file}: ${problems.join(' ')}`);
  const at = outside.now().toISOString();
  return pieces.map((piece) => ({
    id: outside.newId(),
    quilt: STASH,
    at,
    kind: 'stash-put' as const,
    body: { ...piece, id: outside.newId() },
  }));
}
