import { existsSync, utimesSync } from 'node:fs';
import path from 'node:path';
import { bin, hashOf, once, quiet, root, Stop } from './lib.mjs';

const isRoot = process.getuid?.() === 0;

/** Installs Debian packages when it may; answers whether they are there now. */
function apt(...packages) {
  if (!isRoot || quiet('apt-get', ['--version']).code !== 0) return false;
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  quiet('apt-get', ['update', '-qq'], env);
  return quiet('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...packages], env).code === 0;
}

/**
 * Installs the packages of the lock file. The database driver is compiled where no ready-made one can
 * be had; then it needs a compiler and Node's headers, looked for beside Node itself.
 */
export function install() {
  return once('install', `${hashOf('package-lock.json')} ${process.version}`, async () => {
    console.error('Installing packages (the first time takes a few minutes)…');
    const headers = path.resolve(process.execPath, '../..');
    const env = existsSync(path.join(headers, 'include/node/node.h')) ? { npm_config_nodedir: headers } : {};
    const attempt = () => quiet('npm', ['ci', '--no-audit', '--no-fund', '--include=dev'], env);
    let { code, out } = attempt();
    if (code !== 0 && /gyp|python|make|g\+\+/i.test(out) && apt('python3', 'make', 'g++'))
      ({ code, out } = attempt());
    if (code !== 0) {
      console.error(out.trim().split('\n').slice(-25).join('\n'));
      throw new Stop(
        'The packages could not be installed; npm’s own words are above. Check the network and the disk, then try again.',
      );
    }
  });
}

/** Builds the web app, when its sources or the core's have changed. */
export async function build() {
  await once(
    'build',
    hashOf('apps/web', 'packages/core', 'packages/export', 'packages/photo', 'package-lock.json'),
    async () => {
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
    },
  );
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
  const rooms = ['packages/core', 'packages/export', 'packages/photo'];
  const command = await bundle('command', 'apps/cli', rooms, 'cli/lattice.mjs');
  utimesSync(command, new Date(), new Date());
  return command;
}

/** Builds the server, with the maker of pictures and the backup by command beside it. */
export const buildServer = () =>
  bundle('started server', 'apps/server', ['packages/core', 'packages/export'], 'server/server.mjs');

/** The one without a window first: it does the same with two thirds of the work. */
const WINDOWLESS = 'chromium-headless-shell';
const NAMES = [WINDOWLESS, 'chromium', 'chromium-browser', 'google-chrome'];

/** Chromium by name, on the path. */
const findChromium = (names = NAMES) =>
  names
    .map((name) => quiet('sh', ['-c', `command -v ${name}`]).out.trim())
    .find((found) => found !== '' && existsSync(found));

/** Path of Chromium, installed first where it is missing and may be. */
export function chromium() {
  const best = process.env.LATTICE_CHROMIUM ?? findChromium([WINDOWLESS]);
  if (best) return best;
  console.error('Installing Chromium for the browser tests…');
  if (!apt(WINDOWLESS) && !findChromium()) apt('chromium');
  const found = findChromium();
  if (found) return found;
  throw new Stop('The browser tests need Chromium. Install Debian’s package “chromium”, then try again.');
}
