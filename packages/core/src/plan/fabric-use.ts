import { type FabricUse, LAYER_FABRICS, type LayerFabric, SETTING_FABRICS } from '../piece/piece.ts';
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
  facing: ['edge', 'facing', 'fabric'],
  piping: ['edge', 'piping', 'fabric'],
  sleeve: ['hanging', 'fabric'],
};

const isLayerFabric = (what: string): what is LayerFabric =>
  (LAYER_FABRICS as readonly string[]).includes(what);

/** Where in the plan this choice stands. */
export function fabricUsePath(plan: Pick<Plan, 'borders'>, use: FabricUse): Path {
  if (use.what === 'border') return ['borders', borderIndex(plan, use.border), 'fabric'];
  if (use.what === 'border-second') return ['borders', borderIndex(plan, use.border), 'pieced', 'fabric'];
  if (use.what === 'border-corner') return ['borders', borderIndex(plan, use.border), 'cornerFabric'];
  if (use.what === 'point') return ['edge', 'points', 'fabrics', use.index];
  return isLayerFabric(use.what) ? LAYER_PATHS[use.what] : ['fabricFor', use.what];
}

/** Id of the fabric chosen for this job. The plan has the job: `fabricUses` lists it. */
export const fabricFor = (plan: Plan, use: FabricUse): string =>
  fabricUsePath(plan, use).reduce<unknown>(
    (at, key) => (at as Record<string | number, unknown>)[key],
    plan,
  ) as string;

/** The plan with another fabric chosen for this job. */
export const withFabric = (plan: Plan, use: FabricUse, fabric: string): Plan =>
  withAt(plan, fabricUsePath(plan, use), fabric) as Plan;

/** Where a border stands in the stack, from the centre outward. The plan has it. */
export const borderIndex = ({ borders }: Pick<Plan, 'borders'>, id: string): number =>
  borders.findIndex((border) => border.id === id);

/** The border with this id. The plan has it. */
export const borderById = (plan: Pick<Plan, 'borders'>, id: string): Plan['borders'][number] =>
  plan.borders[borderIndex(plan, id)]!;

function withAt(at: unknown, [key, ...rest]: Path, value: unknown): unknown {
  if (key === undefined) return value;
  if (Array.isArray(at)) return at.map((item: unknown, i) => (i === key ? withAt(item, rest, value) : item));
  return { ...(at as object), [key]: withAt((at as Record<string, unknown>)[key], rest, value) };
}

/** Every job a plan has a fabric for, whether or not its setting or its edge needs it. */
export function fabricUses(plan: Plan): FabricUse[] {
  return [
    ...SETTING_FABRICS.map((what): FabricUse => ({ what })),
    ...plan.borders.flatMap(({ id, pieced }): FabricUse[] => [
      { what: 'border', border: id },
      ...(pieced ? [{ what: 'border-second', border: id } as const] : []),
      { what: 'border-corner', border: id },
    ]),
    ...LAYER_FABRICS.filter((what) => what !== 'binding-flange' || plan.binding.flange !== null).map(
      (what): FabricUse => ({ what }),
    ),
    ...plan.edge.points.fabrics.map((_, index): FabricUse => ({ what: 'point', index })),
  ];
}

/** Every fabric a job is cut from: the one chosen for it, and those that take turns with it. */
export function clothsFor(plan: Plan, use: FabricUse): string[] {
  const turns = plan.rotations.find((rotation) => rotation.for === use.what);
  return [fabricFor(plan, use), ...(turns?.fabrics ?? [])];
}

/** Whether any job is cut from this fabric. */
export const isUsed = (plan: Plan, fabric: string): boolean =>
  fabricUses(plan).some((use) => clothsFor(plan, use).includes(fabric));

/** The plan with another fabric wherever this one was chosen, in turns too. */
export function withoutFabric(plan: Plan, fabric: string, other: string): Plan {
  const chosen = fabricUses(plan)
    .filter((use) => fabricFor(plan, use) === fabric)
    .reduce((changed, use) => withFabric(changed, use, other), plan);
  return {
    ...chosen,
    rotations: chosen.rotations.map((rotation) => ({
      ...rotation,
      fabrics: rotation.fabrics.map((id) => (id === fabric ? other : id)),
    })),
  };
}

/** The fabric with this id. The plan has passed `planProblems`, so there is one. */
export function fabricById(plan: Pick<Plan, 'fabrics'>, id: string): Fabric {
  const found = plan.fabrics.find((f) => f.id === id);
  if (!found) throw new Error(`No cloth has the id ${id}.`);
  return found;
}
