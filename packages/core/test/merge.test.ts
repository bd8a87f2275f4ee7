import fc from 'fast-check';
import {
  computeQuilt,
  convertPlan,
  mergePlans,
  nameOfField,
  type Plan,
  planProblems,
  withTheirs,
} from '../src/index.ts';
import { anyPlan, borderOf, inchPlan, wholeSetting } from './support/plans.ts';

const plan = inchPlan({
  borders: [borderOf(2, 'border'), borderOf(5, 'border')],
  pile: Array.from({ length: 4 }, (_, i) => ({
    id: `b${i}`,
    name: `Block ${i}`,
    width: null,
    height: null,
  })),
});

/** Edits each of one field, of every part that people change. */
const EDITS: Readonly<Record<string, (p: Plan) => Plan>> = {
  title: (p) => ({ ...p, title: `${p.title} again` }),
  seam: (p) => ({ ...p, seam: p.seam === 0.375 ? 0.25 : 0.375 }),
  across: (p) => ({ ...p, grid: { ...p.grid, across: p.grid.across + 1 } }),
  down: (p) => ({ ...p, grid: { ...p.grid, down: p.grid.down + 1 } }),
  squaring: (p) => ({ ...p, squaring: 1 }),
  batting: (p) => ({ ...p, batting: { ...p.batting, fibre: 'wool' } }),
  'a border more': (p) => ({ ...p, borders: [...p.borders, { ...borderOf(1, 'accent'), id: 'new' }] }),
  'cloth renamed': (p) => ({
    ...p,
    fabrics: p.fabrics.map((f, i) => (i === 0 ? { ...f, name: 'Indigo' } : f)),
  }),
  'cloth priced': (p) => ({
    ...p,
    fabrics: p.fabrics.map((f, i) => (i === 0 ? { ...f, price: 12 } : f)),
  }),
  'a block measured': (p) => ({
    ...p,
    pile: p.pile.map((b, i) => (i === 1 ? { ...b, width: 12.25 } : b)),
  }),
  'a block named': (p) => ({ ...p, pile: p.pile.map((b, i) => (i === 1 ? { ...b, name: 'Star' } : b)) }),
};

