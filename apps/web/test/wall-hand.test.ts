import { layOut, type PileBlock, type Plan, START_RULES, startPlan, wallJob, wallOf } from '@lattice/core';
import {
  type Act,
  dropped,
  EMPTY_HAND,
  type Hand,
  keyed,
  locked,
  type OnWall,
  parked,
  stepFrom,
  tapped,
  turned,
} from '../src/stages/wall/hand.ts';

const block = (id: string): PileBlock => ({
  ...{ id, name: `Block ${id}`, kind: id, face: 'star', colours: ['#3f7d6e', '#c4532f'] },
  ...{ width: 12.5, height: 12.5 },
});
const plan: Plan = {
  ...startPlan('sashed-sampler'),
  grid: { across: 3, down: 2 },
  pile: ['a', 'b', 'c', 'd', 'e', 'f', 'g'].map(block),
};
const layout = layOut(plan);
const pieces = layout.pieces.filter((p) => p.place !== undefined);
const onWall = (of: Plan): OnWall => ({
  plan: of,
  wall: wallOf(of, pieces.length),
  pieces,
  places: wallJob(of, layout, START_RULES).places,
});
const on = onWall(plan);
const holding = (some: Partial<Hand>): Hand => ({ ...EMPTY_HAND, ...some });
/** Ids as they hang after an act, - where nothing does, and what lies beside. */
const hangs = ({ plan: after }: Act) => {
  if (!after) return after;
  const { places, spare } = wallOf(after, pieces.length);
  return `${places.map(({ block: b }) => b?.id ?? '-').join('')} ${spare.map(({ id }) => id).join('')}`;
};

test('as it begins: six hang, one lies beside', () =>
  expect(hangs({ plan, hand: EMPTY_HAND })).toBe('abcdef g'));

describe('dragged', () => {
  test('one onto another: they change places, and where it lies is chosen', () => {
    const act = dropped(on, EMPTY_HAND, { place: 0 }, { place: 4 })!;
    expect([hangs(act), act.hand.chosen]).toEqual(['ebcdaf g', [4]]);
  });
  test('one of those chosen: all of them go as far', () => {
    const act = dropped(on, holding({ chosen: [0, 1] }), { place: 0 }, { place: 3 })!;
    expect(hangs(act)).toBe('decabf g');
  });
  test('one that is not chosen goes alone', () =>
    expect(hangs(dropped(on, holding({ chosen: [0, 1] }), { place: 2 }, { place: 5 })!)).toBe('abfdec g'));
  test('over the edge of the wall: refused, in words', () => {
    const act = dropped(on, holding({ chosen: [0, 2] }), { place: 0 }, { place: 1 })!;
    expect([act.plan, act.refused]).toEqual([
      null,
      'They cannot go there: a block would leave the wall, or a place is locked.',
    ]);
  });
  test('beside the wall: parked, and nothing is chosen', () => {
    const act = dropped(on, holding({ chosen: [1, 3] }), { place: 3 }, 'tray')!;
    expect([hangs(act), act.hand.chosen]).toEqual(['a-c-ef bdg', []]);
  });
  test('a spare one onto a place; back to where it lay, or nowhere, is nothing', () => {
    expect(hangs(dropped(on, EMPTY_HAND, { spare: 'g' }, { place: 1 })!)).toBe('agcdef b');
    for (const [source, target] of [
      [{ spare: 'g' }, 'tray'],
      [{ place: 2 }, { place: 2 }],
      [{ place: 2 }, null],
    ] as const)
      expect(dropped(on, EMPTY_HAND, source, target)).toBeNull();
  });
  test('onto a locked place: refused', () => {
    const shut = onWall(locked(on, holding({ chosen: [1] }), true).plan!);
    expect(dropped(shut, EMPTY_HAND, { spare: 'g' }, { place: 1 })).toMatchObject({
      plan: null,
      refused: 'That place is locked.',
    });
  });
});

