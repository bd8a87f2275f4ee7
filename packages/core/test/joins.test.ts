import fc from 'fast-check';
import { computeQuilt } from '../src/index.ts';
import { cutRun, equalStrips, runLength, stripsFor } from '../src/strip/joins.ts';
import { borderOf, inchPlan, quiltOf } from './support/plans.ts';

const run = (strips: number, usable = 40, loss = 3) => equalStrips(strips, usable, loss);
/** Middles of the joins along a run, by walking it strip by strip. */
const walked = ({ lengths, loss }: ReturnType<typeof run>) =>
  lengths.slice(1).map((_, i) => lengths.slice(0, i + 1).reduce((a, b) => a + b) - i * loss - loss / 2);

describe('strips joined end to end', () => {
  // Rules CU-1, BO-4: each diagonal join uses one cut width of length; straight joins two seams. Common practice.
  test('a run is its strips less a loss at every join', () => {
    expect(runLength(run(5, 42.5))).toBe(5 * 42.5 - 4 * 3);
    expect(stripsFor(197, 42.5, 3)).toBe(5);
    expect(stripsFor(200.5, 42.5, 3)).toBe(5);
    expect(stripsFor(200.6, 42.5, 3)).toBe(6);
    expect(stripsFor(40, 40, 3)).toBe(1);
  });

  const wanted = fc.array(
    fc.record({
      length: fc.integer({ min: 164, max: 480 }).map((n) => n / 4),
      count: fc.integer({ min: 1, max: 3 }),
    }),
    { minLength: 1, maxLength: 3 },
  );
  const total = (list: readonly { length: number; count: number }[]) =>
    list.reduce((sum, w) => sum + w.length * w.count, 0);

  test('every piece is cut once, in order they fit the run, and joins fall where the run has them', () => {
    fc.assert(
      fc.property(wanted, fc.constantFrom(0.5, 3, 6), (list, loss) => {
        const made = run(stripsFor(total(list), 40, loss), 40, loss);
        const cuts = cutRun(list, made, 'in');
        list.forEach(({ count }, of) => expect(cuts.pieces.filter((p) => p.of === of)).toHaveLength(count));
        expect(total(list) + cuts.left.reduce((a, b) => a + b, 0)).toBeCloseTo(runLength(made), 6);
        // Whatever lies before a piece, its joins keep the run's own pitch.
        for (const { joins } of cuts.pieces) {
          // A join right at an end is held to it; any others are a strip apart, less what the join takes.
          joins.slice(2, -1).forEach((at, i) => expect(at - joins[i + 1]!).toBeCloseTo(40 - loss, 9));
          joins.slice(1).forEach((at, i) => expect(at - joins[i]!).toBeLessThanOrEqual(40 - loss + 1e-6));
        }
      }),
      { numRuns: 40 },
    );
  });

  test('no order with the waste cut in one lump keeps the nearest join farther off (tried one by one)', () => {
    const small = fc.array(
      fc.record({ length: fc.integer({ min: 84, max: 160 }).map((n) => n / 2), count: fc.constant(1) }),
      { minLength: 1, maxLength: 4 },
    );
    const orders = <T>(list: readonly T[]): T[][] =>
      list.length === 0
        ? [[]]
        : list.flatMap((item, i) =>
            orders([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [item, ...rest]),
          );
    fc.assert(
      fc.property(small, (list) => {
        const made = run(stripsFor(total(list), 40, 3));
        const joins = walked(made);
        const spare = runLength(made) - total(list);
        const best = Math.max(
          ...orders(list).flatMap((order) =>
            Array.from({ length: order.length + 1 }, (_, gap) => {
              let at = 0;
              return Math.min(
                ...order.map(({ length }, i) => {
                  // Passed over in whole steps of 1/2".
                  if (i === gap) at += Math.floor(spare * 2) / 2;
                  const from = at;
                  at += length;
                  return Math.min(
                    ...joins
                      .filter((j) => j > from - 1.5 + 1e-6 && j < from + length + 1.5 - 1e-6)
                      .map((j) => Math.min(length, Math.max(0, j - from)))
                      .map((j) => Math.min(j, length - j, Math.abs(j - length / 2))),
                  );
                }),
              );
            }),
          ),
        );
        expect(cutRun(list, made, 'in').clear).toBeGreaterThanOrEqual(Math.min(5, best) - 1e-6);
      }),
      { numRuns: 60 },
    );
  });

  test('a great many pieces are cut one after another, and still fit', () => {
    const many = [
      { length: 60.5, count: 30 },
      { length: 50.25, count: 30 },
      { length: 45, count: 30 },
    ];
    const made = run(stripsFor(total(many), 40, 3));
    expect(cutRun(many, made, 'in').pieces).toHaveLength(90);
  });
});

describe('on the quilt', () => {
  // Common practice: five strips of 42 1/2" make two 42 1/2" and two 56" strips of a 2 1/2" border.
  const usable = (width: number) => inchPlan({}).fabrics.map((f) => ({ ...f, usableWidth: width }));
  const quilt = (change = {}, width = 42) =>
    quiltOf(
      12,
      3,
      4,
      { kind: 'sashed', sash: 1.5 },
      { fabrics: usable(width), borders: [{ ...borderOf(4, 'border'), ...change }] },
    );

  test('joins are drawn on their strips, away from the middle and the corners', () => {
    const { joins, layout, fabrics } = quilt();
    const group = fabrics.find((f) => f.fabric.id === 'border')!.runs[0]!;
    expect(group.clear).toBeGreaterThan(2);
    expect(joins.length).toBeGreaterThan(0);
    for (const { piece, from, to } of joins) {
      const { outline } = layout.pieces.find((p) => p.id === piece)!;
      const xs = outline.map((p) => p.x);
      const ys = outline.map((p) => p.y);
      for (const end of [from, to]) {
        expect(end.x).toBeGreaterThanOrEqual(Math.min(...xs) - 1e-9);
        expect(end.x).toBeLessThanOrEqual(Math.max(...xs) + 1e-9);
        expect(end.y).toBeGreaterThanOrEqual(Math.min(...ys) - 1e-9);
        expect(end.y).toBeLessThanOrEqual(Math.max(...ys) + 1e-9);
      }
      // On the diagonal: as far along as across.
      expect(Math.abs(to.x - from.x)).toBeCloseTo(Math.abs(to.y - from.y), 9);
    }
  });
  test('straight joins take two seams of length and run straight across', () => {
    const { joins, fabrics } = quilt({ joins: 'straight' });
    expect(fabrics.find((f) => f.fabric.id === 'border')!.strips[0]!.strips.working.join()).toContain(
      'straight joins × 1/2',
    );
    for (const { from, to } of joins)
      expect(Math.min(Math.abs(to.x - from.x), Math.abs(to.y - from.y))).toBeCloseTo(0, 9);
  });
  test('a cloth wide enough, or cut along the selvage, has none', () => {
    expect(quilt({}, 108).joins).toEqual([]);
    expect(quilt({ cut: 'lengthwise' }).joins).toEqual([]);
  });
  test('a join that cannot be kept from the middle is said, with what one strip more would do', () => {
    // Two strips of 76 1/2" out of four of 39 3/8" with nothing over: the first join falls all but at a middle.
    const plan = inchPlan({
      block: { width: 19, height: 19 },
      grid: { across: 1, down: 4 },
      setting: {
        kind: 'strip-set',
        direction: 'columns',
        sash: 1,
        outerSash: true,
        shortSash: false,
        short: 1,
      },
    });
    const said = computeQuilt({ ...plan, fabrics: plan.fabrics.map((f) => ({ ...f, usableWidth: 39.375 })) })
      .advice.map((a) => a.message)
      .join();
    expect(said).toMatch(
      /However the strips are cut, one join falls .*″ from the middle or an end, where it shows\. Cut one strip more and it moves to/,
    );
  });
});
