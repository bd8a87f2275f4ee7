import fc from 'fast-check';
import {
  BACKING_WAYS,
  BATTING_COLOURS,
  BINDING_GRAINS,
  BINDING_SCHOOLS,
  changesBetween,
  computeQuilt,
  convertPlan,
  EDGE_SHAPES,
  FACING_CORNERS,
  HANGINGS,
  FIBRE_IDS,
  MARKINGS,
  type Plan,
  planProblems,
  POINT_FOLDS,
  POINTS_SEWN,
  SIDES,
  type Quilt,
  readPlanJson,
  startPlan,
  writePlanJson,
} from '../src/index.ts';

const eighths = (least: number, most: number) =>
  fc.integer({ min: least * 8, max: most * 8 }).map((n) => n / 8);
const fabric = fc.constantFrom('sash', 'accent', 'border', 'back', 'wide-back');

/** Any sound plan of a small quilt with whatever layers and edge there can be. */
const anyEdgedPlan: fc.Arbitrary<Plan> = fc
  .record({
    block: fc.record({ width: eighths(8, 20), height: eighths(8, 20) }),
    grid: fc.record({ across: fc.integer({ min: 1, max: 5 }), down: fc.integer({ min: 1, max: 5 }) }),
    backing: fc.record({
      overhang: eighths(0, 6),
      fabric,
      wide: fabric,
      way: fc.constantFrom('best' as const, ...BACKING_WAYS),
      stripe: fc.record({ of: fc.constantFrom('fabric' as const, 'blocks' as const), fabric }),
      made: fc.option(
        fc.record({
          width: eighths(20, 90),
          height: eighths(20, 90),
          diagonals: fc.tuple(eighths(30, 130), eighths(30, 130)),
        }),
      ),
    }),
    batting: fc.record({
      fibre: fc.constantFrom(...FIBRE_IDS),
      colour: fc.constantFrom(...BATTING_COLOURS),
      way: fc.constantFrom(
        'best' as const,
        'package' as const,
        'roll' as const,
        'joined' as const,
        'pieces' as const,
      ),
      rollWidth: eighths(30, 120),
    }),
    quilting: fc.record({
      by: fc.constantFrom('home' as const, 'long-arm' as const),
      marking: fc.constantFrom(...MARKINGS),
      spacing: eighths(1, 10),
    }),
    edge: fc.record({
      shape: fc.constantFrom(...EDGE_SHAPES),
      corners: fc.constantFrom('all' as const, 'foot' as const),
      radius: eighths(1, 8),
      cutOut: fc.record({ across: eighths(2, 10), down: eighths(2, 10) }),
      scallop: fc.record({
        width: eighths(3, 10),
        depth: eighths(1, 2),
        sides: fc.subarray([...SIDES], { minLength: 1 }),
      }),
      around: fc.option(eighths(100, 400)),
      finishes: fc.constantFrom<Plan['edge']['finishes'][]>(
        ['binding'],
        ['flange', 'binding'],
        ['prairie-points'],
        ['facing'],
        ['self-binding'],
        ['turned-edge'],
        ['piping', 'binding'],
        ['piping', 'prairie-points'],
      ),
      flange: fc.record({ visible: eighths(1, 1).map((v) => v / 4), fabric }),
      facing: fc.record({
        width: fc.constantFrom(2, 2.5, 3),
        corners: fc.constantFrom(...FACING_CORNERS),
        fabric,
      }),
      selfBinding: fc.record({ shows: fc.constantFrom(0.25, 0.5, 0.75) }),
      piping: fc.record({ cord: fc.constantFrom(0.125, 0.25), fabric }),
      points: fc.record({
        square: eighths(2, 6),
        overlap: eighths(0, 1),
        fold: fc.constantFrom(...POINT_FOLDS),
        spread: fc.constantFrom('all' as const, 'last-three' as const),
        fabrics: fc.array(fabric, { minLength: 1, maxLength: 5 }),
        order: fc.constantFrom('sequence' as const, 'scattered' as const),
        sewn: fc.constantFrom(...POINTS_SEWN),
        opening: eighths(4, 8),
        seed: fc.integer({ min: 1, max: 99 }),
      }),
    }),
    binding: fc.record({
      stripWidth: fc.constantFrom(1.5, 2, 2.25, 2.5, 2.75, 3),
      fabric,
      fold: fc.constantFrom('double' as const, 'single' as const),
      grain: fc.constantFrom(...BINDING_GRAINS),
      school: fc.constantFrom(...BINDING_SCHOOLS),
      seam: fc.option(fc.constantFrom(0.25, 0.375, 0.5)),
      flange: fc.option(fc.record({ visible: fc.constantFrom(0.125, 0.25), fabric })),
      start: fc.option(eighths(0, 60)),
    }),
    hanging: fc.record({
      as: fc.constantFrom(...HANGINGS),
      depth: fc.constantFrom(3, 4, 5),
      fabric,
    }),
    batts: fc.array(fc.record({ width: eighths(10, 100), length: eighths(10, 100) }), { maxLength: 4 }),
    strips: fc.array(fc.record({ width: eighths(1, 8), length: eighths(6, 60) }), { maxLength: 5 }),
    prices: fc.array(fc.option(fc.integer({ min: 1, max: 40 })), { minLength: 6, maxLength: 6 }),
  })
  .map(({ prices, batts, strips, ...change }): Plan => {
    const start = startPlan('sashed-sampler');
    return {
      ...start,
      ...change,
      setting: { kind: 'edge-to-edge' },
      borders: [],
      stock: [
        ...batts.map((size, i) => ({ id: `batt-${i}`, for: 'batting' as const, ...size })),
        ...strips.map((size, i) => ({ id: `strip-${i}`, for: 'binding' as const, ...size })),
      ],
      fabrics: start.fabrics.map((f, i) => ({ ...f, price: prices[i % prices.length]! })),
    };
  })
  .filter((plan) => planProblems(plan).length === 0);

