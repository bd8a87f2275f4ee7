import { at } from '../../geometry/point.ts';
import type { PiecedKind } from './kind.ts';

/** Geese twice as wide as they are long, flying clockwise round the quilt one behind the other. */
export const geese: PiecedKind = {
  id: 'geese',
  one: 'goose',
  many: 'geese',
  patchNames: { first: 'geese', second: 'wings' },
  made: ['four', 'one'],
  together: 1,
  turnsCorner: false,
  along: (depth) => depth / 2,
  patches: ({ along, depth }) => [
    { of: 'first', outline: [at(0, 0), at(along, depth / 2), at(0, depth)] },
    { of: 'second', outline: [at(0, 0), at(along, 0), at(along, depth / 2)] },
    { of: 'second', outline: [at(along, depth / 2), at(along, depth), at(0, depth)] },
  ],
  cornerPatches: () => [],
  cut: (of, { depth }) =>
    of === 'first' ? { shape: 'quarter-square', side: depth } : { shape: 'half-square', side: depth / 2 },
  seams: () => [
    { id: 'wings', title: (border) => `Sew the first wing to each goose of ${border}`, joins: [[0, 1]] },
    { id: 'units', title: (border) => `Sew the second wing to each goose of ${border}`, joins: [[0, 2]] },
  ],
};
