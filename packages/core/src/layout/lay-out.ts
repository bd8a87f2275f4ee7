import { borderStack, borderTotals } from '../border/stack.ts';
import type { Figure } from '../figure/figure.ts';
import { fabricFor } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import type { SettingPart } from '../setting/setting.ts';
import { settingOf } from '../setting/registry.ts';
import type { Band, Part, Piece } from './piece.ts';
import { ROLE_FABRIC } from './roles.ts';

/** The whole quilt on its plane, origin at its top left corner: every piece, and what the tapes read. */
export interface Layout {
  readonly centre: { readonly width: Figure; readonly height: Figure };
  readonly finished: { readonly width: Figure; readonly height: Figure };
  readonly parts: Readonly<Record<string, Part>>;
  readonly pieces: readonly Piece[];
  readonly bands: { readonly across: readonly Band[]; readonly down: readonly Band[] };
}

/** Lays a plan out: the setting's centre, then its borders. The plan has passed `planProblems`. */
export function layOut(plan: Plan): Layout {
  const { unit, block, grid } = plan;
  const inset = borderTotals(plan.borders);
  const centre = settingOf(plan.setting.kind).layOut({ unit, block, grid, options: plan.setting, origin: { x: inset.sides, y: inset.ends } });
  const bordered = borderStack(plan.borders, centre, unit);
  const withFabric = (part: SettingPart): Part => {
    const use = part.fabric ? { what: part.fabric } : ROLE_FABRIC[part.role];
    return { ...part, cutFrom: use && { use, fabric: fabricFor(plan, use) } };
  };
  const parts = [...centre.parts.map(withFabric), ...bordered.parts];
  const along = (a: readonly Band[], b: readonly Band[]) => [...a, ...b].sort((p, q) => p.from - q.from);
  return {
    centre: { width: centre.width, height: centre.height },
    finished: bordered.finished,
    parts: Object.fromEntries(parts.map((part) => [part.key, part])),
    pieces: [...centre.pieces, ...bordered.pieces],
    bands: {
      across: along(centre.bands.across, bordered.bands.across),
      down: along(centre.bands.down, bordered.bands.down),
    },
  };
}
