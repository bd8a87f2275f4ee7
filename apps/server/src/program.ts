import { type ChildProcess, spawn } from 'node:child_process';
import path from 'node:path';

const LOADER = path.resolve(import.meta.dirname, '../../../node_modules/tsx/dist/loader.mjs');

/**
 * How a program of the server's own is run: built beside the server, or loaded from its source as the server itself is
 * where that was not built.
 *
 * @param source its file, from this folder on: `pictures/maker.ts`
 */
export function programOf(source: string): string[] {
  const built = path.join(import.meta.dirname, `${path.basename(source, '.ts')}.mjs`);
  const run = import.meta.filename.endsWith('.ts')
    ? ['--import', LOADER, path.join(import.meta.dirname, source)]
    : [built];
  return [process.execPath, ...run];
}

/** Starts such a program; it and the server speak by messages, and it is no reason to stay for a server that is done. */
export function startBeside([command, ...words]: readonly string[]): ChildProcess {
  const child = spawn(command!, words, {
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    serialization: 'advanced',
    env: { ...process.env, NODE_OPTIONS: '' },
  });
  child.unref();
  child.channel?.unref();
  return child;
}
