import { rectangle } from '../../geometry/shapes.ts';
import type { OfCloth, Patch, PiecedKind } from './kind.ts';

const clothOf = (count: number): OfCloth => (count % 2 === 0 ? 'first' : 'second');

/** A ground of squares in turn, row upon row from the outside in. */
const checkered = (columns: number, rows: number, side: number, deep: number, parity: number): Patch[] =>
  Array.from({ length: columns }, (_, column) =>
    Array.from({ length: rows }, (__, row): Patch => ({
      of: clothOf(parity + column + row),
      outline: rectangle(column * side, row * deep, side, deep),
    })),
  ).flat();

/** Two, three or four rows of squares in turn; a unit is what is crosscut from strips sewn together, one column of it. */
export const checkers: PiecedKind = {
  id: 'checkers',
  one: 'column',
  many: 'columns',
  patchNames: { first: 'squares, first cloth', second: 'squares, second cloth' },
  made: ['strips', 'one'],
  together: 1,
  turnsCorner: true,
  along: (depth, { rows }) => depth / rows,
  patches: ({ along, depth }, { index, parity }, { rows }) =>
    checkered(1, rows, along, depth / rows, parity + index),
  cornerPatches: (depth, parity, { rows }) => checkered(rows, rows, depth / rows, depth / rows, parity),
  cut: (_, { depth }, { rows }) => ({ shape: 'rectangle', width: depth / rows, length: depth / rows }),
  seams: ({ rows }) => [
    {
      id: 'units',
      title: (border) => `Sew the squares of ${border} in columns`,
      joins: Array.from({ length: rows - 1 }, (_, row) => [row, row + 1] as const),
    },
  ],
};

/** Bars in turn, as deep as the border. */
export const keys: PiecedKind = {
  id: 'keys',
  one: 'key',
  many: 'keys',
  patchNames: { first: 'keys, first cloth', second: 'keys, second cloth' },
  made: ['strips', 'one'],
  together: 1,
  turnsCorner: false,
  along: (_, { key }) => key,
  patches: ({ along, depth }, { index }) => [{ of: clothOf(index), outline: rectangle(0, 0, along, depth) }],
  cornerPatches: () => [],
  cut: (_, { along, depth }) => ({
    shape: 'rectangle',
    width: Math.min(along, depth),
    length: Math.max(along, depth),
  }),
  seams: () => [],
};
