import fc from 'fast-check';
import { boughtIn, computeQuilt, holdsIn, type LogEntry, spokenCut, spokenList } from '../src/index.ts';
import { shopCut } from '../src/shopping/shop-cut.ts';
import { inchPlan } from './support/plans.ts';

const NOTHING = { squaring: 0, again: 0, spare: 0, shrinkage: 0 };

// Rule BU-1, common practice: eighths, quarters, thirds and halves of a yard, said as one says them.
test.each([
  [4, 'an eighth of a yard'],
  [12, 'a third of a yard'],
  [18, 'half a yard'],
  [31, 'seven eighths of a yard'],
  [36, 'a yard'],
  [49, 'a yard and three eighths'],
  [90, 'two yards and a half'],
  [36 * 13 + 1, '13 yards and an eighth'],
])('%s inches are said %s', (needed, says) => {
  expect(spokenCut(shopCut(needed, NOTHING, 'in'), 'in')).toBe(says);
});

test('in metres the figure is said', () => {
  expect(spokenCut(shopCut(130, NOTHING, 'cm'), 'cm')).toBe('1.3 metres');
  expect(spokenCut(shopCut(100, NOTHING, 'cm'), 'cm')).toBe('1.0 metre');
});

test('the list has a line a cloth, and what is known of its cost', () => {
  const plan = inchPlan({});
  const priced = { ...plan, fabrics: plan.fabrics.map((f, i) => ({ ...f, price: i === 0 ? 8 : null })) };
  const { fabrics } = computeQuilt(priced);
  const lines = spokenList(fabrics, 'in');
  expect(lines).toHaveLength(fabrics.length + 1);
  expect(lines[0]).toMatch(/^Five eighths of a yard of the sash, 5\.00$/);
  expect(lines.at(-1)).toBe(`Together 5.00, without the ${fabrics.length - 1} whose price is not said`);
  expect(spokenList(computeQuilt(plan).fabrics, 'in')).toHaveLength(fabrics.length);
});

const entry = (n: number, kind: LogEntry['kind'], body: object): LogEntry =>
  ({ id: `entry-000${n}`, quilt: 'raffle', at: `2026-11-26T09:00:0${n}Z`, kind, body }) as LogEntry;

test('what was brought home, and what is held, in whatever order it is heard', () => {
  const held = (number: string) => ({
    number,
    unit: 'in',
    until: '2026-12-03',
    total: 5,
    lines: [{ cloth: 'sash', bolt: 'b', name: 'Oat', length: 22.5, cost: 5 }],
  });
  const log = [
    entry(1, 'bought', { cloth: 'sash', unit: 'in', width: 40, length: 22.5 }),
    entry(2, 'bought', { cloth: 'sash', unit: 'in', width: 41, length: 27 }),
    entry(3, 'bought', { cloth: 'border', unit: 'cm', width: 110, length: 60 }),
    entry(4, 'bought-not', { cloth: 'border' }),
    entry(5, 'shop-held', held('WB-1')),
    entry(6, 'shop-held', held('WB-2')),
    entry(7, 'shop-let-go', { number: 'WB-1' }),
  ];
  fc.assert(
    fc.property(fc.shuffledSubarray([...log, ...log], { minLength: 14 }), (heard) => {
      expect([...boughtIn(heard, 'raffle', 'cm')]).toEqual([
        ['sash', { cloth: 'sash', unit: 'cm', width: 41 * 2.54, length: 27 * 2.54 }],
      ]);
      expect(holdsIn(heard, 'raffle').map(({ number }) => number)).toEqual(['WB-2']);
    }),
    { numRuns: 20 },
  );
});
