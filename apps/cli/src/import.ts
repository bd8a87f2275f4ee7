import { readFileSync } from 'node:fs';
import path from 'node:path';
import { numberOf, readBlocksCsv, readPalette, readStashCsv, textOf } from '@lattice/core';
import type { Surroundings } from './open-plan.ts';
import { readPlanText } from './read-plan-text.ts';

export interface ImportFlags {
  /** Address of the running app. */
  readonly server: string;
}

/** Something read that goes to the app, or only tells what is in it. */
type Read =
  | {
      readonly goes: true;
      readonly to: string;
      readonly type: string;
      readonly body: string | Uint8Array<ArrayBuffer>;
    }
  | { readonly goes: false; readonly lines: readonly string[] }
  | { readonly problems: readonly string[] };

/**
 * Takes a file in: a plan or whole quilts go on the shelf of the running app; a table or a palette is told, for it has no
 * quilt to go to. Answers the exit code: 0, or 2 after a line.
 */
export async function importFile(
  file: string,
  { server }: ImportFlags,
  around: Surroundings,
): Promise<number> {
  let bytes: Buffer;
  try {
    bytes = readFileSync(path.resolve(around.base, file));
  } catch (error) {
    const missing = (error as NodeJS.ErrnoException).code === 'ENOENT';
    around.complain(`${file}: ${missing ? 'there is no such file.' : 'this file cannot be read.'}`);
    return 2;
  }
  const read = understood(file, bytes);
  if ('problems' in read) {
    for (const problem of read.problems) around.complain(`${file}: ${problem}`);
    return 2;
  }
  if (!read.goes) {
    for (const line of read.lines) around.out(line);
    return 0;
  }
  return sent(file, server, read, around);
}

function understood(file: string, bytes: Buffer): Read {
  const ending = path.extname(file).toLowerCase();
  if (ending === '.zip')
    return { goes: true, to: '/api/parcels', type: 'application/octet-stream', body: new Uint8Array(bytes) };
  const text = textOf(bytes);
  if (ending === '.json') {
    const read = readPlanText(text);
    if (read.ok)
      return {
        goes: true,
        to: '/api/quilts',
        type: 'application/json',
        body: JSON.stringify({ plan: read.plan }),
      };
    return {
      problems: read.faults.map(
        ({ line, column, place, message }) => `${line}:${column}: ${place ? `${place}: ` : ''}${message}`,
      ),
    };
  }
  if (ending === '.gpl') {
    const read = readPalette(text);
    if (!read.ok) return { problems: [read.problem] };
    return { goes: false, lines: read.colours.map(({ name, colour }) => `${colour}  ${name}`) };
  }
  if (ending === '.csv') {
    const blocks = readBlocksCsv(text, 'in');
    const stash = readStashCsv(text, 'in');
    if (blocks.blocks.length === 0 && stash.pieces.length === 0)
      return { problems: blocks.problems.length > 0 ? blocks.problems : stash.problems };
    return {
      goes: false,
      lines:
        blocks.blocks.length > 0
          ? [
              `${numberOf(blocks.blocks.length, 'block')}; paste the table under Blocks.`,
              ...blocks.notes,
              ...blocks.problems,
            ]
          : [`${numberOf(stash.pieces.length, 'cloth')}; take the table in under Stash.`, ...stash.problems],
    };
  }
  return {
    problems: ['a plan (.json), whole quilts (.zip), a table (.csv) or a palette (.gpl) can be read.'],
  };
}

async function sent(
  file: string,
  server: string,
  { to, type, body }: Extract<Read, { goes: true }>,
  { out, complain }: Surroundings,
): Promise<number> {
  let answer: Response;
  try {
    answer = await fetch(new URL(to, server), {
      method: 'POST',
      headers: { 'Content-Type': type },
      body,
    });
  } catch {
    complain(
      `${file}: the app is not running at ${server}; start it with ./lattice demo, or say where with --server.`,
    );
    return 2;
  }
  const said = (await answer.json()) as {
    message?: string;
    id?: string;
    quilts?: { id: string; title: string }[];
  };
  if (!answer.ok) {
    complain(`${file}: ${said.message ?? 'the app did not take it.'}`);
    return 2;
  }
  const ids = said.quilts ?? [{ id: said.id!, title: path.basename(file) }];
  for (const { id, title } of ids) out(`${title}: ${new URL(`/quilts/${id}/setting`, server).href}`);
  return 0;
}
