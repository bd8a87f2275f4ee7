import { type FabricUse, fabricFor, fabricUses, planProblems, withFabric } from '../src/index.ts';
import { fabricUsePath } from '../src/plan/fabric-use.ts';
import { borderOf, inchPlan, quiltOf } from './support/plans.ts';

const plan = inchPlan({ borders: [borderOf(2, 'border'), borderOf(4, 'accent')] });
const at = (path: readonly (string | number)[], value: unknown): unknown =>
  path.reduce<unknown>((v, key) => (v as Record<string, unknown>)[key], value);

describe('every job a cloth is chosen for', () => {
  test.each(fabricUses(plan).map((use): [string, FabricUse] => [JSON.stringify(use), use]))(
    '%s: chosen, found, and where its path says',
    (_, use) => {
      const changed = withFabric(plan, use, 'back');
      expect(fabricFor(changed, use)).toBe('back');
      expect(at(fabricUsePath(plan, use), changed)).toBe('back');
      // Nothing else changes.
      for (const other of fabricUses(plan))
        if (other !== use && JSON.stringify(other) !== JSON.stringify(use))
          expect(fabricFor(changed, other)).toBe(fabricFor(plan, other));
      const wrong = withFabric(plan, use, 'nowhere');
      expect(planProblems(wrong)).toEqual([
        {
          path: fabricUsePath(plan, use),
          message: expect.stringContaining('No cloth in this plan has the id “nowhere”'),
        },
      ]);
    },
  );
});

describe('what is bought follows the choice', () => {
  test('cornerstones cut from the sash cloth take their strips with the sashes', () => {
    const own = quiltOf(12, 3, 4, { kind: 'sashed', sash: 1.5 });
    const same = quiltOf(
      12,
      3,
      4,
      { kind: 'sashed', sash: 1.5 },
      { fabricFor: { ...plan.fabricFor, cornerstone: 'sash' } },
    );
    expect(own.fabrics.map((f) => f.fabric.id)).toContain('accent');
    expect(same.fabrics.map((f) => f.fabric.id)).not.toContain('accent');
    const together = same.fabrics.find((f) => f.fabric.id === 'sash')!.strips.flatMap((s) => s.yields);
    expect(new Set(together.map((y) => y.name))).toEqual(new Set(['Sashes', 'Cornerstones']));
    expect(same.layout.finished.width.value).toBe(own.layout.finished.width.value);
  });
  test('corner squares have a cloth of their own', () => {
    const quilt = quiltOf(
      12,
      3,
      4,
      { kind: 'edge-to-edge' },
      { borders: [{ ...borderOf(3, 'border'), corners: 'squares', cornerFabric: 'accent' }] },
    );
    expect(quilt.pieces.find((p) => p.role === 'border-corner')).toMatchObject({
      fabric: 'accent',
      count: { value: 4 },
    });
  });
});