describe('two devices that changed one quilt', () => {
  test('one edit each of different fields: both are in it, whichever came first', () => {
    for (const [one, mine] of Object.entries(EDITS))
      for (const [other, theirs] of Object.entries(EDITS)) {
        if (one === other) continue;
        const merged = mergePlans(plan, mine(plan), theirs(plan));
        expect([one, other, merged?.both]).toEqual([one, other, []]);
        expect(merged!.plan).toEqual(mine(theirs(plan)));
      }
  });
  test('nothing to merge is left as it is; the same change on both is one', () => {
    fc.assert(
      fc.property(anyPlan, anyPlan, (base, other) => {
        expect(mergePlans(base, base, other)?.plan).toEqual(mergePlans(other, other, other)?.plan);
        expect(mergePlans(base, other, base)?.plan).toEqual(other);
        expect(mergePlans(base, other, other)).toEqual({ plan: other, both: [] });
      }),
      { numRuns: 40 },
    );
  });
  test('whatever two plans became, what comes of it can be drawn, and choosing theirs throughout gives theirs', () => {
    fc.assert(
      fc.property(anyPlan, anyPlan, anyPlan, (base, mine, theirs) => {
        const merged = mergePlans(base, mine, theirs);
        if (!merged) return;
        expect(planProblems(merged.plan)).toEqual([]);
        expect(() => computeQuilt(merged.plan)).not.toThrow();
        for (const { path, mine: own } of merged.both) expect(valueAt(merged.plan, path)).toEqual(own);
        const settled = withTheirs(merged.plan, merged.both);
        if (settled)
          for (const { path, theirs: other } of merged.both) expect(valueAt(settled, path)).toEqual(other);
      }),
      { numRuns: 60 },
    );
  });
  test('one field changed both ways is listed with all three, by the border’s id and not its place', () => {
    const [inner, outer] = plan.borders;
    const wider = (by: number): Plan => ({ ...plan, borders: [inner!, { ...outer!, sides: 5 + by }] });
    const spaced = { ...wider(2), borders: [{ ...inner!, id: 'spacer' }, ...wider(2).borders] };
    const merged = mergePlans(plan, wider(1), spaced)!;
    expect(merged.both).toEqual([{ path: ['borders', outer!.id, 'sides'], base: 5, mine: 6, theirs: 7 }]);
    expect(merged.plan.borders.map((b) => [b.id, b.sides])).toEqual([
      ['spacer', 2],
      [inner!.id, 2],
      [outer!.id, 6],
    ]);
    expect(nameOfField(merged.plan, merged.both[0]!)).toBe('The borders: border 3, width at the sides');
    expect(withTheirs(merged.plan, merged.both)!.borders[2]!.sides).toBe(7);
  });
  test('taken away here and changed there: both are shown, and either can be had', () => {
    const [inner, outer] = plan.borders;
    const off: Plan = { ...plan, borders: [inner!] };
    const wider: Plan = { ...plan, borders: [inner!, { ...outer!, sides: 6 }] };
    const merged = mergePlans(plan, off, wider)!;
    expect(merged.both.map(({ path }) => path)).toEqual([['borders', outer!.id]]);
    expect(merged.plan.borders).toHaveLength(1);
    expect(withTheirs(merged.plan, merged.both)!.borders.map((b) => b.sides)).toEqual([2, 6]);
    expect(mergePlans(plan, off, off)!.plan.borders).toHaveLength(1);
  });
  test('a setting of another kind is one choice, not a mixture', () => {
    const kind = (k: 'alternate' | 'half-drop'): Plan => ({ ...plan, setting: wholeSetting({ kind: k }) });
    const merged = mergePlans(plan, kind('alternate'), kind('half-drop'))!;
    expect(merged.both.map(({ path }) => path)).toEqual([['setting']]);
    expect(merged.plan.setting.kind).toBe('alternate');
  });
  test('two ways of laying the wall out are one choice; a block never lies in two places', () => {
    const lay = (...ids: (string | null)[]): Plan => ({
      ...plan,
      wall: ids.map((block) => ({ block, turn: 0 as const, locked: false })),
    });
    const base = lay('b0', 'b1', 'b2');
    const merged = mergePlans(
      base,
      { ...base, ...lay('b1', 'b0', 'b2') },
      { ...base, ...lay('b0', 'b2', 'b1') },
    )!;
    expect(merged.both.map(({ path }) => path)).toEqual([['wall']]);
  });
  test('one takes away the cloth that the other sews with: the outcome can still be cut', () => {
    const unused = { ...plan.fabrics[0]!, id: 'spare', name: 'Spare' };
    const base: Plan = { ...plan, fabrics: [...plan.fabrics, unused] };
    const bound: Plan = { ...base, binding: { ...base.binding, fabric: 'spare' } };
    const without: Plan = { ...base, fabrics: plan.fabrics };
    for (const merged of [mergePlans(base, bound, without)!, mergePlans(base, without, bound)!]) {
      expect(planProblems(merged.plan)).toEqual([]);
      expect(merged.both.length).toBeGreaterThan(0);
    }
  });
  test('inches here, centimetres there: nothing of one is taken for the other', () => {
    const [inner, outer] = plan.borders;
    const wider: Plan = { ...plan, borders: [inner!, { ...outer!, sides: 6 }] };
    for (const merged of [
      mergePlans(plan, wider, convertPlan(plan, 'cm'))!,
      mergePlans(plan, convertPlan(plan, 'cm'), wider)!,
    ]) {
      expect(merged.both).toEqual([]);
      expect(merged.plan.unit).toBe('cm');
      expect(merged.plan.borders[1]!.sides).toBeCloseTo(15.24, 10);
    }
  });
});

/** The value at a path of a plan, things of a list by their id. */
function valueAt(document: unknown, path: readonly string[]): unknown {
  return path.reduce<unknown>(
    (at, step) =>
      Array.isArray(at)
        ? (at as { id: string }[]).find(({ id }) => id === step)
        : (at as Record<string, unknown>)[step],
    document,
  );
}
