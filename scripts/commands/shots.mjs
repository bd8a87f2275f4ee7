import { show, stopped } from '../lib.mjs';
import { build, buildServer, chromium, install } from '../prepare.mjs';

export const run = stopped(async () => {
  await install();
  const LATTICE_CHROMIUM = await chromium();
  await build();
  await buildServer();
  return show(process.execPath, ['--import', 'tsx', 'e2e/shots.ts'], { LATTICE_CHROMIUM });
});
