import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { BACKUP } from '../../../apps/server/start.mjs';
import { House } from '../house.ts';

/** Something the house does to its disk in more than one step. */
export interface Deed {
  readonly name: string;
  /** A folder as it is before; made once. */
  prepare(): Promise<string>;
  /** Does it in a folder, ended right before its step `killAt` (0 lets it finish). Answers how many steps it took, null where it was ended. */
  run(folder: string, killAt: number): Promise<number | null>;
  /** Quilts may be between: each by itself is as it was before or as it is after. */
  readonly eachByItself?: true;
  /** Takes so long that a single round leaves it out. */
  readonly long?: true;
  /** Begun again after a kill, it ends where it would have ended. */
  readonly again?: true;
}

const root = path.resolve(import.meta.dirname, '../../..');
const COUNTED = path.join(import.meta.dirname, 'counted.mjs');
/** Longer than any of them takes, in ms. */
const PATIENCE_MS = 60_000;

export const newFolder = (): string => mkdtempSync(path.join(tmpdir(), 'lattice-steps-'));

export function copyOf(folder: string): string {
  const copy = newFolder();
  cpSync(folder, copy, { recursive: true });
  return copy;
}

const surroundings = (killAt: number, from: 'start' | 'signal') => ({
  STEPS_KILL: String(killAt),
  STEPS_FROM: from,
});

const stepsIn = (said: string): number | null => {
  const [, steps] = /^steps (\d+)$/m.exec(said) ?? [];
  return steps === undefined ? null : Number(steps);
};

/** Waits until something is so; false once the house is no more. */
export async function until(house: House, isSo: () => boolean): Promise<boolean> {
  for (const end = Date.now() + PATIENCE_MS; Date.now() < end; await wait(10)) {
    if (isSo()) return true;
    if (!house.isRunning) return false;
  }
  throw new Error(`it did not happen: ${house.said.slice(-400)}`);
}

/** By the server: counted from its start on, or only what `work` asks for. */
export async function byServer(
  folder: string,
  killAt: number,
  {
    flags = [],
    from,
    work,
  }: { flags?: string[]; from: 'start' | 'signal'; work: (house: House) => Promise<unknown> },
): Promise<number | null> {
  const house = new House(folder, flags, { node: ['--import', COUNTED], env: surroundings(killAt, from) });
  try {
    await house.start();
    if (from === 'signal') {
      house.signal('SIGUSR2');
      await until(house, () => house.said.includes('counting\n'));
    }
    await work(house);
  } catch (error) {
    if (killAt === 0) throw error;
  }
  await house.end();
  return stepsIn(house.said);
}

/** By a command of the house: `backup`, or `restore FILE`. */
export async function byCommand(folder: string, killAt: number, ...words: string[]): Promise<number | null> {
  const child = spawn(process.execPath, ['--import', COUNTED, BACKUP, ...words, '--data', folder], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'pipe'],
    env: { ...process.env, ...surroundings(killAt, 'start') },
  });
  let said = '';
  child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
  await once(child, 'close');
  return stepsIn(said);
}
