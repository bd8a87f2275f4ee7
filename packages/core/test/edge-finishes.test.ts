import fc from 'fast-check';
import { computeQuilt, convertPlan, edgeOutline, type Plan, planProblems, startPlan } from '../src/index.ts';
import { biasFromSquare, biasTube } from '../src/edge/bias.ts';
import { mitresOf } from '../src/edge/mitre.ts';
import type { EdgeOutline } from '../src/edge/outline.ts';
import { planPrairiePoints } from '../src/edge/prairie-points.ts';
import { inchPlan } from './support/plans.ts';
import { edgedPlan as plan, edgeOf, eighths, refusalsOf, toBindWith } from './support/edges.ts';

describe('in centimetres', () => {
  // What is pure geometry comes out the same in any unit: 2.54 times as long in, 2.54 times as long out.
  test('bias, scallops, mitres and points are the inch figures times 2.54', () => {
    fc.assert(
      fc.property(eighths(36, 90), eighths(36, 90), fc.constantFrom(2, 2.25, 2.5), (w, h, strip) => {
        const k = 2.54;
        expect(biasFromSquare(w * k, strip * k, 0.25 * k, 'cm').length).toBeCloseTo(
          biasFromSquare(w, strip, 0.25, 'in').length * k,
          6,
        );
        expect(biasTube(w * k, strip * k, 0.25 * k).length).toBeCloseTo(
          biasTube(w, strip, 0.25).length * k,
          6,
        );
        const outline = (f: number) =>
          edgeOutline(
            { width: w * f, height: h * f },
            { shape: 'scalloped', corners: 'all', radius: f, scallop: { width: 6 * f, depth: f } },
          );
        expect(outline(k).length).toBeCloseTo(outline(1).length * k, 6);
        expect(outline(k).turns.map((t) => Math.round(1e6 * t.angle))).toEqual(
          outline(1).turns.map((t) => Math.round(1e6 * t.angle)),
        );
        const points = (f: number, unit: 'in' | 'cm') =>
          planPrairiePoints(
            { width: w * f, height: h * f },
            { square: 4 * f, overlap: 0.25 * f, seam: 0.25 * f, usable: 40 * f, unit },
          );
        expect(points(k, 'cm').total.value).toBe(points(1, 'in').total.value);
        expect(points(k, 'cm').across.overlap.value).toBeCloseTo(points(1, 'in').across.overlap.value * k, 9);
      }),
      { numRuns: 40 },
    );
  });
});

describe('together', () => {
  // Rule ED-2.
  test('flange and binding go together; points take the place of both, on straight sides', () => {
    expect(refusalsOf(40, 50, { finishes: ['flange', 'binding'] })).toEqual([]);
    expect(refusalsOf(40, 50, { finishes: ['prairie-points'] })).toEqual([]);
    expect(refusalsOf(40, 50, { finishes: ['prairie-points', 'binding'] })).toEqual([
      expect.stringMatching(/close the edge by themselves.*a binding would cover their bases/),
    ]);
    expect(refusalsOf(40, 50, { finishes: ['flange', 'prairie-points'] })).toEqual([
      expect.stringMatching(/held by the seam of a binding/),
    ]);
    expect(refusalsOf(40, 50, { finishes: [] })).toEqual([expect.stringMatching(/A raw edge frays/)]);
    expect(refusalsOf(40, 50, { finishes: ['flange'] })).toEqual([expect.stringMatching(/only basted on/)]);
    expect(refusalsOf(40, 50, { finishes: ['prairie-points'], shape: 'scalloped' })).toEqual([
      expect.stringMatching(/straight sides/),
    ]);
    expect(refusalsOf(40, 50, { finishes: ['flange', 'binding'], shape: 'rounded' })).toEqual([
      expect.stringMatching(/cannot follow a curve/),
    ]);
  });
  test('shapes that do not fit are refused beside their field', () => {
    expect(refusalsOf(40, 50, { shape: 'rounded', radius: 22 })).toEqual([
      expect.stringMatching(/at most 20″/),
    ]);
    expect(refusalsOf(40, 50, { shape: 'scalloped', scallop: { width: 4, depth: 3 } })).toEqual([
      expect.stringMatching(/2″ deep at most/),
    ]);
    expect(refusalsOf(20, 20, { shape: 'scalloped', scallop: { width: 12, depth: 1 } })).toEqual([
      expect.stringMatching(/do not divide sides of 20″ and 20″ and turn their corners/),
    ]);
  });
  test('everything of layers and edge is bought once, and turns into centimetres and back', () => {
    const made = plan(
      40,
      50,
      { finishes: ['flange', 'binding'] },
      { flange: { visible: 0.125, fabric: 'sash' } },
      toBindWith([5, 30]),
    );
    const lines = computeQuilt(made)
      .fabrics.flatMap((f) => f.needed.working)
      .join('|');
    for (const words of ['Backing', 'Binding', 'Flange in the binding', 'Flange sides'])
      expect(lines.split(words)).toHaveLength(2);
    const back = convertPlan(convertPlan(made, 'cm'), 'in');
    expect(planProblems(convertPlan(made, 'cm'))).toEqual([]);
    for (const key of ['backing', 'batting', 'quilting'] as const)
      expect(JSON.stringify(back[key])).toBe(JSON.stringify(made[key]));
    expect(
      Math.abs(computeQuilt(back).edge.binding!.length.value - computeQuilt(made).edge.binding!.length.value),
    ).toBeLessThan(1);
    expect(computeQuilt(startPlan('metric-sashed')).edge.binding!.finished.value).toBeGreaterThan(0.5);
  });
});

