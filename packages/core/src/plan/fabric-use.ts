import { type FabricUse, SETTING_FABRICS } from '../layout/piece.ts';
import type { Plan } from './shape.ts';

/** Id of the fabric chosen for this job. */
export function fabricFor(plan: Plan, use: FabricUse): string {
  switch (use.what) {
    case 'border':
      return plan.borders[use.index]!.fabric;
    case 'border-corner':
      return plan.borders[use.index]!.cornerFabric;
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
    case 'border-corner': {
      const key = use.what === 'border' ? 'fabric' : 'cornerFabric';
      return { ...plan, borders: plan.borders.map((border, i) => (i === use.index ? { ...border, [key]: fabric } : border)) };
    }
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
    ...SETTING_FABRICS.map((what): FabricUse => ({ what })),
    ...plan.borders.flatMap((_, index): FabricUse[] => [{ what: 'border', index }, { what: 'border-corner', index }]),
    { what: 'backing' }, { what: 'binding' },
  ];
}

/** Where in the plan this choice stands. */
export function fabricUsePath(use: FabricUse): (string | number)[] {
  if (use.what === 'border') return ['borders', use.index, 'fabric'];
  if (use.what === 'border-corner') return ['borders', use.index, 'cornerFabric'];
  return use.what === 'backing' || use.what === 'binding' ? [use.what, 'fabric'] : ['fabricFor', use.what];
}
