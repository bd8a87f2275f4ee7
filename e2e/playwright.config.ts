import { defineConfig } from '@playwright/test';
import { CHROMIUM_FLAGS } from './support/chromium.ts';

const report = process.env['PLAYWRIGHT_JSON_OUTPUT_NAME'];

export default defineConfig({
  testDir: './tests',
  globalSetup: '../scripts/test/support/built.mjs',
  outputDir: '../test-results',
  fullyParallel: false,
  workers: 2,
  // Only what stands still for good fails by its time: a busy machine is slow, not wrong.
  timeout: 240_000,
  expect: { timeout: 60_000 },
  retries: 0,
  reporter: report ? [['list'], ['json', { outputFile: report }]] : 'list',
  use: {
    viewport: { width: 1280, height: 800 },
    // What the app keeps for being offline has tests of its own; all others see the network as it is.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env['LATTICE_CHROMIUM'] ?? 'chromium-headless-shell',
      args: CHROMIUM_FLAGS,
    },
    colorScheme: 'light',
    trace: 'off',
  },
});
