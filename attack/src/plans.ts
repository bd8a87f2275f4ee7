import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { computeQuilt, type Plan, quiltScene, readPlan, startPlan, STARTS } from '@lattice/core';
import { type Attack, Found, oneOf } from './attack.ts';
import { bend } from './bend.ts';
import { House } from './house.ts';

const demo = path.resolve(import.meta.dirname, '../../demo');

/** Whole plans to begin with: every beginning there is, and the demo's. */
const wholePlans = (): Plan[] => [
  ...STARTS.map(({ id }) => startPlan(id)),
  ...readdirSync(demo)
    .filter((file) => file.endsWith('.plan.json'))
    .map((file) => JSON.parse(readFileSync(path.join(demo, file), 'utf8')) as Plan),
];

/** No answer to a plan may take longer than this, in ms. */
const MOST_MS = 1_000;
/** How a plan may be answered. */
const PROPER: ReadonlySet<number> = new Set([201, 400, 413, 422]);

/** Whatever the core takes, it works out and draws. */
function workOut(raw: unknown, found: Found): number {
  const began = performance.now();
  try {
    const read = readPlan(raw);
    if (read.ok) quiltScene(read.plan, computeQuilt(read.plan).layout);
    else found.unless(read.problems.length <= 20, 'more than twenty problems are listed');
  } catch (error) {
    found.add(`a bent plan throws: ${(error as Error).message.slice(0, 120)}`);
  }
  return performance.now() - began;
}

export const plans: Attack = {
  name: 'plans',
  says: 'bent plans: each is taken whole and worked out, or refused in words; never a fault, never long',
  usual: 10_000,
  async run({ rounds, random, patience }) {
    const found = new Found();
    const whole = wholePlans();
    const house = await new House().start();
    let taken = 0;
    let slowest = 0;
    let slowestSum = 0;
    for (let i = 0; i < rounds; i++) {
      const plan = bend(random, oneOf(random, whole) as unknown as Record<string, unknown>);
      slowestSum = Math.max(slowestSum, workOut(plan, found));
      const { status, text, ms } = await house.send('POST', '/api/quilts', { plan });
      slowest = Math.max(slowest, ms);
      found.unless(PROPER.has(status), `a bent plan is answered with ${status}: ${text.slice(0, 120)}`);
      found.unless(ms <= patience * MOST_MS, 'a bent plan takes more than a second to answer');
      if (status === 201) taken++;
      else found.unless(text.length < 20_000, 'a refusal is longer than 20 kB');
    }
    found.unless(!/fabricFor|"blocks"/.test(house.said), 'a plan stands in the log');
    const shelf = await house.ask('GET', '/api/quilts?count=100');
    const listed = shelf.status === 200 ? (JSON.parse(shelf.text) as { total: number }).total : -1;
    found.unless(listed === taken, `of ${taken} plans that were taken the shelf lists ${listed}`);
    await house.clear();
    const rounded = (ms: number) => Math.round(ms);
    return {
      figures: {
        plans: rounds,
        taken,
        'slowest answer ms': rounded(slowest),
        'slowest worked out ms': rounded(slowestSum),
      },
      found: found.lines(),
    };
  },
};
