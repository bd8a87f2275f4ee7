import path from 'node:path';
import { parseArgs } from 'node:util';
import { bin, show, Stop, stopped } from '../lib.mjs';
import { build, buildCommand, install } from '../prepare.mjs';

/** Flags of `demo`, checked before anything long is begun. */
function readFlags(args) {
  try {
    return parseArgs({ args, options: { port: { type: 'string' }, data: { type: 'string' } } }).values;
  } catch (error) {
    throw new Stop(`./lattice demo: ${error.message.split('\n')[0]} Known: --port N, --data DIR.`);
  }
}

export const run = stopped(async (args) => {
  const { port, data } = readFlags(args);
  await install();
  await build();
  await buildCommand();
  const flags = [
    '--demo',
    ...(port ? ['--port', port] : []),
    ...(data ? ['--data', path.resolve(process.env.LATTICE_CALLED_FROM ?? '.', data)] : []),
  ];
  return show(bin('tsx'), ['apps/server/src/main.ts', ...flags]);
});
