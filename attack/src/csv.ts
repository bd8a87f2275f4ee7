import { readFileSync } from 'node:fs';
import path from 'node:path';
import { readBlocksCsv, readPlan, startPlan } from '@lattice/core';
import { type Attack, Found, oneOf } from './attack.ts';
import { bendBytes } from './bend.ts';

const demo = readFileSync(path.resolve(import.meta.dirname, '../../demo/potting-shed-blocks.csv'));
const OTHERS = [
  'name,width,height\nA,12 1/2,12.5\n',
  'name;width;height\r\nA;31,75;31,75\r\n',
  'Block\tW (mm)\tH (mm)\nA\t317\t317\n',
  '"name","width"\n"a ""quoted"" name","12\n1/2"\n',
].map((text) => Buffer.from(text));

/** No table may take longer than this, in ms. */
const MOST_MS = 500;

export const csv: Attack = {
  name: 'csv',
  says: 'bent tables of blocks: each read or refused in words; what is read makes a sound plan',
  usual: 10_000,
  async run({ rounds, random, patience }) {
    const found = new Found();
    let read = 0;
    let slowest = 0;
    for (let i = 0; i < rounds; i++) {
      const text = bendBytes(random, oneOf(random, [demo, ...OTHERS])).toString();
      const began = performance.now();
      try {
        const { blocks, problems } = readBlocksCsv(text, oneOf(random, ['in', 'cm'] as const));
        read += blocks.length;
        const shape = readPlan({ ...startPlan('sashed-sampler'), blocks });
        const wrong = shape.ok ? undefined : shape.problems.find(({ path: at }) => at[0] === 'blocks');
        found.unless(wrong === undefined, `a block that was read is not taken: ${wrong?.message}`);
        found.unless(
          problems.every((line) => line.length < 400),
          'a refusal is longer than 400 letters',
        );
      } catch (error) {
        found.add(`a bent table throws: ${(error as Error).message.slice(0, 120)}`);
      }
      slowest = Math.max(slowest, performance.now() - began);
    }
    found.unless(slowest <= patience * MOST_MS, `a table takes ${Math.round(slowest)} ms`);
    return {
      figures: { tables: rounds, 'blocks read': read, 'slowest ms': Math.round(slowest) },
      found: found.lines(),
    };
  },
};
