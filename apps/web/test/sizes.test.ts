import { type PileBlock, VERDICT_NAMES } from '@lattice/core';
import { cellAfter, EDGES, judge, readingFor, sizeGiven } from '../src/stages/blocks/sizes.ts';

const block = (some: Partial<PileBlock> = {}): PileBlock => ({
  ...{ id: 'b', name: 'Snail', face: 'star', colours: ['#3f7d6e', '#c4532f'], width: 12.5, height: 12.25 },
  ...some,
});

describe('a size is given', () => {
  test('across the middle: what was measured corner to corner goes, and it is not worked off any more', () =>
    expect(sizeGiven(block(), 'width', 12.375)).toEqual({
      ...{ width: 12.375, diagonals: undefined, settled: undefined },
    }));
  test('along one edge: the others are as the middles until they are measured', () => {
    expect(sizeGiven(block(), 'left', 12)).toEqual({
      edges: { top: 12.5, bottom: 12.5, left: 12, right: 12.25 },
      settled: undefined,
    });
    const edges = { top: 1, bottom: 2, left: 3, right: 4 };
    expect(sizeGiven(block({ edges }), 'bottom', 5)).toMatchObject({ edges: { ...edges, bottom: 5 } });
  });
  test('taken away; and refused before the middles are there', () => {
    for (const edge of EDGES) expect(sizeGiven(block(), edge, null)).toEqual({ edges: undefined });
    expect(sizeGiven(block({ height: null }), 'top', 12)).toBe(
      'Measure it across the middle both ways first, then along its edges.',
    );
  });
});

test('what a tape reads is put on its nearest mark; of the wrong side or of nothing it is asked about', () => {
  const meant = { width: 12.5, height: 6.5 };
  expect(readingFor({ row: 0, field: 'bottom' }, 12.47, meant, 'in')).toBe(12.5);
  expect(readingFor({ row: 0, field: 'height' }, 6.42, meant, 'in')).toBe(6.4375);
  expect(readingFor({ row: 0, field: 'left' }, 16.5132, { width: 30, height: 16.5 }, 'cm')).toBe(16.5);
  // Twelve and a half is no height of a block six and a half high.
  expect(readingFor({ row: 0, field: 'height' }, 12.5, meant, 'in')).toHaveProperty('doubt');
  expect(readingFor(null, 12.5, meant, 'in')).toHaveProperty(
    'doubt',
    expect.stringContaining('no size is selected'),
  );
});

test('after each size comes the next, then the next block', () => {
  let cell = { row: 3, field: 'width' } as ReturnType<typeof cellAfter>;
  const walk = (edges: boolean, steps: number) =>
    Array.from({ length: steps }, () => {
      cell = cellAfter(cell, edges);
      return `${cell.row} ${cell.field}`;
    });
  expect(walk(false, 3)).toEqual(['3 height', '4 width', '4 height']);
  expect(walk(true, 6)).toEqual(['4 top', '4 bottom', '4 left', '4 right', '5 width', '5 height']);
});

test('a pile is judged block by block: kinds in the order they are worked off, and how much of it is done', () => {
  const cut = { width: 12.5, height: 12.5 };
  const pile = [
    block({ id: '1', height: 12.5 }),
    block({ id: '2', width: 12, height: 12 }),
    block({ id: '3', width: 13, height: 13, settled: true }),
    block({ id: '4', width: 13, height: 13 }),
    block({ id: '5', width: null, height: null }),
  ];
  const { kinds, toWork, worked } = judge(pile, cut, 'in', 0.25);
  expect(kinds.map(({ kind, count }) => `${count} ${VERDICT_NAMES[kind]}`)).toEqual([
    ...[`1 ${VERDICT_NAMES.small}`, `2 ${VERDICT_NAMES.trim}`, `1 ${VERDICT_NAMES.fine}`],
    `1 ${VERDICT_NAMES.unmeasured}`,
  ]);
  expect([toWork, worked]).toEqual([3, 1]);
});
