import fc from 'fast-check';
import {
  computeQuilt,
  convertPlan,
  layOut,
  PIECED_KINDS,
  piecedKind,
  type PiecedKindId,
  type Plan,
  planProblems,
  readPlan,
  repeatsOf,
  spacerFits,
  type UnitsMade,
  withPieced,
  withSpacer,
} from '../src/index.ts';
import { applyFit } from '../src/finder/apply.ts';
import { anyPieced, patchLines, piecedAt, piecedPlan, squaresOf } from './support/pieced.ts';
import { borderOf, wholeSetting } from './support/plans.ts';
import { measureTiling } from './support/tiling.ts';

describe('a pieced border on the quilt (rules PB-1 and PB-2)', () => {
  test('any kind, by an independent library: no gap, no overlap, as many pieces as are counted', () => {
    fc.assert(
      fc.property(anyPieced, (plan) => {
        const { pieces, parts, finished } = layOut(plan);
        const { union, sum } = measureTiling(pieces);
        const whole = finished.width.value * finished.height.value;
        expect(union).toBeCloseTo(whole, 4);
        expect(sum).toBeCloseTo(whole, 4);
        for (const part of Object.values(parts))
          expect([part.key, pieces.filter((piece) => piece.part === part.key).length]).toEqual([
            part.key,
            part.count.value,
          ]);
      }),
      { numRuns: 60 },
    );
  });

  test('every patch is drawn of the cloth it is cut from, and what is cut is enough for all, with no square too many', () => {
    fc.assert(
      fc.property(
        anyPieced.filter((plan) => plan.borders[piecedAt(plan)]!.pieced!.made !== 'strips'),
        (plan) => {
          const { made, kind } = plan.borders[piecedAt(plan)]!.pieced!;
          const layout = layOut(plan);
          for (const line of patchLines(plan)) {
            const drawn = layout.pieces.filter(({ part }) => line.parts.includes(part)).length;
            const several = kind !== 'geese' && (made === 'four' || made === 'eight');
            const { shape } = line.cut;
            const each = several
              ? { four: 4, eight: 8 }[made as 'four' | 'eight']
              : { rectangle: 1, 'half-square': 2, 'quarter-square': 4 }[shape];
            const squares = squaresOf(line);
            expect(squares * each).toBeGreaterThanOrEqual(drawn);
            // Geese four at a time come by fours.
            const spare = kind === 'geese' && made === 'four' ? 4 * (drawn > 0 ? 2 : 0) : 0;
            expect((squares - 1) * each).toBeLessThan(drawn + spare);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  /** Patches that lie along one another, by where their edges run. */
  const neighbours = (
    pieces: readonly { readonly outline: readonly { x: number; y: number }[]; part: string }[],
  ) => {
    const found: [string, string][] = [];
    const edges = new Map<string, string[]>();
    for (const { outline, part } of pieces)
      outline.forEach((p, i) => {
        const q = outline[(i + 1) % outline.length]!;
        const key = [(p.x + q.x) / 2, (p.y + q.y) / 2].map((v) => v.toFixed(3)).join(' ');
        edges.set(key, [...(edges.get(key) ?? []), part]);
      });
    for (const parts of edges.values()) if (parts.length === 2) found.push([parts[0]!, parts[1]!]);
    return found;
  };
  test.each([
    ['checkers', [24, 36], 4, 2],
    ['checkers', [22, 36], 4, 2],
    ['checkers', [22, 34], 6, 3],
    ['checkers', [24, 34], 6, 3],
    ['checkers', [23, 35], 4, 4],
  ] as const)(
    '%s round %j: no two squares of one cloth side by side, through the corners',
    (kind, size, depth, rows) => {
      const plan = piecedPlan(kind, size, depth, { rows, corner: 'unit' });
      const { pieces, parts } = layOut(plan);
      const beside = neighbours(pieces.filter(({ part }) => parts[part]!.role === 'border-patch'));
      expect(beside.length).toBeGreaterThan(2 * rows * (rows - 1) * 4);
      expect(beside.filter(([a, b]) => a === b)).toEqual([]);
    },
  );
  test('half-squares in pairs make peaks of the first cloth; a sawtooth turns one way round at all four sides', () => {
    const legs = (kind: PiecedKindId) => {
      const { pieces, parts } = layOut(piecedPlan(kind, [24, 36], 3));
      return neighbours(pieces.filter(({ part }) => parts[part]!.role === 'border-patch')).filter(
        ([a, b]) => a === b,
      ).length;
    };
    // Of 8 and 12 units a strip every join is of like cloths: 2 × 7 + 2 × 11. In a sawtooth none is.
    expect([legs('half-square'), legs('sawtooth')]).toEqual([36, 0]);
  });
  test('geese fly round the quilt: their tips lie ahead, clockwise', () => {
    const { pieces } = layOut(piecedPlan('geese', [24, 36], 4));
    const ahead = (side: string) => {
      const goose = pieces.find(({ id }) => id.includes(`${side}-u3-p0`))!;
      const [a, tip, b] = goose.outline as [
        { x: number; y: number },
        { x: number; y: number },
        { x: number; y: number },
      ];
      return [Math.sign(tip.x - (a.x + b.x) / 2), Math.sign(tip.y - (a.y + b.y) / 2)].map((v) => v + 0);
    };
    expect([ahead('end-top'), ahead('side-right'), ahead('end-bottom'), ahead('side-left')]).toEqual([
      [1, 0],
      [0, 1],
      [-1, 0],
      [0, -1],
    ]);
  });

  test('a spacer makes any of them come out: whole units on every side, and nothing is said against it', () => {
    fc.assert(
      fc.property(anyPieced, (plan) => {
        const at = piecedAt(plan);
        const { sizes } = layOut(plan);
        const fits = spacerFits(plan, sizes, at);
        expect(fits.length).toBeGreaterThan(0);
        for (const fit of fits) {
          const spaced = withSpacer(plan, at, fit, 'spacer');
          const index = piecedAt(spaced);
          const quilt = computeQuilt(spaced);
          const { across, down, fits: whole } = repeatsOf(spaced, quilt.layout.sizes, index)!;
          expect(across).toBeCloseTo(fit.across, 9);
          expect(down).toBeCloseTo(fit.down, 9);
          expect(whole).toBe(true);
          const said = quilt.advice.find(({ path }) => path.join('.') === `borders.${index}.pieced`);
          expect(said?.message ?? '').not.toMatch(/than the side/);
        }
      }),
      { numRuns: 30 },
    );
  });
  // By the pencil: 25 × 37 inside 3" pairs of 6": 4 × 6 = 24 and 6 × 6 = 36, an inch less than the sides.
  test('what does not come out is said, with how far', () => {
    const said = (size: readonly [number, number]) =>
      computeQuilt(piecedPlan('half-square', size, 3))
        .advice.filter(({ path }) => path[2] === 'pieced')
        .map(({ message }) => message);
    expect(said([24, 36])).toEqual([]);
    expect(said([25, 38])).toEqual([
      'Along the top 8 half-square units come to 24″, 1″ shorter than the side. Along a side 12 half-square units come to 36″, 2″ shorter than the side. A spacer inside makes them come out.',
    ]);
  });
  test('a patch that is no mark of the ruler is said, with the widths that make it one', () => {
    const [said] = computeQuilt(piecedPlan('checkers', [24, 36], 4, { rows: 3 })).advice.filter(
      ({ path }) => path[2] === 'pieced',
    );
    expect(said!.message).toMatch(
      /cut 1\.833, which is no mark of the ruler: make the border 3 3\/4″ or 4 1\/8″ wide/,
    );
  });
});

describe('what cannot be pieced', () => {
  const refused = (plan: Plan, change: Partial<Plan['borders'][number]>) =>
    planProblems({ ...plan, borders: [{ ...plan.borders[0]!, ...change }] }).map(({ message }) => message);
  const plan = piecedPlan('half-square', [24, 36], 3);
  test('two widths, other corners, a way its units are not made, patches too small', () => {
    expect(refused(plan, {})).toEqual([]);
    expect(refused(plan, { ends: 4 })).toEqual([
      expect.stringMatching(/as wide at the sides as at top and bottom/),
    ]);
    expect(refused(plan, { corners: 'mitred' })).toEqual([expect.stringMatching(/corner squares/)]);
    const made = (kind: PiecedKindId, way: UnitsMade) =>
      refused(plan, { pieced: { ...plan.borders[0]!.pieced!, kind, made: way } });
    expect(made('geese', 'eight')).toEqual([
      'Flying geese cannot be made eight at a time: choose another way to make the units.',
    ]);
    for (const kind of PIECED_KINDS) expect(made(kind, piecedKind(kind).made[0]!)).toEqual([]);
    expect(
      refused(piecedPlan('checkers', [24, 36], 1.5), {
        pieced: { ...plan.borders[0]!.pieced!, kind: 'checkers', made: 'one', rows: 4 },
      }),
    ).toEqual([expect.stringMatching(/patches 3\/8″ wide/)]);
  });
  // 12" keys, two seams and ½" for the end: 13", of a cloth 12" usable.
  test('strips too narrow to be crosscut once', () => {
    const keys = piecedPlan('keys', [24, 36], 12);
    const narrow = (usable: number, made: UnitsMade) =>
      planProblems({
        ...keys,
        borders: keys.borders.map((b) => ({ ...b, pieced: { ...b.pieced!, made } })),
        fabrics: keys.fabrics.map((f) => (f.id === 'accent' ? { ...f, usableWidth: usable } : f)),
      }).map(({ message }) => message);
    expect(narrow(12, 'strips')).toEqual([
      expect.stringMatching(/12″ usable, and one crosscut of its strips takes 13″/),
    ]);
    expect([narrow(13, 'strips'), narrow(12, 'one')]).toEqual([[], []]);
  });
  test('blocks that are quilted already; more patches than anyone sews', () => {
    const quilted = { ...plan, setting: wholeSetting({ kind: 'quilted' }) };
    expect(planProblems(quilted).map(({ message }) => message)).toEqual([
      expect.stringMatching(/borders of whole strips/),
    ]);
    const huge = piecedPlan('checkers', [60, 60], 2, { rows: 4, made: 'one' });
    expect(planProblems({ ...huge, grid: { across: 3, down: 3 } }).map(({ message }) => message)).toEqual([
      expect.stringMatching(/would have 5760 patches/),
    ]);
  });
});

describe('choosing it', () => {
  test('one of whole strips becomes pieced: corners, widths, a second cloth; and back again', () => {
    const bare = { ...piecedPlan('keys', [24, 36], 3), borders: [{ ...borderOf(3, 'border'), ends: 5 }] };
    const chosen = withPieced(bare, 0, 'geese');
    expect(planProblems(chosen)).toEqual([]);
    expect(chosen.borders[0]).toMatchObject({
      sides: 3,
      ends: 3,
      corners: 'squares',
      pieced: { kind: 'geese', made: 'four' },
    });
    expect(chosen.borders[0]!.pieced!.fabric).not.toBe('border');
    const other = withPieced(
      {
        ...chosen,
        borders: [
          { ...chosen.borders[0]!, pieced: { ...chosen.borders[0]!.pieced!, fabric: 'binding', rows: 4 } },
        ],
      },
      0,
      'checkers',
    );
    expect(other.borders[0]!.pieced).toMatchObject({
      kind: 'checkers',
      fabric: 'binding',
      rows: 4,
      made: 'strips',
    });
    expect(withPieced(other, 0, null).borders[0]!.pieced).toBeNull();
  });
  test('an older plan has none; in centimetres a key has its width', () => {
    const plan = piecedPlan('keys', [24, 36], 3, { key: 1.5 });
    const old = {
      ...plan,
      schemaVersion: 14,
      borders: plan.borders.map(({ pieced: _, ...border }) => border),
    };
    expect(readPlan(old)).toMatchObject({ ok: true, plan: { borders: [{ pieced: null }] } });
    expect(convertPlan(plan, 'cm').borders[0]!.pieced!.key).toBeCloseTo(3.81, 5);
  });
  test('a design found for a size keeps it where the widths allow', () => {
    const plan = piecedPlan('sawtooth', [24, 36], 3);
    const fit = (ends: number) =>
      applyFit(
        plan,
        { setting: plan.setting, grid: plan.grid, borders: [{ sides: 4, ends }] } as never,
        null,
        () => 'x',
      );
    expect(fit(4).borders[0]!.pieced).toMatchObject({ kind: 'sawtooth' });
    expect(fit(5).borders[0]!.pieced).toBeNull();
    expect(planProblems(fit(5))).toEqual([]);
  });
});

// Rule BD-5: a binding sewn deeper than the seam covers what reaches the edge.
test('points of a border at the quilt’s edge are told of; a plain border outside keeps them', () => {
  const deep = (plan: Plan): Plan => ({ ...plan, binding: { ...plan.binding, seam: 0.5, stripWidth: 3.25 } });
  const said = (plan: Plan) =>
    computeQuilt(deep(plan)).advice.filter(({ message }) => /Points of the border reach/.test(message))
      .length;
  // A goose's base reaches out as far as the border does.
  expect([said(piecedPlan('half-square', [24, 36], 3)), said(piecedPlan('geese', [24, 36], 4))]).toEqual([
    1, 1,
  ]);
  expect(said(piecedPlan('keys', [24, 36], 4))).toBe(0);
  const outside = piecedPlan('half-square', [24, 36], 3);
  expect(said({ ...outside, borders: [...outside.borders, borderOf(2, 'sash')] })).toBe(0);
});
