import fc from 'fast-check';
import {
  atTable,
  bindingSteps,
  computeQuilt,
  cutRecord,
  cuttingJob,
  formatLength,
  type Plan,
  quiltAsCut,
} from '../src/index.ts';
import { borderOf, inchPlan } from './support/plans.ts';

const base = inchPlan({});
const planOf = (
  width: number,
  height: number,
  strip: number,
  border: number,
  unit: 'usual' | number = 'usual',
) =>
  inchPlan({
    block: { width: width / 2, height: height / 2 },
    setting: { kind: 'edge-to-edge' },
    grid: { across: 2, down: 2 },
    borders: [borderOf(border, 'binding')],
    fabrics: base.fabrics.map((fabric) =>
      unit === 'usual' || fabric.id !== 'binding' ? fabric : { ...fabric, usableWidth: unit },
    ),
    binding: { ...base.binding, stripWidth: strip },
  } as Partial<Plan>);

type Manner = 'thrifty' | 'simple';
const tableOf = (plan: Plan, manner: Manner) => {
  const quilt = computeQuilt(plan);
  const cloths = quilt.fabrics.map(({ fabric }) => ({
    table: atTable(cuttingJob(plan, quilt, fabric.id), cutRecord([], 'q', fabric.id, plan.unit), { manner }),
  }));
  return { quilt: quiltAsCut(plan, quilt, cloths), cloths };
};

/** Strips for the binding alone that the table's steps bring out, by their length, whatever else they bring out. */
const broughtOut = ({ quilt, cloths }: ReturnType<typeof tableOf>): number[] => {
  const line = quilt.besides.find(({ role }) => role === 'binding')!.id;
  return cloths
    .flatMap(({ table }) => table.steps.flatMap(({ makes }) => makes))
    .filter(({ joined, lines }) => joined && lines.join() === line)
    .flatMap(({ w, count }) => Array.from({ length: count }, () => w))
    .sort((a, b) => b - a);
};

describe('the strips a binding is told to be cut of are those the table cuts (rule BD-3)', () => {
  test('shared strips: both tell the bits, and the joins are theirs', () => {
    const [quiltWide, quiltHigh] = [90, 67];
    const found = [4, 5, 6, 7, 8, 9, 10].flatMap((border) => {
      const plan = planOf(quiltWide, quiltHigh, 2.25, border);
      const made = tableOf(plan, 'thrifty');
      const binding = made.quilt.edge.binding!;
      return binding.asCut.short.length > 0 ? [{ plan, made, binding, border }] : [];
    });
    expect(found.length).toBeGreaterThan(0);
    for (const { plan, made, binding, border } of found) {
      const lengths = broughtOut(made);
      expect(binding.asCut.whole.value + binding.asCut.short.length).toBe(lengths.length);
      expect(binding.asCut.short).toEqual(lengths.filter((length) => length < 40));
      // The cutting list counts whole strips, and says what they are cut as.
      const line = made.quilt.besides.find(({ role }) => role === 'binding')!;
      expect(line.notes.join()).toBe(
        `As its cloth is cut: ${binding.asCut.whole.value} strips and ${binding.asCut.short.length} shorter ${binding.asCut.short.length === 1 ? 'one' : 'ones'}, ${binding.asCut.short.map((l) => formatLength(l, 'in')).join(' and ')}″ long.`,
      );
      expect(tableOf(plan, 'simple').quilt.besides.find(({ role }) => role === 'binding')!.notes).toEqual([]);
      const [cut] = bindingSteps(plan, binding);
      expect(cut).toMatch(
        new RegExp(
          `^Cut ${binding.asCut.whole.value} strips? of 2 1/4″ and ${binding.asCut.short.length} shorter one`,
        ),
      );
      // Where it begins, and each strip to the next, 2¼ lost at each, as far as the edge goes; the rest is tail.
      const ends = lengths
        .slice(0, -1)
        .map((_, i) => lengths.slice(0, i + 1).reduce((a, b) => a + b, 0) - 2.25 * i);
      const before = ends.filter((end) => end - 2.25 / 2 < 2 * (quiltWide + quiltHigh + 4 * border));
      expect(binding.joins.joins).toHaveLength(1 + before.length);
    }
  });
  test('another way chosen at the table is what the edge tells', () => {
    let differs = 0;
    const [sides, border] = [fc.integer({ min: 30, max: 100 }), fc.integer({ min: 3, max: 10 })];
    fc.assert(
      fc.property(sides, sides, border, fc.constantFrom(40, 41.9, 42.3), (width, height, wide, usable) => {
        const plan = planOf(width, height, 2.25, wide, usable);
        const told = (['thrifty', 'simple'] as const).map((manner) => {
          const made = tableOf(plan, manner);
          const lengths = broughtOut(made);
          // A run shared with the border has none of its own.
          if (lengths.length === 0) return '';
          const { whole, short } = made.quilt.edge.binding!.asCut;
          const across = Math.max(...lengths);
          expect([whole.value, ...short]).toEqual(
            across > usable - 0.02
              ? [
                  lengths.filter((l) => l > usable - 0.02).length,
                  ...lengths.filter((l) => l <= usable - 0.02),
                ]
              : [0, ...lengths],
          );
          return JSON.stringify([whole.value, short]);
        });
        if (told[0] !== told[1]) differs++;
      }),
      { numRuns: 25, seed: 29 },
    );
    // Both ways alike would prove nothing.
    expect(differs).toBeGreaterThan(2);
  });
});
