import type { Random } from '@lattice/core';
import { below, oneOf } from './attack.ts';

/** Values that nobody means. */
const STRANGE: readonly unknown[] = [
  null,
  '',
  0,
  -1,
  1e308,
  -0.0001,
  0.1 + 0.2,
  9007199254740993,
  'NaN',
  '__proto__',
  '\u0000',
  '\ud800',
  '<script>alert(1)</script>',
  'x'.repeat(5_000),
  true,
  [],
  {},
  [[]],
  [null],
  { id: null },
  { toString: 1 },
  // Has a length, as a text has, and cannot be made one.
  { length: { toString: [null] } },
  { length: 3 },
  { __proto__: null, constructor: { prototype: {} } },
  Array.from({ length: 3_000 }, () => 1),
];

/** One of them, by itself: what is bent further bends no other. */
const strange = (random: Random): unknown => structuredClone(oneOf(random, STRANGE));

type Tree = Record<string, unknown> | unknown[];
const isTree = (value: unknown): value is Tree => typeof value === 'object' && value !== null;

/** A place somewhere in a document. */
function placeIn(random: Random, document: Tree): { owner: Tree; key: string } {
  let owner = document;
  for (;;) {
    const key = oneOf(random, Object.keys(owner));
    const value = (owner as Record<string, unknown>)[key];
    if (!isTree(value) || Object.keys(value).length === 0 || random() < 0.35) return { owner, key };
    owner = value;
  }
}

const nest = (value: unknown, deep: number): unknown => {
  let nested = value;
  for (let i = 0; i < deep; i++) nested = [nested];
  return nested;
};

/** A copy of a document, bent in up to three places: values exchanged, taken out, doubled, nested, renamed. */
export function bend(random: Random, document: Tree): Tree {
  const bent = structuredClone(document);
  for (let i = random() < 0.6 ? 2 : 0; i <= 2; i++) {
    const { owner, key } = placeIn(random, bent);
    const fields = owner as Record<string, unknown>;
    const value = fields[key];
    switch (typeof value === 'number' && random() < 0.6 ? 2 : below(random, 7)) {
      case 0:
        fields[key] = strange(random);
        break;
      case 1:
        if (Array.isArray(owner)) owner.splice(Number(key), 1);
        else delete fields[key];
        break;
      case 2:
        if (typeof value === 'number')
          fields[key] = value * oneOf(random, [-1, 0, 0.001, 0.5, 0.9, 1.1, 1.5, 2, 3, 10, 1_000, 1e9]);
        else fields[key] = strange(random);
        break;
      case 3:
        fields[`${key}${oneOf(random, ['s', ' ', '\u202e', '2'])}`] = value;
        break;
      case 4:
        if (Array.isArray(value))
          fields[key] = Array.from({ length: oneOf(random, [2, 40, 900]) }, () => value).flat();
        else fields[key] = nest(value, oneOf(random, [1, 5, 60]));
        break;
      case 5: {
        const other = placeIn(random, bent);
        fields[key] = structuredClone((other.owner as Record<string, unknown>)[other.key]);
        break;
      }
      default:
        if (typeof value === 'string') fields[key] = value + oneOf(random, ['″', '\u0301', '0', '-']);
        else if (typeof value === 'boolean') fields[key] = !value;
        else fields[key] = strange(random);
    }
    if (Object.keys(bent).length === 0) return bent;
  }
  return bent;
}

/** Bytes with some of them turned, cut short, doubled or filled in. */
export function bendBytes(random: Random, bytes: Buffer): Buffer {
  let bent = Buffer.from(bytes);
  if (bent.length === 0) return bent;
  for (let i = 0; i <= below(random, 12); i++) {
    const at = below(random, bent.length || 1);
    switch (below(random, 5)) {
      case 0:
        bent[at] = below(random, 256);
        break;
      case 1:
        bent = bent.subarray(0, Math.max(1, at));
        break;
      case 2:
        bent = Buffer.concat([bent.subarray(0, at), bent]);
        break;
      case 3:
        bent.fill(oneOf(random, [0, 255]), at, Math.min(bent.length, at + below(random, 16)));
        break;
      default:
        bent[at] = oneOf(random, [0, 1, 127, 128, 255]);
    }
  }
  return bent;
}
