import fc from 'fast-check';
import {
  arrange,
  type ArrangeProgress,
  clashesOf,
  judgeContrast,
  layOut,
  type PileBlock,
  planProblems,
  rowLabels,
  scoreOf,
  START_RULES,
  type WallJob,
  wallFrom,
  wallJob,
  wallOf,
  withArrangement,
  withLocked,
  withMoved,
  withParked,
  withPlaced,
  withTurned,
} from '../src/index.ts';
import { costOf, costsFor, placeCost } from '../src/wall/costs.ts';
import { edgeColours } from '../src/wall/contrast.ts';
import { inchPlan, wholeSetting } from './support/plans.ts';
import { gridWall, plantedWall } from './support/walls.ts';

const block = (id: string, more: Partial<PileBlock> = {}): PileBlock => ({
  id,
  name: id.toUpperCase(),
  width: 12.5,
  height: 12.5,
  ...more,
});
const pile = ['a', 'b', 'c', 'd', 'e'].map((id) => block(id));
const plan = inchPlan({
  grid: { across: 2, down: 2 },
  setting: wholeSetting({ kind: 'edge-to-edge' }),
  pile,
});
const names = (laid: readonly { block: PileBlock | null }[]) => laid.map((l) => l.block?.id ?? '-').join('');

function finish(job: WallJob, seed = 1, spares = false): ArrangeProgress {
  const running = arrange(job, seed, spares);
  for (let next = running.next(); ; next = running.next()) if (next.done) return next.value;
}

describe('what lies on the wall', () => {
  test('nothing laid out: the pile in its order, the rest beside', () => {
    const { places, spare } = wallOf(plan, 4);
    expect(names(places)).toBe('abcd');
    expect(spare.map((b) => b.id)).toEqual(['e']);
  });
  test('laid out: each in its place; a place left empty stays empty; more places are filled from the pile', () => {
    const wall = [
      { block: 'e', turn: 1 as const, locked: true },
      { block: null, turn: 0 as const, locked: false },
    ];
    const { places, spare } = wallOf({ ...plan, wall }, 4);
    expect(names(places)).toBe('e-ab');
    expect(places[0]).toMatchObject({ turn: 1, locked: true });
    expect(spare.map((b) => b.id)).toEqual(['c', 'd']);
  });
  test('a block that is gone from the pile leaves its place to the next', () => {
    expect(
      names(
        wallOf({ ...plan, pile: pile.slice(1), wall: [{ block: 'a', turn: 2, locked: true }] }, 2).places,
      ),
    ).toBe('bc');
  });
  test('what is read off a wall lays it out the same', () => {
    const { places } = wallOf(plan, 4);
    expect(names(wallOf({ ...plan, wall: wallFrom(places) }, 4).places)).toBe('abcd');
  });
  test('a wall that names a block twice, or blocks that share an id, are refused', () => {
    const spot = { block: 'a', turn: 0 as const, locked: false };
    expect(planProblems({ ...plan, wall: [spot, spot] })[0]!.message).toContain(
      'lies in two places of the wall',
    );
    expect(planProblems({ ...plan, pile: [block('a'), block('a')] })[0]!.message).toContain(
      'Two blocks share the id',
    );
  });
});

