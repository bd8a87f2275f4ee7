import fc from 'fast-check';
import {
  askCounter,
  computeQuilt,
  cuttingJob,
  cuttingWay,
  guideOf,
  type Plan,
  planProblems,
  pressingOf,
  SETTINGS,
  sewingOf,
  stepSays,
} from '../src/index.ts';
import { anyPlan, inchPlan } from './support/plans.ts';

/** Every text anywhere in something. */
function* textsIn(value: unknown): Generator<string> {
  if (typeof value === 'string') yield value;
  else if (typeof value === 'object' && value !== null)
    for (const part of Object.values(value)) yield* textsIn(part);
}
/** Words that end as many do and are not. */
const ALONE = 'across|as|is|less|its|was|has|cross';
/** One, not as a part of a longer number or of a size, before a word that means many. */
const MANY_OF_ONE = new RegExp(`(?<![\\d/.,×x½¼¾⅛⅜⅝⅞] ?|[Bb]order )\\b1 (?!(?:${ALONE})\\b)[a-z]+s\\b`);
const wrongIn = (said: unknown): string[] => [...textsIn(said)].filter((text) => MANY_OF_ONE.test(text));

/** All that is said of a plan from its sizes to its last seam. */
function saidOf(plan: Plan): unknown[] {
  const quilt = computeQuilt(plan);
  const cut = quilt.fabrics.map(({ fabric }) =>
    cuttingWay(cuttingJob(plan, quilt, fabric.id), 'thrifty').steps.map((step) => stepSays(step, plan.unit)),
  );
  const sewing = sewingOf(plan, quilt.layout);
  const sewn = sewing.ways.map((way) => [
    guideOf(plan, quilt, sewing, way),
    pressingOf(plan, quilt.layout, sewing, way),
  ]);
  return [quilt, cut, sewn];
}

test('the check can fail', () => {
  expect(wrongIn(['cut 1 strips', { of: '1 sashes × 2' }, '11 strips', '2 1 strips', '1 across'])).toEqual([
    'cut 1 strips',
    '1 sashes × 2',
  ]);
});

// Grammar: one of a thing is not many.
const FEW = [
  [1, 1],
  [1, 2],
  [2, 1],
] as const;
test.each(SETTINGS.flatMap(({ kind, start }) => FEW.map((grid) => [kind, ...grid, start('in')] as const)))(
  '%s, %i by %i: one of a thing is said as one',
  (_, across, down, setting) =>
    expect(saidOf(inchPlan({ setting, grid: { across, down } })).flatMap(wrongIn)).toEqual([]),
);
// What one strip and one panel are enough for.
test.each([
  ['binding', { width: '8', height: '8' }],
  ['backing', { width: '20', height: '20' }],
  ['setting', { block: '6', across: '1', down: '1', sash: '1' }],
  ['triangles', { block: '6' }],
])('asked at the counter for %s', (topic, flags) => {
  const answer = askCounter(topic, flags, 'in');
  expect(answer.ok).toBe(true);
  expect(wrongIn(answer)).toEqual([]);
});
test('any quilt: one of a thing is said as one', () => {
  fc.assert(
    fc.property(anyPlan, (any) => {
      const grid = { across: 1 + (any.grid.across % 3), down: 1 + (any.grid.down % 3) };
      const plan = { ...any, grid };
      fc.pre(planProblems(plan).length === 0);
      expect(saidOf(plan).flatMap(wrongIn)).toEqual([]);
    }),
    { numRuns: 30 },
  );
});
