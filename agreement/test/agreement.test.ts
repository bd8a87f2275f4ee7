import { readFileSync } from 'node:fs';
import path from 'node:path';
import { type LogEntry, readPlanJson } from '@lattice/core';
import { type Claim, disagreementsIn, saidOnce } from '../src/claim.ts';
import { type Evening, eveningOf } from '../src/evening.ts';
import type { Surface } from '../src/surface.ts';
import { claimsOf, eveningSaid, SURFACES } from '../src/surfaces.ts';

const EVENINGS = 40;
const surface = (name: string): Surface => SURFACES.find((one) => one.name === name)!;
/** The surfaces with one of them at fault. */
const withFault = (name: string, fault: (evening: Evening) => Evening): Surface[] =>
  SURFACES.map((one) => (one.name === name ? { ...one, says: (evening) => one.says(fault(evening)) } : one));
const without = (log: readonly LogEntry[], ...kinds: LogEntry['kind'][]) =>
  log.filter(({ kind }) => !kinds.includes(kind));

/** Whether, over some evenings, the surfaces are found to disagree on such a quantity. */
async function disagreeOn(of: RegExp, surfaces: readonly Surface[]): Promise<boolean> {
  for (let seed = 1; seed <= EVENINGS; seed++)
    if (disagreementsIn(await claimsOf(eveningOf(seed), surfaces)).some((one) => of.test(one.of)))
      return true;
  return false;
}

// Whatever was planned, cut, spoiled, set aside, bought, measured, chosen, sewn or changed: one figure, one value.
test(`every surface gives the same figures, over ${EVENINGS} evenings`, async () => {
  for (let seed = 1; seed <= EVENINGS; seed++) {
    const evening = eveningOf(seed);
    const found = disagreementsIn(await claimsOf(evening));
    expect([seed, eveningSaid(evening), found]).toEqual([seed, eveningSaid(evening), []]);
  }
}, 180_000);

test('evenings are of every kind: something of all that can happen happens', () => {
  const kinds = new Set<string>();
  for (let seed = 1; seed <= EVENINGS; seed++) {
    const { plan, log } = eveningOf(seed);
    for (const { kind } of log) kinds.add(kind);
    if (plan.measured.length > 0) kinds.add('measured');
    kinds.add(plan.unit);
  }
  expect([...kinds].sort()).toEqual(
    [
      ...['bought', 'cm', 'cut-lost', 'cutting-planned', 'in', 'measured', 'seams-sewn'],
      ...['sewing-chosen', 'stash-moved', 'stash-put', 'step-cut'],
    ].sort(),
  );
});

describe('a surface at fault is found', () => {
  test('one that buys as if nothing had been cut, bought or set aside', async () => {
    const forgets = (...kinds: LogEntry['kind'][]) =>
      withFault('page to share', ({ plan, log }) => ({ plan, log: without(log, ...kinds) }));
    expect(await disagreeOn(/^to buy/, forgets('step-cut'))).toBe(true);
    expect(await disagreeOn(/^to buy/, forgets('bought'))).toBe(true);
    expect(await disagreeOn(/^steps at the table/, forgets('stash-moved'))).toBe(true);
  }, 180_000);
  test('one that tells of another way of sewing than was chosen', async () => {
    const forgets = withFault('paper', ({ plan, log }) => ({ plan, log: without(log, 'sewing-chosen') }));
    expect(await disagreeOn(/^sewn/, forgets)).toBe(true);
    expect(await disagreeOn(/^step \d/, forgets)).toBe(true);
  }, 120_000);
  test('one that passes what was planned for what was measured', async () => {
    const forgets = withFault('shelf, record, forecast, scripts', ({ plan, log }) => ({
      plan: { ...plan, measured: [] },
      log,
    }));
    expect(await disagreeOn(/^finished/, forgets)).toBe(true);
  }, 120_000);
  test('one that is off by one, by an eighth, or by a word', async () => {
    const [evening] = [eveningOf(3)];
    const claims = await claimsOf(evening, [surface('screens')]);
    const planted = (change: (claim: Claim) => Claim['value'] | null) =>
      claims.flatMap((claim): Claim[] => {
        const value = change(claim);
        return value === null ? [] : [{ ...claim, surface: 'planted', within: 0, value }];
      });
    const kinds = new Set(claims.map(({ of }) => of.replace(/: .*| \d.*/, '')));
    for (const kind of kinds) {
      const own = (of: string) => of.replace(/: .*| \d.*/, '') === kind;
      const wrong = planted(({ of, value }) =>
        !own(of) ? null : typeof value === 'number' ? value + 0.125 : `${value} or so`,
      );
      expect(disagreementsIn([...claims, ...wrong]).length).toBeGreaterThan(0);
      const right = planted(({ of, value }) => (own(of) ? value : null));
      expect(disagreementsIn([...claims, ...right])).toEqual([]);
    }
  });
});

// A figure that only one surface gives is held against nothing: these are known, and no more.
test('of the demo every figure is said by two surfaces, but for a few', async () => {
  const file = path.join(__dirname, '../../demo/potting-shed.plan.json');
  const read = readPlanJson(readFileSync(file, 'utf8'));
  if (!read.ok) throw new Error('The demo plan cannot be read.');
  const alone = saidOnce(await claimsOf({ plan: read.plan, log: [] }));
  expect([...new Set(alone.map((of) => of.replace(/\d+/, 'N')))]).toEqual(['step N does']);
});
