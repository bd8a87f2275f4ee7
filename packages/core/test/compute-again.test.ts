import fc from 'fast-check';
import { computeQuilt, computingAgain, layOutAgain, type Plan, type Quilt, toTheEnd } from '../src/index.ts';
import { inchPlan } from './support/plans.ts';

const pile = Array.from({ length: 14 }, (_, i) => ({
  id: `b${i}`,
  name: `Block ${i}`,
  width: 12.5,
  height: i % 3 === 0 ? 12.75 : 12.5,
}));
const computeAgain = (plan: Plan, before: { plan: Plan; quilt: Quilt }): Quilt =>
  toTheEnd(
    computingAgain(plan, layOutAgain(plan, { plan: before.plan, layout: before.quilt.layout }), before),
  );
const start: Plan = { ...inchPlan({}), pile };

test('after blocks change places the quilt is what it would be worked out afresh, and the layout is the same object', () => {
  fc.assert(
    fc.property(
      fc.shuffledSubarray(pile, { minLength: 12 }),
      fc.array(fc.boolean(), { minLength: 12, maxLength: 12 }),
      (order, empty) => {
        const before = { plan: start, quilt: computeQuilt(start) };
        const plan: Plan = {
          ...start,
          wall: empty.map((none, i) => ({ block: none ? null : order[i]!.id, turn: 0, locked: false })),
        };
        const again = computeAgain(plan, before);
        expect(again).toEqual(computeQuilt(plan));
        expect(again.layout).toBe(before.quilt.layout);
        expect(again.edge).toBe(before.quilt.edge);
      },
    ),
    { numRuns: 20 },
  );
});

test('any other change is worked out afresh', () => {
  const before = { plan: start, quilt: computeQuilt(start) };
  const plan: Plan = { ...start, seam: 0.375 };
  expect(computeAgain(plan, before)).toEqual(computeQuilt(plan));
  expect(computeAgain(plan, before).layout).not.toBe(before.quilt.layout);
});

test('a part at a time is the same as all at once, and no cloth waits for another', () => {
  const parts = computingAgain(
    start,
    layOutAgain(start, { plan: start, layout: computeQuilt(start).layout }),
    null,
  );
  let count = 0;
  let part = parts.next();
  for (; !part.done; part = parts.next()) count++;
  expect(part.value).toEqual(computeQuilt(start));
  expect(count).toBeGreaterThanOrEqual(start.fabrics.length);
});
