import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { SERVER } from '../../apps/server/start.mjs';

const root = path.resolve(import.meta.dirname, '../..');
let folder: string;
let child: ChildProcess | null = null;
let address: string;

const lattice = (...args: string[]) =>
  spawnSync(process.execPath, ['scripts/lattice.mjs', ...args], {
    cwd: root,
    encoding: 'utf8',
    env: { ...process.env, LATTICE_CALLED_FROM: folder },
    timeout: 60_000,
  });

/** Starts the server on the folder; ready when it says where it is. */
async function start(): Promise<ChildProcess> {
  const started = spawn(
    process.execPath,
    [...SERVER, '--demo', '--port', '0', '--data', path.join(folder, 'data')],
    { cwd: root },
  );
  let said = '';
  address = await new Promise((resolve) => {
    started.stdout.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const [found] = /http:\/\/127\.0\.0\.1:\d+\//.exec(said) ?? [];
      if (found) resolve(found);
    });
  });
  child = started;
  return started;
}
async function end(signal: NodeJS.Signals = 'SIGTERM'): Promise<number | null> {
  const gone = once(child!, 'exit');
  child!.kill(signal);
  return ((await gone) as [number | null])[0];
}
const total = async () => ((await (await fetch(`${address}api/quilts`)).json()) as { total: number }).total;
const removeOne = async () => {
  const { quilts } = (await (await fetch(`${address}api/quilts`)).json()) as { quilts: { id: string }[] };
  await fetch(`${address}api/quilts/${quilts[0]!.id}`, { method: 'DELETE' });
};

beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'lattice-keeping-'));
});
afterEach(() => {
  child?.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

test('backup while it runs, restore when it is stopped, by command; refused in one line each', async () => {
  await start();
  const made = lattice('backup', 'copy.sqlite', '--data', 'data');
  expect(made.stderr).toBe('');
  expect(made.stdout).toMatch(/Backed up to .*copy\.sqlite: 5 quilts, .* checked\./);
  await removeOne();
  expect(await total()).toBe(4);

  const running = lattice('restore', 'copy.sqlite', '--data', 'data');
  expect(running.status).toBe(1);
  expect(running.stderr.trim().split('\n')).toEqual([expect.stringContaining('Stop it first')]);
  expect(await end()).toBe(0);

  const none = lattice('restore', 'none.sqlite', '--data', 'data');
  expect(none.status).toBe(1);
  expect(none.stderr).toMatch(/^There is no file .*none\.sqlite\.\n$/);
  const restored = lattice('restore', 'copy.sqlite', '--data', 'data');
  expect(restored.stdout).toMatch(/Restored 5 quilts.*\nWhat was there before is kept as .*before-restore/);
  await start();
  expect(await total()).toBe(5);
  expect(await end()).toBe(0);
});

// The terminal sends Ctrl+C to everything in it, and what started the server passes it on as well.
test('Ctrl+C, heard twice, is one graceful stop: what is under way is finished, and the log of writes is put away', async () => {
  const server = await start();
  const body = JSON.stringify({ name: 'under way' });
  const { quilts } = (await (await fetch(`${address}api/quilts`)).json()) as { quilts: { id: string }[] };
  const answer = new Promise<number>((resolve, reject) => {
    const asked = request(`${address}api/quilts/${quilts[0]!.id}/snapshots`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'content-length': body.length },
    });
    asked.on('response', (response) => resolve(response.statusCode!));
    asked.on('error', reject);
    asked.write(body.slice(0, 5), () => {
      const gone = once(server, 'exit');
      server.kill('SIGINT');
      server.kill('SIGINT');
      setTimeout(() => asked.end(body.slice(5)), 300);
      void gone.then(([code]) => expect(code).toBe(0));
    });
  });
  expect(await answer).toBe(201);
  if (server.exitCode === null) await once(server, 'exit');
  expect(server.exitCode).toBe(0);
  expect(existsSync(path.join(folder, 'data', 'lattice.sqlite-wal'))).toBe(false);
});

test('a closed terminal does not kill it, and hanging up stops it as it should', async () => {
  const server = await start();
  server.stdout!.destroy();
  server.stderr!.destroy();
  for (let i = 0; i < 5; i++) expect(await total()).toBe(5);
  expect(await end('SIGHUP')).toBe(0);
});
