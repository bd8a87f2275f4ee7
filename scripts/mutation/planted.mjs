import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { root, Stop } from '../lib.mjs';

/** Faults planted by hand, a patch each: what a user would see or lose, the tests that are to see it, and the change. */
const FOLDER = path.join(root, 'bench/faults');
/** Of a hundred, so many have to be noticed. */
const AIM = 95;

/** A fault as its file says: `Sees: …` and `Tests: FILE …`, then the change. */
function readFault(file) {
  const text = readFileSync(path.join(FOLDER, file), 'utf8');
  const said = (name) => new RegExp(`^${name}: (.+)$`, 'm').exec(text)?.[1] ?? '';
  const fault = { name: path.basename(file, '.patch'), patch: path.join(FOLDER, file), sees: said('Sees') };
  return { ...fault, tests: said('Tests').split(' ').filter(Boolean) };
}

/** Every fault, by name. */
export const faults = () =>
  readdirSync(FOLDER)
    .filter((file) => file.endsWith('.patch'))
    .sort()
    .map(readFault);

const git = (folder, ...words) =>
  spawnSync('git', words, { cwd: folder, encoding: 'utf8', env: { ...process.env, GIT_DIR: '/nowhere' } });

/** Whether a fault can still be planted: what it changes stands there as it did. Answers why not, or an empty text. */
export const whyNot = ({ patch }, folder = root) => {
  const { status, stderr } = git(folder, 'apply', '--check', patch);
  return status === 0 ? '' : stderr.trim();
};

/** A copy of the house to plant faults in: its own files, and the packages of this one. */
function copyOfHouse() {
  const copy = mkdtempSync(path.join(tmpdir(), 'lattice-planted-'));
  const listed = spawnSync('git', ['ls-files', '--cached', '--others', '--exclude-standard', '-z'], {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 1 << 26,
  });
  spawnSync('xargs', ['-0', 'cp', '--parents', '-t', copy], { cwd: root, input: listed.stdout });
  const packages = path.join(copy, 'node_modules');
  mkdirSync(packages);
  for (const name of readdirSync(path.join(root, 'node_modules')))
    if (!['@lattice', '.lattice'].includes(name))
      symlinkSync(path.join(root, 'node_modules', name), path.join(packages, name));
  // The house's own packages are the copy's.
  mkdirSync(path.join(packages, '@lattice'));
  for (const place of [
    ...readdirSync(path.join(root, 'packages')).map((name) => `packages/${name}`),
    'attack',
  ])
    symlinkSync(path.join(copy, place), path.join(packages, '@lattice', path.basename(place)));
  // What a room has of another version than the house lies in the room.
  for (const rooms of ['apps', 'packages'])
    for (const room of readdirSync(path.join(root, rooms))) {
      const own = path.join(root, rooms, room, 'node_modules');
      if (existsSync(own)) symlinkSync(own, path.join(copy, rooms, room, 'node_modules'));
    }
  return copy;
}

/** Tests of these rooms start the server as it is built. */
const OF_WHAT_IS_BUILT = /^(attack|scripts|apps\/cli)\//;

const passes = (copy, tests) => {
  const jest = path.join(root, 'node_modules/jest/bin/jest.js');
  const unbuilt = tests.some((test) => OF_WHAT_IS_BUILT.test(test)) ? {} : { LATTICE_UNBUILT: '1' };
  const { status } = spawnSync(process.execPath, [jest, ...tests, '--silent', '--bail'], {
    cwd: copy,
    encoding: 'utf8',
    maxBuffer: 1 << 26,
    env: { ...process.env, ...unbuilt },
  });
  return status === 0;
};

/** Plants the faults one after another and runs the tests each names; answers the exit code. */
export async function plantAll(names) {
  const known = faults();
  const unknown = names.find((name) => !known.some((fault) => fault.name === name));
  if (unknown) throw new Stop(`./lattice mutate --planted: there is no fault “${unknown}”.`);
  const chosen = known.filter(({ name }) => names.length === 0 || names.includes(name));
  const copy = copyOfHouse();
  try {
    const all = [...new Set(chosen.flatMap(({ tests }) => tests))];
    if (!passes(copy, all)) throw new Stop('The tests do not pass without a fault either: mend that first.');
    let noticed = 0;
    for (const fault of chosen) {
      const { status, stderr } = git(copy, 'apply', fault.patch);
      if (status !== 0) throw new Stop(`${fault.name} cannot be planted any more: ${stderr.trim()}`);
      const seen = !passes(copy, fault.tests);
      git(copy, 'apply', '--reverse', fault.patch);
      if (seen) noticed++;
      console.log(`${seen ? 'noticed' : 'MISSED '}  ${fault.name.padEnd(28)} ${fault.sees}`);
    }
    const share = (100 * noticed) / chosen.length;
    console.log(`${noticed} of ${chosen.length} noticed, ${share.toFixed(1)} % (aim ${AIM})`);
    return share >= AIM ? 0 : 1;
  } finally {
    rmSync(copy, { recursive: true, force: true });
  }
}
