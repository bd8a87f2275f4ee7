import type { PileBlock } from '@lattice/core';
import { askedByPoints, inFromRim, pointsAtBlock } from '../src/rooms/camera/corners.ts';
import { asSizes } from '../src/rooms/camera/photoSizes.ts';
import type { OnDesk } from '../src/rooms/camera/usePhotos.ts';
import { blockAfter } from '../src/rooms/camera/usePhotoSheet.ts';

const block = (id: string, width: number | null): PileBlock => ({
  ...{ id, name: id, face: 'star', colours: ['#3f7d6e', '#c4532f'], width, height: width },
});
const four = [
  { x: 10, y: 20 },
  { x: 90, y: 22 },
  { x: 88, y: 70 },
  { x: 12, y: 71 },
];
const desk = (some: Partial<OnDesk>): OnDesk => ({
  ...{ name: 'one.jpg', photo: null, measured: null, wrong: null, busy: false, moved: false },
  ...{ asked: null, refused: null },
  ...some,
});

test('after a block comes the next that is not measured, else the next; after the last none', () => {
  const pile = [block('a', null), block('b', 12.5), block('c', null), block('d', 12)] as const;
  expect(pile.map((b) => blockAfter(pile, b))).toEqual(['c', 'c', 'd', null]);
});

const a4 = { kind: 'a4', sides: [12, 9] } as const;

test('four places are of the block where its squares were seen, else of what it is measured by', () => {
  const seen = desk({ refused: 'no-block', asked: { reference: 'letter' } as never });
  expect([pointsAtBlock(seen), pointsAtBlock(desk({ refused: 'no-block' })), pointsAtBlock(null)]).toEqual([
    true,
    false,
    false,
  ]);
  expect(askedByPoints(seen, a4, four)).toEqual({ reference: 'letter', blockCorners: four });
  expect(askedByPoints(null, a4, four)).not.toHaveProperty('rectangle');
  expect(askedByPoints(null, a4, four).referenceCorners).toBe(four);
  expect(askedByPoints(null, { ...a4, kind: 'places' }, four)).toMatchObject({ rectangle: a4.sides });
});

test('places begin so far in from the rim, from the top left round', () =>
  expect(inFromRim({ width: 200, height: 100 }, 0.1)).toEqual([
    { x: 20, y: 10 },
    { x: 180, y: 10 },
    { x: 180, y: 90 },
    { x: 20, y: 90 },
  ]));

test('a block keeps its middles and edges as a tape’s marks, corner to corner as it is; in either unit', () => {
  const six = {
    width: { top: 12.47, middle: 12.5001, bottom: 12.55 },
    height: { left: 12.03, middle: 12.1, right: 12.19 },
  };
  const places = [
    { x: 0, y: 0 },
    { x: 12, y: 0 },
    { x: 12, y: 9 },
    { x: 0, y: 9.5 },
  ];
  expect(asSizes({ six, places } as never, 'in')).toEqual({
    ...{ width: 12.5, height: 12.125, edges: { top: 12.5, bottom: 12.5625, left: 12, right: 12.1875 } },
    diagonals: [15, Math.hypot(12, 9.5)],
  });
  const cm = asSizes({ six, places } as never, 'cm');
  expect([cm.width, cm.height, cm.edges!.left]).toEqual([31.8, 30.7, 30.6]);
  expect(cm.diagonals![0]).toBeCloseTo(15 * 2.54, 9);
});
