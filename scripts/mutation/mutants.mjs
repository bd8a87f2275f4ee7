import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { Instrumenter } from '@stryker-mutator/instrumenter';
import { root } from '../lib.mjs';

/** Words to people are not rules: a text that reads otherwise is no fault of arithmetic. */
export const LEFT_OUT = ['StringLiteral'];

const silent = new Proxy(
  {},
  { get: (_, name) => (String(name).startsWith('is') ? () => false : () => undefined) },
);

/** Every mutant of a room of the core: small faults the tests are put against. */
export async function mutantsOf(room) {
  const place = `packages/core/src/${room}`;
  const names = readdirSync(path.join(root, place))
    .filter((name) => name.endsWith('.ts'))
    .sort()
    .map((name) => `${place}/${name}`);
  const files = names.map((name) => ({
    name,
    mutate: true,
    content: readFileSync(path.join(root, name), 'utf8'),
  }));
  const { mutants } = await new Instrumenter(silent).instrument(files, {
    plugins: null,
    excludedMutations: LEFT_OUT,
    ignorers: [],
  });
  return mutants.filter((m) => m.status === undefined);
}

/** A place in a file as the mutation tool is told it: lines from 1, columns from 0. */
const rangeOf = ({ fileName, location: { start, end } }) =>
  `${fileName}:${start.line + 1}:${start.column}-${end.line + 1}:${end.column}`;

const holds = (outer, inner) => {
  const before = (a, b) => a.line < b.line || (a.line === b.line && a.column <= b.column);
  return (
    outer.fileName === inner.fileName &&
    before(outer.location.start, inner.location.start) &&
    before(inner.location.end, outer.location.end)
  );
};

/** A mutant's lot: always the same for one seed, however many others there are. */
const lotOf = (mutant, seed) =>
  createHash('sha256')
    .update(`${seed} ${rangeOf(mutant)} ${mutant.replacement}`)
    .digest('hex');

/** A place that holds more faults than this, a whole function or a setting, is not drawn: its parts are. */
const MOST_IN_ONE = 4;

/**
 * Places of a seeded sample of at least `size` mutants; all of them where there are no more. What lies inside a place
 * that was drawn is put to the test with it.
 */
export function sampled(mutants, size, seed) {
  if (mutants.length <= size) return { ranges: mutants.map(rangeOf), count: mutants.length };
  const taken = new Set();
  const ranges = [];
  const small = mutants.filter(
    (mutant) => mutants.filter((other) => holds(mutant, other)).length <= MOST_IN_ONE,
  );
  const drawnInTurn = small
    .map((mutant) => ({ mutant, lot: lotOf(mutant, seed) }))
    .sort((a, b) => (a.lot < b.lot ? -1 : 1));
  for (const { mutant: drawn } of drawnInTurn) {
    if (taken.size >= size) break;
    ranges.push(rangeOf(drawn));
    for (const mutant of mutants) if (holds(drawn, mutant)) taken.add(mutant);
  }
  return { ranges, count: taken.size };
}
