import fc from 'fast-check';
import {
  computeQuilt,
  convertPlan,
  type CutLine,
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
import { pairSquare } from '../src/border/pieced/squares-of-units.ts';
import { applyFit } from '../src/finder/apply.ts';
import { anyPieced, piecedAt, piecedPlan } from './support/pieced.ts';
import { borderOf, wholeSetting } from './support/plans.ts';
import { measureTiling } from './support/tiling.ts';

const linesOf = (plan: Plan) => computeQuilt(plan).pieces.filter(({ role }) => role === 'border-patch');
const sizeOf = ({ cut }: CutLine) =>
  cut.shape === 'rectangle' ? [cut.width.value, cut.length.value] : [cut.side.value];
const squaresOf = (line: CutLine) => line.squares?.count.value ?? line.count.value;
/** By cloth: what is cut of it, how many and how large. */
const cutOf = (plan: Plan) =>
  Object.fromEntries(linesOf(plan).map((line) => [line.fabric, [squaresOf(line), ...sizeOf(line)]]));

describe('units of triangles (rule PB-3)', () => {
  // Common practice, for a quarter-inch seam: two at a time f + 7/8, eight 2f + 1 3/4, quarter-squares f + 1 1/4.
  test.each([
    ['half-square', 'two', 3, 3.875],
    ['half-square', 'one', 3, 3.875],
    ['half-square', 'eight', 3, 7.75],
    ['sawtooth', 'eight', 2, 5.75],
    // Sewn all round: √2 × (3 + ½) + ½ = 5.4497, up to 5 ½ (geometry).
    ['half-square', 'four', 3, 5.5],
    ['quarter-square', 'two', 3, 4.25],
    ['quarter-square', 'one', 4, 5.25],
  ] as const)('%s, %s at a time, %d" finished: squares of %d"', (kind, made, finished, side) => {
    const cut = cutOf(piecedPlan(kind, [24, 36], finished, { made }));
    for (const cloth of ['border', 'accent'])
      expect(cut[cloth]!.slice(1)).toEqual(expect.arrayContaining([side]));
  });

  test('the working of a square says what it comes to once', () => {
    const working = (plan: Plan) =>
      linesOf(plan).map(({ cut }) => (cut.shape === 'rectangle' ? cut.width.working : []))[0];
    expect(working(piecedPlan('half-square', [24, 36], 3, { made: 'four' }))).toEqual([
      '√2 × (3 + 2 × 1/4) + 2 × 1/4 = 5.45, next 1/8 up = 5 1/2″',
    ]);
    expect(working(piecedPlan('half-square', [24, 36], 3, { made: 'eight' }))).toEqual([
      '2 × 3 + 1 3/4 = 7 3/4″',
    ]);
    expect(pairSquare('four', 3, 0.25, 'in').working).toEqual([
      '√2 × (3 + 2 × 1/4) + 2 × 1/4 = 5.45, next 1/8 up: 5 1/2″',
    ]);
  });

  // By the pencil: 24 × 36 inside 3": 8 and 12 to a side, 40 units and four at the corners.
  test.each([
    ['two', 'plain', 20],
    ['two', 'unit', 22],
    ['one', 'unit', 22],
    ['four', 'plain', 10],
    ['four', 'unit', 11],
    ['eight', 'plain', 5],
    // 44 ÷ 8 is five and a half.
    ['eight', 'unit', 6],
  ] as const)('%s at a time with %s corners: %d squares of either cloth', (made, corner, squares) => {
    const cut = cutOf(piecedPlan('half-square', [24, 36], 3, { made, corner }));
    expect([cut['border']![0], cut['accent']![0]]).toEqual([squares, squares]);
  });

  /**
   * What a unit measures, sewn as it is told, followed on paper: a triangle of one square and one of the other, sewn so far
   * from the edge they share and opened. Geometry, apart from the formula.
   */
  const opened = (
    apex: readonly [number, number],
    foot: readonly [number, number],
    long: readonly [number, number],
    seam: number,
  ) => {
    // Distance of the right angle from the line they are sewn on: what is left of the triangle is half a square.
    const [ax, ay] = apex;
    const [[x1, y1], [x2, y2]] = [foot, long];
    const far = Math.abs((x2 - x1) * (y1 - ay) - (x1 - ax) * (y2 - y1)) / Math.hypot(x2 - x1, y2 - y1);
    return (far - seam) * Math.SQRT2;
  };
  test.each([
    ['in', 0.25, 3],
    ['in', 0.25, 2.5],
    ['in', 0.375, 4],
    ['cm', 0.75, 7.5],
  ] as const)(
    '%s, seam %d, %d finished: what is opened is large enough to trim, and little is trimmed',
    (unit, seam, finished) => {
      const most = unit === 'in' ? 0.25 : 0.8;
      const eight = pairSquare('eight', finished, seam, unit).value;
      const four = pairSquare('four', finished, seam, unit).value;
      const ofEight = opened([0, 0], [eight / 2, 0], [0, eight / 2], seam);
      const ofFour = opened([four / 2, four / 2], [0, 0], [four, 0], seam);
      for (const unitSide of [ofEight, ofFour]) {
        expect(unitSide).toBeGreaterThan(finished + 2 * seam - 1e-2);
        expect(unitSide).toBeLessThan(finished + 2 * seam + most);
      }
    },
  );

  // Four at a time (common practice): a large square w + 1 1/4, four small ones h + 7/8, for a goose w × h.
  test('geese 2 × 4: large squares 5 1/4, small ones 2 7/8; four of one and four', () => {
    const plan = piecedPlan('geese', [24, 37], 4, { made: 'four' });
    // 12 and, since 37 is no whole number of them, 18 or 19 to a side: 18 ½ goes up.
    expect(cutOf(plan)).toEqual({ border: [16, 5.25], accent: [64, 2.875] });
    expect(cutOf(piecedPlan('geese', [24, 37], 4, { made: 'one' }))).toEqual({
      border: [16, 5.25],
      accent: [62, 2.875],
    });
  });
});

describe('strips sewn together and crosscut (rule PB-4)', () => {
  // By the pencil: keys 1 ½ × 4: strips 2", crosscut at 4 ½; 40" less ½ holds 8. 16 and 24 to a side: 40 pairs, 5 sets.
  test('piano keys', () => {
    expect(cutOf(piecedPlan('keys', [24, 36], 4))).toEqual({ border: [5, 2, 40], accent: [5, 2, 42] });
    // 17 and 25 to a side leave a key of a pair over at each strip: 44 pairs, 6 sets.
    expect(cutOf(piecedPlan('keys', [25.5, 37.5], 4))['border']).toEqual([6, 2, 40]);
    expect(cutOf(piecedPlan('keys', [24, 36], 4, { made: 'one' }))['border']).toEqual([40, 2, 4.5]);
  });
  // 2" squares: strips 2 ½, crosscut at 2 ½: 39 ½ holds 15. 12 and 18 to a side, three at each corner: 72 columns.
  test('checkers of three rows: sets of two kinds', () => {
    const plan = piecedPlan('checkers', [24, 36], 6, { rows: 3, corner: 'unit' });
    // 36 of each: three sets of each, two strips and one: 9.
    expect(cutOf(plan)).toEqual({ border: [9, 2.5, 40], accent: [9, 2.5, 42] });
  });
  test('checkers of two rows: one kind of set, every other column turned', () => {
    // 60 columns, 4 sets of one strip each; corners plain.
    expect(cutOf(piecedPlan('checkers', [24, 36], 4))).toEqual({
      border: [4, 2.5, 40],
      accent: [4, 2.5, 42],
    });
  });

  /** Sets laid on the table and cut, column after column; those of an even number of rows may be turned. */
  test('any border: the strips give every column that is drawn, and one set fewer does not', () => {
    const strips = anyPieced.filter((plan) => plan.borders[piecedAt(plan)]!.pieced!.made === 'strips');
    fc.assert(
      fc.property(strips, (plan) => {
        const border = plan.borders[piecedAt(plan)]!;
        const { kind, rows } = border.pieced!;
        const layout = layOut(plan);
        const own = layout.pieces.filter(({ part }) => layout.parts[part]!.role === 'border-patch');
        const usable = 40 - plan.squaring;
        const deep = (kind === 'keys' ? border.ends : border.ends / rows) + 2 * plan.seam;
        const inSet = Math.floor(usable / deep + 1e-9);
        const [first, second] = [/-first$/, /-second$/].map(
          (of) => own.filter(({ part }) => of.test(part)).length,
        );
        const strips = Object.fromEntries(linesOf(plan).map((line) => [line.fabric, line.count.value]));
        // Every strip of a set gives as many patches as the set has columns.
        expect(strips['border']! * inSet).toBeGreaterThanOrEqual(first!);
        expect(strips['accent']! * inSet).toBeGreaterThanOrEqual(second!);
        const fewest = Math.ceil((first! + second!) / inSet / (kind === 'keys' ? 2 : rows));
        const sets = (strips['border']! + strips['accent']!) / (kind === 'keys' ? 2 : rows);
        // Keys left over at the four sides, or columns of two kinds, may ask for a set more.
        expect(sets).toBeGreaterThanOrEqual(fewest);
        expect(sets).toBeLessThanOrEqual(fewest + 1);
      }),
      { numRuns: 60 },
    );
  });
});

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
          for (const line of linesOf(plan)) {
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

describe('a print with a direction in a pieced border', () => {
  const directed = (kind: PiecedKindId, made: UnitsMade) => {
    const plan = piecedPlan(kind, [24, 36], 4, { made });
    return {
      ...plan,
      fabrics: plan.fabrics.map((f) => (f.id === 'border' ? { ...f, direction: 'one-way' as const } : f)),
    };
  };
  // 16 and 24 keys to a side, every other of the first cloth: 16 upright at top and bottom, 24 level at the sides.
  test('keys cut one by one: uprights and levels apart, each with its length as the print asks', () => {
    const lines = linesOf(directed('keys', 'one')).filter(({ fabric }) => fabric === 'border');
    expect(lines.map(({ count, oneWay }) => [oneWay, count.value]).sort()).toEqual([
      ['across', 24],
      ['along', 16],
    ]);
    // Without a direction all are one line.
    expect(
      linesOf(piecedPlan('keys', [24, 36], 4, { made: 'one' })).filter(({ fabric }) => fabric === 'border'),
    ).toHaveLength(1);
  });
  test('squares that are left whole come in equal numbers, and it is said how the print lies', () => {
    const lines = linesOf(directed('sawtooth', 'two'));
    expect(new Set(lines.map(squaresOf)).size).toBe(1);
    expect(lines.find(({ fabric }) => fabric === 'border')!.notes.join()).toMatch(/lies every way round/);
    expect(lines.find(({ fabric }) => fabric === 'accent')!.notes.join()).not.toMatch(/lies every way round/);
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
