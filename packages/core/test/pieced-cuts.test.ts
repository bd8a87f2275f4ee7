import fc from 'fast-check';
import { type CutLine, layOut, type PiecedKindId, type Plan, type UnitsMade } from '../src/index.ts';
import { pairSquare } from '../src/border/pieced/squares-of-units.ts';
import { anyPieced, patchLines, piecedAt, piecedPlan, squaresOf } from './support/pieced.ts';

const sizeOf = ({ cut }: CutLine) =>
  cut.shape === 'rectangle' ? [cut.width.value, cut.length.value] : [cut.side.value];
/** By cloth: what is cut of it, how many and how large. */
const cutOf = (plan: Plan) =>
  Object.fromEntries(patchLines(plan).map((line) => [line.fabric, [squaresOf(line), ...sizeOf(line)]]));

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
      patchLines(plan).map(({ cut }) => (cut.shape === 'rectangle' ? cut.width.working : []))[0];
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
    expect(patchLines(plan).map(({ count }) => count.working.at(-1))).toEqual([
      '2 × 3 + 1 × 3 of this cloth: 9',
      '2 × 3 + 1 × 3 of this cloth: 9',
    ]);
    // 62 columns with plain corners, an odd number at top and bottom: 13, and 18 to a side.
    const odd = piecedPlan('checkers', [26, 36], 6, { rows: 3 });
    const [first, second] = patchLines(odd).map(({ count }) => count.value);
    const { pieces } = layOut(odd);
    const drawn = (of: string) => pieces.filter(({ part }) => part.endsWith(of)).length;
    for (const [strips, of] of [
      [first!, '-first'],
      [second!, '-second'],
    ] as const) {
      // Fifteen to a strip: enough, and no more than a set over.
      expect(strips * 15).toBeGreaterThanOrEqual(drawn(of));
      expect((strips - 4) * 15).toBeLessThan(drawn(of));
    }
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
        const strips = Object.fromEntries(patchLines(plan).map((line) => [line.fabric, line.count.value]));
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
    const lines = patchLines(directed('keys', 'one')).filter(({ fabric }) => fabric === 'border');
    expect(lines.map(({ count, oneWay }) => [oneWay, count.value]).sort()).toEqual([
      ['across', 24],
      ['along', 16],
    ]);
    // Without a direction all are one line.
    expect(
      patchLines(piecedPlan('keys', [24, 36], 4, { made: 'one' })).filter(
        ({ fabric }) => fabric === 'border',
      ),
    ).toHaveLength(1);
  });
  test('squares that are left whole come in equal numbers, and it is said how the print lies', () => {
    const lines = patchLines(directed('sawtooth', 'two'));
    expect(new Set(lines.map(squaresOf)).size).toBe(1);
    expect(lines.find(({ fabric }) => fabric === 'border')!.notes.join()).toMatch(/lies every way round/);
    expect(lines.find(({ fabric }) => fabric === 'accent')!.notes.join()).not.toMatch(/lies every way round/);
  });
});
