import fc from 'fast-check';
import { computeQuilt, cuttingJob, cuttingWay, longerSearch, stepSays } from '../src/index.ts';
import { cutTree } from '../src/cutting/cut-tree.ts';
import { waitOf } from '../src/cutting/waits.ts';
import { anyPlan, borderOf, inchPlan, quiltOf, wholeSetting } from './support/plans.ts';

const sashed = () => quiltOf(12, 3, 4, { kind: 'sashed', sash: 1.5 }, { borders: [borderOf(4, 'border')] });

describe('every quilt, at the table', () => {
  test('the steps bring out every piece of the list once, by straight cuts right through', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const quilt = computeQuilt(plan);
        for (const { fabric, pieces, runs, heights } of quilt.fabrics) {
          const { steps } = cuttingWay(cuttingJob(plan, quilt, fabric.id), 'thrifty');
          const made = steps.flatMap((step) => step.makes);
          const total = made.reduce((sum, { count }) => sum + count, 0);
          expect(total).toBe(pieces.length + runs.reduce((sum, run) => sum + run.segments.length, 0));
          expect(steps.filter(({ kind }) => kind === 'strip')).toHaveLength(heights.length);
          expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
          for (const step of steps) expect(stepSays(step, plan.unit).length).toBeGreaterThan(5);
        }
      }),
      { numRuns: 40 },
    );
  });

  // Rule CU-6, common practice: three or four strips between two squarings; lengthwise pieces come off first.
  test('the end is squared first, and after four strips at the most', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const quilt = computeQuilt(plan);
        for (const { fabric, heights } of quilt.fabrics) {
          if (heights.length === 0) continue;
          const { steps } = cuttingWay(cuttingJob(plan, quilt, fabric.id), 'simple');
          expect(steps[0]!.kind).toBe('square');
          let since = 0;
          for (const { kind } of steps) {
            since = kind === 'square' ? 0 : since + (kind === 'strip' ? 1 : 0);
            expect(since).toBeLessThanOrEqual(4);
          }
        }
      }),
      { numRuns: 30 },
    );
  });
});

// Rule CU-5, common practice: borders once the centre is measured, binding once the quilt is trimmed.
test('what waits is cut last, until it is measured', () => {
  const plan = inchPlan({ borders: [borderOf(4, 'border')] });
  const quilt = computeQuilt(plan);
  const lineOf = (role: string) => [...quilt.pieces, ...quilt.besides].find((line) => line.role === role)!;
  expect(waitOf(plan, lineOf('border'))).toMatchObject({ round: 1, until: 'the centre is measured' });
  expect(waitOf(plan, lineOf('binding'))).toMatchObject({ round: 2 });
  expect(waitOf(plan, lineOf('sash'))).toBeNull();
  const three = [48, 48, 48] as [number, number, number];
  const measured = { ...plan, measured: [{ borders: 0, width: three, height: three }] };
  expect(waitOf(measured, lineOf('border'))).toBeNull();
  const around = { ...plan, edge: { ...plan.edge, around: 200 } };
  expect(waitOf(around, lineOf('binding'))).toBeNull();
  // All from one cloth: sashes come before the border's strips, though those are wider, and the binding's come last.
  const one = quiltOf(12, 3, 4, { kind: 'sashed', sash: 1.5 }, {
    borders: [{ ...borderOf(4, 'sash') }],
    binding: { ...plan.binding, fabric: 'sash' },
  }); // prettier-ignore
  const sash = one.fabrics.find((cut) => cut.fabric.id === 'sash')!;
  const first = (name: string) =>
    Math.min(
      ...sash.pieces.filter((piece) => piece.name === name).map(({ y }) => y),
      ...sash.runs
        .filter((run) => run.pieces.some((piece) => piece.name === name))
        .flatMap((run) => run.segments.map(({ y }) => y)),
    );
  expect(first('Sashes')).toBe(0);
  expect(first('Sashes')).toBeLessThan(first('Border sides'));
});

// Rule TR-2, geometry: a square cut twice corner to corner gives four triangles, once two.
test('squares for triangles are then cut corner to corner', () => {
  const plan = inchPlan({ grid: { across: 5, down: 6 }, setting: wholeSetting({ kind: 'on-point' }) });
  const quilt = computeQuilt(plan);
  const { steps } = cuttingWay(cuttingJob(plan, quilt, 'triangle'), 'thrifty');
  const made = (corners: number) =>
    steps.flatMap((step) => step.makes).filter((one) => one.corners === corners);
  const squares = (corners: number) => made(corners).reduce((sum, { count }) => sum + count, 0);
  // Eighteen side triangles from five squares, four corner triangles from two.
  expect([squares(2), squares(1)]).toEqual([5, 2]);
  const says = steps.map((step) => stepSays(step, 'in')).join(' ');
  expect(says).toMatch(/Then each corner to corner, twice, without moving it between: \d+ side triangles\./);
  expect(says).toContain('Then each corner to corner, once: 4 corner triangles.');
});

test('a longer search starts from what is found at once, and never goes below the bound', () => {
  const quilt = sashed();
  const plan = inchPlan({ borders: [borderOf(4, 'border')] });
  const job = cuttingJob(plan, quilt, 'sash');
  const now = cuttingWay(job, 'thrifty').placed.needed.value;
  let rounds = 0;
  for (const { length, bound, way } of longerSearch(job)) {
    expect(length).toBeLessThanOrEqual(now);
    expect(length).toBeGreaterThanOrEqual(bound);
    if (++rounds === 1) expect(way().placed.pieces).toHaveLength(31);
    if (rounds > 20) break;
  }
});

describe('a piece of cloth cut up', () => {
  const box = { x: 0, y: 0, w: 10, h: 4 };
  test('side by side, what is left is an offcut', () => {
    const tree = cutTree(box, [
      { x: 0, y: 0, w: 3, h: 4 },
      { x: 3, y: 0, w: 3, h: 2 },
    ]);
    expect(tree).toMatchObject({
      way: 'x',
      parts: [
        { kind: 'piece' },
        {
          kind: 'parts',
          way: 'y',
          parts: [{ kind: 'piece' }, { kind: 'offcut', box: { x: 3, y: 2, w: 3, h: 2 } }],
        },
        { kind: 'offcut', box: { x: 6, w: 4 } },
      ],
    });
  });
  // Geometry: four oblongs round a middle, none of whose edges goes right through.
  test('a pinwheel cannot be cut', () => {
    const pinwheel = [
      { x: 0, y: 0, w: 2, h: 1 },
      { x: 2, y: 0, w: 1, h: 2 },
      { x: 1, y: 2, w: 2, h: 1 },
      { x: 0, y: 1, w: 1, h: 2 },
    ];
    expect(() => cutTree({ x: 0, y: 0, w: 3, h: 3 }, pinwheel)).toThrow('no straight cuts');
  });
});
