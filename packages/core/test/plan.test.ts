import { compareWithTarget } from '../src/target/compare.ts';
import fc from 'fast-check';
import {
  blockChoices,
  computeQuilt,
  convertPlan,
  FACES,
  type Plan,
  planProblems,
  readPlan,
  SCHEMA_VERSION,
  readPlanJson,
  startPlan,
  STARTS,
  turnInto,
  verdictOn,
  writePlanJson,
} from '../src/index.ts';
import { migratePlan } from '../src/plan/migrations.ts';
import { borderOf, quiltOf } from './support/plans.ts';

const start = startPlan('sashed-sampler');
const messages = (raw: unknown) => {
  const read = readPlan(raw);
  return read.ok ? [] : read.problems.map((p) => `${p.path.join('.')}: ${p.message}`);
};

/** A plan as version 3 wrote it. */
function asVersion3({ batting: _, quilting: __, edge: ___, ...plan }: Plan) {
  return {
    ...plan,
    schemaVersion: 3,
    backing: { overhang: plan.backing.overhang, fabric: plan.backing.fabric },
    binding: { stripWidth: plan.binding.stripWidth, fabric: plan.binding.fabric },
    fabrics: plan.fabrics.filter((f) => f.id !== 'wide-back').map(({ price: ____, ...fabric }) => fabric),
  };
}

