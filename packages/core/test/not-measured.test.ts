import {
  begin,
  computeQuilt,
  convertPlan,
  guideOf,
  judgeTop,
  type Measured,
  type Plan,
  planChangesBetween,
  progressOf,
  readPlanJson,
  sewingOf,
  sizeSoFar,
  startBorder,
} from '../src/index.ts';
import { judgeMade } from '../src/layer/made.ts';
import { waitOf } from '../src/cutting/waits.ts';
import { borderOf, inchPlan } from './support/plans.ts';

/** Lengths of the lines of a cutting list, by their names. */
const lengthsOf = (plan: Plan) =>
  Object.fromEntries(
    computeQuilt(plan).pieces.map(({ name, cut }) => [
      name,
      cut.shape === 'rectangle' ? cut.length.value : cut.side.value,
    ]),
  );

// A sewn top is measured raw edge to raw edge, like every top (rule BO-5; common practice): 65 × 78 finishes at
// 64½ × 77½, and a 3″ border on its sides is cut as long as the raw edge it is sewn to.
describe('a top that is there already', () => {
  const top = begin({ unit: 'in', have: 'top', width: 65, height: 78 }, () => 'x');
  const bordered = { ...top, borders: [startBorder('a', 3, 'border')] };
  test('its raw edges are what was measured: sides 78, ends 71, finished 70½ × 83½', () => {
    const { finished } = computeQuilt(bordered);
    expect([finished.width.value, finished.height.value]).toEqual([70.5, 83.5]);
    expect(lengthsOf(bordered)).toEqual({ 'Border sides': 78, 'Border top and bottom': 71 });
    expect(sizeSoFar(bordered)).toEqual({ width: 70.5, height: 83.5 });
  });
  test('the same in centimetres, with a seam of its own', () => {
    const metric = begin({ unit: 'cm', have: 'top', width: 150, height: 190 }, () => 'x');
    const plan = { ...metric, seam: 0.75, borders: [startBorder('a', 8, 'border')] };
    const { finished } = computeQuilt(plan);
    expect([finished.width.value, finished.height.value]).toEqual([164.5, 204.5]);
    expect(lengthsOf(plan)).toEqual({ 'Border sides': 190, 'Border top and bottom': 166 });
  });
  test('measured again on the spot it says the same', () => {
    const measured: Measured[] = [{ borders: 0, width: [65, 65, 65], height: [78, 78, 78] }];
    expect(lengthsOf({ ...bordered, measured })).toEqual(lengthsOf(bordered));
  });
  test('it begins at its borders, for nothing is left to lay out', () => {
    expect(progressOf(top, { booked: false }).at).toBe('borders');
  });
});

describe('a quilt that is quilted and trimmed', () => {
  const quilt = begin({ unit: 'in', have: 'quilt', width: 40, height: 52 }, () => 'x');
  const flanged: Plan = { ...quilt, edge: { ...quilt.edge, finishes: ['binding', 'flange'] } };
  test('its edge is its size: a flange is as long as the side it lies on (rule FL-2)', () => {
    const { finished, edge } = computeQuilt(flanged);
    expect([finished.width.value, finished.height.value]).toEqual([40, 52]);
    expect([edge.flange?.ends.value, edge.flange?.sides.value]).toEqual([40, 52]);
    // A top of the same finished size has its seam allowance yet.
    const top = begin({ unit: 'in', have: 'top', width: 40.5, height: 52.5 }, () => 'x');
    const onTop = computeQuilt({ ...top, edge: flanged.edge }).edge.flange;
    expect([onTop?.ends.value, onTop?.sides.value]).toEqual([40.5, 52.5]);
  });
  test('nothing is trimmed off it, and its work begins at its edge', () => {
    const { layout, ...rest } = computeQuilt(flanged);
    const sewing = sewingOf(flanged, layout);
    const steps = guideOf(flanged, { layout, ...rest }, sewing, sewing.ways[0]!);
    expect(steps.map(({ id }) => id)).toEqual(['measure-round', 'flange', 'binding']);
    expect(JSON.stringify(steps)).not.toMatch(/trim to about|40 1\/2/i);
    expect(progressOf(flanged, { booked: false }).at).toBe('edge');
  });
});

