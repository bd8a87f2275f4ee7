import type { PiecedKindId } from '../../choice/pieced-borders.ts';
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

/** A second cloth beside a border's own: the sash's, where that is another; else any other there is. */
function secondCloth({ fabrics, fabricFor, borders }: Plan, first: string): string {
  const others = [
    borders.at(-2)?.fabric,
    fabricFor.cornerstone,
    fabricFor.sash,
    ...fabrics.map(({ id }) => id),
  ];
  return others.find((id) => id !== undefined && id !== first && id !== 'batting') ?? first;
}
