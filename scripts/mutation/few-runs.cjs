/* eslint-disable @typescript-eslint/no-require-imports -- the test runner's own modules are of this kind, and this one stands in for one of them. */
const { default: fc } = require('../../node_modules/fast-check/lib/cjs/fast-check.js');

/** Put against hundreds of faults one after another, a property is tried on few cases: most faults show at once. */
const MOST = 12;
const few = {
  ...fc,
  assert: (property, parameters = {}) =>
    fc.assert(property, { ...parameters, numRuns: Math.min(parameters.numRuns ?? MOST, MOST) }),
};

module.exports = { __esModule: true, ...few, default: few };
