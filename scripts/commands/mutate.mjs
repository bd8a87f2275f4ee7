import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { bin, root, show, Stop, stopped } from '../lib.mjs';
import { install } from '../prepare.mjs';

/** Rooms whose rules are held to it, and the share of small faults that their tests have to notice. */
const ROOMS = ['length', 'setting', 'border', 'layer', 'edge', 'cutting', 'shopping', 'block'];
const AIM = 80;
const folder = path.join(root, 'node_modules/.lattice/mutation');

function readFlags(args) {
  try {
    return parseArgs({
      args,
      allowPositionals: true,
      options: {
        sample: { type: 'string', default: '100' },
        seed: { type: 'string', default: '1' },
        all: { type: 'boolean', default: false },
        survivors: { type: 'boolean', default: false },
        planted: { type: 'boolean', default: false },
      },
    });
  } catch (error) {
    throw new Stop(
      `./lattice mutate: ${error.message.split('\n')[0]} Known: [ROOM …], --sample N, --seed N, --all, --survivors; or --planted [FAULT …].`,
    );
  }
}

/** What verdicts on a room's faults rest on beside the room itself: the rest of the core, its tests, and how they are run. */
function stateWithout(room) {
  const files = ['packages/core/src', 'packages/core/test', 'scripts/mutation']
    .flatMap((place) =>
      readdirSync(path.join(root, place), { recursive: true })
        .filter((name) => path.extname(name) !== '')
        .map((name) => `${place}/${name}`),
    )
    .filter((file) => !file.startsWith(`packages/core/src/${room}/`))
    .sort();
  const hash = createHash('sha256');
  for (const file of files) hash.update(`${file}\n`).update(readFileSync(path.join(root, file)));
  return hash.digest('hex').slice(0, 16);
}

/** Verdicts known from a run before are kept while only the room itself changes: a check that is new has to see every fault. */
function forgetStale(room) {
  const known = `${room}.${stateWithout(room)}.known.json`;
  for (const file of readdirSync(folder))
    if (file.startsWith(`${room}.`) && file.endsWith('.known.json') && file !== known)
      rmSync(path.join(folder, file));
}

/** The mutation tool's own settings for one room. */
const settings = (room, mutate) => ({
  mutate,
  testRunner: 'jest',
  testRunnerNodeArgs: ['--experimental-vm-modules'],
  jest: {
    projectType: 'custom',
    configFile: 'scripts/mutation/jest.config.mjs',
    enableFindRelatedTests: false,
  },
  mutator: { excludedMutations: ['StringLiteral'] },
  ignorePatterns: ['docs', 'apps', 'e2e', 'bench'],
  coverageAnalysis: 'perTest',
  concurrency: 2,
  timeoutMS: 4_000,
  timeoutFactor: 1.5,
  incremental: true,
  incrementalFile: path.join(folder, `${room}.${stateWithout(room)}.known.json`),
  reporters: ['json'],
  jsonReporter: { fileName: path.join(folder, `${room}.json`) },
  tempDirName: '.mutation',
  logLevel: 'warn',
  checkers: [],
  disableTypeChecks: false,
  allowConsoleColors: false,
});

async function mutateRoom(room, { sample, seed, all }) {
  const { mutantsOf, sampled } = await import('../mutation/mutants.mjs');
  const mutants = await mutantsOf(room);
  if (mutants.length === 0)
    throw new Stop(`./lattice mutate ${room}: the core has no room of this name, or no rule in it.`);
  const { ranges } = sampled(mutants, all ? Infinity : Number(sample), Number(seed));
  mkdirSync(folder, { recursive: true });
  forgetStale(room);
  const config = path.join(folder, `${room}.config.json`);
  writeFileSync(config, JSON.stringify(settings(room, ranges)));
  rmSync(path.join(folder, `${room}.json`), { force: true });
  const code = await show(bin('stryker'), ['run', config], { LATTICE_MUTATE_ROOM: room });
  const report = path.join(folder, `${room}.json`);
  if (!existsSync(report)) throw new Stop(`The mutation of ${room} did not come to an end (${code}).`);
  return { all: mutants.length, ...counted(JSON.parse(readFileSync(report, 'utf8'))) };
}

/** Faults that were noticed (or sent a test round and round), and those that were not, each with its place. */
function counted({ files }) {
  const mutants = Object.entries(files).flatMap(([file, { mutants: own, source }]) =>
    own.map((m) => ({ ...m, file, source })),
  );
  const put = mutants.filter((m) => ['Killed', 'Timeout', 'Survived', 'NoCoverage'].includes(m.status));
  const survivors = put.filter((m) => m.status === 'Survived' || m.status === 'NoCoverage');
  return { put: put.length, killed: put.length - survivors.length, survivors };
}

function line({ file, location: { start }, replacement, source }) {
  return `${file}:${start.line}:${start.column}  ${source.split('\n')[start.line - 1].trim().slice(0, 110)}\n      → ${String(replacement).replace(/\s+/g, ' ').slice(0, 110)}`;
}

export const run = stopped(async (args) => {
  const { values, positionals } = readFlags(args);
  await install();
  if (values.planted) return (await import('../mutation/planted.mjs')).plantAll(positionals);
  const rooms = positionals.length > 0 ? positionals : ROOMS;
  let below = 0;
  for (const room of rooms) {
    const { all, put, killed, survivors } = await mutateRoom(room, values);
    const share = put === 0 ? 0 : (100 * killed) / put;
    if (share < AIM) below++;
    console.log(
      `${room.padEnd(10)} ${String(killed).padStart(4)} of ${String(put).padStart(4)} noticed, ${share.toFixed(1)} %   (${all} in all)`,
    );
    if (values.survivors) for (const survivor of survivors) console.log(`   ${line(survivor)}`);
  }
  return below > 0 ? 1 : 0;
});