describe('a plan from outside', () => {
  test('every starting point is a sound plan', () => {
    for (const { id } of STARTS)
      expect(readPlanJson(writePlanJson(startPlan(id)))).toMatchObject({ ok: true });
  });
  test.each([
    ['not an object', [1], /not a quilt plan/],
    ['no version', { title: 'x' }, /schemaVersion/],
    ['a newer version', { ...start, schemaVersion: SCHEMA_VERSION + 1 }, /newer version of the program/],
    ['a stray field', { ...start, sashes: 3 }, /“sashes” is not part of a plan/],
    ['a missing length', { ...start, seam: undefined }, /^seam: The seam allowance must be a length/],
    ['words for a length', { ...start, seam: '1/4' }, /^seam: The seam allowance must be a length/],
    [
      'an unknown setting',
      { ...start, setting: { kind: 'spiral' } },
      /^setting.kind: Choose a setting this program knows/,
    ],
    [
      'half a block',
      { ...start, grid: { across: 2.5, down: 3 } },
      /^grid.across: Blocks across must be a whole number/,
    ],
    [
      'no blocks',
      { ...start, grid: { across: 0, down: 3 } },
      /^grid.across: 0 blocks across cannot be laid out/,
    ],
    [
      'an absurd block',
      { ...start, block: { width: 1200, height: 12 } },
      /^block.width: A block of 1200″ cannot be right: it lies between 1″ and 60″/,
    ],
    [
      'a negative border',
      { ...start, borders: [borderOf(-2, 'border')] },
      /^borders.0.sides: A border of -2″ cannot be right/,
    ],
    [
      'a cloth nobody listed',
      { ...start, binding: { ...start.binding, fabric: 'velvet' } },
      /^binding.fabric: No cloth in this plan has the id “velvet”/,
    ],
    [
      'one id twice',
      { ...start, fabrics: [start.fabrics[0], ...start.fabrics] },
      /^fabrics.1.id: Two cloths share the id/,
    ],
    [
      'a sash wider than the block',
      { ...start, setting: { ...start.setting, sash: 13 } },
      /^setting.sash: A sash of 13″ is wider than the block.* 2 to 3″/,
    ],
    [
      'no sash width',
      { ...start, setting: { kind: 'sashed', outerSash: true, cornerstones: true, strips: '1' } },
      /^setting.sash: The sash width is missing/,
    ],
    [
      'a thread for a sash',
      { ...start, setting: { ...start.setting, sash: 0 } },
      /^setting.sash: A sash of 0″ cannot be sewn/,
    ],
    [
      'oblong blocks on point',
      {
        ...start,
        block: { width: 9, height: 12 },
        setting: { kind: 'on-point', plainBetween: false, float: 0, triangles: 'trade' },
      },
      /^setting.kind: Only square blocks/,
    ],
    ['a quilt without a name', { ...start, title: '  ' }, /^title: The quilt’s name is missing/],
  ])('%s', (_, raw, message) => expect(messages(raw).join('\n')).toMatch(message));

  test('text cut short is said to be so', () => {
    expect(readPlanJson('{"schemaVersion": 1, "ti')).toMatchObject({
      ok: false,
      problems: [{ message: expect.stringContaining('cut short') }],
    });
  });
  test('a byte-order mark is no obstacle', () =>
    expect(readPlanJson(`\uFEFF${writePlanJson(start)}`).ok).toBe(true));

  test('a version 1 plan comes up whole: borders, sash strips, cloths', () => {
    const old = {
      ...start,
      schemaVersion: 1,
      borders: [{ width: 4, fabric: 'border' }],
      setting: { kind: 'sashed', sash: 1.5, outerSash: true, cornerstones: true },
      fabricFor: { sash: 'sash', cornerstone: 'accent', triangle: 'border' },
    };
    const read = readPlan(old);
    expect(read).toMatchObject({
      ok: true,
      plan: {
        schemaVersion: SCHEMA_VERSION,
        borders: [
          {
            sides: 4,
            ends: 4,
            corners: 'sides-first',
            cut: 'crosswise',
            fabric: 'border',
            cornerFabric: 'border',
          },
        ],
        setting: { strips: '1' },
        fabricFor: { 'middle-sash': 'accent', plain: 'border', frame: 'border' },
      },
    });
  });
  test('a version 2 plan comes up whole: floats, joins, a target of a size, layers for covered sashing', () => {
    const younger = ['places', 'measured', 'measureBy', 'wall'];
    const old = {
      ...Object.fromEntries(Object.entries(asVersion3(start)).filter(([key]) => !younger.includes(key))),
      schemaVersion: 2,
      target: { width: 60, height: 72 },
      setting: { kind: 'on-point', plainBetween: true },
      borders: [
        { sides: 4, ends: 3, corners: 'mitred', cut: 'lengthwise', fabric: 'border', cornerFabric: 'accent' },
      ],
      fabrics: asVersion3(start).fabrics.filter((f) => f.id !== 'batting'),
      fabricFor: {
        sash: 'sash',
        'middle-sash': 'accent',
        cornerstone: 'accent',
        triangle: 'border',
        plain: 'sash',
        frame: 'border',
      },
    };
    expect(readPlan(old)).toMatchObject({
      ok: true,
      plan: {
        schemaVersion: SCHEMA_VERSION,
        target: { of: 'size', width: 60, height: 72 },
        setting: { kind: 'on-point', plainBetween: true, float: 0, triangles: 'trade' },
        borders: [{ sides: 4, ends: 3, joins: 'diagonal', repeat: null }],
        places: { turn: 'none', swap: 'none' },
        measured: [],
        measureBy: 'middle',
        fabricFor: { 'sash-back': 'back', 'sash-batting': 'batting', coping: 'sash' },
      },
    });
    // With no room for another fabric, what there is serves.
    const full = {
      ...old,
      fabrics: Array.from({ length: 24 }, (_, i) => ({
        ...start.fabrics[0]!,
        id: ['sash', 'accent', 'border', 'back', 'binding', 'triangle'][i] ?? `f${i}`,
      })),
    };
    expect(readPlan(full)).toMatchObject({
      ok: true,
      plan: { fabricFor: { 'sash-batting': 'sash' }, backing: { wide: 'back' } },
    });
  });
  test('a version 3 plan comes up whole: ways of backing, batting, quilting, an edge, prices', () => {
    expect(readPlan(asVersion3(start))).toEqual({
      ok: true,
      plan: {
        ...start,
        edge: {
          ...start.edge,
          flange: { ...start.edge.flange, fabric: 'binding' },
          piping: { ...start.edge.piping, fabric: 'binding' },
          points: { ...start.edge.points, fabrics: ['binding'] },
        },
        fabrics: [
          ...start.fabrics.filter((f) => f.id !== 'wide-back'),
          start.fabrics.find((f) => f.id === 'wide-back')!,
        ],
      },
    });
  });
  test.each([
    ['sashed', 'in', { long: 'level' }],
    ['strip-set', 'in', { shortSash: false, short: 1.5 }],
    ['strip-set', 'cm', { shortSash: false, short: 4 }],
    ['on-point', 'in', {}],
  ])('version 9, %s in %s: what is new of its setting changes nothing of it', (kind, unit, added) => {
    const setting = { kind, sash: 2 };
    const came = migratePlan({ schemaVersion: 9, unit, setting } as { schemaVersion: number }) as object;
    expect(came).toMatchObject({ schemaVersion: SCHEMA_VERSION });
    expect((came as { setting: unknown }).setting).toEqual({ ...setting, ...added });
  });
  test('version 10: points are sewn on as its steps told it, and nothing else is changed; what says it already stays', () => {
    const points = { square: 4, opening: 6 };
    const up = (own: object) =>
      migratePlan({ schemaVersion: 10, edge: { shape: 'square', points: own } } as { schemaVersion: number });
    const edge = (up(points) as { edge: { points: object; shape: string } }).edge;
    expect([edge.points, edge.shape]).toEqual([{ ...points, sewn: 'quilted' }, 'square']);
    expect(up({ ...points, sewn: 'turned' })).toMatchObject({ edge: { points: { sewn: 'turned' } } });
    expect(migratePlan({ schemaVersion: 10, edge: 3 } as never)).toEqual({
      schemaVersion: SCHEMA_VERSION,
      edge: 3,
      spareStrip: false,
      hanging: { as: 'none', depth: 4, fabric: undefined },
    });
  });
  test('older versions come up step by step', () => {
    const steps = {
      1: (p: Record<string, unknown>) => ({ ...p, two: true }),
      2: (p: Record<string, unknown>) => ({ ...p, three: true }),
    };
    expect(migratePlan({ schemaVersion: 1 }, steps)).toEqual({ schemaVersion: 3, two: true, three: true });
    expect(migratePlan({ schemaVersion: 3 }, steps)).toEqual({ schemaVersion: 3 });
  });
});

