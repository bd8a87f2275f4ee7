import { PIECED_NAMES } from '../choice/pieced-borders.ts';
import { numberOf } from '../figure/figure.ts';
import { formatWithUnit } from '../length/format.ts';
import { leastIn, limitIn } from '../length/rounding.ts';
import { atLeast, near } from '../length/tolerance.ts';
import type { Plan } from '../plan/shape.ts';
import type { Problem } from '../refusal/refusal.ts';
import { settingOf } from '../setting/registry.ts';
import { type Border, isPieced, type PiecedBorder } from '../border/border.ts';
import { unitLength } from '../border/pieced/fit.ts';
import { piecedKind } from '../border/pieced/registry.ts';

/** A patch narrower than this cannot be sewn neatly: 1/2" (from memory). */
const LEAST_PATCH_INCHES = 1 / 2;

/** Why the pieced borders of a plan cannot be laid out: the first reason of each. */
export const piecedRefusals = (plan: Plan): Problem[] =>
  plan.borders.flatMap((border, i) => {
    const message = reasonAgainst(plan, border);
    return message === null ? [] : [{ path: ['borders', i, 'pieced'], message }];
  });

function reasonAgainst(plan: Plan, border: Border): string | null {
  const { unit, setting } = plan;
  if (!isPieced(border)) return null;
  const { pieced, sides, ends, corners } = border;
  const kind = piecedKind(pieced.kind);
  const name = PIECED_NAMES[pieced.kind];
  if (settingOf(setting.kind).quilted)
    return 'Blocks that are quilted already get borders of whole strips, for each has a batting and a back of its own.';
  if (!near(sides, ends))
    return `A pieced border is as wide at the sides as at top and bottom; here it is ${formatWithUnit(sides, unit)} and ${formatWithUnit(ends, unit)}.`;
  if (corners !== 'squares') return 'A pieced border turns its corners with corner squares.';
  if (!kind.made.includes(pieced.made))
    return `${name} cannot be made ${SAID[pieced.made]}: choose another way to make the units.`;
  const patch = pieced.kind === 'geese' ? ends / 2 : Math.min(ends, unitLength(border));
  if (!atLeast(patch, leastIn(LEAST_PATCH_INCHES, unit)))
    return `${name} with patches ${formatWithUnit(patch, unit)} wide cannot be sewn: at least ${formatWithUnit(limitIn(LEAST_PATCH_INCHES, unit), unit)}. Make the border wider${pieced.kind === 'keys' ? ', or its keys' : pieced.kind === 'checkers' ? ', or take fewer rows' : ''}.`;
  return pieced.made === 'strips' ? tooNarrow(plan, border) : null;
}

/** A cloth that a set of strips cannot be crosscut from once, its end squared. */
function tooNarrow({ fabrics, seam, squaring, unit }: Plan, border: PiecedBorder): string | null {
  const deep = border.pieced.kind === 'keys' ? border.ends : unitLength(border);
  const needed = deep + 2 * seam + squaring;
  const own = [border.fabric, border.pieced.fabric];
  const narrow = fabrics.find(({ id, usableWidth }) => own.includes(id) && !atLeast(usableWidth, needed));
  return narrow
    ? `${narrow.name} is ${formatWithUnit(narrow.usableWidth, unit)} usable, and one crosscut of its strips takes ${formatWithUnit(needed, unit)} of that: cut the patches one by one.`
    : null;
}

const SAID: Readonly<Record<NonNullable<Border['pieced']>['made'], string>> = {
  one: 'one by one',
  two: 'two at a time',
  four: 'four at a time',
  eight: 'eight at a time',
  strips: 'from strips',
};

/** The most patches one border has. */
const PATCH_LIMIT = 3000;

/**
 * Pieced borders of more patches than anyone sews.
 *
 * @param centre finished size of what all borders go round, in the plan's unit
 */
export function patchRefusals(
  { borders }: Pick<Plan, 'borders'>,
  centre: { width: number; height: number },
): Problem[] {
  let { width, height } = centre;
  return borders.flatMap((border, i): Problem[] => {
    const [w, h] = [width, height];
    width += 2 * border.sides;
    height += 2 * border.ends;
    if (!isPieced(border)) return [];
    const along = unitLength(border);
    const each = piecedKind(border.pieced.kind).patches(
      { along, depth: border.ends },
      { index: 0, parity: 0 },
      border.pieced,
    );
    const patches = Math.round((2 * (w + h)) / along) * each.length;
    if (patches <= PATCH_LIMIT) return [];
    const message = `This border would have ${numberOf(patches, 'patch', 'patches')}, more than anyone sews: at most ${PATCH_LIMIT}. Make its units larger.`;
    return [{ path: ['borders', i, 'pieced'], message }];
  });
}
