import fc from 'fast-check';
import {
  computeQuilt,
  convertPlan,
  layOut,
  type Piece,
  readPlanJson,
  SETTINGS,
  writePlanJson,
} from '../src/index.ts';
import { cutShapeOf } from '../src/cutting/cut-shape.ts';
import { anyPlan, inchPlan, quiltOf, type SomeSetting, wholeSetting } from './support/plans.ts';
import { measureTiling } from './support/tiling.ts';

/** Put against hundreds of faults one after another, the tests look at small grids only. */
const LARGEST = process.env['STRYKER_MUTATOR_WORKER'] === undefined ? 20 : 3;

const outer = (outlines: readonly (readonly { x: number; y: number }[])[]) => {
  const points = outlines.flat();
  return {
    left: Math.min(...points.map((p) => p.x)),
    top: Math.min(...points.map((p) => p.y)),
    right: Math.max(...points.map((p) => p.x)),
    bottom: Math.max(...points.map((p) => p.y)),
  };
};

const edgeLengths = (outline: Piece['outline']) =>
  outline
    .map((p, i) =>
      Math.hypot(p.x - outline[(i + 1) % outline.length]!.x, p.y - outline[(i + 1) % outline.length]!.y),
    )
    .sort((a, b) => a - b);
const shoelace = (outline: readonly { x: number; y: number }[]) =>
  Math.abs(
    outline.reduce(
      (sum, p, i) =>
        sum + p.x * outline[(i + 1) % outline.length]!.y - outline[(i + 1) % outline.length]!.x * p.y,
      0,
    ),
  ) / 2;

describe('every layout', () => {
  test('its pieces tile the quilt: no gap, no overlap, to 1e-6 (measured by clipper-lib)', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const { finished, pieces } = layOut(plan);
        const area = finished.width.value * finished.height.value;
        const { union, sum } = measureTiling(pieces);
        expect(Math.abs(union - area)).toBeLessThan(1e-6);
        expect(Math.abs(sum - area)).toBeLessThan(1e-6);
      }),
      { numRuns: 60 },
    );
  });

  test.each<SomeSetting>([
    ...SETTINGS.map(({ kind }) => ({ kind })),
    { kind: 'sashed', outerSash: false, cornerstones: false },
    { kind: 'sashed', outerSash: true, cornerstones: false, long: 'upright' },
    { kind: 'strip-set', direction: 'columns', shortSash: true },
    { kind: 'on-point', plainBetween: true },
    { kind: 'strip-set', direction: 'rows', outerSash: true },
  ])(
    'tiles at every grid from 1 × 1 to 20 × 20: %j',
    (setting) => {
      for (let across = 1; across <= LARGEST; across++) {
        for (let down = 1; down <= LARGEST; down++) {
          const { finished, pieces } = layOut(
            inchPlan({
              block: { width: 5.1, height: 5.1 },
              grid: { across, down },
              setting: wholeSetting(setting.kind === 'coped' ? { ...setting, small: 3 } : setting),
            }),
          );
          const area = finished.width.value * finished.height.value;
          expect(Math.abs(pieces.reduce((sum, p) => sum + shoelace(p.outline), 0) - area)).toBeLessThan(1e-6);
          // The polygon library takes its time: every width at three heights.
          if (![1, 3, 20].includes(down)) continue;
          expect(Math.abs(measureTiling(pieces).union - area)).toBeLessThan(1e-6);
        }
      }
    },
    60_000,
  );

  test('the measuring itself notices a piece taken away or doubled', () => {
    const { layout } = quiltOf(10, 3, 3, { kind: 'on-point' });
    const area = layout.finished.width.value * layout.finished.height.value;
    expect(measureTiling(layout.pieces.slice(1)).union).toBeLessThan(area - 1);
    expect(measureTiling([...layout.pieces, layout.pieces[0]!]).sum).toBeGreaterThan(area + 1);
  });

  test('finished size by formula is the size drawn, the tapes run from edge to edge without a gap', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const { finished, pieces, bands } = layOut(plan);
        const drawn = outer(pieces.map((p) => p.outline));
        expect(drawn.left).toBeCloseTo(0, 9);
        expect(drawn.top).toBeCloseTo(0, 9);
        expect(drawn.right).toBeCloseTo(finished.width.value, 9);
        expect(drawn.bottom).toBeCloseTo(finished.height.value, 9);
        for (const [tape, end] of [
          [bands.across, finished.width.value],
          [bands.down, finished.height.value],
        ] as const) {
          let reached = 0;
          for (const band of tape) {
            expect(band.from).toBeCloseTo(reached, 9);
            reached = band.to;
          }
          expect(reached).toBeCloseTo(end, 9);
        }
      }),
    );
  });

  test('formula counts are the pieces drawn, and every piece of a part is cut alike', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const { parts, pieces } = layOut(plan);
        const drawn = groupByPart(pieces);
        expect([...drawn.keys()].sort()).toEqual(Object.keys(parts).sort());
        for (const part of Object.values(parts)) {
          const alike = drawn.get(part.key)!;
          expect(alike).toHaveLength(part.count.value);
          const sides = (piece: Piece) => edgeLengths(piece.outline);
          // What is cut as something else than its outline (mitred, floated, halved) is trimmed once sewn, each as its place wants.
          for (const piece of part.cutAs ? [] : alike)
            sides(piece).forEach((length, i) => expect(length).toBeCloseTo(sides(alike[0]!)[i]!, 6));
          if (part.cutFrom)
            expect(() => cutShapeOf(alike[0]!.outline, part, plan.seam, plan.unit)).not.toThrow();
        }
        expect(new Set(pieces.map((p) => p.id)).size).toBe(pieces.length);
      }),
      { numRuns: 40 },
    );
  });

  test('blocks are numbered row by row without a gap', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const places = layOut(plan)
          .pieces.filter((p) => p.place !== undefined)
          .map((p) => p.place);
        expect(places).toEqual(places.map((_, i) => i));
      }),
      { numRuns: 30 },
    );
  });
});

