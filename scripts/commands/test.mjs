import { existsSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import path from 'node:path';
import { beside, bin, root, show, Stop, stopped } from '../lib.mjs';
import { build, buildCommand, buildServer, chromium, compileDriver, installPackages } from '../prepare.mjs';
import { browserTimes, jestTimes, minutes, slowest } from '../times.mjs';

/** The compiler made for speed; the linter needs the one that can be asked, so both are there. */
const TSC = path.join(root, 'node_modules/typescript-native/bin/tsc');
const ROOMS = ['packages', 'apps', 'e2e', 'bench', 'attack', 'agreement', 'scripts'];
/** Rooms that know no page are one program: what they share is read once. */
const TYPES = [
  ['of the rooms without a page', 'tsconfig.node.json'],
  ['of apps/web', 'apps/web'],
  ['of e2e', 'e2e'],
];

/** A check that passes or fails as a whole; its output is shown only when it fails. */
async function check([name, command, ...args]) {
  const started = Date.now();
  const { code, out } = await beside(command, args);
  console.log(
    `${code === 0 ? 'ok    ' : 'FAILED'} ${name} (${((Date.now() - started) / 1000).toFixed(1)} s)`,
  );
  if (code !== 0) console.log(out);
  return code === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 };
}

/** Runs checks, as many at a time as there are cores; the longest should come first. */
async function checks(list) {
  const results = [];
  const left = [...list];
  const one = async () => {
    for (let next = left.shift(); next; next = left.shift()) results.push(await check(next));
  };
  await Promise.all(Array.from({ length: availableParallelism() }, one));
  return results;
}

/** Runs a test runner that leaves a JSON report; a run that leaves none has failed. */
async function report(name, file, command, args, env, count, times) {
  const place = path.join(root, 'node_modules/.lattice', file);
  rmSync(place, { force: true });
  console.log(`\n${name}`);
  const code = await show(command, args(place), env(place));
  if (!existsSync(place)) return { passed: 0, failed: 1 };
  const said = JSON.parse(readFileSync(place, 'utf8'));
  const counted = { ...count(said), tests: times(said) };
  return code !== 0 && counted.failed === 0 ? { ...counted, failed: 1 } : counted;
}

/** How many of the slowest are named when they are asked for. */
const SLOWEST = 20;

export const run = stopped(async (args) => {
  const unknown = args.find((flag) => flag !== '--times');
  if (unknown !== undefined) throw new Stop(`./lattice test: ${unknown} is not known. Known: --times.`);
  const parts = [];
  let began = Date.now();
  const part = (name) => {
    parts.push(`${name} ${minutes(Date.now() - began)}`);
    began = Date.now();
  };
  await installPackages();
  part('installing');
  // Compiling and fetching keep one core busy and not more: meanwhile it is looked through.
  const rest = (async () => {
    await compileDriver();
    return chromium();
  })();
  rest.catch(() => undefined);
  const results = [];
  results.push(
    ...(await checks([
      ['lint', bin('eslint'), '.', '--max-warnings', '0'],
      ['formatting', bin('prettier'), '--check', '.'],
      ['nothing unused', bin('knip')],
      ...TYPES.map(([what, program]) => [`types ${what}`, TSC, '-p', program, '--noEmit']),
      ['rooms depend one way', bin('depcruise'), '--config', '.dependency-cruiser.mjs', ...ROOMS],
    ])),
  );
  const LATTICE_CHROMIUM = await rest;
  await buildCommand();
  await buildServer();
  part('looking through');
  results.push(
    await report(
      'Unit tests',
      'jest.json',
      bin('jest'),
      (place) => ['--json', `--outputFile=${place}`, '--silent', '--maxWorkers=100%'],
      () => ({}),
      (r) => ({ passed: r.numPassedTests, failed: r.numFailedTests + r.numRuntimeErrorTestSuites }),
      jestTimes,
    ),
  );
  part('unit tests');
  await build();
  results.push(
    await report(
      'Browser tests',
      'browser.json',
      bin('playwright'),
      () => ['test', '--config', 'e2e/playwright.config.ts'],
      (place) => ({ LATTICE_CHROMIUM, PLAYWRIGHT_JSON_OUTPUT_NAME: place }),
      (r) => ({ passed: r.stats.expected + r.stats.flaky, failed: r.stats.unexpected + r.errors.length }),
      browserTimes,
    ),
  );
  part('browser tests');
  const sum = (key) => results.reduce((total, r) => total + r[key], 0);
  if (args.includes('--times'))
    console.log(
      `\n${slowest(
        results.flatMap(({ tests = [] }) => tests),
        SLOWEST,
      ).join('\n')}`,
    );
  console.log(`\n${parts.join(', ')}`);
  console.log(`\n${sum('passed')} passed, ${sum('failed')} failed`);
  return sum('failed') === 0 ? 0 : 1;
});
