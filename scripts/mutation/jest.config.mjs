import config from '../../jest.config.js';

/** For each room of the core the test files that hold its rules: those are put to it, and those alone. */
export const TESTS_OF = {
  length: ['length', 'plan'],
  setting: ['settings', 'direction', 'lie', 'properties'],
  border: ['settings', 'measured', 'spacer'],
  layer: ['layers', 'buying'],
  edge: ['edge-outline', 'edge-finishes', 'template', 'cloth-for-edge', 'counter'],
  cutting: ['buying', 'joins', 'direction', 'settings', 'cloth-for-edge'],
  shopping: ['buying'],
  block: ['blocks', 'plan', 'progress'],
};

const tests = TESTS_OF[process.env.LATTICE_MUTATE_ROOM] ?? ['*'];

/** The core's tests of the room that is put to it. */
export default {
  ...config.projects.find((room) => room.displayName === 'core'),
  testMatch: tests.map((name) => `<rootDir>/packages/core/test/${name}.test.ts`),
};
