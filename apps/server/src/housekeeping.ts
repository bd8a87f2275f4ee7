import { setImmediate as breath } from 'node:timers/promises';
import type { Database } from './database/open.ts';
import { PictureRepository } from './pictures/repository.ts';
import { QuiltRepository } from './quilts/repository.ts';

const DAY_MS = 24 * 3600 * 1000;
/** What was taken off the shelf can be put back for a month. */
const REMOVED_KEPT_MS = 30 * DAY_MS;
/** A browser that was away may still hold a change that names a picture: it is given three months. */
const PICTURES_KEPT_MS = 90 * DAY_MS;
/** Pages given back to the disk at a time: a few milliseconds of work. */
const PAGES_AT_A_TIME = 256;

/** What was tidied away. */
export interface Tidied {
  readonly quilts: number;
  readonly pictures: number;
}

/**
 * Tidies away what nobody will ask for: quilts a month off the shelf, pictures that no quilt names, free pages. In short
 * steps with a breath between them, so that whoever saves meanwhile is not kept waiting.
 */
export async function keepHouse(database: Database, now: Date): Promise<Tidied> {
  const { knex, driver } = database;
  const before = (ms: number) => new Date(now.getTime() - ms).toISOString();
  const quilts = await new QuiltRepository(database).purge(before(REMOVED_KEPT_MS));
  const pictures = new PictureRepository(knex);
  const old = await pictures.madeBefore(before(PICTURES_KEPT_MS));
  let deleted = 0;
  if (old.length > 0) {
    const named = await namedPictures(pictures);
    for (const id of old.filter((picture) => !named.has(picture))) {
      await pictures.delete(id);
      deleted++;
      await breath();
    }
  }
  for (let free = 1; free > 0;) {
    driver.pragma(`incremental_vacuum(${PAGES_AT_A_TIME})`);
    const left = Number(driver.pragma('freelist_count', { simple: true }));
    // A database from before it could give pages back keeps them for itself.
    if (left === free) break;
    free = left;
    await breath();
  }
  return { quilts, pictures: deleted };
}

/** Ids of pictures that any quilt names, on the shelf or off it, a snapshot of one, cloth of the stash, or a note: one by one. */
async function namedPictures(pictures: PictureRepository): Promise<ReadonlySet<string>> {
  const named = new Set<string>();
  for (const source of pictures.sources) {
    for (const id of await pictures.namingIn(source)) {
      const text = await pictures.namingText(source, id);
      // One of a block or a cloth, several of a note.
      for (const [, one] of text.matchAll(/"pictures?"\s*:\s*(\[[^\]]*\]|"[^"]*")/g))
        for (const [, picture] of one!.matchAll(/"([0-9a-z-]{8,40})"/g)) named.add(picture!);
      await breath();
    }
  }
  return named;
}
