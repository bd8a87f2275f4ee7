import { at } from '../../geometry/point.ts';
import type { Patch, PiecedKind, UnitBox } from './kind.ts';

/** Four triangles round a middle, in turn of the two cloths: beside one another in the border, outside and inside. */
function quarters({ along, depth }: UnitBox): Patch[] {
  const middle = at(along / 2, depth / 2);
  return [
    { of: 'first', outline: [at(0, depth), at(0, 0), middle] },
    { of: 'second', outline: [at(0, 0), at(along, 0), middle] },
    { of: 'first', outline: [at(along, 0), at(along, depth), middle] },
    { of: 'second', outline: [at(along, depth), at(0, depth), middle] },
  ];
}

/** Squares of four triangles. */
export const quarterSquare: PiecedKind = {
  id: 'quarter-square',
  one: 'quarter-square unit',
  many: 'quarter-square units',
  patchNames: {
    first: 'quarter-square triangles, first cloth',
    second: 'quarter-square triangles, second cloth',
  },
  made: ['two', 'one'],
  together: 1,
  turnsCorner: true,
  along: (depth) => depth,
  patches: (box) => quarters(box),
  cornerPatches: (depth) => quarters({ along: depth, depth }),
  cut: (_, { depth }) => ({ shape: 'quarter-square', side: depth }),
  seams: () => [
    {
      id: 'halves',
      title: (border) => `Sew the triangles of ${border} in pairs`,
      joins: [
        [0, 1],
        [2, 3],
      ],
    },
    { id: 'units', title: (border) => `Make the quarter-square units of ${border}`, joins: [[0, 2]] },
  ],
};
