import { at } from '../../geometry/point.ts';
import type { Patch, PiecedKind, UnitBox } from './kind.ts';

/** A square of two triangles; its first cloth lies along the inner edge, its right angle ahead or behind. */
function halves({ along, depth }: UnitBox, ahead: boolean): Patch[] {
  const [near, far] = ahead ? [0, along] : [along, 0];
  return [
    { of: 'first', outline: [at(near, depth), at(far, depth), at(far, 0)] },
    { of: 'second', outline: [at(near, 0), at(far, 0), at(near, depth)] },
  ];
}

/** What half-square units have alike, however they are set. */
const HALF_SQUARE = {
  one: 'half-square unit',
  many: 'half-square units',
  patchNames: { first: 'half-square triangles, first cloth', second: 'half-square triangles, second cloth' },
  made: ['two', 'one', 'four', 'eight'],
  turnsCorner: true,
  along: (depth) => depth,
  cornerPatches: (depth) => [
    { of: 'first', outline: [at(depth, 0), at(depth, depth), at(0, depth)] },
    { of: 'second', outline: [at(0, 0), at(depth, 0), at(0, depth)] },
  ],
  cut: (_, { depth }) => ({ shape: 'half-square', side: depth }),
  seams: () => [
    { id: 'units', title: (border) => `Make the half-square units of ${border}`, joins: [[0, 1]] },
  ],
} as const satisfies Partial<PiecedKind>;

/** Half-square units in turn one way and the other, so that two make a peak. */
export const halfSquare: PiecedKind = {
  ...HALF_SQUARE,
  id: 'half-square',
  together: 2,
  patches: (box, { index }) => halves(box, index % 2 === 0),
};

/** Half-square units all one way, clockwise round the quilt. */
export const sawtooth: PiecedKind = {
  ...HALF_SQUARE,
  id: 'sawtooth',
  together: 1,
  patches: (box) => halves(box, true),
};
