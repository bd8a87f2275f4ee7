import { show, stopped } from '../lib.mjs';
import { buildCommand, install } from '../prepare.mjs';

/** Questions for the core, by its built command; `lattice` calls that by itself where it is fresh. */
export const run = stopped(async (args, name) => {
  await install();
  return show('node', [await buildCommand(), name, ...args]);
});
