import { numberOf } from '../../figure/figure.ts';
import { formatExact, formatWithUnit } from '../../length/format.ts';
import { rulerNearest, rulerStepDown, rulerUp } from '../../length/rounding.ts';
import { near } from '../../length/tolerance.ts';
import { fromInches } from '../../length/unit.ts';
import type { Plan } from '../../plan/shape.ts';
import type { Problem } from '../../refusal/refusal.ts';
import { isPieced, type PiecedBorder } from '../border.ts';
import type { TopSize } from '../sizes.ts';
import { type UnitsAlong, unitsRound } from './fit.ts';
import { piecedKind } from './registry.ts';

/** Units that come out longer or shorter than their side by more than this are said: 1/16" a strip (from memory). */
export const TAKEN_IN_INCHES = 1 / 16;

/** Pieced borders whose units do not come out along a side: by how much, and what helps (rules PB-2, BO-7). */
export const piecedAdvice = (plan: Plan, sizes: readonly TopSize[]): Problem[] =>
  plan.borders.flatMap((border, i): Problem[] => {
    if (!isPieced(border)) return [];
    const { across, down } = unitsRound(border, sizes[i]!);
    const { many, one } = piecedKind(border.pieced.kind);
    const show = (length: number) => formatWithUnit(Math.abs(length), plan.unit);
    const says = (side: UnitsAlong, where: string) =>
      Math.abs(side.over) <= fromInches(TAKEN_IN_INCHES, plan.unit)
        ? []
        : [
            `${where} ${numberOf(side.count, one, many)} come to ${show(side.comesTo)}, ${show(side.over)} ${side.over > 0 ? 'longer' : 'shorter'} than the side.`,
          ];
    const rough = offTheRuler(border, plan);
    const off = [...says(across, 'Along the top'), ...says(down, 'Along a side')];
    const spacer = off.length > 0 ? ['A spacer inside makes them come out.'] : [];
    if (rough === null && off.length === 0) return [];
    return [{ path: ['borders', i, 'pieced'], message: [...(rough ?? []), ...off, ...spacer].join(' ') }];
  });

/** Patches whose cut size is no mark of the ruler: they are rounded when they are cut, and add up to another width. */
function offTheRuler({ pieced, ends }: PiecedBorder, { seam, unit }: Plan): [string] | null {
  const parts = pieced.kind === 'checkers' ? pieced.rows : pieced.kind === 'geese' ? 2 : 1;
  const ruler = rulerNearest(unit);
  const cut = ends / parts + 2 * seam;
  if (near(ruler.apply(cut), cut)) return null;
  const widths = [rulerStepDown(unit).apply(cut), rulerUp(unit).apply(cut)].map(
    (mark) => parts * (mark - 2 * seam),
  );
  return [
    `Its patches would be cut ${formatExact(cut)}, which is no mark of the ruler: make the border ${widths.map((width) => formatWithUnit(width, unit)).join(' or ')} wide.`,
  ];
}
