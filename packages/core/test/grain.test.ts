import fc from 'fast-check';
import { grainMark, layOut, type Point } from '../src/index.ts';
import { anyPlan, quiltOf } from './support/plans.ts';

const inside = (outline: readonly Point[], p: Point): boolean => {
  const turns = outline.map((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    return (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x);
  });
  return turns.every((t) => t >= -1e-9) || turns.every((t) => t <= 1e-9);
};

describe('the straight grain', () => {
  test('is marked inside every cut piece, square to the quilt’s edge or at 45° as its part says', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const { pieces, parts } = layOut(plan);
        for (const { outline, part } of pieces) {
          if (!parts[part]!.cutFrom) continue;
          const { from, to } = grainMark(outline, parts[part]!.grain, 4);
          for (const end of [from, to]) expect(inside(outline, end)).toBe(true);
          const [dx, dy] = [Math.abs(to.x - from.x), Math.abs(to.y - from.y)];
          expect(Math.hypot(dx, dy)).toBeGreaterThan(0);
          expect(Math.hypot(dx, dy)).toBeLessThanOrEqual(4 + 1e-9);
          if (parts[part]!.grain === 'diagonal') expect(dx).toBeCloseTo(dy, 9);
          else expect(Math.min(dx, dy)).toBeCloseTo(0, 9);
        }
      }),
      { numRuns: 30 },
    );
  });
  // Rule TR-1: the straight grain of a setting triangle lies on the quilt's outside edge, the bias inside. Common practice.
  test('of a side triangle lies along the quilt’s edge', () => {
    const { layout } = quiltOf(10, 3, 3, { kind: 'on-point' });
    for (const { id, outline } of layout.pieces.filter((p) => p.part === 'side-triangle')) {
      const { from, to } = grainMark(outline, layout.parts['side-triangle']!.grain, 4);
      const level = Math.abs(to.y - from.y) < 1e-9;
      expect(level).toBe(/top|bottom/.test(id));
    }
  });
});
