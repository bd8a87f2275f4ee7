import path from 'node:path';
import { parseArgs } from 'node:util';
import { show, Stop, stopped } from '../lib.mjs';
import { build, buildCommand, buildServer, install } from '../prepare.mjs';
import { SERVER } from '../../apps/server/start.mjs';

/** Flags of `demo`, and which of them name a file or folder as seen from where one stands. */
const FLAGS = {
  port: { type: 'string' },
  data: { type: 'string' },
  log: { type: 'string' },
  share: { type: 'boolean' },
  'share-port': { type: 'string' },
  passphrase: { type: 'string' },
  cert: { type: 'string' },
  key: { type: 'string' },
  proxy: { type: 'string', multiple: true },
  called: { type: 'string', multiple: true },
};
const PLACES = new Set(['data', 'log', 'cert', 'key']);
const KNOWN =
  '--port N, --data DIR, --log FILE, --share, --share-port N, --passphrase WORDS, --cert FILE, --key FILE, --proxy ADDRESS, --called NAME.';

/** The flags, checked before anything long is begun. */
function readFlags(args) {
  try {
    return parseArgs({ args, options: FLAGS }).values;
  } catch (error) {
    throw new Stop(`./lattice demo: ${error.message.split('\n')[0]} Known: ${KNOWN}`);
  }
}

const stands = process.env.LATTICE_CALLED_FROM ?? '.';

export const run = stopped(async (args) => {
  const flags = Object.entries(readFlags(args)).flatMap(([flag, value]) =>
    value === true
      ? [`--${flag}`]
      : [value].flat().flatMap((one) => [`--${flag}`, PLACES.has(flag) ? path.resolve(stands, one) : one]),
  );
  await install();
  await build();
  await buildServer();
  await buildCommand();
  return show(process.execPath, [...SERVER, '--demo', ...flags]);
});
