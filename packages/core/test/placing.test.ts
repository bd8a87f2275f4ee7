import fc from 'fast-check';
import { boundOf } from '../src/placing/bound.ts';
import type { Need } from '../src/placing/need.ts';
import { search, searchAtOnce, searching, settingsOf } from '../src/placing/search.ts';
import { sheetPlan } from '../src/placing/sheet-plan.ts';
import { taskOf, unplaceable } from '../src/placing/task.ts';
import { readCuttingProblems, solveCuttingProblem } from '../src/index.ts';
import { planStrips } from '../src/strip/strips.ts';
import { anyNeeds } from './support/any-cloths.ts';
import { faultsOf, lyingFaults } from './support/cloths.ts';
import { lineOf } from './support/lines.ts';

/** Sixteenths of an inch on cloth of 40", as quilters cut it. */
const sheet = { usable: 640, seam: 4 };
const need = (width: number, length: number, count: number, more: Partial<Need> = {}): Need => ({
  key: `${width}x${length}`,
  width: width * 16,
  length: length * 16,
  count,
  lengthwise: false,
  joins: 'diagonal',
  ...more,
});
const lengthFor = (needs: readonly Need[], cloth = sheet, effort?: number) =>
  search(taskOf(needs, cloth), effort).length / 16;

describe('against the trade', () => {
  // Rule CU-1, common practice: 112 squares of 6 1/2", six to a strip of 40", are 19 strips.
  test('112 squares of 6 1/2" take 19 strips', () => {
    expect(lengthFor([need(6.5, 6.5, 112)])).toBe(19 * 6.5);
  });
  // Rule BO-3, common practice: four strips of 6 1/2" lie side by side across 42".
  test('four lengthwise strips of 6 1/2" across 42" take the longest', () => {
    const strips = [
      need(6.5, 96.5, 2, { lengthwise: true, key: 'a' }),
      need(6.5, 84.5, 2, { lengthwise: true }),
    ];
    expect(lengthFor(strips, { usable: 672, seam: 4 })).toBe(96.5);
  });
  // Rule CU-1, common practice: 42 × 55 1/2 with a border cut 3": two 42 1/2", two 56" in five strips of 42", and four squares of 3".
  test('five strips of 42" hold two of 42 1/2" and two of 56"; the squares take part of another', () => {
    const cloth = { usable: 672, seam: 4 };
    const long = [need(3, 42.5, 2), need(3, 56, 2)];
    expect(lengthFor(long, cloth)).toBe(5 * 3);
    expect(lengthFor([...long, need(3, 3, 4)], cloth)).toBe(6 * 3);
  });
  // Rules BD-3, CU-7, common practice: a binding's last strip need not be whole, and serves what else there is.
  test('cornerstones come from the last strip of a binding', () => {
    const binding = need(2.5, 214, 1, { key: 'binding' });
    expect(lengthFor([binding])).toBe(6 * 2.5);
    expect(lengthFor([binding, need(2.5, 2.5, 4)])).toBe(6 * 2.5);
  });
  test('the cloth beside lengthwise borders serves squares', () => {
    const borders = need(4, 60, 4, { lengthwise: true });
    // 24" beside them hold four rows of six by four inches … 4 across, 15 along: sixty.
    expect(lengthFor([borders, need(6, 4, 60)])).toBe(60);
  });
});

// A worked example of the cutting stock problem that stands in general encyclopaedias: rolls of 5600 mm, thirteen widths, 73 rolls at the least.
test('the published rolls of 5600 mm: 73 are the fewest, 75 are found at once and 74 in a second', () => {
  const demand: readonly [width: number, count: number][] = [
    [1380, 22], [1520, 25], [1560, 12], [1710, 14], [1820, 18], [1880, 18], [1930, 20],
    [2000, 10], [2050, 12], [2100, 14], [2140, 16], [2150, 18], [2200, 20],
  ]; // prettier-ignore
  const needs = demand.map(([length, count]): Need => ({
    key: String(length), width: 10, length, count, lengthwise: false, joins: 'diagonal', oneWay: 'across',
  })); // prettier-ignore
  const task = taskOf(needs, { usable: 5600, seam: 0 });
  const rolls = (effort?: number) => search(task, effort).length / 10;
  expect(boundOf(task) / 10).toBeLessThanOrEqual(73);
  expect(rolls()).toBeLessThanOrEqual(75);
  expect(rolls(20_000_000)).toBeLessThanOrEqual(74);
});