describe('moved about', () => {
  const pieces = layOut(plan).pieces.filter((p) => p.place !== undefined);
  const after = (p: typeof plan | null) => (p ? names(wallOf(p, 4).places) : null);
  test('two blocks change places; a locked one does not', () => {
    expect(after(withMoved(plan, pieces, [0], 0, 3))).toBe('dbca');
    const locked = withLocked(plan, 4, [3], true);
    expect(withMoved(locked, pieces, [0], 0, 3)).toBeNull();
    expect(after(withMoved(withLocked(locked, 4, [3], false), pieces, [0], 0, 3))).toBe('dbca');
  });
  test('several move together, what lay there takes their places; none leaves the wall', () => {
    // a b / c d: the upper row moved down.
    expect(after(withMoved(plan, pieces, [0, 1], 0, 2))).toBe('cdab');
    expect(withMoved(plan, pieces, [0, 1], 0, 1)).toBeNull();
    const wide = inchPlan({
      grid: { across: 3, down: 1 },
      setting: wholeSetting({ kind: 'edge-to-edge' }),
      pile,
    });
    const three = layOut(wide).pieces.filter((p) => p.place !== undefined);
    expect(names(wallOf(withMoved(wide, three, [0, 1], 0, 1)!, 3).places)).toBe('cab');
  });
  test('turned by quarters, unless locked or one-way', () => {
    const p = withLocked(
      { ...plan, pile: pile.map((b) => (b.id === 'b' ? { ...b, upright: true } : b)) },
      4,
      [2],
      true,
    );
    const turns = (q: typeof plan) => wallOf(q, 4).places.map((l) => l.turn);
    expect(turns(withTurned(p, 4, [0, 1, 2, 3]))).toEqual([1, 0, 0, 1]);
    expect(turns(withTurned(withTurned(p, 4, [0]), 4, [0], -2))).toEqual([3, 0, 0, 0]);
  });
  test('parked beside, and put back in another place', () => {
    const parked = withParked(plan, 4, [1]);
    expect(after(parked)).toBe('a-cd');
    expect(wallOf(parked, 4).spare.map((b) => b.id)).toEqual(['b', 'e']);
    expect(after(withPlaced(parked, 4, 'e', 0))).toBe('e-cd');
    expect(withPlaced(parked, 4, 'a', 0)).toBeNull();
    expect(withPlaced(withLocked(parked, 4, [0], true), 4, 'e', 0)).toBeNull();
  });
  test('rows as they are sewn: level ones, and slanting ones on point', () => {
    expect(rowLabels(pieces)).toEqual([
      { row: 1, number: 1 },
      { row: 1, number: 2 },
      { row: 2, number: 1 },
      { row: 2, number: 2 },
    ]);
    const onPoint = layOut(
      inchPlan({ grid: { across: 2, down: 2 }, setting: wholeSetting({ kind: 'on-point' }) }),
    ).pieces.filter((p) => p.place !== undefined);
    // Five blocks: rows rising to the right of one, three and one.
    expect(
      rowLabels(onPoint)
        .map((l) => l.row)
        .sort(),
    ).toEqual([1, 2, 2, 2, 3]);
    // The middle row rises to the right: its first block lies lowest, its last highest.
    const middle = onPoint
      .map((piece, i) => ({ piece, label: rowLabels(onPoint)[i]! }))
      .filter((p) => p.label.row === 2)
      .sort((a, b) => a.label.number - b.label.number);
    const tops = middle.map(({ piece }) => piece.outline[0]!.y);
    expect(tops).toEqual([...tops].sort((a, b) => b - a));
  });
});

describe('clashes', () => {
  const kinds = (...kind: string[]) =>
    inchPlan({
      grid: { across: 2, down: 2 },
      setting: wholeSetting({ kind: 'edge-to-edge' }),
      pile: kind.map((k, i) => block(`b${i}`, { kind: k, maker: `m${i}` })),
    });
  const clashes = (p: typeof plan, rules = START_RULES) => clashesOf(wallJob(p, layOut(p), rules));
  test('same kind side by side, and corner to corner', () => {
    expect(clashes(kinds('star', 'star', 'x', 'y'))).toEqual([
      { a: 0, b: 1, how: 'side', reasons: ['kind'] },
    ]);
    expect(clashes(kinds('star', 'x', 'y', 'star'))).toEqual([
      { a: 0, b: 3, how: 'corner', reasons: ['kind'] },
    ]);
  });
  test('only under rules that weigh something', () => {
    expect(clashes(kinds('star', 'star', 'x', 'y'), { ...START_RULES, kind: 0 })).toEqual([]);
  });
  test('main colours that look the same', () => {
    const p = inchPlan({
      grid: { across: 2, down: 1 },
      setting: wholeSetting({ kind: 'edge-to-edge' }),
      pile: [
        block('a', { kind: 'x', colours: ['#c4532f'] }),
        block('b', { kind: 'y', colours: ['#c8562f'] }),
      ],
    });
    expect(clashes(p)[0]!.reasons).toEqual(['colour']);
  });
  test('a cloth in common, where that is asked for', () => {
    const p = inchPlan({
      grid: { across: 2, down: 1 },
      setting: wholeSetting({ kind: 'edge-to-edge' }),
      pile: [
        block('a', { kind: 'x', colours: ['#c4532f', '#2e4a5f'] }),
        block('b', { kind: 'y', colours: ['#e0a93b', '#2e4b60'] }),
      ],
    });
    expect(clashes(p)).toEqual([]);
    expect(clashes(p, { ...START_RULES, cloth: 2 })[0]!.reasons).toEqual(['cloth']);
  });
  test('across a sash blocks meet too, and on point along their slanting rows', () => {
    const sashed = { ...kinds('star', 'star', 'x', 'y'), setting: wholeSetting({ kind: 'sashed' }) };
    expect(clashes(sashed)).toHaveLength(1);
    const onPoint = inchPlan({
      grid: { across: 2, down: 2 },
      setting: wholeSetting({ kind: 'on-point' }),
      pile: ['s', 'x', 's', 'y', 'z'].map((k, i) => block(`b${i}`, { kind: k })),
    });
    // Top left (0) and the nested one (2) share a side.
    expect(clashes(onPoint)).toEqual([{ a: 0, b: 2, how: 'side', reasons: ['kind'] }]);
  });
});

