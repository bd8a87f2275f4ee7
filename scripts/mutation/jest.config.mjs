import config from '../../jest.config.js';

/** For each room of the core the test files that hold its rules: those are put to it, and those alone. */
export const TESTS_OF = {
  length: ['length'],
  strip: ['cutting', 'buying', 'joins', 'direction', 'settings', 'working'],
  cut: ['cutting', 'ids', 'direction', 'settings', 'properties'],
  log: ['log', 'ids'],
  scene: ['scene', 'template'],
  setting: ['every-setting', 'settings', 'direction', 'properties', 'ids'],
  border: ['borders', 'settings', 'measured', 'spacer'],
  layer: ['layers', 'buying', 'working'],
  edge: ['edge-outline', 'edge-finishes', 'cloth-for-edge', 'template', 'edged-plans', 'working'],
  cutting: [
    'cutting',
    'buying',
    'joins',
    'direction',
    'settings',
    'fabric-use',
    'lie',
    'working',
    'cloth-for-edge',
    'properties',
  ],
  shopping: ['buying'],
  block: ['blocks', 'pile', 'progress'],
};

const tests = TESTS_OF[process.env.LATTICE_MUTATE_ROOM] ?? ['*'];

const core = config.projects.find((room) => room.displayName === 'core');

/** The core's tests of the room that is put to it, their properties on few cases. */
export default {
  ...core,
  moduleNameMapper: { ...core.moduleNameMapper, '^fast-check$': '<rootDir>/scripts/mutation/few-runs.cjs' },
  testMatch: tests.map((name) => `<rootDir>/packages/core/test/${name}.test.ts`),
};
