import { createHash } from 'node:crypto';
import { writeFileSync } from 'node:fs';
const [root, out] = process.argv.slice(2);
const fc = (await import('fast-check')).default;
const core: any = await import(`${root}/packages/core/src/index.ts`);
const plans: any = await import(`${root}/packages/core/test/support/plans.ts`);
const arb = plans.anyPlan ?? plans.soundPlan;
const sample = fc.sample(arb, { numRuns: 220, seed: 42 });
const h = (v: unknown) => createHash('sha1').update(JSON.stringify(v, (_, x) => (x instanceof Map ? [...x] : x instanceof Set ? [...x] : x)) ?? '').digest('hex').slice(0, 10);
const lines: string[] = [];
for (const plan of sample as any[]) {
  const q = core.computeQuilt(plan);
  const parts: unknown[] = [h(q)];
  try { parts.push(h(core.toBuy(plan, q, { id: 'q', log: [] }).map((b: any) => [b.needed, b.buy, b.table.steps]))); } catch (e) { parts.push('x' + (e as Error).message.slice(0, 30)); }
  try { const c = core.chosenSewing(plan, q, null); parts.push(h([c.way?.steps, c.way?.seams, c.pressing, c.guide])); } catch (e) { parts.push('y' + (e as Error).message.slice(0, 30)); }
  lines.push(parts.join(' '));
}
writeFileSync(out, lines.join('\n'));
console.log(lines.length, lines.slice(0, 3));
