import { type LogEntry, mergeLogs, type Plan, writePlanJson } from '@lattice/core';
import type { TakeJob } from './job.ts';
import { htmlPage } from './html.ts';
import { textBytes, type ZipFile } from './zip.ts';

/** Pictures a quilt names: of its blocks, of the notes of its log. */
function picturesOf(plan: Plan, log: readonly LogEntry[]): string[] {
  const blocks = plan.pile.flatMap(({ picture }) => picture ?? []);
  const notes = log.flatMap((entry) => (entry.kind === 'noted' ? entry.body.pictures : []));
  const cloths = log.flatMap((entry) => (entry.kind === 'stash-put' ? (entry.body.picture ?? []) : []));
  return [...new Set([...blocks, ...notes, ...cloths])].sort();
}

/** Entries that go with a quilt: its own, and what the stash tells of the pieces set aside for it. */
export function entriesWith(log: readonly LogEntry[], quilt: string): LogEntry[] {
  const moved = log.filter((entry) => entry.kind === 'stash-moved' && entry.body.quilt === quilt);
  const used = new Set(moved.flatMap((entry) => (entry.kind === 'stash-moved' ? entry.body.piece : [])));
  const put = log.filter((entry) => entry.kind === 'stash-put' && used.has(entry.body.id));
  return mergeLogs([...log.filter((entry) => entry.quilt === quilt), ...moved, ...put]);
}

/**
 * The files of one whole quilt: what it is, plan, log, pictures, and a page that reads without anything else.
 *
 * @param folder where they lie, with a / at its end
 * @param whole what the page is made from; null leaves it out, which takes the longest
 */
export async function quiltFiles(
  { plan, log, id, picture, made }: Pick<TakeJob, 'plan' | 'log' | 'id' | 'picture' | 'made'>,
  folder: string,
  whole: TakeJob | null,
): Promise<ZipFile[]> {
  const own = entriesWith(log, id);
  const pictures: ZipFile[] = [];
  const missing: string[] = [];
  for (const one of picturesOf(plan, own)) {
    const bytes = await picture(one);
    if (bytes) pictures.push({ path: `${folder}pictures/${one}.webp`, bytes });
    else missing.push(one);
  }
  return [
    ...(whole ? [{ path: `${folder}index.html`, bytes: textBytes(await htmlPage(whole, missing)) }] : []),
    {
      path: `${folder}about.json`,
      bytes: textBytes(
        `${JSON.stringify({ version: 1, ...(id === '' ? {} : { id }), made, title: plan.title })}\n`,
      ),
    },
    { path: `${folder}quilt.plan.json`, bytes: textBytes(writePlanJson(plan)) },
    { path: `${folder}log.json`, bytes: textBytes(`${JSON.stringify(own, null, 1)}\n`) },
    ...pictures,
  ];
}
