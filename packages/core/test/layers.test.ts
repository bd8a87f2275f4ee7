import fc from 'fast-check';
import { computeQuilt, type Quilt } from '../src/index.ts';
import { lightAndDark } from '../src/layer/batting-advice.ts';
import { markTop } from '../src/layer/marking.ts';
import { inchPlan, quiltOf } from './support/plans.ts';
import { eighths, layersOf } from './support/layers.ts';

describe('marking for quilting at home', () => {
  test('a grid runs from the middle outward; its length is every line edge to edge', () => {
    const { layout } = quiltOf(10, 3, 4, { kind: 'edge-to-edge' });
    const { lines, length, pins } = markTop(layout, 'grid', 4, 'in');
    // 30 across: lines at 15, 11, 7, 3 … : seven; 40 down: at 20, 16, 12, 8, 4 … : nine (one at 0 and 40 would lie on the edge).
    expect(lines).toHaveLength(7 + 9);
    expect(length.value).toBe(7 * 40 + 9 * 30);
    // Rule QL-1: one a hand's breadth.
    expect(pins.value).toBe(8 * 10);
    for (const { from, to } of lines)
      expect(Math.abs(from.x + to.x - 30) % 8 < 1e-9 || Math.abs(from.y + to.y - 40) % 8 < 1e-9).toBe(true);
  });
  // Geometry: the length of evenly laid lines × their distance is nearly the area they cover, each way.
  test('slanting lines cover the top both ways', () => {
    fc.assert(
      fc.property(eighths(20, 90), eighths(20, 90), eighths(1, 4), (w, h, spacing) => {
        const { layout } = quiltOf(4, 1, 1, { kind: 'edge-to-edge' });
        const size = {
          ...layout,
          finished: {
            width: { ...layout.finished.width, value: w },
            height: { ...layout.finished.height, value: h },
          },
        };
        const { lines, length } = markTop(size, 'diagonal', spacing, 'in');
        expect(length.value * spacing).toBeGreaterThan(0.8 * 2 * w * h);
        expect(length.value * spacing).toBeLessThan(1.2 * 2 * w * h);
        for (const { from, to } of lines) {
          expect(Math.abs(Math.abs(from.x - to.x) - Math.abs(from.y - to.y))).toBeLessThan(1e-9);
          for (const p of [from, to]) expect(Math.min(p.x, p.y, w - p.x, h - p.y)).toBeCloseTo(0, 9);
        }
      }),
    );
  });
  // Plain arithmetic: 3 × 4 blocks of 10" have two upright seams of 40" and three level ones of 30".
  test('along the seams: every seam once', () => {
    expect(
      markTop(quiltOf(10, 3, 4, { kind: 'edge-to-edge' }).layout, 'ditch', 4, 'in').length.value,
    ).toBeCloseTo(2 * 40 + 3 * 30, 9);
  });
});

describe('layers of a plan', () => {
  test('the chosen way is bought; a way that cannot be had falls back to the best', () => {
    const plan = inchPlan({});
    const quilt = quiltOf(12, 5, 6, { kind: 'edge-to-edge' }, { backing: { ...plan.backing, way: 'wide' } });
    expect(quilt.layers!.chosenBacking.way).toBe('wide');
    expect(quilt.fabrics.find((f) => f.fabric.id === 'wide-back')!.needed.working).toEqual([
      'Backing: one width, 68',
    ]);
    expect(
      layersOf({
        backing: { ...plan.backing, way: 'stripe', overhang: 4 },
        fabrics: plan.fabrics.map((f) => ({ ...f, usableWidth: 110 })),
      }).chosenBacking.way,
    ).not.toBe('stripe');
  });
  test('a stripe has its own cloth on the list', () => {
    const plan = inchPlan({});
    const quilt = quiltOf(
      15,
      5,
      6,
      { kind: 'edge-to-edge' },
      { backing: { ...plan.backing, way: 'stripe', stripe: { of: 'fabric', fabric: 'accent' } } },
    );
    expect(quilt.fabrics.find((f) => f.fabric.id === 'accent')!.needed.working.join()).toMatch(
      /Stripe of the backing/,
    );
  });
});

describe('quilting at home', () => {
  let layout: Quilt['layout'];
  beforeAll(() => {
    ({ layout } = quiltOf(12, 3, 4, { kind: 'edge-to-edge' }));
  });
  test('along the seams nothing is marked; thread is three times the quilting', () => {
    const ditch = markTop(layout, 'ditch', 3, 'in');
    // Two seams of 48 and three of 36.
    expect(ditch).toMatchObject({
      lines: [],
      count: { value: 0, working: ['The seams are there already: nothing to mark'] },
      length: { value: 204 },
      thread: { value: 612 },
    });
    const grid = markTop(layout, 'grid', 6, 'in');
    // 36 × 48 every six inches from the middle: five upright, seven level.
    expect(grid).toMatchObject({
      count: { value: 12, working: ['Every 6″ from the middle outward: 12 lines'] },
      length: { value: 5 * 48 + 7 * 36 },
      pins: { value: 9 * 12 },
    });
    expect(grid.thread.value).toBe(3 * grid.length.value);
    expect(markTop(layout, 'grid', 15, 'cm').pins.value).toBe(4 * 5);
  });
  test('as good as white, or dark: by how much of the top it is', () => {
    const pile = ['#ffffff', '#ffffff', '#000000', '#888888'].map((c, i) => ({
      id: `b${i}`,
      name: `B${i}`,
      width: 12.5,
      height: 12.5,
      colours: [c, '#000000'],
    }));
    const plan = inchPlan({
      block: { width: 12, height: 12 },
      grid: { across: 2, down: 2 },
      setting: { kind: 'edge-to-edge' },
      pile,
    });
    expect(lightAndDark(plan, computeQuilt(plan).layout)).toEqual({ white: 0.5, dark: 0.25 });
  });
});