describe('arranged for the quilter', () => {
  test('what one place costs is what the whole loses without it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e6 }),
        fc.integer({ min: 0, max: 19 }),
        fc.constantFrom('across', 'down', 'outwards') as fc.Arbitrary<'across'>,
        (seed, place, order) => {
          const job = plantedWall(5, 4, seed, { ...START_RULES, turn: 2, gradient: 3, order });
          const costs = costsFor(job);
          const without = { at: job.at.map((b, i) => (i === place ? -1 : b)), turns: job.turns };
          expect(costOf(job, costs, job) - costOf(job, costs, without)).toBeCloseTo(
            placeCost(costs, job.at, job.turns, place, job.blocks.length),
            9,
          );
        },
      ),
      { numRuns: 30 },
    );
  });

  // Instances with a known clash-free answer; the larger ones are timed by the bench.
  test.each([
    [5, 6],
    [10, 12],
  ])(
    '%p × %p planted without a clash: none is left',
    (across, down) => {
      for (const seed of [1, 2, 3]) {
        const job = plantedWall(across, down, seed);
        expect(clashesOf(job).length).toBeGreaterThan(5);
        const { best, clashes } = finish(job, seed);
        expect(clashes).toBe(0);
        expect([...best.at].sort((a, b) => a - b)).toEqual(job.at.map((_, i) => i));
      }
    },
    30_000,
  );

  test('within one in a hundred of the best there is, found by trying every order', () => {
    const orders = (n: number): number[][] =>
      n === 0
        ? [[]]
        : orders(n - 1).flatMap((rest) =>
            Array.from({ length: n }, (_, i) => [...rest.slice(0, i), n - 1, ...rest.slice(i)]),
          );
    const all = orders(7);
    for (const seed of [11, 12, 13, 14]) {
      const planted = plantedWall(4, 2, seed, { ...START_RULES, gradient: 2 });
      const { places, meetings } = gridWall(7, 1);
      const job = {
        ...planted,
        places,
        meetings,
        blocks: planted.blocks.slice(0, 7),
        at: [0, 1, 2, 3, 4, 5, 6],
        turns: planted.turns.slice(0, 7),
        locked: planted.locked.slice(0, 7),
      };
      const costs = costsFor(job);
      const least = Math.min(...all.map((at) => costOf(job, costs, { at, turns: job.turns })));
      expect(finish(job, seed).cost).toBeLessThanOrEqual(least * 1.01 + 1e-9);
    }
  });

  test('the score counts clashes and tells how even it is', () => {
    const job = plantedWall(5, 6, 4);
    const { best } = finish(job, 2);
    expect(scoreOf(job).clashes).toBe(clashesOf(job).length);
    expect(scoreOf(job, best).clashes).toBe(0);
    expect(scoreOf(job, best).unevenness).toBeLessThan(scoreOf(job).unevenness);
  });
  test('same seed, same answer; another seed, another', () => {
    const job = plantedWall(5, 6, 4);
    expect(finish(job, 9)).toEqual(finish(job, 9));
    expect(finish(job, 9).best.at).not.toEqual(finish(job, 10).best.at);
  });
  test('locked places stay, never worse than before, and it says how far it is', () => {
    const job = { ...plantedWall(5, 6, 5), locked: Array.from({ length: 30 }, (_, i) => i % 4 === 0) };
    const costs = costsFor(job);
    const reports = [...arrange(job, 2)];
    expect(reports.length).toBeGreaterThan(10);
    const { best, cost } = reports.at(-1)!;
    job.locked.forEach((locked, i) => locked && expect(best.at[i]).toBe(job.at[i]));
    expect(cost).toBeLessThanOrEqual(costOf(job, costs, job) + 1e-9);
    for (let i = 1; i < reports.length; i++)
      expect(reports[i]!.cost).toBeLessThanOrEqual(reports[i - 1]!.cost + 1e-9);
  });
  test('upright blocks are never turned; others are, where turns matter', () => {
    const alike = plantedWall(4, 4, 6, { ...START_RULES, turn: 5 });
    const job = {
      ...alike,
      blocks: alike.blocks.map((b, i) => ({ ...b, kind: 'same', upright: i % 2 === 0 })),
    };
    const { best } = finish(job, 3);
    job.blocks.forEach((b, i) => b.upright && expect(best.turns[i]).toBe(0));
    expect(best.turns.some((t) => t !== 0)).toBe(true);
  });
  test('light to dark across, when nothing else matters: sorted', () => {
    const job = plantedWall(6, 1, 7, {
      kind: 0,
      maker: 0,
      colour: 0,
      cloth: 0,
      turn: 0,
      spread: 0,
      gradient: 5,
      order: 'across',
    });
    const values = finish(job).best.at.map((b) => job.blocks[b]!.value);
    expect([...values].sort((a, b) => b - a)).toEqual(values);
  });
  test('spare blocks come in only when they may', () => {
    const wide = plantedWall(4, 3, 8);
    const { places, meetings } = gridWall(3, 3);
    const job = { ...wide, places, meetings, at: wide.at.slice(0, 9), locked: wide.locked.slice(0, 9) };
    expect(new Set(finish(job, 1, false).best.at)).toEqual(new Set(job.at));
    expect(new Set(finish(job, 1, true).best.at).size).toBe(9);
  });
  test('a plan’s wall comes back as a sound plan', () => {
    const p = inchPlan({
      grid: { across: 3, down: 3 },
      setting: wholeSetting({ kind: 'on-point' }),
      pile: Array.from({ length: 15 }, (_, i) => block(`b${i}`, { kind: `k${i % 4}` })),
    });
    const job = wallJob(p, layOut(p), START_RULES);
    const after = withArrangement(p, job, finish(job).best);
    expect(planProblems(after)).toEqual([]);
    expect(clashesOf(wallJob(after, layOut(after), START_RULES)).length).toBeLessThanOrEqual(
      clashesOf(job).length,
    );
  });
  test('one block, or none: nothing to do', () => {
    const job = plantedWall(1, 1, 1);
    expect(finish(job)).toMatchObject({ done: 1, clashes: 0 });
    expect(finish({ ...job, blocks: [], at: [-1], turns: [] })).toMatchObject({ done: 1 });
  });
});

