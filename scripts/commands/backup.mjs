import path from 'node:path';
import { parseArgs } from 'node:util';
import { show, Stop, stopped } from '../lib.mjs';
import { buildServer, install } from '../prepare.mjs';

const stands = process.env.LATTICE_CALLED_FROM ?? '.';

/** `backup [FILE]` and `restore FILE`, with `--data DIR`; paths are as seen from where one stands. */
export const run = stopped(async (args, name) => {
  let read;
  try {
    read = parseArgs({ args, options: { data: { type: 'string' } }, allowPositionals: true });
  } catch (error) {
    throw new Stop(`./lattice ${name}: ${error.message.split('\n')[0]} Known: --data DIR.`);
  }
  const { values, positionals } = read;
  if (positionals.length > 1) throw new Stop(`./lattice ${name} takes one file.`);
  const files = positionals.map((file) => path.resolve(stands, file));
  const data = values.data === undefined ? [] : ['--data', path.resolve(stands, values.data)];
  await install();
  const beside = path.dirname(await buildServer());
  return show(process.execPath, [path.join(beside, 'backup.mjs'), name, ...files, ...data]);
});