describe('changing a plan', () => {
  test('another setting keeps the choices the two share', () => {
    const sashed = {
      kind: 'sashed',
      sash: 2,
      outerSash: false,
      cornerstones: true,
      long: 'level',
      strips: '1',
    } as const;
    expect(turnInto('on-point', sashed, 'in')).toEqual({
      kind: 'on-point',
      plainBetween: false,
      float: 0,
      triangles: 'trade',
    });
    expect(turnInto('on-point-sashed', sashed, 'in')).toMatchObject({
      kind: 'on-point-sashed',
      sash: 2,
      edgeStones: 'whole',
    });
    expect(turnInto('sashed', sashed, 'in')).toEqual(sashed);
    expect(
      turnInto('sashed', { kind: 'on-point', plainBetween: true, float: 0, triangles: 'trade' }, 'cm'),
    ).toMatchObject({ sash: 4 });
  });
  // Rule UN-1: 2.54 cm an inch, by definition.
  test('to centimetres: exactly, and back to what it was', () => {
    const metric = convertPlan(start, 'cm');
    expect(metric).toMatchObject({
      unit: 'cm',
      seam: 0.635,
      squaring: 1.27,
      block: { width: 30.48 },
      setting: { sash: 3.81 },
      borders: [{ sides: 10.16, ends: 10.16 }],
    });
    expect(planProblems(metric)).toEqual([]);
    expect(convertPlan(metric, 'cm')).toBe(metric);
    expect(convertPlan(metric, 'in')).toEqual(start);
    const cm = {
      ...startPlan('metric-sashed'),
      seam: 0.6,
      setting: { ...startPlan('metric-sashed').setting, sash: 0.6 } as Plan['setting'],
    };
    expect(convertPlan(convertPlan(cm, 'in'), 'cm')).toEqual(cm);
    // A sash of 6 mm, which may be sewn, may be sewn in inches too.
    expect(planProblems(convertPlan(cm, 'in'))).toEqual([]);
  });
  test('a conversion changes no verdict and no count', () => {
    const sizes = fc.array(
      fc.record({ width: fc.integer({ min: 190, max: 210 }), height: fc.integer({ min: 190, max: 210 }) }),
      { minLength: 1, maxLength: 30 },
    );
    fc.assert(
      fc.property(sizes, fc.boolean(), (pile, back) => {
        const inches: Plan = {
          ...start,
          pile: pile.map(({ width, height }, i) => ({
            id: `b${i}`,
            name: `Block ${i}`,
            width: width / 16,
            height: height / 16,
          })),
        };
        const [from, to] = back
          ? [convertPlan(inches, 'cm'), convertPlan(convertPlan(inches, 'cm'), 'in')]
          : [inches, convertPlan(inches, 'cm')];
        const kinds = (p: Plan) =>
          p.pile.map(
            (b) =>
              verdictOn(
                b,
                { width: p.block.width + 2 * p.seam, height: p.block.height + 2 * p.seam },
                p.unit,
                p.seam,
              ).kind,
          );
        expect(kinds(to)).toEqual(kinds(from));
        const counts = (p: Plan) =>
          computeQuilt(p).pieces.map((c) => [c.name, c.count.value, c.squares?.count.value]);
        expect(counts(to)).toEqual(counts(from));
      }),
      { numRuns: 60 },
    );
    // Thirty good blocks stay good.
    const thirty = {
      ...start,
      pile: Array.from({ length: 30 }, (_, i) => ({
        id: `b${i}`,
        name: `Block ${i}`,
        width: 12.5,
        height: 12.5,
      })),
    };
    expect(blockChoices(convertPlan(thirty, 'cm')).choices[0]!.counts.fine).toBe(30);
  });
});

