import { type FabricUse, LAYER_FABRICS, type LayerFabric, SETTING_FABRICS } from '../layout/piece.ts';
import type { Allowance } from '../shopping/shop-cut.ts';
import type { Fabric, Plan } from './shape.ts';

type Path = readonly (string | number)[];

/** Where the plan keeps the choice for each job of the layers and the edge. */
const LAYER_PATHS: Readonly<Record<LayerFabric, Path>> = {
  backing: ['backing', 'fabric'],
  'wide-back': ['backing', 'wide'],
  'back-stripe': ['backing', 'stripe', 'fabric'],
  binding: ['binding', 'fabric'],
  'binding-flange': ['binding', 'flange', 'fabric'],
  flange: ['edge', 'flange', 'fabric'],
};

const isLayerFabric = (what: string): what is LayerFabric =>
  (LAYER_FABRICS as readonly string[]).includes(what);

/** Where in the plan this choice stands. */
export function fabricUsePath(use: FabricUse): Path {
  if (use.what === 'border') return ['borders', use.index, 'fabric'];
  if (use.what === 'border-corner') return ['borders', use.index, 'cornerFabric'];
  if (use.what === 'point') return ['edge', 'points', 'fabrics', use.index];
  return isLayerFabric(use.what) ? LAYER_PATHS[use.what] : ['fabricFor', use.what];
}

/** Id of the fabric chosen for this job. The plan has the job: `fabricUses` lists it. */
export const fabricFor = (plan: Plan, use: FabricUse): string =>
  fabricUsePath(use).reduce<unknown>(
    (at, key) => (at as Record<string | number, unknown>)[key],
    plan,
  ) as string;

/** The plan with another fabric chosen for this job. */
export const withFabric = (plan: Plan, use: FabricUse, fabric: string): Plan =>
  withAt(plan, fabricUsePath(use), fabric) as Plan;

function withAt(at: unknown, [key, ...rest]: Path, value: unknown): unknown {
  if (key === undefined) return value;
  if (Array.isArray(at)) return at.map((item: unknown, i) => (i === key ? withAt(item, rest, value) : item));
  return { ...(at as object), [key]: withAt((at as Record<string, unknown>)[key], rest, value) };
}

/** Every job a plan has a fabric for, whether or not its setting or its edge needs it. */
export function fabricUses(plan: Plan): FabricUse[] {
  return [
    ...SETTING_FABRICS.map((what): FabricUse => ({ what })),
    ...plan.borders.flatMap((_, index): FabricUse[] => [
      { what: 'border', index },
      { what: 'border-corner', index },
    ]),
    ...LAYER_FABRICS.filter((what) => what !== 'binding-flange' || plan.binding.flange !== null).map(
      (what): FabricUse => ({ what }),
    ),
    ...plan.edge.points.fabrics.map((_, index): FabricUse => ({ what: 'point', index })),
  ];
}

/** What is bought of a fabric besides what is needed. */
export const allowanceFor = (
  { squaring }: Pick<Plan, 'squaring'>,
  { shrinkage }: Pick<Fabric, 'shrinkage'>,
): Allowance => ({ squaring, shrinkage });

/** The fabric with this id. The plan has passed `planProblems`, so there is one. */
export function fabricById(plan: Pick<Plan, 'fabrics'>, id: string): Fabric {
  const found = plan.fabrics.find((f) => f.id === id);
  if (!found) throw new Error(`No fabric has the id ${id}.`);
  return found;
}
