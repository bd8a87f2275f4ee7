import { bin, quiet } from './lib.mjs';

const SRC = 'packages/core/src';

/** Which room needs which, as `from -> to`, by what their files import. */
export function roomEdges() {
  const { out } = quiet(bin('depcruise'), [
    '--config',
    '.dependency-cruiser.mjs',
    SRC,
    '--exclude',
    '/index\\.ts$',
    '--output-type',
    'json',
  ]);
  const roomOf = (file) => file.slice(SRC.length + 1).split('/')[0];
  const edges = new Set();
  for (const { source, dependencies } of JSON.parse(out).modules)
    for (const { resolved } of dependencies)
      if (roomOf(source) !== roomOf(resolved)) edges.add(`${roomOf(source)} -> ${roomOf(resolved)}`);
  return [...edges].sort();
}

/** Edges without those that follow from others: what is left shows the way through. */
export function withoutShortcuts(edges) {
  const pairs = edges.map((edge) => edge.split(' -> '));
  const next = new Map();
  for (const [from, to] of pairs) next.set(from, [...(next.get(from) ?? []), to]);
  const reaches = (from, to) => (next.get(from) ?? []).some((step) => step === to || reaches(step, to));
  return pairs
    .filter(([from, to]) => !next.get(from).some((step) => step !== to && reaches(step, to)))
    .map((pair) => pair.join(' -> '));
}
