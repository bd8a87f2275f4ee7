import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';

export const root = path.resolve(import.meta.dirname, '..');

/** Runs a command with its output shown; answers its exit code. */
export function show(command, args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
    const pass = (signal) => child.kill(signal);
    process.on('SIGINT', pass).on('SIGTERM', pass);
    child.on('error', (error) => {
      console.error(`${command} could not be started: ${error.message}`);
      resolve(127);
    });
    child.on('exit', (code, signal) => {
      process.off('SIGINT', pass).off('SIGTERM', pass);
      resolve(code ?? (signal === 'SIGINT' || signal === 'SIGTERM' ? 0 : 1));
    });
  });
}

/** Runs a command quietly; answers its exit code and everything it printed. */
export function quiet(command, args, env = {}) {
  const { status, stdout, stderr } = spawnSync(command, args, {
    cwd: root,
    encoding: 'utf8',
    env: { ...process.env, ...env },
    maxBuffer: 1 << 28,
  });
  return { code: status ?? 1, out: `${stdout ?? ''}${stderr ?? ''}` };
}

/** Runs a command quietly beside others; answers as `quiet` does. */
export function beside(command, args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: root,
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, ...env },
    });
    let out = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (out += chunk));
    child.on('error', (error) => resolve({ code: 127, out: error.message }));
    child.on('close', (code) => resolve({ code: code ?? 1, out }));
  });
}

/** Path of a program that a package put in node_modules/.bin. */
export const bin = (name) => path.join(root, 'node_modules', '.bin', name);

/** One hash over files and folders, by path and content. */
export function hashOf(...places) {
  const hash = createHash('sha256');
  const add = (file) => {
    if (!existsSync(file)) return;
    if (statSync(file).isDirectory()) {
      for (const entry of readdirSync(file).sort())
        if (!['node_modules', 'dist', 'test'].includes(entry)) add(path.join(file, entry));
      return;
    }
    hash.update(path.relative(root, file)).update('\0').update(readFileSync(file)).update('\0');
  };
  for (const place of places) add(path.join(root, place));
  return hash.digest('hex');
}

/** Does `work` unless it was done already for the same `mark` and what it `makes` is there. Remembers only what succeeded. */
export async function once(name, mark, work, makes = root) {
  const stamp = path.join(root, 'node_modules', '.lattice', name);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === mark && existsSync(makes)) return;
  await work();
  mkdirSync(path.dirname(stamp), { recursive: true });
  writeFileSync(stamp, mark);
}

/** Stops with one clear line. */
export class Stop extends Error {}
export const stopped =
  (work) =>
  async (...args) => {
    try {
      return await work(...args);
    } catch (error) {
      if (!(error instanceof Stop)) throw error;
      console.error(error.message);
      return 1;
    }
  };
