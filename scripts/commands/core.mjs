import { bin, show, stopped } from '../lib.mjs';
import { install } from '../prepare.mjs';

export const run = stopped(async (args, name) => {
  await install();
  return show(bin('tsx'), ['apps/cli/src/main.ts', name, ...args]);
});
