const swc = [
  '@swc/jest',
  {
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx: true },
      transform: { react: { runtime: 'automatic' } },
    },
    module: { type: 'commonjs' },
  },
];
// A test runs in a room of its own, where each look at a global is slow; to the rooms that reckon much these are handed in
// once, the same ones. (Elsewhere packages have parts of these names.)
const FAST = [
  ...['Array', 'BigInt', 'Boolean', 'Error', 'Float64Array', 'Infinity', 'Int32Array', 'JSON', 'Map', 'Math'],
  ...['Number', 'Object', 'Promise', 'Set', 'String', 'Symbol', 'Uint8Array', 'Uint8ClampedArray', 'WeakMap'],
];
const shared = {
  transform: { '\\.(ts|tsx|js|mjs)$': swc },
  // Modules in a form the test runner does not read as they are.
  transformIgnorePatterns: [
    '/node_modules/(?!(?:culori|d3-[a-z-]+|internmap|idb|ml-[a-z-]+|linear-sum-assignment|is-any-array|cheminfo-types)/)',
  ],
  moduleNameMapper: {
    '^@lattice/core$': '<rootDir>/packages/core/src/index.ts',
    '^@lattice/contract$': '<rootDir>/packages/contract/src/index.ts',
    '^@lattice/export/formats$': '<rootDir>/packages/export/src/formats.ts',
    '^@lattice/export/node$': '<rootDir>/packages/export/src/node.ts',
    '^@lattice/photo$': '<rootDir>/packages/photo/src/index.ts',
    '^@lattice/export$': '<rootDir>/packages/export/src/index.ts',
  },
  rootDir: import.meta.dirname,
  // Where the tests are put against small faults, copies of the house stand.
  modulePathIgnorePatterns: ['<rootDir>/.mutation'],
};
const room = (name, folder, environment = 'node') => ({
  ...shared,
  displayName: name,
  testEnvironment: environment,
  testMatch: [`<rootDir>/${folder}/test/**/*.test.{ts,tsx}`],
});

export default {
  // Only what stands still for good fails by its time: a busy machine is slow, not wrong.
  testTimeout: 240_000,
  globalSetup: '<rootDir>/scripts/test/support/built.mjs',
  projects: [
    { ...room('core', 'packages/core'), sandboxInjectedGlobals: FAST },
    { ...room('export', 'packages/export'), sandboxInjectedGlobals: FAST },
    { ...room('photo', 'packages/photo'), sandboxInjectedGlobals: FAST },
    room('contract', 'packages/contract'),
    { ...room('server', 'apps/server'), setupFiles: ['<rootDir>/apps/server/test/support/checked.ts'] },
    { ...room('cli', 'apps/cli'), sandboxInjectedGlobals: FAST },
    {
      ...room('web', 'apps/web', 'jest-environment-jsdom'),
      setupFiles: ['<rootDir>/apps/web/test/support/globals.ts'],
      setupFilesAfterEnv: ['<rootDir>/apps/web/test/support/patience.ts'],
    },
    room('house', 'scripts'),
    { ...room('attack', 'attack'), sandboxInjectedGlobals: FAST },
    { ...room('agreement', 'agreement'), sandboxInjectedGlobals: FAST },
  ],
};
