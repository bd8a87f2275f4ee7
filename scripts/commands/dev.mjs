import { bin, show, stopped } from '../lib.mjs';
import { install } from '../prepare.mjs';

export const run = stopped(async () => {
  await install();
  const codes = await Promise.all([
    show(bin('tsx'), ['watch', 'apps/server/src/main.ts', '--demo', '--data', '.lattice/dev']),
    show(bin('vite'), ['apps/web', '--config', 'apps/web/vite.config.ts']),
  ]);
  return Math.max(...codes);
});
