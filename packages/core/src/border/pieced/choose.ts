import type { PiecedKindId } from '../../choice/pieced-borders.ts';
import { valueOf } from '../../colour/colour.ts';
import { type FabricUse, TURN_FABRICS } from '../../piece/piece.ts';
import { clothsFor, fabricById, fabricUses } from '../../plan/fabric-use.ts';
import type { Plan } from '../../plan/shape.ts';
import { piecedKind } from './registry.ts';

/** A piano key begins so wide: 1 1/2", 4 cm. */
const KEY = { in: 1.5, cm: 4 };

/**
 * The plan with a border pieced of this kind, or of one cloth again: what was chosen of another kind stays where this one
 * has it too. Its corners are squares, and it is as wide at the sides as at top and bottom, for its units are.
 */
export function withPieced(plan: Plan, index: number, kind: PiecedKindId | null): Plan {
  const change = (part: Partial<Plan['borders'][number]>): Plan => ({
    ...plan,
    borders: plan.borders.map((border, i) => (i === index ? { ...border, ...part } : border)),
  });
  const border = plan.borders[index]!;
  if (kind === null) return change({ pieced: null });
  const ways = piecedKind(kind).made;
  const had = border.pieced;
  return change({
    ends: border.sides,
    corners: 'squares',
    pieced: {
      fabric: had?.fabric ?? secondCloth(plan, border.fabric),
      corner: had?.corner ?? 'plain',
      rows: had?.rows ?? 2,
      key: had?.key ?? KEY[plan.unit],
      kind,
      made: had && ways.includes(had.made) ? had.made : ways[0]!,
    },
  });
}

/**
 * A second cloth beside a border's own: of those that are seen on the top the one that stands out most against it, so
 * that the units can be told apart.
 */
function secondCloth(plan: Plan, first: string): string {
  const own = valueOf(fabricById(plan, first).colour);
  const seen = new Set(fabricUses(plan).flatMap((use) => (isSeen(use.what) ? clothsFor(plan, use) : [])));
  const others = plan.fabrics.filter(({ id }) => id !== first && seen.has(id));
  const apart = ({ colour }: Plan['fabrics'][number]) => Math.abs(valueOf(colour) - own);
  return (
    others.reduce<Plan['fabrics'][number] | null>(
      (best, cloth) => (best && apart(best) >= apart(cloth) ? best : cloth),
      null,
    )?.id ?? first
  );
}

/** Layers are not; what closes the edge is of the top's cloths. */
const isSeen = (what: FabricUse['what']): boolean =>
  what === 'border' ||
  what === 'border-corner' ||
  what === 'binding' ||
  (TURN_FABRICS as readonly string[]).includes(what);
