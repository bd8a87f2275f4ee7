import { readFileSync } from 'node:fs';
import path from 'node:path';
import { computeQuilt, type Plan, readPlanJson, wallOf } from '@lattice/core';
import {
  hasBetween,
  laidPlaces,
  liesNow,
  placesOf,
  pointedPlaces,
  wallAsRead,
  withWallRead,
} from '../src/rooms/camera/laid.ts';
import { othersIn, saysOfRead, toldOf, withChosen } from '../src/rooms/camera/laidRead.ts';

const planOf = (name: string): Plan => {
  const read = readPlanJson(readFileSync(path.resolve(__dirname, `../../../demo/${name}.plan.json`), 'utf8'));
  if (!read.ok) throw new Error(name);
  return read.plan;
};
const laid = (name: string) => {
  const plan = planOf(name);
  const { layout } = computeQuilt(plan);
  return { plan, layout, wall: wallOf(plan, placesOf(layout).length) };
};
const readAs = (now: ReturnType<typeof liesNow>) => ({
  unlike: 5,
  seen: [],
  places: now.map((one) => ({
    block: one?.block ?? null,
    turn: (one?.turn ?? 0) as 0 | 1 | 2 | 3,
    unsure: false,
    others: [],
  })),
});

describe.each(['cot-on-point', 'harbour-metric', 'swap-edge-to-edge'])(
  'a wall read as it lies, %s',
  (name) => {
    const { plan, layout, wall } = laid(name);
    const now = liesNow(plan, layout, wall);

    test('stays as it is', () => {
      const again = wallAsRead(plan, layout, wall, readAs(now));
      expect(again.map(({ block, turn }) => [block?.id ?? null, block?.upright ? 0 : turn])).toEqual(
        wall.places.map(({ block, turn }) => [block?.id ?? null, block?.upright ? 0 : turn]),
      );
    });

    test('two exchanged in the photo are exchanged on the wall, with the turn they lie in', () => {
      const swapped = [...now];
      [swapped[0], swapped[1]] = [{ ...now[1]!, turn: 2 }, now[0]!];
      const next = withWallRead(plan, wallAsRead(plan, layout, wall, readAs(swapped)));
      const shown = liesNow(next, layout, wallOf(next, now.length));
      expect(shown[1]!.block).toBe(now[0]!.block);
      expect(shown[0]!.block).toBe(now[1]!.block);
      if (!plan.pile[now[1]!.block]!.upright) expect(shown[0]!.turn).toBe(2);
    });
  },
);

test('straight blocks are pointed at by their outer corners, slanting ones by the middles of the outermost', () => {
  const straight = laid('harbour-metric');
  const corners = pointedPlaces(laidPlaces(straight.layout, false));
  expect(corners.names[0]).toBe('Top left corner of the blocks');
  const all = laidPlaces(straight.layout, false).flatMap((p) => p.corners);
  expect(corners.places[2]).toEqual({
    x: Math.max(...all.map((p) => p.x)),
    y: Math.max(...all.map((p) => p.y)),
  });
  const slanting = pointedPlaces(laidPlaces(laid('cot-on-point').layout, false));
  expect(slanting.names[2]).toBe('Middle of the bottom right block');
  expect(new Set(slanting.places.map((p) => `${p.x} ${p.y}`)).size).toBe(4);
});

test('laid edge to edge the blocks touch, where a sash will be between them', () => {
  const { layout } = laid('harbour-metric');
  expect(hasBetween(layout)).toBe(true);
  const [first, second] = laidPlaces(layout, true);
  expect(second!.corners[0]).toEqual(first!.corners[1]);
  const [apart, next] = laidPlaces(layout, false);
  expect(next!.corners[0]!.x).toBeGreaterThan(apart!.corners[1]!.x);
  expect(hasBetween(laid('swap-edge-to-edge').layout)).toBe(false);
});

describe('what was read, beside the wall', () => {
  const now = [{ block: 0, turn: 0 }, { block: 1, turn: 2 }, null, { block: 3, turn: 1 }] as ReturnType<
    typeof liesNow
  >;
  const asNow = readAs(now);
  const as = (change: Record<number, Partial<(typeof asNow.places)[number]>>) => ({
    ...asNow,
    places: asNow.places.map((p, i) => ({ ...p, others: [], ...change[i] })),
  });
  test('as on the wall; another block, one rotated, one gone and one more are others', () => {
    expect([...othersIn(as({}), now)]).toEqual([]);
    expect(saysOfRead(as({}), new Set())).toBe('It lies as on your wall.');
    const read = as({ 0: { block: 5 }, 1: { turn: 3 }, 2: { block: 7 }, 3: { block: null } });
    expect([...othersIn(read, now)]).toEqual([0, 1, 2, 3]);
    // An empty place has no turn that could differ.
    expect([...othersIn(as({ 2: { turn: 2 } }), now)]).toEqual([]);
  });
  test('what is unsure is told though it is the same, and counted', () => {
    const read = as({ 1: { block: 4 }, 3: { unsure: true } });
    const others = othersIn(read, now);
    expect(toldOf(read, others)).toEqual([1, 3]);
    expect(saysOfRead(read, others)).toBe('1 of 4 places differ from the wall; 1 to be asked.');
    expect(saysOfRead({ ...read, unlike: 23 }, others)).toMatch(/^This hardly looks like/);
  });
  test('settled by hand: a block lies in one place only, and what lay here is asked about there', () => {
    const read = withChosen(as({ 0: { unsure: true } }), 0, 3);
    expect(read.places.map(({ block, unsure }) => [block, unsure])).toEqual([
      ...[
        [3, false],
        [1, false],
        [null, false],
        [0, true],
      ],
    ]);
    const none = withChosen(as({ 1: { unsure: true } }), 1, null);
    expect(none.places.map(({ block, unsure }) => [block, unsure])).toEqual([
      ...[
        [0, false],
        [null, false],
        [null, false],
        [3, false],
      ],
    ]);
  });
});
