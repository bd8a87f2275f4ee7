import { type Size, sizesAlong, type TopSize } from '../border/sizes.ts';
import { borderStack, borderTotals } from '../border/stack.ts';
import { fabricFor } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import type { SettingPart } from '../setting/setting.ts';
import { settingOf } from '../setting/registry.ts';
import type { Band, CutFrom, FabricUse, Part, Piece, SettingFabric, Underlayer } from '../piece/piece.ts';
import { ROLE_FABRIC } from '../piece/roles.ts';
import { cutByOf } from './cut-by.ts';
import { inTurns } from './rotation.ts';

/** The whole quilt on its plane, origin at its top left corner: every piece, and what the tapes read. */
export interface Layout {
  readonly centre: Size;
  /** As planned, and as drawn. */
  readonly finished: Size;
  /** The top's size at each step from the bare centre outward; what is measured replaces what was planned. */
  readonly sizes: readonly TopSize[];
  readonly parts: Readonly<Record<string, Part>>;
  readonly pieces: readonly Piece[];
  readonly bands: { readonly across: readonly Band[]; readonly down: readonly Band[] };
}

/** What lies under every border when the blocks are quilted before they are joined; cut as the border is. */
const BORDER_LAYERS: readonly Underlayer[] = [
  { name: 'batting', fabric: 'sash-batting' },
  { name: 'back', fabric: 'sash-back' },
];

/**
 * Lays a plan out: the setting's centre, then its borders. The plan has passed `planProblems`.
 *
 * @example
 * const plan = { ...startPlan('sashed-sampler'), grid: { across: 2, down: 5 } };
 * layOut(plan).pieces.filter(({ place }) => place !== undefined).length; // 10
 */
export function layOut(plan: Plan): Layout {
  const { unit, block, grid, seam } = plan;
  const inset = borderTotals(plan.borders);
  const setting = settingOf(plan.setting.kind);
  const centre = setting.layOut({
    unit,
    block,
    grid,
    seam,
    options: plan.setting,
    origin: { x: inset.sides, y: inset.ends },
  });
  const sizes = sizesAlong(
    { width: centre.width, height: centre.height },
    plan.borders,
    plan.measured,
    plan.measureBy,
    seam,
    unit,
  );
  const bordered = borderStack(plan.borders, sizes, cutByOf(plan));
  const from = (use: FabricUse): CutFrom => ({ use, fabric: fabricFor(plan, use) });
  const under = (layers: readonly Underlayer[]) =>
    layers.map((layer) => ({ ...layer, cutFrom: from({ what: layer.fabric satisfies SettingFabric }) }));
  const withFabric = ({ fabric, under: layers, ...part }: SettingPart): Part => {
    const use = fabric ? { what: fabric } : ROLE_FABRIC[part.role];
    return { ...part, cutFrom: use && from(use), ...(layers ? { under: under(layers) } : {}) };
  };
  const borderParts = setting.quilted
    ? bordered.parts.map((part) => ({ ...part, under: under(BORDER_LAYERS) }))
    : bordered.parts;
  const ofCentre = inTurns(plan, { parts: centre.parts.map(withFabric), pieces: centre.pieces });
  const parts: readonly Part[] = [...ofCentre.parts, ...borderParts];
  const along = (a: readonly Band[], b: readonly Band[]) => [...a, ...b].sort((p, q) => p.from - q.from);
  return {
    centre: { width: centre.width, height: centre.height },
    finished: sizes.at(-1)!.planned,
    sizes,
    parts: Object.fromEntries(parts.map((part) => [part.key, part])),
    pieces: [...ofCentre.pieces, ...bordered.pieces],
    bands: {
      across: along(centre.bands.across, bordered.bands.across),
      down: along(centre.bands.down, bordered.bands.down),
    },
  };
}
