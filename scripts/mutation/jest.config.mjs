import config from '../../jest.config.js';

/** For each room of the core the test files that hold its rules: those are put to it, and those alone. */
export const TESTS_OF = {
  length: ['length', 'plan', 'working'],
  setting: ['settings', 'direction', 'lie', 'properties', 'working'],
  border: ['settings', 'measured', 'spacer', 'properties', 'working'],
  layer: ['layers', 'buying', 'working'],
  edge: ['edge-outline', 'edge-finishes', 'template', 'cloth-for-edge', 'counter', 'working'],
  cutting: ['buying', 'joins', 'direction', 'settings', 'cloth-for-edge', 'working'],
  shopping: ['buying', 'working'],
  block: ['blocks', 'plan', 'progress', 'working'],
};

const tests = TESTS_OF[process.env.LATTICE_MUTATE_ROOM] ?? ['*'];

/** The core's tests of the room that is put to it. */
export default {
  ...config.projects.find((room) => room.displayName === 'core'),
  testMatch: tests.map((name) => `<rootDir>/packages/core/test/${name}.test.ts`),
};
