import type { FabricUse } from '../layout/piece.ts';
import type { Plan } from './shape.ts';

/** Id of the fabric chosen for this job. */
export function fabricFor(plan: Plan, use: FabricUse): string {
  switch (use.what) {
    case 'border':
      return plan.borders[use.index]!.fabric;
    case 'backing':
    case 'binding':
      return plan[use.what].fabric;
    default:
      return plan.fabricFor[use.what];
  }
}

/** The plan with another fabric chosen for this job. */
export function withFabric(plan: Plan, use: FabricUse, fabric: string): Plan {
  switch (use.what) {
    case 'border':
      return { ...plan, borders: plan.borders.map((border, i) => (i === use.index ? { ...border, fabric } : border)) };
    case 'backing':
      return { ...plan, backing: { ...plan.backing, fabric } };
    case 'binding':
      return { ...plan, binding: { ...plan.binding, fabric } };
    default:
      return { ...plan, fabricFor: { ...plan.fabricFor, [use.what]: fabric } };
  }
}

/** Every job a plan has a fabric for, whether or not its setting needs it. */
export function fabricUses(plan: Plan): FabricUse[] {
  return [
    { what: 'sash' }, { what: 'cornerstone' }, { what: 'triangle' },
    ...plan.borders.map((_, index): FabricUse => ({ what: 'border', index })),
    { what: 'backing' }, { what: 'binding' },
  ];
}

/** Where in the plan this choice stands. */
export function fabricUsePath(use: FabricUse): (string | number)[] {
  if (use.what === 'border') return ['borders', use.index, 'fabric'];
  return use.what === 'backing' || use.what === 'binding' ? [use.what, 'fabric'] : ['fabricFor', use.what];
}
