import { parseArgs } from 'node:util';
import { randomFrom } from '@lattice/core';
import { ATTACKS } from './attacks.ts';
import { wholeNumber } from './whole-number.ts';

// `./lattice attack [NAME …] [--rounds N] [--seed N]`: one line for each attack, then what it found.
const { values, positionals } = parseArgs({
  options: { rounds: { type: 'string' }, seed: { type: 'string' } },
  allowPositionals: true,
});
const unknown = positionals.filter((name) => !ATTACKS.some((attack) => attack.name === name));
if (unknown.length > 0) {
  console.error(`There is no attack “${unknown[0]}”. There are:`);
  for (const { name, says } of ATTACKS) console.error(`  ${name.padEnd(10)}${says}`);
  process.exit(2);
}
const seed = wholeNumber(values.seed, Date.now() % 1_000_000);
const chosen = positionals.length > 0 ? ATTACKS.filter(({ name }) => positionals.includes(name)) : ATTACKS;
let findings = 0;
for (const attack of chosen) {
  const began = performance.now();
  const { figures, found } = await attack.run({
    rounds: wholeNumber(values.rounds, attack.usual),
    random: randomFrom(seed),
    patience: 1,
  });
  const seconds = Math.round((performance.now() - began) / 1000);
  const said = Object.entries(figures).map(([name, figure]) => `${name} ${figure}`);
  console.log(`${attack.name}: ${said.join(', ')} (${seconds} s, seed ${seed})`);
  for (const line of found) console.log(`  FOUND ${line}`);
  findings += found.length;
}
console.log(findings === 0 ? 'Nothing was found.' : `${findings} findings.`);
process.exitCode = findings === 0 ? 0 : 1;
