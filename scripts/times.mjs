/** How long something took, as people say it: 1:05 is a minute and five seconds. */
export const minutes = (ms) => {
  const seconds = Math.round(ms / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
};

/** The tests of a Jest report: `{name, ms}` each. */
export const jestTimes = ({ testResults }) =>
  testResults.flatMap(({ assertionResults }) =>
    assertionResults.map(({ fullName, duration }) => ({ name: fullName, ms: duration ?? 0 })),
  );

/** The tests of a Playwright report, however deep they lie: all tries of one together. */
export const browserTimes = ({ suites }) => {
  const of = ({ specs = [], suites: within = [], file }) => [
    ...specs.map(({ title, tests }) => ({
      name: `${file} ${title}`,
      ms: tests.flatMap(({ results }) => results).reduce((sum, { duration }) => sum + duration, 0),
    })),
    ...within.flatMap(of),
  ];
  return suites.flatMap(of);
};

/** The slowest, a line each. */
export const slowest = (tests, count) =>
  [...tests]
    .sort((a, b) => b.ms - a.ms)
    .slice(0, count)
    .map(({ name, ms }) => `${(ms / 1000).toFixed(1).padStart(7)} s  ${name}`);
