import fc from 'fast-check';
import {
  addedBorder,
  applyFit,
  computeQuilt,
  convertPlan,
  findFits,
  mergePlans,
  planProblems,
  readPlanJson,
  recordCard,
  startRequest,
  templatesOf,
  type Plan,
} from '../src/index.ts';
import { labelSays } from '../src/record/card.ts';
import { borderOf, inchPlan, wholeSetting } from './support/plans.ts';

/** Faults that were found once beside the checks there were, each held from here on. */

describe('cards of triangles', () => {
  // Sides alone tell shapes apart, whichever way a triangle lies or is turned over (Euclid I.8 for triangles; for what a
  // float cuts off, sides in turn).
  const sidesOf = (outline: readonly { x: number; y: number }[]) =>
    outline.map((a, i) => {
      const b = outline[(i + 1) % outline.length]!;
      return Math.hypot(b.x - a.x, b.y - a.y).toFixed(3);
    });
  const turnsOf = (sides: string[]) =>
    [sides, [...sides].reverse()].flatMap((one) =>
      one.map((_, i) => [...one.slice(i), ...one.slice(0, i)].join()),
    );
  test.each([0, 1])('on point with a float of %i: a card for each shape, and no more', (float) => {
    const plan = inchPlan({
      block: { width: 8, height: 8 },
      grid: { across: 3, down: 4 },
      setting: wholeSetting({ kind: 'on-point', float }),
      borders: [],
    });
    const quilt = computeQuilt(plan);
    const pieces = quilt.layout.pieces.filter(({ part }) => quilt.layout.parts[part]!.cutFrom);
    const shapes = new Map<string, number>();
    for (const { outline } of pieces) {
      const key = turnsOf(sidesOf(outline)).sort()[0]!;
      shapes.set(key, (shapes.get(key) ?? 0) + 1);
    }
    const cards = templatesOf(plan, quilt);
    expect(cards).toHaveLength(shapes.size);
    const counted = cards.map(({ says }) => Number(/^(\d+) in the quilt/.exec(says)![1]));
    expect(counted.sort()).toEqual([...shapes.values()].sort());
    // Without a float all side triangles are one shape, and the corners another.
    if (float === 0) expect(cards).toHaveLength(2);
    else {
      expect(cards.length).toBeGreaterThan(2);
      expect(cards.some(({ says }) => /of them with the card turned over/.test(says))).toBe(true);
    }
  });
});

test('merging: what only one of the two changed is no conflict, though a cloth is', () => {
  const spare = { ...inchPlan({}).fabrics[0]!, id: 'spare', name: 'Spare' };
  const base = inchPlan({ borders: [borderOf(2, 'border')] });
  const from: Plan = { ...base, fabrics: [...base.fabrics, spare] };
  const block = { id: 'b1', name: 'Block', width: null, height: null };
  const mine: Plan = { ...from, binding: { ...from.binding, fabric: 'spare' }, title: 'Mine', pile: [block] };
  const theirs: Plan = { ...from, fabrics: base.fabrics, tags: ['kitchen'], grid: { across: 5, down: 4 } };
  for (const [one, other] of [
    [mine, theirs],
    [theirs, mine],
  ] as const) {
    const merged = mergePlans(from, one, other)!;
    expect(merged.both.length).toBeGreaterThan(0);
    for (const { path } of merged.both) expect(['fabrics', 'binding']).toContain(path[0]);
    expect(merged.plan).toMatchObject({
      title: 'Mine',
      tags: ['kitchen'],
      grid: { across: 5 },
      pile: [{ id: 'b1' }],
    });
  }
});

test.each([
  ['as large as it gets', null],
  ['500 × 500', { width: 500, height: 500 }],
])('the finder, %s: no design that no quilt may be', (_, target) => {
  const plan = inchPlan({
    pile: Array.from({ length: 400 }, (_, i) => ({ id: `b${i}`, name: `B ${i}`, width: null, height: null })),
  });
  const search = findFits(plan, { ...startRequest(plan, target), kinds: ['edge-to-edge', 'sashed'] });
  let next = search.next();
  while (!next.done) next = search.next();
  expect(next.value.length).toBeGreaterThan(0);
  let ids = 0;
  for (const fit of next.value) {
    expect(planProblems(applyFit(plan, fit, null, () => `n${++ids}`))).toEqual([]);
    expect(Math.max(fit.finished.width, fit.finished.height)).toBeLessThanOrEqual(200);
  }
});

test('a price does not drift over changes of unit', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 30_000 }), fc.integer({ min: 1, max: 6 }), (pennies, times) => {
      const price = pennies / 100;
      const base = inchPlan({});
      let plan: Plan = { ...base, fabrics: base.fabrics.map((f) => ({ ...f, price })) };
      for (let i = 0; i < times; i++) plan = convertPlan(convertPlan(plan, 'cm'), 'in');
      expect(plan.fabrics.map((f) => f.price)).toEqual(base.fabrics.map(() => price));
    }),
    { numRuns: 200 },
  );
});

test('one giver is one however she is written; a name of blanks is none', () => {
  const base = inchPlan({});
  const given = (maker: string, i: number) => ({
    id: `b${i}`,
    name: `Block ${i}`,
    width: null,
    height: null,
    maker,
  });
  const plan: Plan = { ...base, pile: ['Anna', 'anna ', 'ANNA', 'Ruth'].map(given) };
  const card = recordCard(plan, computeQuilt(plan), [], 'q1');
  expect(card.makers.map(({ who, blocks }) => [who, blocks.length])).toEqual([
    ['Anna', 3],
    ['Ruth', 1],
  ]);
  expect(labelSays(card).join()).toContain('blocks by Anna and Ruth');
  for (const change of [
    { pile: [{ id: 'b1', name: '  ', width: null, height: null }] },
    { fabrics: base.fabrics.map((f, i) => (i === 0 ? { ...f, name: '   ' } : f)) },
    { title: ' ' },
  ])
    expect(readPlanJson(JSON.stringify({ ...base, ...change }))).toMatchObject({ ok: false });
  expect(readPlanJson(JSON.stringify(base))).toMatchObject({ ok: true });
});

test('a border that is added is of another cloth than what lies inside it, and its corner squares of another than it', () => {
  let plan: Plan = { ...inchPlan({}), borders: [] };
  const [sash, inside] = [plan.fabricFor.sash, [] as string[]];
  for (let i = 0; i < 3; i++) {
    const border = addedBorder(plan, `b${i}`, 3);
    expect(border.fabric).not.toBe(inside.at(-1) ?? sash);
    expect(border.cornerFabric).not.toBe(border.fabric);
    inside.push(border.fabric);
    plan = { ...plan, borders: [...plan.borders, border] };
    expect(planProblems(plan)).toEqual([]);
  }
  // With one cloth there is no other.
  const [only] = plan.fabrics;
  const one = { ...plan, fabrics: [only!], borders: [] };
  expect(addedBorder(one, 'b', 3).fabric).toBe(only!.id);
});
