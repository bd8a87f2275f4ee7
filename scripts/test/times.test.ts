import { execFileSync } from 'node:child_process';
import path from 'node:path';

/** What the module says of an input, asked where it runs: in Node, as it stands. */
const ask = (what: string) =>
  JSON.parse(
    execFileSync(
      process.execPath,
      [
        '--input-type=module',
        '-e',
        `import * as times from ${JSON.stringify(path.resolve(__dirname, '../times.mjs'))}; console.log(JSON.stringify(${what}))`,
      ],
      { encoding: 'utf8' },
    ),
  ) as unknown;

test('times are read off both kinds of report, all tries of a test together, and the slowest come first', () => {
  expect(ask('[0, 999, 59_600, 65_000, 600_400].map(times.minutes)')).toEqual([
    ...['0:00', '0:01', '1:00', '1:05', '10:00'],
  ]);
  const jest = {
    testResults: [
      { assertionResults: [{ fullName: 'a', duration: 1200 }] },
      {
        assertionResults: [
          { fullName: 'b', duration: null },
          { fullName: 'c', duration: 30_000 },
        ],
      },
    ],
  };
  const browser = {
    suites: [
      {
        file: 'x.spec.ts',
        specs: [{ title: 'd', tests: [{ results: [{ duration: 4000 }, { duration: 2500 }] }] }],
        suites: [{ file: 'x.spec.ts', specs: [{ title: 'e', tests: [{ results: [{ duration: 100 }] }] }] }],
      },
    ],
  };
  const all = `[...times.jestTimes(${JSON.stringify(jest)}), ...times.browserTimes(${JSON.stringify(browser)})]`;
  expect(ask(`times.slowest(${all}, 4)`)).toEqual([
    '   30.0 s  c',
    '    6.5 s  x.spec.ts d',
    '    1.2 s  a',
    '    0.1 s  x.spec.ts e',
  ]);
});