describe('nothing typed is nothing measured', () => {
  const plan = inchPlan({
    block: { width: 12, height: 12 },
    grid: { across: 3, down: 4 },
    borders: [borderOf(3, 'border')],
  });
  const asMeasured = (width: Measured['width'], height: Measured['height']): Plan => ({
    ...plan,
    measured: [{ borders: 0, width, height }],
  });
  const none: Measured['width'] = [null, null, null];
  const planned = lengthsOf(plan);
  test('a measurement that is begun changes nothing and is not judged', () => {
    const begun = asMeasured(none, none);
    expect(lengthsOf(begun)).toEqual(planned);
    const { sizes } = computeQuilt(begun).layout;
    expect(sizes[0]).toMatchObject({ measured: null, real: { width: false, height: false } });
    expect(planChangesBetween(plan, begun)).toEqual([]);
    expect(progressOf(begun, { booked: false })).toEqual(progressOf(plan, { booked: false }));
  });
  test('one width of three: top and bottom go by it, the sides stay as planned, and only that is said', () => {
    const { width, height } = computeQuilt(plan).layout.sizes[0]!.used;
    const raw = width.value + 0.5 - 0.75;
    const one = asMeasured([null, raw, null], none);
    expect(lengthsOf(one)).toEqual({
      ...planned,
      'Border top and bottom': planned['Border top and bottom']! - 0.75,
    });
    const { verdict } = computeQuilt(one).layout.sizes[0]!.measured!;
    expect(verdict).toEqual({
      kind: 'part',
      text: 'One width says how long top and bottom are, not whether the edges lie true: take the other two readings. No height is measured yet: the side strips are still as planned.',
    });
    expect(planChangesBetween(plan, one).map(({ from, to }) => [from, to])).toEqual([
      ['not measured', `${raw - (raw % 1)} 3/4″ wide, its height not measured`],
    ]);
    expect(height.value).toBe(computeQuilt(one).layout.sizes[0]!.used.height.value);
  });
  test('without the middle, what is measured is averaged, and the working says how many', () => {
    const { used } = computeQuilt(asMeasured([42, null, 42.5], [56, 56.25, null])).layout.sizes[0]!;
    expect(used.width.working).toEqual([
      'Average of 42 and 42 1/2: 42 1/4, the third not measured yet',
      'less 2 × 1/4 seam = 41 3/4 finished',
    ]);
    expect(used.height.value).toBe(55.75);
  });
  test.each([
    [[42, 42, null], [56, 56, 56], 'part', /^Two of three widths are measured, and agree\.$/],
    [[42, 42.5, null], none, 'ease', /^The widths differ by 1\/2″/],
    [[null, 43, 42], [56, null, null], 'square-up', /^The widths differ by 1″/],
    [none, [56, 56, 56.0625], 'part', /^No width is measured yet/],
    [[42, 42, 42], [56, 56, 56], 'true', /lies true/],
  ] as const)('%j by %j: %s', (width, height, kind, says) => {
    const verdict = judgeTop({ borders: 0, width: [...width], height: [...height] }, 'in');
    expect(verdict).toMatchObject({ kind, text: expect.stringMatching(says) });
  });
  test('it goes along in a file and into the other unit as it is', () => {
    const half = asMeasured([null, 42, null], none);
    const read = readPlanJson(JSON.stringify(half));
    expect(read.ok && read.plan.measured).toEqual(half.measured);
    expect(convertPlan(half, 'cm').measured).toEqual([
      { borders: 0, width: [null, 106.68, null], height: none },
    ]);
  });
  test('a border waits until its own lengths are known', () => {
    const sides = computeQuilt(plan).pieces.find(({ name }) => name === 'Border sides')!;
    expect(waitOf(asMeasured([null, 42, null], none), sides)).toEqual(waitOf(plan, sides));
    expect(waitOf(plan, sides)?.round).toBe(1);
    expect(waitOf(asMeasured([null, 42, null], [56, null, null]), sides)).toBeNull();
  });
  test('a backing is judged by what was measured of it', () => {
    const top = { width: 70, height: 80 };
    const made = (width: number | null, height: number | null, a: number | null, b: number | null) =>
      judgeMade({ width, height, diagonals: [a, b] }, top, 4, 'in');
    expect(made(null, null, null, null)).toBeNull();
    expect(made(78, null, null, null)).toMatchObject({
      kind: 'part',
      text: 'Still to be measured: its height; both diagonals, which tell whether it is square.',
    });
    expect(made(null, 83, null, null)).toMatchObject({ kind: 'short', over: { sides: null, ends: 1.5 } });
    expect(made(78, 88, 117, null)).toMatchObject({ kind: 'part', skew: null });
    expect(made(78, 88, 117, 117.5)).toMatchObject({ kind: 'good' });
  });
});