describe('a flange beside the binding', () => {
  // Rule FL-1. What is seen reaches past the binding's seam: 2 × (¼ + ⅜) beside a binding sewn at ⅜.
  test('is cut for the seam the binding is sewn with', () => {
    const width = (binding: Partial<Plan['binding']>) =>
      edgeOf(40, 50, { finishes: ['flange', 'binding'] }, binding).flange!.cutWidth.value;
    expect(width({})).toBe(1.25);
    expect(width({ seam: 0.25 })).toBe(1);
    expect(width({ stripWidth: 2.25 })).toBe(2 * (0.25 + 0.3125));
  });
  // Rule FL-2.
  test('lies along the raw edges: the finished top and its seams, or the average of the three places that were measured, as it is', () => {
    const flange = (measured: Plan['measured']) =>
      edgeOf(40, 50, { finishes: ['flange', 'binding'] }, {}, { measured }).flange!;
    expect([flange([]).sides.value, flange([]).ends.value]).toEqual([50.5, 40.5]);
    const three = flange([{ borders: 0, width: [40.5, 40.25, 40.75], height: [50.5, 50.25, 50.25] }]);
    expect(three.ends.value).toBeCloseTo(40.5, 12);
    expect(three.sides.value).toBeCloseTo(151 / 3, 12);
    expect(three.sides.working[0]).toBe(
      'High, measured in three places: (50 1/2 + 50 1/4 + 50 1/4) ÷ 3 = 50.333',
    );
  });
  test('one that its cloth is too narrow for is refused beside its field', () => {
    expect(
      refusalsOf(
        40,
        50,
        { finishes: ['flange', 'binding'], flange: { visible: 2, fabric: 'sash' } },
        {},
        { fabrics: inchPlan({}).fabrics.map((f) => ({ ...f, usableWidth: 8 })) },
      ).join(),
    ).toMatch(/A flange that shows 2″ takes strips cut 4 3\/4″ wide/);
  });
});

describe('points of the blocks at the edge', () => {
  const said = (setting: Plan['setting'], binding: Partial<Plan['binding']>) => {
    const base = inchPlan({});
    return computeQuilt({ ...base, setting, binding: { ...base.binding, ...binding } })
      .advice.filter((a) => a.path.join('.') === 'binding.seam')
      .map((a) => a.message)
      .join();
  };
  // Geometry: points end a quarter inch inside the raw edge; a binding sewn ⅜ deep covers an eighth of them.
  test('lose their tips under a binding sewn deeper than their seam', () => {
    const onPoint = { kind: 'on-point', plainBetween: false, float: 0, triangles: 'trade' } as const;
    expect(said(onPoint, {})).toContain('covers their tips by 1/8″');
    expect(said(onPoint, { seam: 0.25 })).toBe('');
    expect(said({ ...onPoint, float: 0.5 }, {})).toBe('');
    expect(said({ kind: 'framed', frame: 'exact', triangles: 'trade' }, {})).toContain('covers their tips');
    expect(said({ kind: 'edge-to-edge' }, {})).toBe('');
  });
});

test('two flanges, one in the binding and one beside it, are told', () => {
  const said = (finishes: Plan['edge']['finishes'], flange: Plan['binding']['flange']) =>
    computeQuilt(plan(40, 50, { finishes }, { stripWidth: 2.75, flange })).advice.some((a) =>
      a.message.includes('two will show'),
    );
  const built = { visible: 0.125, fabric: 'accent' };
  expect([
    said(['flange', 'binding'], built),
    said(['binding'], built),
    said(['flange', 'binding'], null),
  ]).toEqual([true, false, false]);
});

// Rule BD-1. Arithmetic, in centimetres: 98 and 123 up to 100 and 125; 100 and 125 leave nothing, so 25 more.
test('angles more than two degrees apart are two kinds, a corner and a valley always are', () => {
  const angles = (...of: number[]) =>
    mitresOf({ turns: of.map((angle) => ({ angle })) } as unknown as EdgeOutline, 0.25, 'in').map((m) => [
      m.angle,
      m.count,
      m.kind,
    ]);
  expect(angles(250, 252, 251)).toEqual([[251, 3, 'valley']]);
  expect(angles(250, 252.5)).toEqual([
    [250, 1, 'valley'],
    [253, 1, 'valley'],
  ]);
  expect(angles(179.5, 180.5)).toEqual([
    [180, 1, 'corner'],
    [181, 1, 'valley'],
  ]);
});

test('angles that differ by a degree are one kind of valley', () => {
  const outline = edgeOutline(
    { width: 60, height: 73 },
    { shape: 'scalloped', corners: 'all', radius: 6, scallop: { width: 6, depth: 1 } },
  );
  const mitres = mitresOf(outline, 0.25, 'in');
  expect(mitres).toHaveLength(1);
  expect(mitres[0]).toMatchObject({ kind: 'valley', count: outline.turns.length });
});
