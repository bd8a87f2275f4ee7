import {
  chmodSync,
  cpSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Driver from 'better-sqlite3';
import { startPlan } from '@lattice/core';
import { type Attack, below, Found } from './attack.ts';
import { House } from './house.ts';

const file = (folder: string) => path.join(folder, 'lattice.sqlite');

/** A folder as a server leaves it, with a few dozen quilts in it. */
async function used(): Promise<string> {
  const house = await new House().start();
  for (let i = 0; i < 30; i++) await house.send('POST', '/api/quilts', { plan: startPlan('sashed-sampler') });
  await house.end();
  return house.folder;
}

/** States a folder can be in, how it is brought there, and what the one line says. */
const STATES: readonly (readonly [what: string, make: (folder: string) => void, says: RegExp])[] = [
  [
    'a database of a newer version',
    (folder) => {
      const database = new Driver(file(folder));
      database.exec("insert into knex_migrations (name, batch) values ('2099-01-01-later', 9)");
      database.close();
    },
    /newer version/,
  ],
  [
    'a file that is no database',
    (folder) => writeFileSync(file(folder), 'Dear diary, '.repeat(500)),
    /is not a database/,
  ],
  [
    'a folder in the place of the file',
    (folder) => {
      rmSync(file(folder));
      mkdirSync(file(folder));
    },
    /cannot be/,
  ],
];

async function oneLine(folder: string, says: RegExp, what: string, found: Found): Promise<void> {
  const house = new House(folder);
  const { code, said } = await house.refuses();
  found.unless(code === 1, `${what}: it ends with ${code}`);
  found.unless(said.split('\n').length === 1 && says.test(said), `${what}: “${said.slice(0, 200)}”`);
}

/** Two servers on one folder: the second goes, the first goes on. */
async function two(found: Found): Promise<void> {
  const first = await new House().start();
  await oneLine(first.folder, /Another server is running/, 'a second server on one folder', found);
  const { status } = await first.send('POST', '/api/quilts', { plan: startPlan('sashed-sampler') });
  found.unless(status === 201, `the first server does not save any more: ${status}`);
  await first.clear();
}

/** What a person or a program may do to the folder of a running server. */
async function underway(found: Found): Promise<void> {
  const house = await new House().start();
  await house.send('POST', '/api/quilts', { plan: startPlan('sashed-sampler') });
  const mode = statSync(file(house.folder)).mode & 0o777;
  found.unless(mode === 0o600, `the database can be read by others: ${mode.toString(8)}`);
  rmSync(house.folder, { recursive: true });
  const gone = await house.send('POST', '/api/quilts', { plan: startPlan('sashed-sampler') });
  found.unless(
    gone.status === 507 && /moved or removed/.test(gone.text),
    `a folder removed under way is answered with ${gone.status}: ${gone.text.slice(0, 120)}`,
  );
  await house.clear();

  const other = await new House().start();
  const writer = new Driver(file(other.folder));
  writer.exec('begin immediate');
  const busy = await other.send('POST', '/api/quilts', { plan: startPlan('sashed-sampler') });
  found.unless(busy.status === 503, `another program’s lock is answered with ${busy.status}`);
  writer.exec('rollback');
  const free = await other.send('POST', '/api/quilts', { plan: startPlan('sashed-sampler') });
  found.unless(free.status === 201, `after another program’s lock: ${free.status}`);
  writer.close();
  await other.clear();
}

/** Bytes turned anywhere in the file: it starts and answers, or says that it is damaged; it never answers nonsense. */
async function damaged(folder: string, rounds: number, random: () => number, found: Found): Promise<number> {
  const whole = readFileSync(file(folder));
  let noticed = 0;
  for (let i = 0; i < rounds; i++) {
    const copy = mkdtempSync(path.join(tmpdir(), 'lattice-damaged-'));
    cpSync(folder, copy, { recursive: true });
    const bytes = Buffer.from(whole);
    const page = 4096 * (1 + below(random, Math.floor(bytes.length / 4096) - 1));
    for (let j = 0; j < 600; j++) bytes[page + below(random, 4096)] = below(random, 256);
    writeFileSync(file(copy), bytes);
    const house = new House(copy);
    try {
      await house.start();
      const { status, text } = await house.ask('GET', '/api/quilts');
      found.unless(
        status === 200 || status === 507,
        `damaged pages are answered with ${status}: ${text.slice(0, 80)}`,
      );
    } catch (error) {
      noticed++;
      const { message } = error as Error;
      found.unless(
        message.split('\n').length === 1 && /damaged/.test(message),
        `damaged pages: “${message.slice(0, 200)}”`,
      );
    }
    await house.clear();
  }
  return noticed;
}

export const start: Attack = {
  name: 'start',
  says: 'folders no server should start on, two servers on one, a folder taken away, pages damaged',
  usual: 40,
  async run({ rounds, random }) {
    const found = new Found();
    const folder = await used();
    for (const [what, make, says] of STATES) {
      const copy = mkdtempSync(path.join(tmpdir(), 'lattice-state-'));
      cpSync(folder, copy, { recursive: true });
      make(copy);
      await oneLine(copy, says, what, found);
      rmSync(copy, { recursive: true, force: true });
    }
    await oneLine('/proc/nowhere', /cannot be written to/, 'a file system that is none', found);
    await two(found);
    await underway(found);
    const noticed = await damaged(folder, rounds, random, found);
    chmodSync(folder, 0o700);
    rmSync(folder, { recursive: true, force: true });
    return {
      figures: { states: STATES.length + 4, damaged: rounds, 'of them noticed at the start': noticed },
      found: found.lines(),
    };
  },
};
