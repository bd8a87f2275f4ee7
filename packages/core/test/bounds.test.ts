import fc from 'fast-check';
import { z } from 'zod';
import {
  computeQuilt,
  EDGE_SHAPES,
  excessIn,
  LIMITS,
  planSchema,
  type Plan,
  planProblems,
  readPlan,
  readPlanShape,
  SETTINGS,
  startPlan,
  writePlanJson,
} from '../src/index.ts';
import { LOG_KINDS } from '../src/log/kinds/registry.ts';
import { anyPlan, inchPlan, wholeSetting } from './support/plans.ts';

const plan = inchPlan({});
const document = (): Record<string, unknown> => JSON.parse(writePlanJson(plan)) as Record<string, unknown>;

describe('a document that is too much', () => {
  test('a million borders are refused by one sentence, before any of them is looked at', () => {
    const read = readPlan({ ...document(), borders: new Array(1_000_000).fill({}) });
    expect(read).toEqual({
      ok: false,
      problems: [
        { path: [], message: 'This is not a quilt plan: it holds a list of more than 10000 entries.' },
      ],
    });
  });
  test('deep, long, wide and many: each is said', () => {
    let deep: unknown = 1;
    for (let i = 0; i < 50_000; i++) deep = [deep];
    expect(excessIn(deep)).toMatch(/16 deep/);
    expect(excessIn({ title: 'x'.repeat(100_001) })).toMatch(/100000 letters/);
    expect(excessIn({ title: 'x'.repeat(100_000) })).toBeNull();
    expect(excessIn(Object.fromEntries(Array.from({ length: 101 }, (_, i) => [`k${i}`, 0])))).toMatch(
      /100 fields/,
    );
    expect(excessIn(Array.from({ length: 2_000 }, () => new Array(100).fill(0)))).toMatch(/150000 values/);
  });
  test('what says of itself how it is made a text is refused, wherever it lies', () => {
    const told = (name: string) => `a field called “${name}”`;
    expect(excessIn({ length: { toString: [null] } })).toBe(told('toString'));
    expect(excessIn([{ a: [{ valueOf: 1 }] }])).toBe(told('valueOf'));
    // As a name in a text, or what every object has by birth, it is nothing.
    expect(excessIn({ title: 'toString', note: { length: {} } })).toBeNull();
    expect(readPlan({ ...document(), title: { length: { toString: [null] } } })).toEqual({
      ok: false,
      problems: [{ path: [], message: 'This is not a quilt plan: it holds a field called “toString”.' }],
    });
  });
  // Whatever a schema takes has to reach it: a note of 10,000 letters, every seam of the largest top ticked at once.
  test('no schema takes more than the guard before it lets pass, and none takes texts without end', () => {
    const over: string[] = [];
    const walk = (node: unknown, at: string): void => {
      if (typeof node !== 'object' || node === null) return;
      const { type, maxLength, maxItems, pattern, format } = node as Record<
        string,
        number | string | undefined
      >;
      const isSaid = 'enum' in node || 'const' in node || pattern !== undefined || format !== undefined;
      if (type === 'string' && !isSaid && !(Number(maxLength) <= LIMITS.letters))
        over.push(`${at}: ${maxLength}`);
      if (type === 'array' && !('prefixItems' in node) && !(Number(maxItems) <= LIMITS.entries))
        over.push(`${at}: ${maxItems}`);
      for (const [key, part] of Object.entries(node)) walk(part, `${at}/${key}`);
    };
    for (const [kind, { body: schema }] of Object.entries(LOG_KINDS))
      walk(z.toJSONSchema(schema, { unrepresentable: 'any' }), kind);
    walk(planSchema(), 'plan');
    expect(over).toEqual([]);
  });
  test('the fullest pile on the fullest wall, measured everywhere, keeps within bounds', () => {
    const edges = { top: 12, bottom: 12, left: 12, right: 12 };
    const pile = Array.from({ length: 2_500 }, (_, i) => ({
      ...{ id: `b${i}`, name: `${i}`, maker: 'm', kind: 'k', colours: ['#111111', '#222222', '#333333'] },
      ...{ edge: '#111111', value: 'dark' as const, upright: true, points: true, settled: true },
      ...{ width: 12, height: 12, edges, picture: 'picture-1234', face: 'star' as never },
    }));
    const wall = pile.map(({ id }) => ({ block: id, turn: 0 as const, locked: true }));
    expect(excessIn({ ...plan, pile, wall })).toBeNull();
  });
  test('no more problems are listed than a person would go through, and the rest are counted', () => {
    const pile = Array.from({ length: 2_000 }, (_, i) => ({ id: `b${i}`, name: 'x', width: -1, height: -1 }));
    const read = readPlan({ ...document(), pile });
    expect(read.ok).toBe(false);
    if (read.ok) return;
    expect(read.problems).toHaveLength(20);
    expect(read.problems.at(-1)!.message).toBe('There are 3981 more problems like these.');
    const unknown = readPlan({
      ...document(),
      ...Object.fromEntries(Array.from({ length: 60 }, (_, i) => [`k${i}`, 0])),
    });
    expect(!unknown.ok && unknown.problems[0]!.message).toMatch(/“k0”.* and 55 more is not part of a plan/);
  });
  test('a setting named as something every object has is refused in words, from whichever version', () => {
    for (const kind of ['constructor', '__proto__', 'toString', 'hasOwnProperty'])
      for (const schemaVersion of [1, 2, 3, 4, 5, 6, 7, 8, 9, 10]) {
        const setting = JSON.stringify({ ...plan.setting, kind: '' }).replace(
          '"kind":""',
          `"kind":"${kind}"`,
        );
        const read = readPlan({ ...document(), schemaVersion, setting: JSON.parse(setting) as object });
        expect([kind, schemaVersion, read.ok]).toEqual([kind, schemaVersion, false]);
      }
  });

  test('older plans with holes in their lists are read as damaged, not by falling over', () => {
    for (const schemaVersion of [1, 2, 3, 4, 5, 6])
      for (const key of ['pile', 'borders', 'fabrics'])
        for (const hole of [null, 3, 'x', [], true]) {
          const read = readPlan({ ...document(), schemaVersion, [key]: [hole] });
          expect(read.ok).toBe(false);
        }
  });
});