describe('against a target', () => {
  test.each([
    [58.5, 70, '1/2″ wider than the target'],
    [58, 70, 'On target'],
    [57, 72, '1″ narrower, 2″ longer than the target'],
    [58.02, 70, 'On target'],
  ])('%p × %p for 58 × 70: %s', (width, height, text) => {
    expect(compareWithTarget({ width, height }, { width: 58, height: 70 }, 'in').text).toBe(text);
  });
});

describe('advice', () => {
  const sash = { kind: 'sashed', outerSash: true, cornerstones: true, long: 'level', strips: '1' } as const;
  test.each([
    [0.5, /narrow for the block/],
    [4.5, /wide for the block/],
  ])('a %p" sash on a 12" block', (width, message) => {
    expect(
      quiltOf(12, 3, 4, { ...sash, sash: width })
        .advice.map((a) => a.message)
        .join(),
    ).toMatch(message);
  });
  // Rules ST-3, BO-8, common practice: sash 1/6 to 1/4 of the block; no border wider than the block.
  test('a sash within the rule of thumb is let be', () =>
    expect(quiltOf(12, 3, 4, { ...sash, sash: 2 }).advice).toEqual([]));
  test('a border wider than the block', () => {
    const quilt = quiltOf(6, 3, 4, { ...sash, sash: 1 }, { borders: [borderOf(7, 'border')] });
    expect(quilt.advice[0]).toMatchObject({
      path: ['borders', 0, 'sides'],
      message: expect.stringContaining('wider than the block'),
    });
  });
  test('blocks too large and too small to ease in are told apart by name', () => {
    const pile = [
      { id: 'a', name: 'True', width: 12.5, height: 12.5 },
      { id: 'b', name: 'Eased', width: 12.625, height: 12.5 },
      { id: 'c', name: 'Large', width: 12.75, height: 12.5 },
      { id: 'd', name: 'Small', width: 12.25, height: 12.75 },
    ];
    const { pile: judged, advice } = quiltOf(12, 2, 2, { ...sash, sash: 2 }, { pile });
    expect(judged.large.map((b) => b.name)).toEqual(['Large']);
    expect(judged.small.map((b) => b.name)).toEqual(['Small']);
    expect(advice.map((a) => a.message).join()).toContain('1 too small: Small (12 1/4″ × 12 3/4″). Remake');
  });
});

describe('drawn faces', () => {
  const area = (outline: readonly (readonly [number, number])[]) =>
    Math.abs(
      outline.reduce(
        (sum, [x, y], i) =>
          sum + x * outline[(i + 1) % outline.length]![1] - outline[(i + 1) % outline.length]![0] * y,
        0,
      ),
    ) / 2;
  test.each(Object.entries(FACES))('%s stays on its block', (_, patches) => {
    for (const { outline } of patches)
      for (const [x, y] of outline) expect(Math.min(x, y, 1 - x, 1 - y)).toBeGreaterThanOrEqual(0);
  });
  // A star of this kind: a middle of a quarter of the block and eight points of 1/32 each, by geometry.
  test('a star is half its block', () => {
    expect(FACES.star.reduce((sum, p) => sum + area(p.outline), 0)).toBeCloseTo(0.25 + 8 / 32, 12);
  });
});