/** Closed forms a search relies on. */
describe('what a setting answers without laying itself out', () => {
  test('extent is the size laid out, pieceCount the pieces drawn, for every setting', () => {
    fc.assert(
      fc.property(anyPlan, (drawn) => {
        const plan = { ...drawn, borders: [] };
        const setting = SETTINGS.find(
          (s) => s.kind === plan.setting.kind,
        )! as unknown as (typeof SETTINGS)[1];
        const { finished, pieces } = layOut(plan);
        const options = plan.setting as never;
        expect(setting.extent('across', plan.grid.across, plan.block.width, options, plan.seam)).toBeCloseTo(
          finished.width.value,
          9,
        );
        expect(setting.extent('down', plan.grid.down, plan.block.height, options, plan.seam)).toBeCloseTo(
          finished.height.value,
          9,
        );
        expect(setting.pieceCount(plan.grid, options)).toBe(pieces.length);
      }),
      { numRuns: 200 },
    );
  });
});

function groupByPart<T extends { part: string }>(pieces: readonly T[]): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const piece of pieces) groups.set(piece.part, [...(groups.get(piece.part) ?? []), piece]);
  return groups;
}

describe('every quilt', () => {
  test('cut pieces cover the quilt they make: cut area is at least finished area', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const quilt = computeQuilt(plan);
        for (const { cut, count, squares, parts, under } of quilt.pieces) {
          // The batting of a covered sash is cut narrower than the sash on purpose.
          if (under) continue;
          const finished = quilt.layout.pieces
            .filter((p) => parts.includes(p.part))
            .reduce((sum, p) => sum + shoelace(p.outline), 0);
          const cutArea =
            cut.shape === 'rectangle'
              ? cut.width.value * cut.length.value * count.value
              : (cut.side.value ** 2 * count.value) / (cut.shape === 'half-square' ? 2 : 4);
          expect(cutArea).toBeGreaterThan(finished);
          if (cut.shape !== 'rectangle')
            expect(squares!.count.value * (cut.shape === 'half-square' ? 2 : 4)).toBe(
              count.value + squares!.leftOver,
            );
        }
      }),
    );
  });

  test('cloth bought is what is needed or more, strips hold what they yield, every figure has a working', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        for (const { fabric, strips, pieces, bound, needed, buy } of computeQuilt(plan).fabrics) {
          expect(buy.length.value).toBeGreaterThanOrEqual(needed.value - 1e-6);
          expect(needed.working.length).toBeGreaterThan(0);
          for (const group of strips) expect(group.strips.working.length).toBeGreaterThan(0);
          const used = pieces.reduce((sum, { w, h }) => sum + w * h, 0);
          expect(needed.value * fabric.usableWidth).toBeGreaterThanOrEqual(used - 1e-6);
          expect(needed.value).toBeGreaterThanOrEqual(bound - 1e-6);
        }
      }),
    );
  });

  test('written to a file and read again it is the same plan', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        expect(readPlanJson(writePlanJson(plan))).toEqual({ ok: true, plan });
      }),
    );
  });

  test('an inch plan turned to centimetres finishes within 2 mm a piece of the same size', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const metric = convertPlan(plan, plan.unit === 'in' ? 'cm' : 'in');
        const factor = plan.unit === 'in' ? 2.54 : 1 / 2.54;
        const before = layOut(plan).finished.width.value * factor;
        const lines = 2 * (plan.grid.across + 1) + 2 * plan.borders.length;
        expect(Math.abs(layOut(metric).finished.width.value - before)).toBeLessThan(lines * 0.2 * Math.SQRT2);
      }),
    );
  });
});