/** Every number anywhere in a result. */
function numbersIn(value: unknown, path = ''): { path: string; value: number }[] {
  if (typeof value === 'number') return [{ path, value }];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => numbersIn(inner, `${path}.${key}`));
}

const layersAndEdge = ({ layers, edge, fabrics }: Quilt) => ({
  layers,
  edge: {
    ...edge,
    binding: edge.binding && {
      ...edge.binding,
      joins: edge.binding.joins.joins.map(({ clear: _, ...j }) => j),
    },
  },
  needed: fabrics.map((f) => f.needed),
});

test('any layers and any edge: every figure is a number, every figure says why, all of it is bought', () => {
  fc.assert(
    fc.property(anyEdgedPlan, (plan) => {
      const quilt = computeQuilt(plan);
      for (const { path, value } of numbersIn(layersAndEdge(quilt)))
        if (!Number.isFinite(value)) throw new Error(`${path} is ${value}`);
      const { layers, edge } = quilt;
      const chosen = layers!.chosenBacking;
      expect(layers!.backing.options).toContain(chosen);
      if (plan.backing.way !== 'best' && layers!.backing.options.some((o) => o.way === plan.backing.way))
        expect(chosen.way).toBe(plan.backing.way);
      expect(chosen.fabric.working.length).toBeGreaterThan(0);
      // Whatever is asked for stands in the working of a fabric that is bought.
      const lines = quilt.fabrics.flatMap((f) => f.needed.working).join('\n');
      expect(lines).toContain('Backing');
      expect(/\bBinding\b/.test(lines)).toBe(edge.binding !== null && edge.binding.fabric.value > 0);
      expect(lines.includes('Flange sides')).toBe(edge.flange !== null);
      expect(lines.includes('Prairie points')).toBe(edge.points !== null);
      if (edge.binding) {
        expect(edge.binding.length.value).toBeGreaterThan(edge.around.value - 1e-9);
        expect(
          edge.binding.joins.joins.every(
            (j) => j.from >= -1e-6 && j.from <= Math.max(edge.outline.width, edge.outline.height) + 1e-6,
          ),
        ).toBe(true);
        // Joined, the strips go all round.
        const { lengths, loss } = edge.binding.joined;
        const reach = lengths.reduce((a, b) => a + b, 0) - (lengths.length - 1) * loss;
        // Six inches more for corners and tails, whatever the school, the cloth and its leftovers.
        if (!edge.binding.bias?.tooWide) expect(reach).toBeGreaterThan(edge.around.value + 6 - 1e-6);
      }
      if (edge.points) {
        expect(edge.points.colours).toHaveLength(edge.points.total.value);
        for (const [side, long] of [
          [edge.points.across, edge.outline.width],
          [edge.points.down, edge.outline.height],
        ] as const) {
          expect(side.middles).toHaveLength(side.count.value);
          for (const at of side.middles) expect(at > 0 && at < long).toBe(true);
          for (let i = 1; i < side.middles.length; i++)
            expect(side.middles[i]!).toBeGreaterThan(side.middles[i - 1]!);
        }
      }
    }),
    { numRuns: 120 },
  );
});

test('any layers and any edge go into a plan file and come out the same; in centimetres they stay sound', () => {
  fc.assert(
    fc.property(anyEdgedPlan, (plan) => {
      expect(readPlanJson(writePlanJson(plan))).toEqual({ ok: true, plan });
      const metric = convertPlan(plan, 'cm');
      expect(planProblems(metric).map((p) => p.message)).toEqual([]);
      const [cm, inches] = [computeQuilt(metric).edge.outline, computeQuilt(plan).edge.outline];
      // Rounded to the other ruler, a side may hold one scallop more or fewer: then it is another edge.
      if (metric.edge.shape === plan.edge.shape && cm.runs.length === inches.runs.length)
        expect(cm.length / 2.54).toBeCloseTo(inches.length, -1);
    }),
    { numRuns: 40 },
  );
});

test('what a choice of edge changes is listed', () => {
  const plan = startPlan('sashed-sampler');
  const pointed = { ...plan, edge: { ...plan.edge, finishes: ['prairie-points' as const] } };
  const changes = changesBetween(computeQuilt(plan), computeQuilt(pointed), 'in');
  expect(changes.map((c) => c.what)).toEqual(
    expect.arrayContaining(['Binding', 'Prairie points', 'Buy Binding', 'Buy Accent']),
  );
  expect(changes.find((c) => c.what === 'Binding')).toMatchObject({ after: 'none' });
});
