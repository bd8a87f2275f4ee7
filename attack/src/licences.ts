import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { type Attack, Found } from './attack.ts';

const root = path.resolve(import.meta.dirname, '../..');

/** Licences that let the app be used, changed and given away with theirs beside it (SPDX names). */
const FINE = [
  'MIT',
  'MIT-0',
  'ISC',
  '0BSD',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'Apache-2.0',
  'BlueOak-1.0.0',
  'CC0-1.0',
  'Unlicense',
  'BSL-1.0',
  'OFL-1.1',
  'Python-2.0',
  'Zlib',
];
/** Packages that say their licence in a way a program does not read; read by a person. */
const READ: Readonly<Record<string, string>> = { 'clipper-lib@6.4.2': 'BSL-1.0' };
/** Used as they are, beside the app, by loading them: their licence asks no more than to be named. */
const FINE_BESIDE = /^(LGPL-3\.0-or-later|MPL-2\.0|CC-BY-4\.0|CC-BY-3\.0)$/;

const isFine = (licence: string): boolean =>
  licence
    .replace(/[()*]/g, '')
    .split(/ OR /i)
    .some((way) =>
      way.split(/ AND /i).every((one) => FINE.includes(one.trim()) || FINE_BESIDE.test(one.trim())),
    );

/** Every package that is installed, with its licence as it states it. */
function installed(): Readonly<Record<string, { licenses?: string | string[] }>> {
  const { stdout } = spawnSync(
    process.execPath,
    [path.join(root, 'node_modules/.bin/license-checker-rseidelsohn'), '--json', '--start', root],
    { cwd: root, encoding: 'utf8', maxBuffer: 1 << 28 },
  );
  const all = JSON.parse(stdout) as Record<string, { licenses?: string | string[] }>;
  return Object.fromEntries(
    Object.entries(all).filter(([name]) => !/^(@lattice\/|dapper-lattice@)/.test(name)),
  );
}

interface Audit {
  readonly vulnerabilities?: Readonly<Record<string, { severity: string; isDirect: boolean }>>;
}

/** Known advisories, as far as the registry serves them; null where it does not. */
function advisories(): string[] | null {
  const { stdout } = spawnSync('npm', ['audit', '--json'], {
    timeout: 30_000,
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 1 << 28,
  });
  try {
    const { vulnerabilities } = JSON.parse(stdout) as Audit;
    if (!vulnerabilities) return null;
    return Object.entries(vulnerabilities)
      .filter(([, { severity }]) => severity === 'high' || severity === 'critical')
      .map(([name, { severity }]) => `${name}: a known advisory, ${severity}`);
  } catch {
    return null;
  }
}

export const licences: Attack = {
  name: 'licences',
  says: 'licences of every package that is installed, and known advisories as far as the registry serves them',
  usual: 1,
  async run() {
    const found = new Found();
    const packages = installed();
    for (const [name, { licenses = 'none' }] of Object.entries(packages)) {
      const all = [READ[name] ?? licenses].flat();
      found.unless(all.some(isFine), `${name}: ${all.join(', ')}`);
    }
    const known = advisories();
    for (const line of known ?? []) found.add(line);
    return {
      figures: {
        packages: Object.keys(packages).length,
        advisories: known === null ? 'not served by this registry' : known.length,
      },
      found: found.lines(),
    };
  },
};
