import fc from 'fast-check';
import {
  computeQuilt,
  cutLengthwiseInstead,
  isEnough,
  waysToUseLessCloth,
  type Plan,
  planProblems,
} from '../src/index.ts';
import { borderOf, inchPlan } from './support/plans.ts';

const plan = () => inchPlan({ borders: [borderOf(4, 'sash')] });
/** What a cloth takes with its end squared, again after every fourth strip by half as much (rules BU-2, CU-6). */
function wanted(p = plan(), cloth = 'sash') {
  const { needed, heights } = computeQuilt(p).fabrics.find(({ fabric }) => fabric.id === cloth)!;
  return needed.value + p.squaring * (1 + (Math.ceil(heights.length / 4) - 1) / 2);
}

// Rule BO-3, common practice: along the selvage borders need no joins; how much cloth that takes depends on what lies beside them.
test('borders cut along the selvage: how many joins that spares, and how much cloth', () => {
  const p = inchPlan({ borders: [borderOf(4, 'border')] });
  const instead = cutLengthwiseInstead(p, computeQuilt(p), 'border')!;
  const joins = (q: Plan) => computeQuilt(q).joins.length;
  expect(instead.joins).toBe(joins(p) - joins(instead.plan));
  expect(joins(instead.plan)).toBe(0);
  const of = (q: Plan) => computeQuilt(q).fabrics.find(({ fabric }) => fabric.id === 'border')!.needed.value;
  expect(instead.saves).toBeCloseTo(of(p) - of(instead.plan), 9);
  expect(cutLengthwiseInstead(instead.plan, computeQuilt(instead.plan), 'border')).toBeNull();
});

describe('when a cloth is short', () => {
  test('every way out is sound, drawn up and really enough, with its end squared', () => {
    const all = wanted();
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 0.98, noNaN: true }), (share) => {
        const inHand = { cloth: 'sash', length: all * share };
        for (const way of waysToUseLessCloth(plan(), inHand)) {
          expect(planProblems(way.plan)).toEqual([]);
          expect(isEnough(way.plan, computeQuilt(way.plan), inHand)).toBe(true);
          expect(way.needed).toBeLessThanOrEqual(inHand.length + 1e-6);
        }
      }),
      { numRuns: 3 },
    );
  });
  test('a little short: a narrower border, the widest that is enough, or something else', () => {
    const ways = waysToUseLessCloth(plan(), { cloth: 'sash', length: wanted() - 3 });
    const border = ways.find(({ way }) => way === 'border')!;
    const width = border.plan.borders[0]!.sides;
    expect(width).toBeLessThan(4);
    // An eighth wider it would not do.
    const wider = {
      ...border.plan,
      borders: border.plan.borders.map((b) => ({ ...b, sides: width + 1 / 8, ends: width + 1 / 8 })),
    };
    expect(wanted(wider)).toBeGreaterThan(wanted() - 3);
    expect(ways.map(({ moves }) => moves)).toEqual([...ways.map(({ moves }) => moves)].sort((a, b) => a - b));
    expect(new Set(ways.map(({ id }) => id)).size).toBe(ways.length);
    expect(ways.map(({ way }) => way)).toContain('other-cloth');
  });
  test('a pieced sash, and another cloth by turns, take just some of it', () => {
    const p = inchPlan({});
    const ways = waysToUseLessCloth(p, { cloth: 'sash', length: wanted(p) * 0.85 });
    const pieced = ways.find(({ way }) => way === 'pieced-sash')!;
    // Three strips of 1/2" are cut 1" each, two of them 2" as the whole sash is: two strips, 1 1/4" each, save.
    expect(pieced.plan.setting).toMatchObject({ kind: 'sashed', strips: '2' });
    expect(pieced.title).toBe('Sashes of two strips, one of Accent');
    expect(pieced.moves).toBe(0);
    const turned = ways.find(({ way }) => way === 'in-turns')!;
    expect(turned.title).toMatch(/^Sashes in turn with /);
    expect(turned.plan.rotations).toMatchObject([{ for: 'sash', fabrics: [expect.any(String)] }]);
    // Of 31 sashes the first cloth keeps sixteen.
    const line = computeQuilt(turned.plan).pieces.find(
      ({ fabric, role }) => fabric === 'sash' && role === 'sash',
    )!;
    expect(line.count.value).toBe(16);
  });
  test('enough is enough; next to nothing leaves only what needs none', () => {
    expect(isEnough(plan(), computeQuilt(plan()), { cloth: 'sash', length: wanted() })).toBe(true);
    expect(isEnough(plan(), computeQuilt(plan()), { cloth: 'sash', length: wanted() - 0.1 })).toBe(false);
    for (const { needed } of waysToUseLessCloth(plan(), { cloth: 'sash', length: 1 }))
      expect(needed).toBeLessThanOrEqual(1);
  });
});

