import { show, stopped } from '../lib.mjs';
import { install } from '../prepare.mjs';

export const run = stopped(async (args) => {
  await install();
  return show(process.execPath, ['--import', 'tsx', 'agreement/src/main.ts', ...args]);
});
