import { spawnSync } from 'node:child_process';
import path from 'node:path';

/**
 * Runs a script of this folder in a process of its own and reads what it prints. Inside the test runner's sandbox every
 * `Math` is looked up through it, and a photo takes twenty times as long.
 */
export function outside<T>(script: string, ...args: string[]): T {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    ['--import', 'tsx', path.join(__dirname, script), ...args],
    { encoding: 'utf8', maxBuffer: 1 << 28 },
  );
  if (status !== 0) throw new Error(stderr);
  return JSON.parse(stdout) as T;
}