// By the pencil: round 42 × 42 a border of 4½ takes 2 × 42½ and 2 × 50½ = 186; five strips of 40″ joined straight bring
// 5 × 40 − 4 × ½ = 198, on the diagonal, where a join takes a strip's width, 182: six (rule CU-1).
test('straight joins are the mildest way out: the quilt stays as it is', () => {
  const p = inchPlan({ grid: { across: 3, down: 3 }, borders: [borderOf(4, 'border')] });
  const of = (q: Plan) => computeQuilt(q).fabrics.find(({ fabric }) => fabric.id === 'border')!.needed.value;
  const straight = { ...p, borders: p.borders.map((border) => ({ ...border, joins: 'straight' as const })) };
  const spared = of(p) - of(straight);
  expect(spared).toBe(4.5);
  const ways = waysToUseLessCloth(p, { cloth: 'border', length: wanted(straight, 'border') });
  expect(ways[0]).toMatchObject({
    way: 'joins',
    moves: 0,
    title: 'The border joined straight instead of on the diagonal',
  });
});
test('a narrower sash with a wider border keeps the size', () => {
  const p = inchPlan({ borders: [borderOf(4, 'border')] });
  const way = waysToUseLessCloth(p, { cloth: 'sash', length: wanted(p) - 3 }).find(
    ({ id }) => id === 'sash-and-border',
  )!;
  const size = (q: Plan) => {
    const { width, height } = computeQuilt(q).finished;
    return [width.value, height.value];
  };
  expect(size(way.plan)).toEqual(size(p).map((side) => expect.closeTo(side, 9)));
  expect(way.title).toMatch(/the quilt keeps its size$/);
});
test('a print with a direction is not proposed along the selvage, and where it is chosen it is said', () => {
  const p = inchPlan({ borders: [borderOf(4, 'border')] });
  const printed: Plan = {
    ...p,
    fabrics: p.fabrics.map((f) => (f.id === 'border' ? { ...f, direction: 'one-way' } : f)),
  };
  expect(cutLengthwiseInstead(p, computeQuilt(p), 'border')).not.toBeNull();
  expect(cutLengthwiseInstead(printed, computeQuilt(printed), 'border')).toBeNull();
  expect(waysToUseLessCloth(printed, { cloth: 'border', length: 60 }).map(({ way }) => way)).not.toContain(
    'direction',
  );
  const along: Plan = { ...printed, borders: printed.borders.map((b) => ({ ...b, cut: 'lengthwise' })) };
  const quilt = computeQuilt(along);
  expect(quilt.advice.find(({ path }) => path.join('.') === 'borders.0.cut')?.message).toMatch(
    /lies on its side at top and bottom/,
  );
  const [sides, ends] = quilt.pieces.filter(({ role }) => role === 'border');
  expect(sides!.notes.join(' ')).toMatch(/so that the print stands up/);
  expect(ends!.notes.join(' ')).toMatch(/the print lies on its side here/);
  const cloth = quilt.fabrics.find(({ fabric }) => fabric.id === 'border')!;
  expect(cloth.notes.join(' ')).toMatch(
    /border top and bottom is cut along the selvage: there it lies on its side/,
  );
});
