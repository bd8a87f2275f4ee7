import { spawnSync } from 'node:child_process';
import { copyFileSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import Driver from 'better-sqlite3';
import { BACKUP } from '../../apps/server/start.mjs';
import { type Attack, Found } from './attack.ts';
import { bendBytes } from './bend.ts';
import { copyOf } from './steps/deed.ts';
import { stateOf } from './steps/state.ts';
import { used } from './steps/used.ts';

const root = path.resolve(import.meta.dirname, '../..');

/** Runs `restore FILE`; answers how it ended, and what it said. */
function restore(file: string, folder: string): { status: number | null; said: string } {
  const words = [BACKUP, 'restore', file, '--data', folder];
  const { status, stdout, stderr } = spawnSync(process.execPath, words, { cwd: root, encoding: 'utf8' });
  return { status, said: `${stdout}${stderr}`.trim() };
}

export const restores: Attack = {
  name: 'restores',
  says: 'going back to what is no backup: a database of another program with quilts of its own, bent and cut backups; one line, and the shelf stays as it was',
  usual: 40,
  async run({ rounds, random }) {
    const found = new Found();
    const template = await used();
    const before = stateOf(template);
    const good = path.join(template, 'lattice.sqlite');
    let taken = 0;
    for (let i = 0; i < rounds; i++) {
      const folder = copyOf(template);
      const file = path.join(folder, 'carried.sqlite');
      if (i % 2 === 0) {
        const other = new Driver(file);
        other.exec("create table quilts (title text); insert into quilts values ('a bedspread')");
        other.close();
      } else writeFileSync(file, bendBytes(random, readFileSync(good)));
      const { status, said } = restore(file, folder);
      const after = stateOf(folder);
      if (status === 0) taken++;
      // What is taken all the same holds together: its bent bytes lie where nothing is kept, or in a text.
      found.unless(
        status === 1 || (i % 2 === 1 && status === 0),
        `it ends with ${status}: ${said.slice(0, 120)}`,
      );
      if (status === 1) {
        found.unless(said.split('\n').length === 1, `more than a line: ${said.slice(0, 160)}`);
        found.unless(
          after.shelf === before.shelf,
          'the shelf is another one though nothing was gone back to',
        );
      } else
        found.unless(
          !after.shelf.startsWith('cannot be read'),
          `what was gone back to ${after.shelf.slice(0, 80)}`,
        );
      rmSync(folder, { recursive: true, force: true });
    }
    const folder = copyOf(template);
    copyFileSync(good, path.join(folder, 'carried.sqlite'));
    found.unless(restore(path.join(folder, 'carried.sqlite'), folder).status === 0, 'a good one is refused');
    for (const one of [folder, template]) rmSync(one, { recursive: true, force: true });
    return { figures: { files: rounds, 'bent and taken': taken }, found: found.lines() };
  },
};
