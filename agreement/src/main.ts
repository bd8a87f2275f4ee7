import { parseArgs } from 'node:util';
import { wholeNumber } from '../../attack/src/whole-number.ts';
import { disagreementsIn } from './claim.ts';
import { eveningOf } from './evening.ts';
import { printedClaims } from './printed.ts';
import { claimsOf, eveningSaid } from './surfaces.ts';

// `./lattice agree [--evenings N] [--seed N] [--printed]`: whether every surface gives the same figures, over evenings by
// chance; with --printed papers are printed and read again too, which takes a second an evening.
const { values } = parseArgs({
  options: { evenings: { type: 'string' }, seed: { type: 'string' }, printed: { type: 'boolean' } },
});
const evenings = wholeNumber(values.evenings, 1000);
const seed = wholeNumber(values.seed, Date.now() % 1_000_000);
let claims = 0;
let found = 0;
for (let i = 0; i < evenings; i++) {
  const evening = eveningOf(seed + i);
  const said = [...(await claimsOf(evening)), ...(values.printed ? await printedClaims(evening) : [])];
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
