import { parseArgs } from 'node:util';
import { cutting } from './cutting.ts';
import { edge } from './edge.ts';
import { fit } from './fit.ts';
import { photo } from './photo.ts';
import { pipeline } from './pipeline.ts';
import { quick } from './quick.ts';
import { besideBare } from './server/beside-bare.ts';
import { guild } from './server/guild.ts';
import { sewing } from './sewing.ts';
import { wall } from './wall.ts';

/** Every case by its name; a new one is a line here. */
const CASES: Readonly<Record<string, () => Iterable<object> | AsyncIterable<object>>> = {
  pipeline,
  edge,
  fit,
  cutting,
  sewing,
  wall,
  photo,
  quick,
  server: besideBare,
  guild,
};

// `./lattice bench [CASE …]`. Each case prints JSON lines: ratios within one run, since machines differ.
const { positionals } = parseArgs({ allowPositionals: true });
const unknown = positionals.find((name) => !(name in CASES));
if (unknown !== undefined) {
  console.error(`There is no case “${unknown}”. There are: ${Object.keys(CASES).join(', ')}.`);
  process.exit(2);
}
for (const [name, run] of Object.entries(CASES))
  if (positionals.length === 0 || positionals.includes(name))
    for await (const line of run()) console.log(JSON.stringify(line));
