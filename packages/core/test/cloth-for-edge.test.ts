import fc from 'fast-check';
import { computeQuilt, joinedStrips, type Plan, planProblems, type Quilt } from '../src/index.ts';
import { inchPlan } from './support/plans.ts';

const base = inchPlan({});
const planOf = (width: number, height: number, change: Partial<Plan> = {}): Plan => {
  const plan = {
    ...base,
    block: { width, height },
    grid: { across: 1, down: 1 },
    setting: { kind: 'edge-to-edge' },
    ...change,
  } as Plan;
  const problems = planProblems(plan);
  if (problems.length > 0) throw new Error(problems.map((p) => p.message).join('\n'));
  return plan;
};
const bindingOf = (change: Partial<Plan['binding']>) => ({ binding: { ...base.binding, ...change } });
const edged = (...finishes: Plan['edge']['finishes']) => ({ edge: { ...base.edge, finishes } });
const bought = (quilt: Quilt, fabric: string) => quilt.fabrics.find((f) => f.fabric.id === fabric);
/** How far along its cloth each piece of the edge goes that is cut whole, in the order of the cloths. */
const edgeLengths = (quilt: Quilt) =>
  quilt.fabrics.flatMap(({ fabric, pieces }) =>
    pieces
      .filter((piece) => quilt.besides.some((line) => line.owner === 'edge' && line.id === piece.line))
      .map(({ h }) => [fabric.id, h]),
  );
const eighths = (least: number, most: number) =>
  fc.integer({ min: least * 8, max: most * 8 }).map((n) => n / 8);

describe('a binding with a flange built in', () => {
  const flange = { visible: 0.125, fabric: 'accent' };
  test('both strips are cut on the bias where the binding is, each from a square of its own cloth', () => {
    const plan = planOf(40, 50, bindingOf({ stripWidth: 2.75, grain: 'bias-square', flange }));
    const { binding } = computeQuilt(plan).edge;
    // Common practice: 1 1/2" and 1 3/4" make it, sewn along their length. Each goes all round: 190".
    expect([binding!.cutWidth, binding!.flange!.flange.value]).toEqual([1.5, 1.75]);
    expect(binding!.bias!.gives.value).toBeGreaterThanOrEqual(190);
    for (const [cloth, strip] of [
      [binding!.fabric.value, 1.5],
      [binding!.flange!.fabric.value, 1.75],
    ] as const) {
      expect(cloth * cloth).toBeGreaterThanOrEqual(190 * strip);
      // No more than the rule of the root asks for.
      expect(cloth).toBeLessThanOrEqual(Math.ceil(Math.sqrt(190 * strip)) + 2);
    }
    expect(edgeLengths(computeQuilt(plan))).toEqual([
      ['accent', binding!.flange!.fabric.value],
      ['binding', binding!.fabric.value],
    ]);
  });
  test('a lane of the tube is as wide as the main strip', () => {
    const { binding } = computeQuilt(
      planOf(40, 50, bindingOf({ stripWidth: 2.75, grain: 'bias-tube', flange })),
    ).edge;
    expect(binding!.bias!.tube!.lanes).toBe(
      Math.floor((binding!.fabric.value - 0.5) / Math.SQRT2 / 1.5 + 1e-9),
    );
    expect(binding!.joined).toEqual({ lengths: [binding!.bias!.gives.value], loss: 0 });
  });
  test('leftovers are cut to the main strip, a join takes its width', () => {
    const { binding } = computeQuilt(
      planOf(40, 50, {
        ...bindingOf({ stripWidth: 2.75, flange }),
        stock: [{ id: 'a', for: 'binding', width: 3.25, length: 60 }],
      }),
    ).edge;
    // 3 1/4" holds two strips of 1 1/2", where it would hold one of 2 3/4".
    expect(binding!.leftovers!.lengths).toEqual([60, 60]);
    expect(binding!.joined.loss).toBe(1.5);
  });
});

