import fc from 'fast-check';
import { orientationOf, layOut, type Piece } from '../src/index.ts';
import { anyPlan, quiltOf, type SomeSetting } from './support/plans.ts';

const blocksOf = (pieces: readonly Piece[]) => pieces.filter((p) => p.spot !== undefined);
const shareSide = (a: Piece, b: Piece) =>
  a.outline.filter((p) => b.outline.some((q) => Math.hypot(p.x - q.x, p.y - q.y) < 1e-6)).length === 2;

describe('where blocks stand', () => {
  test('every block has a spot of its own, the first at 0, 0', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const spots = blocksOf(layOut(plan).pieces).map((p) => `${p.spot!.column},${p.spot!.row}`);
        expect(new Set(spots).size).toBe(spots.length);
        expect(spots[0]).toBe('0,0');
      }),
      { numRuns: 40 },
    );
  });
  // Rule SW-1: on point a row of blocks is a slanting one.
  test.each<SomeSetting>([{ kind: 'edge-to-edge' }, { kind: 'on-point' }, { kind: 'framed' }])(
    'blocks that share a side are one apart: %j',
    (setting) => {
      const blocks = blocksOf(quiltOf(10, 4, 5, setting).layout.pieces);
      for (const a of blocks) {
        for (const b of blocks) {
          if (a === b || !shareSide(a, b)) continue;
          expect(Math.abs(a.spot!.column - b.spot!.column) + Math.abs(a.spot!.row - b.spot!.row)).toBe(1);
        }
      }
    },
  );
});

describe('how blocks lie', () => {
  // Rule ST-12.
  test('every other one: no two that share a side lie alike, on point too', () => {
    for (const kind of ['edge-to-edge', 'on-point'] as const) {
      const blocks = blocksOf(quiltOf(10, 4, 5, { kind }).layout.pieces);
      for (const a of blocks)
        for (const b of blocks)
          if (a !== b && shareSide(a, b))
            expect(orientationOf({ turn: 'odd', swap: 'odd' }, a.spot!)).not.toEqual(
              orientationOf({ turn: 'odd', swap: 'odd' }, b.spot!),
            );
    }
  });
  test('round in fours: each a quarter further than the last, going round', () => {
    const turns = [
      [0, 0],
      [1, 0],
      [1, 1],
      [0, 1],
    ].map(
      ([column, row]) => orientationOf({ turn: 'round', swap: 'none' }, { column: column!, row: row! }).turn,
    );
    expect(turns).toEqual([0, 1, 2, 3]);
    expect(orientationOf({ turn: 'round', swap: 'none' }, { column: 1, row: -1 }).turn).toBe(2);
  });
  test('half of thirty blocks are to be made with the background swapped, and it says so', () => {
    const quilt = quiltOf(10, 5, 6, { kind: 'edge-to-edge' }, { places: { turn: 'none', swap: 'odd' } });
    expect(quilt.lies.swapped).toMatchObject({
      value: 15,
      working: ['15 of 30 blocks with the background swapped'],
    });
    expect(quilt.advice.map((a) => a.message).join()).toContain(
      '15 of 30 blocks with the background swapped',
    );
  });
  test('nothing asked, nothing turned', () => {
    const { lies } = quiltOf(10, 5, 6, { kind: 'edge-to-edge' });
    expect([...lies.turned, lies.swapped].map((f) => f.value)).toEqual([0, 0, 0, 0]);
  });
});
