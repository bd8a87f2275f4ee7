import { once } from 'node:events';
import { PassThrough, Readable, type Writable } from 'node:stream';
import { type LogEntry, type Plan } from '@lattice/core';
import { fileName, quiltFiles, textBytes, type ZipFile } from '@lattice/export';
import { ZipFile as ZipWriter } from 'yazl';
import { turn } from './turn.ts';

/** What the whole shelf is read from: one quilt after another, so that none but the one in hand is held. */
export interface ShelfSource {
  /** Every quilt of the shelf, in the order it is written. */
  readonly all: () => Promise<readonly { readonly id: string; readonly title: string }[]>;
  /** A quilt's plan, or its text where it cannot be read; null for one that was taken off meanwhile. */
  readonly plan: (id: string) => Promise<Plan | { readonly text: string } | null>;
  readonly log: (id: string) => Promise<readonly LogEntry[]>;
  readonly picture: (id: string) => Promise<Uint8Array | null>;
  /** When it is made, 2026-11-27T10:00:00Z. */
  readonly made: string;
}

/** The files of a shelf: a folder for each quilt, and at the end a page that says what came and what could not be read. */
export async function* shelfFiles({ all, plan, log, picture, made }: ShelfSource): AsyncGenerator<ZipFile> {
  const quilts = await all();
  const width = Math.max(3, String(quilts.length).length);
  const lines: string[] = [];
  for (const [i, { id, title }] of quilts.entries()) {
    const folder = `${String(i + 1).padStart(width, '0')} ${fileName(title)}`;
    const found = await plan(id);
    if (found === null) lines.push(`${folder}: taken off the shelf while this was written`);
    else if ('text' in found) {
      // Under a name that is not a plan's: another shelf passes over it and takes all others.
      yield { path: `${folder}/not readable.txt`, bytes: textBytes(found.text) };
      lines.push(`${folder}: cannot be read, so its plan is here as it lay`);
    } else {
      yield* await quiltFiles({ plan: found, log: await log(id), id, picture, made }, `${folder}/`, null);
      lines.push(folder);
    }
    await turn();
  }
  yield { path: 'index.txt', bytes: textBytes(`${lines.join('\n')}\n`) };
}

/** What has its own compression already. */
const PACKED = /\.webp$/;

/**
 * Writes files as one zip while they come: no more is held than the one in hand, and no faster is read than it is taken.
 * Stops reading when whoever takes it goes away.
 */
export async function zipInto(files: AsyncIterable<ZipFile>, to: Writable, made: string): Promise<void> {
  const zip = new ZipWriter();
  const mtime = new Date(made.slice(0, 19));
  const gone = new AbortController();
  to.once('close', () => gone.abort());
  (zip.outputStream as PassThrough).pipe(to);
  for await (const { path, bytes } of files) {
    if (gone.signal.aborted) return;
    const content = Readable.from([Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength)]);
    const written = once(content, 'close', { signal: gone.signal });
    zip.addReadStreamLazy(path, { mtime, compress: !PACKED.test(path) }, (take) => take(null, content));
    try {
      await written;
    } catch {
      return;
    }
  }
  if (gone.signal.aborted) return;
  zip.end();
  await once(to, 'close');
}
