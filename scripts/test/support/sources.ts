import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

/** Paths of the TypeScript in a folder of the house, new files among them. */
export const sourcesIn = (folder: string): string[] =>
  spawnSync('git', ['ls-files', '-co', '--exclude-standard', folder], { encoding: 'utf8' })
    .stdout.split('\n')
    .filter((file) => /\.tsx?$/.test(file) && existsSync(file));
