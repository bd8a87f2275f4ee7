import { bin, show, stopped } from '../lib.mjs';
import { install } from '../prepare.mjs';

export const run = stopped(async (args) => {
  await install();
  return show(bin('tsx'), ['apps/cli/src/main.ts', 'compute', ...args]);
});
