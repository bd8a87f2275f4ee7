import { borderOf, cutSize, inchPlan, lineFor, quiltOf } from './support/plans.ts';

const size = (figure: { width: { value: number }; height: { value: number } }) => [
  figure.width.value,
  figure.height.value,
];

describe('borders', () => {
  const borders = (corners: 'sides-first' | 'top-first' | 'squares' | 'mitred', change = {}) => ({
    borders: [{ ...borderOf(2.5, 'border'), corners, ...change }],
  });

  // Common practice: a 24 × 36 centre with borders finishing 1 and 3 1/2 is 33 × 45.
  test('24 × 36, borders 1 and 3 1/2', () => {
    const quilt = quiltOf(
      12,
      2,
      3,
      { kind: 'edge-to-edge' },
      { borders: [borderOf(1, 'accent'), borderOf(3.5, 'border')] },
    );
    expect(size(quilt.layout.finished)).toEqual([33, 45]);
    // Rule BO-1: sides first: side H, then top W + 2b.
    expect(cutSize(quilt, 'border-0-side')).toEqual([1.5, 36.5]);
    expect(cutSize(quilt, 'border-0-end')).toEqual([1.5, 26.5]);
    expect(cutSize(quilt, 'border-1-side')).toEqual([4, 38.5]);
    expect(cutSize(quilt, 'border-1-end')).toEqual([4, 33.5]);
    expect(quilt.layout.finished.width.working).toEqual([
      '2 blocks × 12 = 24',
      '24 + 2 × 1 = 26',
      '26 + 2 × 3 1/2 = 33',
    ]);
  });
  test('top first is the reverse', () => {
    const quilt = quiltOf(12, 2, 3, { kind: 'edge-to-edge' }, borders('top-first'));
    expect(cutSize(quilt, 'border-0-end')).toEqual([3, 24.5]);
    expect(cutSize(quilt, 'border-0-side')).toEqual([3, 41.5]);
  });
  // Common practice: 42 × 55 1/2 centre, 2 1/2" border with corner squares: two 3 × 42 1/2, two 3 × 56, four 3 × 3.
  test('corner squares: all four strips at centre size', () => {
    const quilt = quiltOf(12, 3, 4, { kind: 'sashed', sash: 1.5 }, borders('squares'));
    expect(cutSize(quilt, 'border-0-end')).toEqual([3, 42.5]);
    expect(cutSize(quilt, 'border-0-side')).toEqual([3, 56]);
    expect(cutSize(quilt, 'border-0-corner')).toEqual([3, 3]);
    expect(lineFor(quilt, 'border-0-corner').count.value).toBe(4);
  });
  // Rule BO-2: length + 2b + 2a, plus a hand's breadth (4") to spare.
  test('mitred: whole outer length and a hand’s breadth', () => {
    const quilt = quiltOf(12, 2, 3, { kind: 'edge-to-edge' }, borders('mitred'));
    expect(cutSize(quilt, 'border-0-side')).toEqual([3, 36 + 5 + 0.5 + 4]);
    expect(cutSize(quilt, 'border-0-end')).toEqual([3, 24 + 5 + 0.5 + 4]);
  });
  test('other widths at top and bottom', () => {
    const quilt = quiltOf(12, 2, 3, { kind: 'edge-to-edge' }, borders('sides-first', { ends: 4 }));
    expect(size(quilt.layout.finished)).toEqual([29, 44]);
    expect(cutSize(quilt, 'border-0-end')).toEqual([4.5, 29.5]);
  });
  // Rule BO-3, common practice: lengthwise 6 1/2" strips, four side by side across a 42" width, the yardage at least the longest strip; 3 yd is 108".
  test('lengthwise: four strips of 6 1/2" side by side, no joins, as long as the longest', () => {
    const plan = inchPlan({});
    const fabrics = plan.fabrics.map((f) => ({ ...f, usableWidth: 42 }));
    const quilt = quiltOf(
      12,
      6,
      8,
      { kind: 'edge-to-edge' },
      {
        fabrics,
        binding: { ...plan.binding, fabric: 'accent' },
        borders: [{ ...borderOf(6, 'border'), cut: 'lengthwise' }],
      },
    );
    const cut = quilt.fabrics.find((f) => f.fabric.id === 'border')!;
    expect(cut.needed).toMatchObject({ value: 96.5 });
    expect(cut.strips).toMatchObject([{ width: 96.5, along: true, yields: [{ count: 2 }, { count: 2 }] }]);
    expect(cut.buy.length.value).toBeLessThanOrEqual(108);
    expect(cut.runs).toEqual([]);
  });
  test('lengthwise strips that do not fit side by side take another length, for the shorter ones', () => {
    const quilt = quiltOf(
      12,
      6,
      8,
      { kind: 'edge-to-edge' },
      { borders: [{ ...borderOf(12, 'border'), cut: 'lengthwise' }] },
    );
    // Sides of 96 1/2" and ends of 72 + 24 + 1/2 = 96 1/2", three to 40".
    expect(quilt.fabrics.find((f) => f.fabric.id === 'border')!.needed.value).toBe(96.5 + 96.5);
  });
});
