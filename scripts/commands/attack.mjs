import { show, stopped } from '../lib.mjs';
import { install } from '../prepare.mjs';

export const run = stopped(async (args) => {
  await install();
  return show(process.execPath, ['--import', 'tsx', 'attack/src/main.ts', ...args]);
});