describe('any cloth', () => {
  const fitting = anyNeeds.filter((needs) => unplaceable(needs, sheet).length === 0);

  test('nothing lies over anything, nothing leaves the cloth, all is cut and nothing turned that may not be (measured by clipper-lib)', () => {
    fc.assert(
      fc.property(
        fitting,
        fc.constantFrom<('thrifty' | 'simple')[]>('thrifty', 'simple'),
        (needs, manner) => {
          const task = taskOf(needs, sheet);
          const plan = sheetPlan(task, search(task, 20_000, manner));
          expect(faultsOf(needs, sheet, plan)).toEqual([]);
          expect(plan.length).toBeGreaterThanOrEqual(boundOf(task));
          expect(plan.strips.reduce((sum, height) => sum + height, 0)).toBe(plan.length);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('pieces of stock are used before cloth, and hold what is cut from them', () => {
    const stock = [
      { key: 'fat quarter', width: 280, length: 320 },
      { key: 'strip', width: 640, length: 40 },
    ];
    fc.assert(
      fc.property(fitting, (needs) => {
        const task = taskOf(needs, sheet, stock);
        const plan = sheetPlan(task, search(task, 20_000));
        const bare = search(taskOf(needs, sheet), 20_000).length;
        expect(plan.length).toBeLessThanOrEqual(bare + 640);
        expect(faultsOf(needs, sheet, plan)).toEqual([]);
        for (const { key, width, length } of stock) {
          const all = [...plan.cuts, ...plan.runs.flatMap((run) => run.segments)];
          expect(
            lyingFaults(
              all.filter((box) => box.stock === key),
              width,
              length,
            ),
          ).toEqual([]);
        }
      }),
      { numRuns: 30 },
    );
  });

  test('never more cloth than each strip width by itself takes, with all the effort of a moment', () => {
    fc.assert(
      fc.property(fitting, (needs) => {
        const byItself = planStrips(
          needs.map(({ width, length, count, lengthwise, joins, oneWay }) =>
            lineOf({
              width: width / 16,
              length: length / 16,
              count,
              joins,
              grain: lengthwise ? 'lengthwise' : 'crosswise',
              // Longer than the cloth and one way up it would be cut along the selvage there.
              oneWay: oneWay ?? null,
            }),
          ),
          { usable: 40, seam: 1 / 4, unit: 'in' },
        );
        const apart =
          byItself.groups.reduce((sum, group) => sum + group.width * group.strips.value, 0) +
          (byItself.lengthwise?.length.value ?? 0);
        expect(lengthFor(needs)).toBeLessThanOrEqual(apart + 1e-6);
      }),
      { numRuns: 100 },
    );
  });

  test('more effort never makes it longer, and the same effort finds the same', () => {
    fc.assert(
      fc.property(fitting, (needs) => {
        const task = taskOf(needs, sheet);
        const lengths: number[] = [];
        for (const { best, effort } of searching(task)) {
          lengths.push(best.length);
          if (effort > 60_000) break;
        }
        expect([...lengths].sort((a, b) => b - a)).toEqual(lengths);
        expect(JSON.stringify(search(task, 30_000))).toBe(
          JSON.stringify(search(taskOf(needs, sheet), 30_000)),
        );
      }),
      { numRuns: 20 },
    );
  });
});

test('the simple way sets the ruler less often, and takes no less cloth', () => {
  const needs = [need(2, 12.5, 31, { key: 'sash' }), need(2, 2, 20, { key: 'post' }), need(4.5, 63, 4, { key: 'border' }), need(2.5, 214, 1, { key: 'binding' })]; // prettier-ignore
  const task = taskOf(needs, sheet);
  const [thrifty, simple] = [search(task), search(task, undefined, 'simple')];
  expect(simple.length).toBeGreaterThanOrEqual(thrifty.length);
  expect(settingsOf(simple)).toBeLessThanOrEqual(settingsOf(thrifty));
});

test('a thousand pieces of nine kinds, five thousand, and nothing at all', () => {
  for (const count of [112, 556]) {
    const needs = Array.from({ length: 9 }, (_, i) => need(2 + i / 2, 3 + i, count, { key: `n${i}` }));
    const task = taskOf(needs, sheet);
    expect(faultsOf(needs, sheet, sheetPlan(task, search(task)))).toEqual([]);
  }
  expect(lengthFor([])).toBe(0);
  expect(lengthFor([need(2, 2, 0)])).toBe(0);
});

describe('problems in a file', () => {
  test('are solved in the form they are asked in; what fits no way is named', () => {
    const read = readCuttingProblems(
      JSON.stringify({
        instances: [
          { id: 'a', usable: 640, seam: 4, needs: [{ key: 'n', width: 32, length: 200, count: 7 }] },
        ],
      }),
    );
    const problem = read.ok ? read.value[0]! : null;
    expect(solveCuttingProblem(problem!)).toMatchObject({ length: 96, runs: [] });
    let rounds = 0;
    expect(solveCuttingProblem(problem!, () => ++rounds < 5)).toMatchObject({ length: 96 });
    const wide = { ...problem!, needs: [{ ...problem!.needs[0]!, width: 700, length: 800 }] };
    expect(solveCuttingProblem({ ...wide, needs: [{ ...wide.needs[0]!, lengthwise: true }] })).toEqual({
      tooWide: 'n',
    });
  });
  test.each([
    ['{', 'this is not JSON'],
    ['{}', 'instances'],
    ['{"instances":[{"id":"a","usable":0,"seam":4,"needs":[]}]}', 'instances.0.usable'],
  ])('%s is refused with its place', (text, says) => {
    expect(readCuttingProblems(text)).toMatchObject({ ok: false, problem: expect.stringContaining(says) });
  });
});

// By the pencil: two of 5.2 and two of 7.7 × 113.2 cm lie side by side along the selvage, 25.8 of 110; three of 21.2 ×
// 73.2 stand beside them with a square over each, and the fourth lies in a strip of 21.2: 113.2 + 21.2.
test('the cloth beside lengthwise strips serves wide pieces', () => {
  const units = (cm: number) => Math.round(cm * 20);
  const need = (key: string, w: number, l: number, count: number, lengthwise = false): Need => ({
    ...{ key, width: units(w), length: units(l), count, lengthwise, joins: 'diagonal' },
  });
  const task = taskOf(
    [
      need('narrow', 5.2, 113.2, 2, true),
      need('border', 7.7, 113.2, 2, true),
      need('wide', 21.2, 73.2, 4),
      need('square', 21.2, 21.2, 4),
      need('small', 7.7, 5.2, 4),
    ],
    { usable: units(110), seam: 15 },
  );
  expect(searchAtOnce(task).length / 20).toBeLessThanOrEqual(134.4);
});
// What is bought by is the shorter of the two ways there are.
test('a thrifty plan is never longer than a simple one', () => {
  fc.assert(
    fc.property(anyNeeds, (needs) => {
      const sheet = { usable: 640, seam: 4 };
      if (unplaceable(needs, sheet).length > 0) return;
      const task = taskOf(needs, sheet);
      expect(searchAtOnce(task).length).toBeLessThanOrEqual(searchAtOnce(task, 'simple').length);
    }),
    { numRuns: 40 },
  );
});
