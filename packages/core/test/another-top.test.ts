import {
  applyFit,
  findFits,
  type Plan,
  planProblems,
  splitQuilt,
  startPlan,
  startRequest,
} from '../src/index.ts';

const start = startPlan('sashed-sampler');
/** A quilt with scallops, a measured edge, a chosen beginning, a made backing and a booking. */
const finished: Plan = {
  ...start,
  edge: {
    ...start.edge,
    shape: 'scalloped',
    scallop: { ...start.edge.scallop, width: 9, depth: 1 },
    around: 250,
  },
  binding: { ...start.binding, start: 12 },
  backing: { ...start.backing, made: { width: 60, height: 72, diagonals: [93.7, 93.7] } },
  quilting: {
    ...start.quilting,
    by: 'long-arm',
  },
  measured: [{ borders: 0, width: [42, 42, 42], height: [55, 55, 55] }],
};

function lastOf<T, R>(found: Generator<T, R>): R {
  for (;;) {
    const step = found.next();
    if (step.done) return step.value;
  }
}

test('a design that is taken lets go of what was of the old top, and is sound', () => {
  expect(planProblems(finished)).toEqual([]);
  const target = { width: 40, height: 48 };
  const [best] = lastOf(findFits(finished, { ...startRequest(finished, target), blocks: 4 }));
  const taken = applyFit(finished, best!, target, () => 'new');
  expect(planProblems(taken)).toEqual([]);
  expect(taken).toMatchObject({
    measured: [],
    edge: { around: null },
    binding: { start: null },
    backing: { made: null },
    quilting: { by: 'long-arm' },
  });
});

test('split, each is sound; scallops that a small one has no room for are square corners', () => {
  const ways = splitQuilt(
    { ...finished, edge: { ...finished.edge, scallop: { ...finished.edge.scallop, width: 16 } } },
    6,
  );
  expect(ways.length).toBeGreaterThan(0);
  for (const { plans } of ways) {
    for (const plan of plans) {
      expect(planProblems(plan)).toEqual([]);
    }
  }
  expect(new Set(ways.flatMap((w) => w.plans.map((p) => p.edge.shape)))).toContain('square');
});
