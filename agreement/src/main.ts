import { parseArgs } from 'node:util';
import { disagreementsIn } from './claim.ts';
import { eveningOf } from './evening.ts';
import { claimsOf, eveningSaid } from './surfaces.ts';

// `./lattice agree [--evenings N] [--seed N]`: whether every surface gives the same figures, over evenings by chance.
const { values } = parseArgs({ options: { evenings: { type: 'string' }, seed: { type: 'string' } } });
const number = (text: string | undefined, otherwise: number): number => {
  if (text === undefined) return otherwise;
  if (!/^\d{1,9}$/.test(text)) {
    console.error(`“${text}” is not a whole number.`);
    process.exit(2);
  }
  return Number(text);
};
const evenings = number(values.evenings, 1000);
const seed = number(values.seed, Date.now() % 1_000_000);
let claims = 0;
let found = 0;
for (let i = 0; i < evenings; i++) {
  const evening = eveningOf(seed + i);
  const said = await claimsOf(evening);
  claims += said.length;
  for (const { of, one, other } of disagreementsIn(said)) {
    found++;
    console.log(`FOUND seed ${seed + i} (${eveningSaid(evening)}): ${of}`);
    console.log(`      ${one.surface}: ${one.value}`);
    console.log(`      ${other.surface}: ${other.value}`);
  }
}
console.log(
  `${evenings} evenings from seed ${seed}, ${claims} figures: ${found === 0 ? 'all agree.' : `${found} disagree.`}`,
);
process.exitCode = found === 0 ? 0 : 1;
