import { existsSync, utimesSync } from 'node:fs';
import path from 'node:path';
import { beside, bin, hashOf, once, quiet, root, Stop } from './lib.mjs';

const DRIVER = 'better-sqlite3';
/** What more than one app is built from. */
const PACKAGES = ['packages/core', 'packages/contract', 'packages/export', 'packages/photo'];
const isRoot = process.getuid?.() === 0;

/** Installs Debian packages when it may; answers whether they are there now. */
async function apt(...packages) {
  if (!isRoot || quiet('apt-get', ['--version']).code !== 0) return false;
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  await beside('apt-get', ['update', '-qq'], env);
  const { code } = await beside(
    'apt-get',
    ['install', '-y', '-qq', '--no-install-recommends', ...packages],
    env,
  );
  return code === 0;
}

/** Shows npm's last words and stops. */
function notInstalled(what, out) {
  console.error(out.trim().split('\n').slice(-25).join('\n'));
  throw new Stop(
    `${what} could not be installed; npm’s own words are above. Check the network and the disk, then try again.`,
  );
}

const installed = () => `${hashOf('package-lock.json')} ${process.version}`;

/** Installs the packages of the lock file, all but what has to be compiled here. */
export const installPackages = () =>
  once('packages', installed(), async () => {
    console.error('Installing packages (the first time takes a few minutes)…');
    // None but the database driver needs its own script: what others fetch or check is in their packages.
    const words = ['ci', '--no-audit', '--no-fund', '--include=dev', '--ignore-scripts'];
    const { code, out } = await beside('npm', words);
    if (code !== 0) notInstalled('The packages', out);
  });

/**
 * Compiles the database driver where no ready-made one can be had; then it needs a compiler and Node's headers, looked
 * for beside Node itself.
 */
export const compileDriver = () =>
  once('driver', installed(), async () => {
    const headers = path.resolve(process.execPath, '../..');
    const env = {
      JOBS: 'max',
      ...(existsSync(path.join(headers, 'include/node/node.h')) ? { npm_config_nodedir: headers } : {}),
    };
    const attempt = () => beside('npm', ['rebuild', DRIVER], env);
    let { code, out } = await attempt();
    if (code !== 0 && /gyp|python|make|g\+\+/i.test(out) && (await apt('python3', 'make', 'g++')))
      ({ code, out } = await attempt());
    if (code !== 0) notInstalled('The database driver', out);
  });

/** Packages and driver: what every command needs. */
export async function install() {
  await installPackages();
  await compileDriver();
}

/** Builds the web app, when its sources or the core's have changed. */
export async function build() {
  await once('build', hashOf('apps/web', ...PACKAGES, 'package-lock.json'), async () => {
    console.error('Building the web app…');
    const { code, out } = quiet(bin('vite'), [
      'build',
      'apps/web',
      '--config',
      'apps/web/vite.config.ts',
      '--logLevel',
      'warn',
    ]);
    if (code !== 0) throw new Stop(`The web app could not be built.\n${out}`);
  });
}

/** Builds what runs in Node into files of its own, when its sources have changed; answers the path of what is started. */
async function bundle(name, folder, rooms, started) {
  const file = path.join(root, 'node_modules/.lattice', started);
  const build = () => {
    const { code, out } = quiet(bin('vite'), ['build', folder, '--config', `${folder}/vite.config.ts`]);
    if (code !== 0 || !existsSync(file)) throw new Stop(`The ${name} could not be built.\n${out}`);
  };
  await once(name, hashOf(folder, ...rooms, 'package-lock.json'), build, file);
  return file;
}

/** Builds the command line; its file is marked as of now, so that what is older than it is known to be in it. */
export async function buildCommand() {
  const command = await bundle('command', 'apps/cli', PACKAGES, 'cli/lattice.mjs');
  utimesSync(command, new Date(), new Date());
  return command;
}

/** Builds the server, with the maker of pictures and the backup by command beside it. */
export const buildServer = () => bundle('started server', 'apps/server', PACKAGES, 'server/server.mjs');

/** The one without a window first: it does the same with two thirds of the work. */
const WINDOWLESS = 'chromium-headless-shell';
const NAMES = [WINDOWLESS, 'chromium', 'chromium-browser', 'google-chrome'];

/** Chromium by name, on the path. */
const findChromium = (names = NAMES) =>
  names
    .map((name) => quiet('sh', ['-c', `command -v ${name}`]).out.trim())
    .find((found) => found !== '' && existsSync(found));

/** Path of Chromium, installed first where it is missing and may be. */
export async function chromium() {
  const best = process.env.LATTICE_CHROMIUM ?? findChromium([WINDOWLESS]);
  if (best) return best;
  console.error('Installing Chromium for the browser tests…');
  if (!(await apt(WINDOWLESS)) && !findChromium()) await apt('chromium');
  const found = findChromium();
  if (found) return found;
  throw new Stop('The browser tests need Chromium. Install Debian’s package “chromium”, then try again.');
}
