import { show, stopped } from '../lib.mjs';
import { buildCommand, buildServer, install } from '../prepare.mjs';

export const run = stopped(async (args) => {
  await install();
  await buildCommand();
  await buildServer();
  return show(process.execPath, ['--import', 'tsx', 'bench/src/main.ts', ...args]);
});
