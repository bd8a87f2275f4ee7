import { show, stopped } from '../lib.mjs';
import { buildServer, install } from '../prepare.mjs';

export const run = stopped(async (args) => {
  await install();
  await buildServer();
  return show(process.execPath, ['--import', 'tsx', 'attack/src/main.ts', ...args]);
});
