import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { type LogEntry, startPlan } from '@lattice/core';
import Driver from 'better-sqlite3';
import sharp from 'sharp';
import { House } from '../house.ts';
import { newFolder, until } from './deed.ts';

const DAY_MS = 24 * 3600 * 1000;
export const file = (folder: string) => path.join(folder, 'lattice.sqlite');
export const ago = (days: number): string => new Date(Date.now() - days * DAY_MS).toISOString();

/** Runs something on the database of a folder nobody works in. */
export function behindItsBack(
  folder: string,
  ...sql: readonly [text: string, ...bindings: unknown[]][]
): void {
  const database = new Driver(file(folder));
  for (const [text, ...bindings] of sql) database.prepare(text).run(...bindings);
  database.close();
}

/** A note in a quilt's journal. */
const noted = (quilt: string, n: number): LogEntry => ({
  ...{ id: `note-${quilt}-${n}`, quilt, at: ago(2), kind: 'booking-cancelled' },
  body: { number: `LA-${n}` },
});

/** Three quilts: the first with a version and a picture, each with a journal of its own length. */
export async function used(): Promise<string> {
  const house = await new House(newFolder()).start();
  const png = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#a3542c' } })
    .png()
    .toBuffer();
  const bytes = { 'content-type': 'application/octet-stream' };
  for (const picture of ['picture-of-one', 'picture-of-none'])
    await house.ask('POST', `/api/pictures?id=${picture}`, png, bytes);
  for (const [i, name] of ['one', 'two', 'three'].entries()) {
    const plan = startPlan('sashed-sampler');
    const pile =
      name === 'one' ? plan.pile.map((block) => ({ ...block, picture: 'picture-of-one' })) : plan.pile;
    await house.send('POST', '/api/quilts', { id: `quilt-${name}`, plan: { ...plan, title: name, pile } });
    const entries = Array.from({ length: 3 + i }, (_, n) => noted(`quilt-${name}`, n));
    await house.send('POST', '/api/log', { entries });
  }
  await house.send('POST', '/api/quilts/quilt-one/snapshots', { name: 'the first', id: 'version-one' });
  await until(house, () => isBackedUp(house.folder));
  await house.end();
  return house.folder;
}

export const isBackedUp = (folder: string): boolean => {
  const kept = path.join(folder, 'backups');
  const names = existsSync(kept) ? readdirSync(kept) : [];
  return ['daily', 'weekly'].every((kind) =>
    names.some((name) => name.startsWith(kind) && name.endsWith('.sqlite')),
  );
};