describe('a quilt larger than any', () => {
  const vast: Plan = {
    ...startPlan('sashed-sampler'),
    pile: [],
    wall: [],
    block: { width: 60, height: 60 },
    grid: { across: 50, down: 50 },
  };
  test('is refused beside its grid, and opens to be mended where it was kept', () => {
    const [problem] = planProblems(vast);
    expect(problem!.path).toEqual(['grid', 'across']);
    expect(problem!.message).toMatch(/at most 200″/);
    const read = readPlanShape(JSON.parse(writePlanJson(vast)));
    expect(read.ok && read.plan.grid).toEqual({ across: 50, down: 50 });
    expect(read.problems).toHaveLength(2);
    expect(readPlan(vast).ok).toBe(false);
  });
  test('the largest that are taken are worked out, whatever their setting and their edge, and never a throw', () => {
    const largest = fc
      .record({
        plan: anyPlan,
        kind: fc.constantFrom(...SETTINGS.map((s) => s.kind)),
        shape: fc.constantFrom(...EDGE_SHAPES),
        side: fc.constantFrom(1, 2, 4, 10, 40),
        scallop: fc.constantFrom(2, 3, 6),
      })
      .map(({ plan: any, kind, shape, side, scallop }): Plan | null => {
        const base: Plan = {
          ...any,
          ...{ unit: 'in' as const, borders: [], pile: [], wall: [] },
          block: { width: side, height: side },
          setting: wholeSetting({ kind }),
          edge: {
            ...startPlan('sashed-sampler').edge,
            shape,
            scallop: { width: scallop, depth: 0.5, sides: ['top', 'right', 'bottom', 'left'] },
          },
        };
        // As many blocks as are taken.
        for (let n = Math.min(50, Math.floor(200 / side)); n > 0; n--) {
          const tried = { ...base, grid: { across: n, down: n } };
          if (planProblems(tried).length === 0) return tried;
        }
        return null;
      });
    fc.assert(
      fc.property(largest, (found) => {
        if (found) expect(() => computeQuilt(found)).not.toThrow();
      }),
      { numRuns: 60 },
    );
  });
});
