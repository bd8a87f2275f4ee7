import { footRadius, measuredAfter, measuredSays, postCutOut, recordCard, startBed } from '../src/index.ts';
import { computeQuilt, type LogEntry, type Plan } from '../src/index.ts';
import { drawsIn, plannedFor } from '../src/layer/draws-in.ts';
import { markTop } from '../src/layer/marking.ts';
import { inchPlan, quiltOf, wholeSetting } from './support/plans.ts';
import { entriesOf } from './support/entries.ts';

const TOP = { width: 70, height: 82 };
const quilting = (change: Partial<Plan['quilting']>, fibre: Plan['batting']['fibre'] = 'cotton'): Plan => {
  const plan = inchPlan({});
  return { ...plan, quilting: { ...plan.quilting, ...change }, batting: { ...plan.batting, fibre } };
};

describe('what quilting and a wash take (rule QL-2)', () => {
  // By the pencil, shares from memory: 70 × 0.97 = 67.9, 70 × 0.99 = 69.3; with 3 to 5 % more, 64.505 and 67.221.
  test('lines 3″ apart over cotton: quilted 67⅞ to 69¼, washed 64½ to 67¼', () => {
    const { quilted, washed, says } = drawsIn(quilting({ spacing: 3 }), TOP);
    expect([quilted!.width.least.value, quilted!.width.most.value]).toEqual([67.875, 69.25]);
    expect([washed.width.least.value, washed.width.most.value]).toEqual([64.5, 67.25]);
    expect(says).toBe('quilting draws in 1 to 3 %, a first wash takes 3 to 5 %');
    expect(washed.height.least.value).toBe(75.625);
  });
  test('dense quilting draws in more, polyester hardly shrinks, a wash alone takes what is quilted already', () => {
    const most = (plan: Plan) => drawsIn(plan, TOP).quilted!.width.least.value;
    expect([3, 2, 1].map((spacing) => most(quilting({ spacing })))).toEqual([67.875, 67.25, 66.5]);
    expect(most(quilting({ marking: 'ditch', spacing: 1 }))).toBe(67.875);
    expect(most(quilting({ by: 'long-arm', spacing: 1 }))).toBe(67.25);
    const polyester = drawsIn(quilting({ spacing: 3 }, 'polyester'), TOP);
    expect(polyester.washed.width.most.value).toBe(polyester.quilted!.width.most.value);
    const blocks = drawsIn({ ...quilting({}), setting: wholeSetting({ kind: 'quilted' }) }, TOP);
    expect(blocks.quilted).toBeNull();
    expect([blocks.washed.width.least.value, blocks.washed.width.most.value]).toEqual([66.5, 67.875]);
  });
  // The middle of both ranges is left: what is planned comes back to the target there.
  test('a target is planned larger by what will go', () => {
    const plan = quilting({ spacing: 3 });
    const planned = plannedFor(plan, TOP);
    const back = drawsIn(plan, { width: planned.width.value, height: planned.height.value }).washed;
    expect((back.width.least.value + back.width.most.value) / 2).toBeCloseTo(70, 0);
    expect((back.height.least.value + back.height.most.value) / 2).toBeCloseTo(82, 0);
    expect(planned.width.value).toBeGreaterThan(74);
  });
});

// Rule QL-3, arithmetic: 36 ÷ 5 is 7.2, seven parts of 5.143; 48 ÷ 5 is 9.6, ten parts of 4.8.
test('a grid that divides each side evenly has no line on the edge, and equal parts', () => {
  const { layout } = quiltOf(12, 3, 4, { kind: 'edge-to-edge' });
  const { lines, count } = markTop(layout, 'even', 5, 'in');
  const upright = lines.filter(({ from, to }) => from.x === to.x).map(({ from }) => from.x);
  const level = lines.filter(({ from, to }) => from.y === to.y).map(({ from }) => from.y);
  expect([upright.length, level.length, count.value]).toEqual([6, 9, 15]);
  const gaps = (places: number[], side: number) =>
    [0, ...places, side].slice(1).map((p, i) => p - [0, ...places][i]!);
  for (const gap of gaps(upright, 36)) expect(gap).toBeCloseTo(36 / 7, 9);
  for (const gap of gaps(level, 48)) expect(gap).toBeCloseTo(4.8, 9);
});

describe('what it measured in the end', () => {
  const e = entriesOf();
  const at = (
    day: number,
    when: 'quilted' | 'washed',
    width: number,
    height: number,
    unit: 'in' | 'cm' = 'in',
  ): LogEntry => e(`2026-11-${10 + day}T10:00:00Z`, 'quilt-measured', { when, unit, width, height });
  const log = [at(1, 'quilted', 68, 79), at(2, 'quilted', 68.5, 80), at(3, 'washed', 168.91, 198.12, 'cm')];
  test('the last word counts, in the plan’s unit, with what it drew in by', () => {
    const id = log[0]!.quilt;
    const measured = measuredAfter(log, id, 'in');
    expect(measured.quilted).toEqual({ width: 68.5, height: 80 });
    expect(measured.washed!.width).toBeCloseTo(66.5, 9);
    expect(measuredAfter(log, 'another', 'in')).toEqual({ quilted: null, washed: null });
    expect(measuredSays(measured.quilted!, TOP, 'in')).toMatch(/drawn in by 2\.1 % across and 2\.4 % down$/);
    expect(measuredSays({ width: 71, height: 82 }, TOP, 'in')).toMatch(/was planned$/);
    const card = recordCard(inchPlan({}), computeQuilt(inchPlan({})), log, id);
    expect(card.lines.map(({ what }) => what)).toEqual(
      expect.arrayContaining(['Once quilted', 'Once washed']),
    );
  });
});

// Rule TG-3, geometry: over a square corner of a bed the quilt's corner lies the drop times √2 from it; rounded by the drop, the drop.
test('the foot is rounded by the drop, the lesser where they differ', () => {
  const bed = startBed('us-queen', 'in');
  const hanging = (left: number, right: number, foot: number) =>
    footRadius({ ...bed, drop: { left, right, foot } });
  expect([hanging(12, 12, 12), hanging(10, 12, 14), hanging(12, 12, 0)]).toEqual([12, 10, null]);
  expect([footRadius(null), footRadius({ of: 'size', width: 60, height: 70 })]).toEqual([null, null]);
});

// Rule TG-4: the drop at the side by the drop at the foot, of two sides that differ the lesser.
test('corners for the posts of a bed are cut out by the drops', () => {
  const bed = startBed('us-queen', 'in');
  const hanging = (left: number, right: number, foot: number) =>
    postCutOut({ ...bed, drop: { left, right, foot } });
  expect(hanging(14, 15, 11)).toEqual({ across: 14, down: 11 });
  expect([hanging(0, 12, 11), hanging(12, 12, 0), postCutOut(null)]).toEqual([null, null, null]);
});