describe('pressed', () => {
  const chosenAfter = (hand: Hand, place: number, more: boolean) =>
    tapped(on, hand, { place }, more).hand.chosen;
  test('alone: chosen, another instead, again not any more', () => {
    expect(chosenAfter(EMPTY_HAND, 2, false)).toEqual([2]);
    expect(chosenAfter(holding({ chosen: [2] }), 3, false)).toEqual([3]);
    expect(chosenAfter(holding({ chosen: [3] }), 3, false)).toEqual([]);
    expect(chosenAfter(holding({ chosen: [2, 3] }), 3, false)).toEqual([3]);
  });
  test('with others: one more, one less', () => {
    expect(chosenAfter(holding({ chosen: [2] }), 3, true)).toEqual([2, 3]);
    expect(chosenAfter(holding({ chosen: [2, 3] }), 2, true)).toEqual([3]);
  });
  test('a spare block taken in the hand, laid where one presses, put down by pressing it again', () => {
    const { hand } = tapped(on, EMPTY_HAND, { spare: 'g' }, false);
    expect(hand.spare).toBe('g');
    const act = tapped(on, hand, { place: 5 }, false);
    expect([hangs(act), act.hand.spare]).toEqual(['abcdeg f', null]);
    expect(tapped(on, hand, { spare: 'g' }, false).hand.spare).toBeNull();
  });
  test('what was said before is not said any more', () =>
    expect(tapped(on, holding({ said: 'Laid there.' }), { place: 1 }, false).hand.said).toBe(''));
});

describe('by keys', () => {
  const key = (hand: Hand, name: string, place: number, shift = false) => keyed(on, hand, name, shift, place);
  test('arrows go to the place that way, and stay at the edge', () => {
    expect(
      (
        [
          ['ArrowRight', 0],
          ['ArrowDown', 1],
          ['ArrowLeft', 5],
          ['ArrowUp', 5],
          ['ArrowLeft', 0],
          ['ArrowUp', 2],
        ] as const
      ).map(([name, place]) => key(EMPTY_HAND, name, place)!.focus),
    ).toEqual([1, 4, 4, 2, 0, 2]);
    expect(stepFrom([], 3, 1, 0)).toBe(3);
  });
  test('Enter takes up by name, and lays where it is pressed next', () => {
    const up = key(EMPTY_HAND, 'Enter', 1)!.hand;
    expect([up.carried, up.said]).toEqual([
      1,
      'Block b taken up. Arrows to where it goes, Enter to lay it there, Escape to leave it.',
    ]);
    const down = key(up, 'Enter', 3)!;
    expect([hangs(down), down.hand]).toEqual(['adcbef g', { ...EMPTY_HAND, said: 'Laid there.' }]);
    const back = key(up, 'Enter', 1)!;
    expect([back.plan, back.hand.said]).toEqual([undefined, 'Laid there.']);
  });
  test('an empty place says that it is one', () => {
    const empty = onWall(parked(on, holding({ chosen: [4] })).plan!);
    expect(keyed(empty, EMPTY_HAND, 'Enter', false, 4)!.hand.said).toMatch(/^An empty place taken up/);
  });
  test('R turns a quarter, with Shift the other way; L locks and opens; P and Delete park; what was chosen stays so', () => {
    const hand = holding({ chosen: [0, 2] });
    const turns = (act: Act) => wallOf(act.plan!, 6).places.map(({ turn }) => turn);
    expect(turns(key(hand, 'r', 2)!)).toEqual([1, 0, 1, 0, 0, 0]);
    expect(turns(key(hand, 'R', 2, true)!)).toEqual([3, 0, 3, 0, 0, 0]);
    // A key on a place that is not chosen is of that place.
    expect(turns(key(hand, 'r', 4)!)).toEqual([0, 0, 0, 0, 1, 0]);
    const shut = key(hand, 'l', 0)!;
    const locks = (act: Act) => wallOf(act.plan!, 6).places.map((p) => p.locked);
    expect(locks(shut)).toEqual([true, false, true, false, false, false]);
    expect(locks(keyed(onWall(shut.plan!), hand, 'l', false, 0)!)).toEqual(Array(6).fill(false));
    for (const name of ['p', 'Delete']) {
      const act = key(hand, name, 0)!;
      expect([hangs(act), act.hand]).toEqual(['-b-def acg', hand]);
    }
  });
  test('Escape lets go of everything; other keys are the page’s', () => {
    expect(key(holding({ chosen: [1], spare: 'g', carried: 2, said: 'x' }), 'Escape', 0)).toEqual({
      hand: EMPTY_HAND,
    });
    expect(['x', 'Tab', 'F5'].map((name) => key(EMPTY_HAND, name, 0))).toEqual([null, null, null]);
  });
});

test('the tools do to the chosen what the keys do', () => {
  const hand = holding({ chosen: [1] });
  expect(wallOf(turned(on, hand).plan!, 6).places[1]!.turn).toBe(1);
  expect(hangs(parked(on, hand))).toBe('a-cdef bg');
});
