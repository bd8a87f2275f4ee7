import fc from 'fast-check';
import { askCounter, computeQuilt, convertPlan, type Plan, planProblems, readPlan } from '../src/index.ts';
import { planHanging } from '../src/edge/hanging.ts';
import { chosenSewing } from '../src/sewing/chosen.ts';
import { inchPlan } from './support/plans.ts';

const hung = (as: Plan['hanging']['as'], change: Partial<Plan['edge']> = {}): Plan => {
  const plan = inchPlan({ block: { width: 9, height: 9 }, grid: { across: 5, down: 6 } });
  return {
    ...plan,
    hanging: { as, depth: as === 'corners' ? 5 : 4, fabric: 'border' },
    edge: { ...plan.edge, ...change },
  };
};
const wish = { depth: 4, seam: 0.25, fabric: 'x', unit: 'in' } as const;
const values = (plan: Plan) =>
  Object.fromEntries(computeQuilt(plan).edge.hanging!.lines.map(({ name, figure }) => [name, figure.value]));

describe('to hang it (rule SL-1)', () => {
  // Common practice, asked by shows: a 4" sleeve is cut 8 1/2" and ends half an inch inside each side.
  test('a sleeve: cut twice its depth and two seams, an inch shorter than the quilt, and its hems', () => {
    const { lines, cuts } = planHanging({ ...wish, as: 'sleeve', width: 50 });
    expect(lines.map(({ figure }) => figure.value)).toEqual([8.5, 50, 49]);
    expect(cuts.map(({ count }) => count.value)).toEqual([1]);
  });
  // By the pencil: 80 − 1 = 79, less an inch between, halved: 39; with its hems 40.
  test('wider than a rod carries: two, with an inch for a hook', () => {
    const { lines, cuts, lies } = planHanging({ ...wish, as: 'sleeve', width: 80 });
    expect(lines.map(({ figure }) => figure.value)).toEqual([8.5, 40, 39]);
    expect(cuts[0]!.count.value).toBe(2);
    expect(planHanging({ ...wish, as: 'sleeve', width: 60 }).cuts[0]!.count.value).toBe(1);
    expect(lies.map(({ outline }) => [outline[0]!.x, outline[1]!.x])).toEqual([
      [0.5, 39.5],
      [40.5, 79.5],
    ]);
  });
  test('two corners and a dowel for a small one', () => {
    const { lines, cuts } = planHanging({ ...wish, as: 'corners', depth: 5, width: 24 });
    expect(lines.map(({ figure }) => figure.value)).toEqual([5, 23]);
    expect(cuts[0]!.count.value).toBe(2);
  });
  test('any width: what lies on the back stays inside the quilt and leaves half an inch at both ends', () => {
    fc.assert(
      fc.property(fc.double({ min: 12, max: 130, noNaN: true }), (width) => {
        const xs = planHanging({ ...wish, as: 'sleeve', width }).lies.flatMap(({ outline }) =>
          outline.map(({ x }) => x),
        );
        expect(Math.min(...xs)).toBeCloseTo(0.5, 9);
        expect(Math.max(...xs)).toBeCloseTo(width - 0.5, 9);
      }),
    );
  });
  test('cut from its own cloth; before a binding, whose seam holds it, or when the edge is closed', () => {
    const plan = hung('sleeve');
    expect(planProblems(plan)).toEqual([]);
    const quilt = computeQuilt(plan);
    const line = quilt.besides.find(({ role }) => role === 'sleeve')!;
    expect([line.fabric, line.cut.shape === 'rectangle' && line.cut.width.value]).toEqual(['border', 8.5]);
    const order = (p: Plan) => chosenSewing(p, computeQuilt(p), null).guide.map(({ id }) => id);
    const bound = order(plan);
    expect(bound.indexOf('sleeve')).toBe(bound.indexOf('binding') - 1);
    expect(order(hung('sleeve', { finishes: ['facing'] })).slice(-2)).toEqual(['facing', 'sleeve']);
    expect(order(hung('none'))).not.toContain('sleeve');
    expect(computeQuilt(hung('none')).edge.hanging).toBeNull();
  });
  // Two of 40" lie in two strips of 40"; joined into one run they would take three.
  test('the counter counts strips as the cutting list does', () => {
    const asked = (width: string) => askCounter('sleeve', { width, height: '60' }, 'in');
    for (const [width, strips] of [
      ['80', 2],
      ['36', 1],
      ['60', 2],
    ] as const) {
      const answer = asked(width);
      expect([width, answer.ok && answer.json['strips']]).toEqual([width, strips]);
    }
  });
  test('in centimetres the same, to the tape', () => {
    const metric = convertPlan(hung('sleeve'), 'cm');
    const width = computeQuilt(metric).finished.width.value;
    expect(values(metric)['Sleeve, finished']).toBeCloseTo(width - 2.5, 6);
  });
  test('version 13: nothing is hung, and a sleeve would be of the backing', () => {
    const old = Object.fromEntries(Object.entries(hung('none')).filter(([key]) => key !== 'hanging')) as Plan;
    const read = readPlan({ ...old, schemaVersion: 13 });
    expect(read.ok && read.plan.hanging).toEqual({ as: 'none', depth: 4, fabric: old.backing.fabric });
  });
});
