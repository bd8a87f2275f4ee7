import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { Instrumenter } from '@stryker-mutator/instrumenter';
import { root } from '../lib.mjs';

/** Words to people are not rules: a text that reads otherwise is no fault of arithmetic. */
export const LEFT_OUT = ['StringLiteral'];

const silent = new Proxy({}, { get: (_, name) => (String(name).startsWith('is') ? () => false : () => undefined) });

/** Every mutant of a room of the core: small faults the tests are put against. */
export async function mutantsOf(room) {
  const place = `packages/core/src/${room}`;
  const names = readdirSync(path.join(root, place)).filter((name) => name.endsWith('.ts')).sort().map((name) => `${place}/${name}`);
  const files = names.map((name) => ({ name, mutate: true, content: readFileSync(path.join(root, name), 'utf8') }));
  const { mutants } = await new Instrumenter(silent).instrument(files, { plugins: null, excludedMutations: LEFT_OUT, ignorers: [] });
  return mutants.filter((m) => m.status === undefined);
}

/** A place in a file as the mutation tool is told it: lines from 1, columns from 0. */
const rangeOf = ({ fileName, location: { start, end } }) => `${fileName}:${start.line + 1}:${start.column}-${end.line + 1}:${end.column}`;

const holds = (outer, inner) => {
  const before = (a, b) => a.line < b.line || (a.line === b.line && a.column <= b.column);
  return outer.fileName === inner.fileName && before(outer.location.start, inner.location.start) && before(inner.location.end, outer.location.end);
};

/** Even numbers from 0 up to 1, the same for the same seed (mulberry32, public domain). */
function randomFrom(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/**
 * Places of a seeded sample of at least `size` mutants; all of them where there are no more. What lies inside a place
 * that was drawn is put to the test with it.
 */
export function sampled(mutants, size, seed) {
  if (mutants.length <= size) return { ranges: mutants.map(rangeOf), count: mutants.length };
  const random = randomFrom(seed);
  const left = [...mutants];
  const taken = new Set();
  const ranges = [];
  while (taken.size < size) {
    const [drawn] = left.splice(Math.floor(random() * left.length), 1);
    ranges.push(rangeOf(drawn));
    for (const mutant of mutants) if (holds(drawn, mutant)) taken.add(mutant);
  }
  return { ranges, count: taken.size };
}
