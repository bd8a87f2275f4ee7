import { planProblems, splitCounts, splitQuilt } from '../src/index.ts';
import { borderOf, inchPlan, wholeSetting } from './support/plans.ts';

const plan = inchPlan({
  grid: { across: 3, down: 4 },
  setting: wholeSetting({ kind: 'edge-to-edge' }),
  borders: [borderOf(3, 'border')],
});

describe('one quilt split into smaller ones', () => {
  // Rule TG-2, common practice: 12 blocks as 2 × (2 × 3) need more border, and how much is to be said.
  test('twelve blocks as two of 2 × 3', () => {
    const [best] = splitQuilt(plan, 2);
    expect(best).toMatchObject({
      grid: { across: 2, down: 3 },
      blocks: 6,
      over: 0,
      quilts: 2,
      alike: true,
      twins: [{ finished: { width: 30, height: 42 } }, { finished: { width: 30, height: 42 } }],
    });
    // 36 × 48 with 3" sides first: 2 × 48 1/2 + 2 × 42 1/2 = 182. Each small one: 2 × 36 1/2 + 2 × 30 1/2 = 134.
    expect(best!.twins[0]!.border.value).toBe(134);
    expect(best!.extra).toMatchObject({ value: 86, working: ['2 × 134 − 182 for the one quilt = 86'] });
    expect(best!.cloth.map((c) => c.name)).toEqual(['Border']);
    expect(best!.cloth[0]!.after.length.value).toBeGreaterThan(best!.cloth[0]!.before.length.value);
  });
  // 2 × 3 of 12 is 24 × 36. Border 3: 2 × 36½ + 2 × 30½ = 134. Border 5 on the second: 2 × 36½ + 2 × 34½ = 142.
  test('each may have borders of its own: sizes, strip and cloth follow', () => {
    const [best] = splitQuilt(plan, 2, [undefined, [borderOf(5, 'border')]]);
    expect(best!.alike).toBe(false);
    expect(
      best!.twins.map(({ finished, border }) => [finished.width, finished.height, border.value]),
    ).toEqual([
      [30, 42, 134],
      [34, 46, 142],
    ]);
    expect(best!.extra).toMatchObject({ value: 94, working: ['134 + 142 − 182 for the one quilt = 94'] });
    expect(best!.plans.map(({ borders }) => borders[0]!.sides)).toEqual([3, 5]);
    // Four and four strips of 3½ and of 5½ from 40″: 4 × 3½ + 4 × 5½ = 36.
    expect(best!.cloth[0]!.after.length.value).toBeGreaterThan(
      splitQuilt(plan, 2)[0]!.cloth[0]!.after.length.value,
    );
    // A border no quilt may have is not offered.
    expect(splitQuilt(plan, 2, [[borderOf(400, 'border')]])).toEqual([]);
  });
  test('the pile is dealt out in its order; what is over stays out', () => {
    const pile = Array.from({ length: 13 }, (_, i) => ({
      id: `b${i}`,
      name: `Block ${i + 1}`,
      width: 12.5,
      height: 12.5,
    }));
    const [best] = splitQuilt({ ...plan, pile }, 2);
    expect(best!.over).toBe(1);
    expect(best!.plans.map((p) => p.pile.map((b) => b.name)[0])).toEqual(['Block 1', 'Block 7']);
    expect(best!.plans.map((p) => p.title)).toEqual(['Sashed sampler, 1 of 2', 'Sashed sampler, 2 of 2']);
    for (const small of best!.plans) expect(planProblems(small)).toEqual([]);
  });
  test('few blocks over and most like the one quilt first', () => {
    const ways = splitQuilt(plan, 3);
    expect(ways[0]).toMatchObject({ grid: { across: 2, down: 2 }, over: 0 });
    expect(ways.at(-1)!.over).toBeGreaterThan(0);
  });
  test('says how much wider borders would have to be for the target', () => {
    expect(
      splitQuilt({ ...plan, target: { of: 'size', width: 40, height: 50 } }, 2)[0]!.twins[0]!.toTarget,
    ).toEqual({
      sides: 5,
      ends: 4,
    });
    expect(
      splitQuilt({ ...plan, target: { of: 'size', width: 20, height: 50 } }, 2)[0]!.twins[0]!.toTarget,
    ).toBeNull();
    expect(splitQuilt(plan, 2)[0]!.twins[0]!.toTarget).toBeNull();
  });
  test('on point, each small quilt takes what its own setting takes', () => {
    const [best] = splitQuilt(
      inchPlan({ grid: { across: 3, down: 4 }, setting: wholeSetting({ kind: 'on-point' }) }),
      2,
    );
    // 3 × 4 on point takes 18; two quilts have nine each: 2 × 3 takes eight, and a strip of 1 × 9 would take all nine.
    expect(best).toMatchObject({ grid: { across: 2, down: 3 }, blocks: 8, over: 2 });
  });
  test('no more quilts than there are blocks', () => {
    expect(splitCounts(3)).toEqual([2, 3]);
    expect(splitCounts(30)).toEqual([2, 3, 4, 5, 6]);
    expect(splitCounts(1)).toEqual([]);
  });
});
