import { cutShapeOf } from '../src/cutting/cut-shape.ts';
import type { CutLine } from '../src/cut/line.ts';
import { planStrips } from '../src/strip/strips.ts';
import { lineOf, type Rectangles } from './support/lines.ts';
import { borderOf, inchPlan, quiltOf } from './support/plans.ts';
import type { Point } from '../src/geometry/point.ts';

const points = (...xy: [number, number][]): Point[] => xy.map(([x, y]) => ({ x, y }));
const cloth = { usable: 40, seam: 1 / 4, unit: 'in' as const };
const need = (length: number, count: number, more: Partial<Rectangles> = {}): CutLine =>
  lineOf({ width: 2, length, count, ...more });

describe('what a drawn piece is cut as', () => {
  const cut = (outline: Point[], grain: 'square-to-edge' | 'diagonal' = 'square-to-edge', seam = 1 / 4) =>
    cutShapeOf(outline, { grain }, seam, 'in');
  // Rule TR-2, common practice: finished long side + 1 1/4", finished short side + 7/8"; the exact forms at other seams.
  test('a triangle by the side that lies on the grain', () => {
    expect(cut(points([0, 0], [8, 0], [4, 4]))).toMatchObject({
      shape: 'quarter-square',
      side: { value: 9.25 },
    });
    expect(cut(points([0, 0], [0, 8], [4, 4]))).toMatchObject({
      shape: 'quarter-square',
      side: { value: 9.25 },
    });
    expect(cut(points([0, 0], [6, 0], [0, 6]))).toMatchObject({
      shape: 'half-square',
      side: { value: 6.875 },
    });
    // 8 + 0.75 × (1 + √2) = 9.811, up to the eighth.
    expect(cut(points([0, 0], [8, 0], [4, 4]), 'square-to-edge', 3 / 8)).toMatchObject({
      side: { value: 9.875 },
    });
    // On point, the long side of 6√2 lies level and the short ones, 6 each, on the grain.
    const onPoint = 6 * Math.SQRT1_2;
    expect(cut(points([0, 0], [2 * onPoint, 0], [onPoint, onPoint]), 'diagonal')).toMatchObject({
      shape: 'half-square',
      side: { value: 6.875 },
    });
  });
  test('a rectangle with a seam all round, on point too; anything else has no rule', () => {
    expect(cut(points([1, 1], [4, 1], [4, 3], [1, 3]))).toMatchObject({
      shape: 'rectangle',
      width: { value: 2.5 },
      length: { value: 3.5 },
    });
    const r = Math.SQRT1_2;
    expect(cut(points([0, 0], [3 * r, 3 * r], [r, 5 * r], [-2 * r, 2 * r]), 'diagonal')).toMatchObject({
      shape: 'rectangle',
      width: { value: 2.5 },
      length: { value: 3.5 },
    });
    expect(() => cut(points([0, 0], [8, 0], [3, 3]))).toThrow('no cutting rule');
    expect(() => cut(points([0, 0], [3, 1], [4, 4], [1, 3]))).toThrow('no cutting rule');
  });
});

describe('strips by hand', () => {
  // Packed with pencil and paper, shortest remnant that holds a piece first.
  test('remnants are used up, each as far as it holds, before a fresh strip is cut', () => {
    const [group] = planStrips(
      [need(27, 8), need(6, 5), need(5, 12), need(3, 16, { oneWay: 'across' })],
      cloth,
    ).groups;
    // 8 strips leave 13 each; two remnants take two of 6 and leave 1, a third takes one and leaves 7; that 7 takes a 5, the
    // five whole ones two each, and the twelfth a fresh strip; of what is left, one of 3 comes out of each of five remnants and eleven out of the last.
    expect(group!.strips).toMatchObject({
      value: 9,
      working: [
        'Pieces of 27: 8 × 27, 1 to a strip of 40: 8 strips',
        'Pieces of 6: 5 × 6 from what is left of strips already cut',
        'Pieces of 5: 11 × 5 from what is left of strips already cut',
        'Pieces of 5: 1 × 5, 8 to a strip of 40: 1 strip',
        'Pieces of 3: 16 × 3 from what is left of strips already cut',
        'Together 9 strips',
      ],
    });
  });
  test('where remnants do not hold all that is left, the rest is cut fresh', () => {
    const strips = (...needs: CutLine[]) => planStrips(needs, cloth).groups[0]!.strips.value;
    expect(strips(need(21, 4), need(18, 5))).toBe(5);
    expect(strips(need(21, 4), need(9, 10))).toBe(5);
    expect(strips(need(21, 4), need(9, 8))).toBe(4);
    expect(strips(need(21, 4), need(9, 9))).toBe(5);
  });
  // Rule CU-1: a diagonal join takes a strip's width of length, a straight one two seams.
  test('a strip wider than half its cloth is joined straight; of just half on the diagonal', () => {
    const joined = (width: number, more: Partial<Rectangles> = {}) =>
      planStrips([need(50, 1, { width, ...more })], cloth).groups[0]!;
    expect([joined(20).strips.value, joined(20).yields[0]!.straight]).toEqual([2, false]);
    expect([joined(20.5).strips.value, joined(20.5).yields[0]!.straight]).toEqual([2, true]);
    expect(joined(20.5).strips.working[0]).toBe(
      '1 × 50 = 50 of joined strip; 2 strips × 40 less 1 straight join × 1/2 = 79.5',
    );
    expect(joined(2).strips.working[0]).toBe(
      '1 × 50 = 50 of joined strip; 2 strips × 40 less 1 diagonal join × 2 = 78',
    );
    expect(joined(2, { joins: 'straight' }).yields[0]!.straight).toBe(true);
    // 80 less 2 1/4 holds 77 3/4; a straight join gives 79 1/2.
    expect(planStrips([need(39.5 * 2, 1, { joins: 'straight' })], cloth).groups[0]!.strips.value).toBe(2);
    expect(planStrips([need(39.5 * 2, 1)], cloth).groups[0]!.strips.value).toBe(3);
  });
  // Rule CU-3: a print that stands up is not turned to save cloth.
  test('of 49 pieces of 2 × 10 1/2 the length lies where the print wants it, whatever that takes', () => {
    const widths = (oneWay: CutLine['oneWay']) =>
      planStrips([need(10.5, 49, { oneWay })], cloth).groups.map((g) => [g.width, g.strips.value]);
    expect(widths(null)).toEqual([[10.5, 3]]);
    expect(widths('across')).toEqual([[2, 17]]);
    expect(widths('along')).toEqual([[10.5, 3]]);
  });
  // Rule BO-3: at least as long as the longest strip, side by side across the width.
  test('along the selvage, as many side by side as the width holds', () => {
    const along = (...needs: CutLine[]) => planStrips(needs, cloth).lengthwise!.length;
    const border = (length: number, width: number, count = 2) =>
      need(length, count, { width, grain: 'lengthwise' });
    expect(along(border(90, 6), border(80, 6))).toMatchObject({
      value: 90,
      working: ['4 strips side by side across 40, the longest 90'],
    });
    expect(along(border(90, 10), border(80, 10))).toMatchObject({ value: 90 });
    expect(along(border(90, 10.5), border(80, 10.5))).toMatchObject({
      value: 170,
      working: [
        '3 strips side by side across 40, the longest 90',
        '1 strip side by side across 40, the longest 80',
        'Together 170',
      ],
    });
  });
});

