import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { type LogEntry, readPlanJson } from '@lattice/core';
import { type Claim, disagreementsIn, saidOnce } from '../src/claim.ts';
import { type Evening, eveningOf } from '../src/evening.ts';
import type { Surface } from '../src/surface.ts';
import { claimsOf, eveningSaid, SURFACES } from '../src/surfaces.ts';

const EVENINGS = 24;
const surface = (name: string): Surface => SURFACES.find((one) => one.name === name)!;
/** What all surfaces say of each evening, asked once: every fault is held against the same. */
const evenings = Array.from({ length: EVENINGS }, (_, i) => eveningOf(i + 1));
const said = new Map<Evening, readonly Claim[]>();
async function saidOf(evening: Evening): Promise<readonly Claim[]> {
  const had = said.get(evening);
  if (had) return had;
  const claims = await claimsOf(evening);
  said.set(evening, claims);
  return claims;
}
/** One surface that is told of another evening than was. */
interface Fault {
  readonly name: string;
  readonly told: (evening: Evening) => Evening;
}
const withFault = (name: string, told: Fault['told']): Fault => ({ name, told });
const without = (log: readonly LogEntry[], ...kinds: LogEntry['kind'][]) =>
  log.filter(({ kind }) => !kinds.includes(kind));

/** Whether, over some evenings, the surfaces are found to disagree on such a quantity when one of them is at fault. */
async function disagreeOn(of: RegExp, { name, told }: Fault): Promise<boolean> {
  for (const evening of evenings) {
    const others = (await saidOf(evening)).filter((claim) => claim.surface !== name);
    const wrong = await claimsOf(told(evening), [surface(name)]);
    if (disagreementsIn([...others, ...wrong]).some((one) => of.test(one.of))) return true;
  }
  return false;
}

// Whatever was planned, cut, spoiled, set aside, bought, measured, chosen, sewn or changed: one figure, one value.
test(`every surface gives the same figures, over ${EVENINGS} evenings`, async () => {
  for (const [i, evening] of evenings.entries()) {
    const found = disagreementsIn(await saidOf(evening));
    expect([i + 1, eveningSaid(evening), found]).toEqual([i + 1, eveningSaid(evening), []]);
  }
});

test('evenings are of every kind: something of all that can happen happens', () => {
  const kinds = new Set<string>();
  for (const { plan, log } of evenings) {
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
  });
  test('one that tells of another way of sewing than was chosen', async () => {
    const forgets = withFault('paper', ({ plan, log }) => ({ plan, log: without(log, 'sewing-chosen') }));
    expect(await disagreeOn(/^sewn/, forgets)).toBe(true);
    expect(await disagreeOn(/^step \d/, forgets)).toBe(true);
  });
  test('one that passes what was planned for what was measured', async () => {
    const forgets = withFault('shelf, record, forecast, scripts', ({ plan, log }) => ({
      plan: { ...plan, measured: [] },
      log,
    }));
    expect(await disagreeOn(/^finished/, forgets)).toBe(true);
  });
  test('a drawing, a command, a journal, an answer at the counter', async () => {
    const plans = (name: string, change: (plan: Evening['plan']) => Partial<Evening['plan']>) =>
      withFault(name, ({ plan, log }) => ({ plan: { ...plan, ...change(plan) }, log }));
    const wider = plans('drawings', ({ borders, block }) => ({
      borders: borders.map((border) => ({ ...border, sides: border.sides + 1 })),
      block: { ...block, height: block.height + 0.5 },
    }));
    expect(await disagreeOn(/^drawn/, wider)).toBe(true);
    const scant = plans('drawings', ({ seam }) => ({ seam: seam / 2 }));
    expect(await disagreeOn(/^outlines cut/, scant)).toBe(true);
    const forgets = withFault('cut, sew, journal', ({ plan, log }) => ({
      plan,
      log: without(log, 'seams-sewn'),
    }));
    expect(await disagreeOn(/^seams sewn/, forgets)).toBe(true);
    const longer = plans('answers at the counter', ({ backing }) => ({
      backing: { ...backing, overhang: backing.overhang + 1 },
    }));
    expect(await disagreeOn(/^backing/, longer)).toBe(true);
    const other = plans('answers at the counter', ({ binding }) => ({
      binding: { ...binding, school: binding.school === 'plus-ten' ? 'plus-twelve' : 'plus-ten' },
    }));
    expect(await disagreeOn(/^binding/, other)).toBe(true);
  });
  test('one that is off by one, by an eighth, or by a word', async () => {
    const claims = await claimsOf(eveningOf(3), [surface('screens')]);
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

// Papers as PDF, read again by a library that had no part in writing them: run as the command is, outside the test runner.
test('what is written on papers stands on them once they are printed', () => {
  const root = path.join(__dirname, '../..');
  const out = execFileSync(
    process.execPath,
    ['--import', 'tsx', 'agreement/src/main.ts', '--evenings', '2', '--seed', '3', '--printed'],
    { cwd: root, encoding: 'utf8' },
  );
  // Without papers two evenings have some 450 figures; each line of a paper is two more.
  expect(Number(/(\d+) figures: all agree\./.exec(out)![1])).toBeGreaterThan(700);
});
