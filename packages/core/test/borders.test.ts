import { computeQuilt, type Plan } from '../src/index.ts';
import { judgeTop } from '../src/border/sizes.ts';
import { areaOf } from '../src/geometry/outline.ts';
import { borderOf, inchPlan } from './support/plans.ts';
import { measureTiling } from './support/tiling.ts';

/** A centre of 20 × 30 with one border, 3 wide at the sides and 5 at top and bottom: 26 × 40. */
const bordered = (corners: Plan['borders'][number]['corners']) =>
  computeQuilt(
    inchPlan({
      block: { width: 20, height: 30 },
      grid: { across: 1, down: 1 },
      setting: { kind: 'edge-to-edge' },
      borders: [{ ...borderOf(3, 'border'), ends: 5, corners, cornerFabric: 'accent' }],
    }),
  );
const areas = (corners: Plan['borders'][number]['corners']) =>
  Object.fromEntries(
    bordered(corners)
      .layout.pieces.filter((p) => p.id.startsWith('border'))
      .map((p) => [p.id.replace(/^border-\d+-/, ''), areaOf(p.outline)]),
  );

// Rules BO-1, BO-2. By hand: strips 3 and 5 wide round 20 × 30; a mitred one is a trapezium, half the sum of its sides × its width.
describe('how a border turns its corners', () => {
  test.each([
    ['sides-first', { 'side-left': 90, 'side-right': 90, 'end-top': 130, 'end-bottom': 130 }],
    ['top-first', { 'side-left': 120, 'side-right': 120, 'end-top': 100, 'end-bottom': 100 }],
    [
      'squares',
      {
        'side-left': 90,
        'side-right': 90,
        'end-top': 100,
        'end-bottom': 100,
        'corner-top-left': 15,
        'corner-top-right': 15,
        'corner-bottom-right': 15,
        'corner-bottom-left': 15,
      },
    ],
    ['mitred', { 'side-left': 105, 'side-right': 105, 'end-top': 115, 'end-bottom': 115 }],
  ] as const)('%s: each strip as large as it should be', (corners, expected) => {
    const found = areas(corners);
    expect(Object.keys(found)).toEqual(Object.keys(expected));
    for (const [piece, area] of Object.entries(expected)) expect(found[piece]).toBeCloseTo(area, 9);
    const { pieces, finished } = bordered(corners).layout;
    expect([finished.width.value, finished.height.value]).toEqual([26, 40]);
    const { union, sum } = measureTiling(pieces);
    expect([union, sum]).toEqual([expect.closeTo(26 * 40, 6), expect.closeTo(26 * 40, 6)]);
  });
  test('strips and corner squares have each their own cloth and count', () => {
    const lines = bordered('squares')
      .pieces.filter((p) => p.role !== 'block')
      .map((p) => [p.name, p.fabric, p.count.value, p.use]);
    expect(lines).toEqual([
      ['Border sides', 'border', 2, { what: 'border', border: expect.any(String) }],
      ['Border top and bottom', 'border', 2, { what: 'border', border: expect.any(String) }],
      ['Border corners', 'accent', 4, { what: 'border-corner', border: expect.any(String) }],
    ]);
    expect(bordered('sides-first').pieces.map((p) => p.role)).not.toContain('border-corner');
  });
});

// Rule BO-6. Both ways alike, the widths are named; an eighth is what a tape cannot be trusted on.
test('a top is judged by the way that differs most', () => {
  const said = (width: [number, number, number], height: [number, number, number]) =>
    judgeTop({ borders: 0, width, height }, 'in');
  expect(said([20, 20, 20.125], [30, 30, 30]).kind).toBe('true');
  expect(said([20, 20, 20.25], [30, 30, 30.25])).toMatchObject({
    kind: 'ease',
    text: expect.stringMatching(/^The widths differ by 1\/4″/),
  });
  expect(said([20, 20, 20.25], [30, 30, 30.5]).text).toMatch(/^The heights differ by 1\/2″/);
  expect(said([20, 20, 20.75], [30, 30, 30]).kind).toBe('square-up');
});