describe('what there is to buy', () => {
  test('every length that layers and edge ask for is bought, whatever they are', () => {
    fc.assert(
      fc.property(
        eighths(20, 58),
        eighths(20, 58),
        fc.constantFrom('straight', 'bias-square', 'bias-length', 'bias-tube'),
        fc.constantFrom<Plan['edge']['finishes'][]>(['binding'], ['flange', 'binding'], ['prairie-points']),
        fc.constantFrom('best', 'vertical', 'horizontal', 'wide'),
        (width, height, grain, finishes, way) => {
          const plan = planOf(width, height, {
            ...edged(...finishes),
            ...bindingOf({ grain: grain as 'straight' }),
            backing: { ...base.backing, way: way as 'best' },
          });
          const quilt = computeQuilt(plan);
          const { binding, flange, points } = quilt.edge;
          const backing = quilt.layers!.chosenBacking;
          // What each says it takes, whichever way it is cut.
          const asked: [fabric: string, length: number][] = [
            [backing.way === 'wide' ? plan.backing.wide : plan.backing.fabric, backing.fabric.value],
            [plan.backing.stripe.fabric, backing.stripe?.fabric.value ?? 0],
            [plan.binding.fabric, binding?.fabric.value ?? 0],
            [plan.edge.flange.fabric, flange?.fabric.value ?? 0],
            ...(points?.cloths ?? []).map((c): [string, number] => [c.fabric, c.length.value]),
          ];
          for (const id of new Set(asked.map(([fabric]) => fabric))) {
            const needed = asked
              .filter(([fabric]) => fabric === id)
              .reduce((sum, [, length]) => sum + length, 0);
            const cloth = bought(quilt, id);
            // Cut together they take no more than each by itself, and no less than can be.
            expect(cloth?.needed.value ?? 0).toBeLessThanOrEqual(needed + 1e-6);
            expect(cloth?.needed.value ?? 0).toBeGreaterThanOrEqual((cloth?.bound ?? 0) - 1e-6);
            expect(cloth?.buy.length.value ?? 0).toBeGreaterThanOrEqual((cloth?.needed.value ?? 0) - 1e-9);
          }
        },
      ),
      { numRuns: 80 },
    );
  });
  test('points in place of a binding ask for no binding cloth', () => {
    const plan = planOf(40, 50, edged('prairie-points'));
    const ofEdge = computeQuilt(plan).besides.filter((line) => line.owner === 'edge');
    expect(ofEdge.map((line) => line.role)).toEqual(['prairie-point']);
  });
});

describe('joins of long strips', () => {
  const joined = (plan: Plan) => joinedStrips(computeQuilt(plan), plan.unit);
  test('a flange longer than its cloth is joined, each of its four strips by name; a short one is not', () => {
    expect(joined(planOf(30, 36, edged('flange', 'binding')))).toEqual([]);
    const strips = joined(planOf(50, 60, edged('flange', 'binding')));
    const names = strips.map((s) => s.what);
    expect(names.every((n) => /^Flange (sides|top and bottom), (first|second)$/.test(n))).toBe(true);
    // 60" from cloth of 40" cannot do without one.
    expect(names).toEqual(expect.arrayContaining(['Flange sides, first', 'Flange sides, second']));
    for (const { joins, length } of strips) for (const at of joins) expect(at > 0 && at < length).toBe(true);
  });
  test('a join near an end or the middle says what to cut off first, and only then', () => {
    fc.assert(
      fc.property(eighths(42, 58), eighths(42, 58), (width, height) => {
        for (const { joins, length, remedy } of joined(planOf(width, height, edged('flange', 'binding')))) {
          const clear = Math.min(...joins.flatMap((at) => [at, length - at, Math.abs(at - length / 2)]));
          expect(remedy !== null).toBe(clear < 2 - 1e-6);
        }
      }),
      { numRuns: 60 },
    );
  });
});