describe('a cloth held against the blocks', () => {
  const star = block('s', { face: 'star', colours: ['#3f7d6e', '#c4532f'] });
  const nine = block('n', { face: 'nine patch', colours: ['#2e4a5f', '#c4532f'] });
  test('the edge of a drawn face, by geometry: a star’s is all ground, a nine patch’s two thirds of its first colour', () => {
    const share = (b: PileBlock, colour: string) =>
      edgeColours(b).find((e) => e.colour === colour)?.share ?? 0;
    expect(share(star, '#f6efe0') + share(star, '#3f7d6e')).toBeCloseTo(1, 9);
    expect(share(nine, '#2e4a5f')).toBeCloseTo(2 / 3, 9);
  });
  // Rule WL-1.
  test('a cream sash disappears beside blocks with a cream edge, a dark one stands clear', () => {
    expect(judgeContrast('#f4ecdc', [star, star, nine], 'This sash')).toMatchObject({
      kind: 'disappears',
      text: 'This sash disappears beside 2 of your blocks.',
    });
    expect(judgeContrast('#30495c', [nine], 'This sash')).toMatchObject({
      kind: 'disappears',
      text: 'This sash disappears beside your block.',
    });
    expect(judgeContrast('#77aa33', [star], 'This sash')).toMatchObject({
      kind: 'clear',
      text: 'This sash stands clear of every block.',
    });
  });
  test('another hue as light is told to squint at', () => {
    const blue = block('p', { edge: '#5f7f9c' });
    expect(judgeContrast('#a06a5a', [blue], 'This border')).toMatchObject({
      kind: 'same-value',
      text: expect.stringContaining('Squint at it'),
    });
  });
  test('blocks without colours', () =>
    expect(judgeContrast('#777777', [block('x')], 'This sash').text).toContain('no colours yet'));
});

// A block is one thing: whatever is tried and taken back, it lies in one place (geometry).
test('blocks that come in from beside lie in one place each, and those they stand for lie beside', () => {
  const wallOfKinds = (across: number, down: number, blocks: number, kinds: number) =>
    inchPlan({
      grid: { across, down },
      setting: wholeSetting({ kind: 'edge-to-edge' }),
      pile: Array.from({ length: blocks }, (_, i) => block(`k${i}`, { kind: `kind ${i % kinds}` })),
    });
  for (const [plan, seeds] of [
    [wallOfKinds(2, 2, 6, 2), 12],
    [wallOfKinds(5, 6, 34, 4), 2],
  ] as const) {
    const job = wallJob(plan, layOut(plan), START_RULES);
    for (let seed = 1; seed <= seeds; seed++) {
      const { best, clashes } = [...arrange(job, seed, true)].at(-1)!;
      expect(new Set(best.at).size).toBe(job.places.length);
      expect(planProblems(withArrangement(plan, job, best))).toEqual([]);
      expect(clashes).toBe(clashesOf(job, best).length);
    }
  }
});
