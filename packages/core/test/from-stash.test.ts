import {
  computeQuilt,
  enoughOf,
  fromStash,
  type LogEntry,
  STASH,
  stashIn,
  stockFor,
  stockPlace,
} from '../src/index.ts';
import { borderOf, inchPlan } from './support/plans.ts';

let clock = 0;
const entry = (kind: LogEntry['kind'], body: unknown): LogEntry => {
  const n = ++clock;
  const at = new Date(Date.UTC(2026, 10, 26, 9, 0, 0, n)).toISOString();
  return { id: `entry-${String(n).padStart(6, '0')}`, quilt: STASH, at, kind, body } as LogEntry;
};
const put = (id: string, change: object) =>
  entry('stash-put', {
    ...{
      id: `piece-${id}`,
      name: id,
      colour: '#888888',
      kind: 'yardage',
      unit: 'in',
      width: 40,
      length: 100,
    },
    ...{ count: 1, direction: 'none', alike: false, washed: false, price: null, from: '' },
    ...change,
  });
/** Everything but sash, cornerstones and border is of cloth that the stash is likest in nothing to. */
const plan = () => inchPlan({ borders: [borderOf(4, 'border')] });
const stash = (...log: LogEntry[]) => stashIn(log, 'in');

describe('what can be made from a stash', () => {
  test('every piece matched is enough for all of its cloth, is free, and serves one cloth', () => {
    const pieces = stash(
      put('oat', { colour: '#efe3cb' }),
      put('rust', { colour: '#c4532f', length: 8 }),
      put('sea', { colour: '#2e4a5f', length: 90 }),
      put('scrap', { length: 1 }),
    );
    const ways = fromStash(plan(), pieces);
    expect(ways.length).toBeGreaterThan(1);
    for (const way of ways) {
      const quilt = computeQuilt(way.plan);
      expect(new Set(way.matched.map(({ piece }) => piece.id)).size).toBe(way.matched.length);
      for (const { cloth, piece, count } of way.matched) {
        expect(count).toBeLessThanOrEqual(piece.free);
        expect(enoughOf({ ...piece, free: count }, way.plan, quilt, cloth)).toBe(count);
        // Drawn in its own colour.
        expect(way.plan.fabrics.find(({ id }) => id === cloth)!.colour).toBe(piece.colour);
      }
      const wanted = quilt.fabrics.filter(({ needed }) => needed.value > 0).length;
      expect(way.matched.length + way.toBuy.length).toBe(wanted);
    }
    expect(ways.map(({ toBuy }) => toBuy.length)).toEqual(
      ways.map(({ toBuy }) => toBuy.length).sort((a, b) => a - b),
    );
    // Sash and cornerstones have the likest; of border and binding one has the third; the backing is left to buy.
    const planned = ways.find(({ id }) => id === 'as-planned')!;
    expect(planned.matched).toHaveLength(3);
    expect(planned.matched.map(({ cloth, piece }) => [cloth, piece.name])).toEqual(
      expect.arrayContaining([
        ['sash', 'oat'],
        ['accent', 'rust'],
      ]),
    );
  });
  test('two cloths want one piece: the one that has no other gets it', () => {
    // Long enough for anything, and long enough for the cornerstones alone.
    const pieces = stash(put('long', { colour: '#c4532f', length: 200 }), put('short', { length: 8 }));
    const planned = fromStash(plan(), pieces).find(({ id }) => id === 'as-planned')!;
    expect(planned.matched).toHaveLength(2);
    expect(planned.matched.find(({ cloth }) => cloth === 'accent')!.piece.name).toBe('short');
  });
  test('nothing of use, nothing made', () => {
    expect(fromStash(plan(), stash(put('scrap', { width: 3, length: 2 })))).toEqual([]);
    expect(fromStash(plan(), stash(put('wadding', { kind: 'batting', length: 200 })))).toEqual([]);
  });
});

test('what is set aside to be used up comes into the plan piece by piece, strips by their narrow side', () => {
  const moved = (piece: string, job: 'binding' | 'batting', count: number) =>
    entry('stash-moved', {
      piece: `piece-${piece}`,
      count,
      to: 'aside',
      quilt: 'raffle',
      cloth: stockPlace(job),
    });
  const pieces = stash(
    put('ends', { kind: 'strip', width: 40, length: 2.5, count: 3 }),
    put('wadding', { kind: 'batting', width: 45, length: 60 }),
    moved('ends', 'binding', 2),
    moved('wadding', 'batting', 1),
  );
  expect(stockFor(pieces, 'raffle')).toMatchObject([
    { for: 'binding', width: 2.5, length: 40 },
    { for: 'binding', width: 2.5, length: 40 },
    { for: 'batting', width: 45, length: 60 },
  ]);
  expect(stockFor(pieces, 'another')).toEqual([]);
  const plan = { ...inchPlan({}), stock: stockFor(pieces, 'raffle') };
  expect(computeQuilt(plan).edge.binding!.leftovers!.lengths).toEqual([40, 40]);
});
