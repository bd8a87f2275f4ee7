import { show, stopped } from '../lib.mjs';
import { buildCommand, install } from '../prepare.mjs';

export const run = stopped(async (args) => {
  await install();
  await buildCommand();
  return show(process.execPath, ['--import', 'tsx', 'bench/src/main.ts', ...args]);
});
