import fc from 'fast-check';
import { BEDS, mattress, onBed, startBed, targetSize } from '../src/index.ts';

const queen = startBed('us-queen', 'in');
const on = (width: number, height: number, drop = queen.drop, tuck = 0) =>
  onBed({ ...queen, drop, tuck }, { width, height }, 'in')!;

// Rule TG-5. A queen's mattress is 60 × 80 (from memory).
describe('a quilt on the bed it is for', () => {
  test('by the pencil: 90 × 96 with a tuck of 4: 15 at either side, 12 at the foot', () => {
    const { left, right, foot, mattress: under, says } = on(90, 96, { left: 15, right: 15, foot: 12 }, 4);
    expect([left.value, right.value, foot.value]).toEqual([15, 15, 12]);
    expect(under).toEqual({ x: 15, y: 4, width: 60, height: 80 });
    expect(says).toBe('As it stands it hangs 15″ at either side and 12″ at the foot.');
    expect(foot.working).toEqual(['96 quilt − 4 pillow tuck − 80 mattress = 12']);
  });
  test('what is more, or missing, is shared by the sides, each from what was asked of it', () => {
    expect(on(85, 92, { left: 10, right: 14, foot: 12 }).says).toBe(
      'As it stands it hangs 10 1/2 at the left, 14 1/2″ at the right and 12″ at the foot.',
    );
    expect(on(50, 78).says).toBe('As it stands it is 5″ short of either side and ends 2″ before the foot.');
    expect(on(60, 80, { left: 0, right: 0, foot: 0 }).says).toBe(
      'As it stands it ends level with both sides and ends level with the foot.',
    );
  });
  test('any bed: the size that was asked for hangs as it was asked', () => {
    const drop = fc.integer({ min: 0, max: 20 });
    fc.assert(
      fc.property(
        fc.constantFrom(...BEDS),
        drop,
        drop,
        drop,
        fc.integer({ min: 0, max: 16 }),
        (bed, left, right, foot, tuck) => {
          const target = { ...startBed(bed.id, 'in'), drop: { left, right, foot }, tuck };
          const { width, height } = targetSize(target, 'in');
          const lies = onBed(target, { width: width.value, height: height.value }, 'in')!;
          expect(
            [lies.left.value, lies.right.value, lies.foot.value].map((v) => Math.round(v * 1e6) / 1e6),
          ).toEqual([left, right, foot]);
          expect(lies.mattress.width).toBe(mattress(bed.id, 'in').width);
        },
      ),
    );
    expect(onBed(null, { width: 60, height: 80 }, 'in')).toBeNull();
  });
});