describe('joins as they are drawn', () => {
  const plan = inchPlan({ fabrics: inchPlan({}).fabrics.map((f) => ({ ...f, usableWidth: 42 })) });
  test.each(['diagonal', 'straight'] as const)(
    '%s: where the strip was cut, less the seam it stands over by; from one long side to the other',
    (joins) => {
      const {
        layout,
        pieces,
        fabrics,
        joins: lines,
      } = quiltOf(
        12,
        3,
        4,
        { kind: 'edge-to-edge' },
        { fabrics: plan.fabrics, borders: [{ ...borderOf(4, 'border'), joins }] },
      );
      // The binding is joined too, and not drawn on the top.
      const joined = fabrics
        .flatMap((f) => f.runs.flatMap((run) => run.pieces))
        .filter((piece) => pieces.some((line) => line.id === piece.line));
      expect(lines).toHaveLength(joined.flatMap((piece) => piece.joins).length);
      const seen = new Set<boolean>();
      for (const { piece, from, to } of lines) {
        const { outline, part } = layout.pieces.find((p) => p.id === piece)!;
        const [xs, ys] = [outline.map((p) => p.x), outline.map((p) => p.y)];
        const upright = Math.max(...ys) - Math.min(...ys) > Math.max(...xs) - Math.min(...xs);
        seen.add(upright);
        const [along, across] = upright ? (['y', 'x'] as const) : (['x', 'y'] as const);
        const start = Math.min(...outline.map((p) => p[along]));
        expect([from[across], to[across]].sort((a, b) => a - b)).toEqual([
          Math.min(...outline.map((p) => p[across])),
          Math.max(...outline.map((p) => p[across])),
        ]);
        expect(Math.abs(to[along] - from[along])).toBeCloseTo(joins === 'straight' ? 0 : 4, 9);
        const cut = pieces.find((p) => p.parts.includes(part))!;
        const at = joined.filter((y) => y.line === cut.id).flatMap((y) => y.joins);
        const middle = (from[along] + to[along]) / 2 - start + 1 / 4;
        expect(at.some((join) => Math.abs(join - middle) < 1e-6)).toBe(true);
      }
      expect(seen).toEqual(new Set([true, false]));
    },
  );
});

// Rule ST-8, common practice: the batting lies in the gap and the back is sewn to both blocks, under the front that is drawn.
test('what lies under a covered sash is cut and marked as lying under it', () => {
  const { pieces } = quiltOf(12, 3, 4, { kind: 'quilted' });
  const said = (under: boolean) => pieces.filter((p) => p.under === under).map((p) => p.name);
  expect(said(true).every((name) => /batting|back/.test(name))).toBe(true);
  expect(said(true)).not.toHaveLength(0);
  expect(said(false).some((name) => /batting|back/.test(name))).toBe(false);
});

test('a price is asked of a cloth that is cut', () => {
  const priced = inchPlan({}).fabrics.map((f) => ({ ...f, price: 12 }));
  const sash = quiltOf(12, 3, 4, { kind: 'sashed' }, { fabrics: priced }).fabrics.find(
    (f) => f.fabric.id === 'sash',
  )!;
  expect(sash.cost!.value).toBeCloseTo((sash.buy.length.value / 36) * 12, 2);
});
