import { near } from '../length/tolerance.ts';
import { sum } from 'd3-array';
import type { Cut } from '../cut/cut.ts';
import { linesOf } from '../cut/line.ts';
import { countOf, type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import type { Cloth } from '../strip/strip-plan.ts';
import { planStrips } from '../strip/strips.ts';

/** Strips that cuts take of a cloth by themselves, as a quilt's own cutting list counts them: how many, and what length. */
export function inStrips(
  cuts: readonly Cut[],
  cloth: Cloth,
): { readonly strips: Figure; readonly cloth: Figure; readonly of: (width: number) => number } {
  const { groups } = planStrips(
    linesOf(cuts, () => 'none'),
    cloth,
  );
  const told = groups
    .map(({ strips, width }) => `${numberOf(strips.value, 'strip')} × ${formatWorking(width, cloth.unit)}`)
    .join(' + ');
  const needed = sum(groups, ({ strips, width }) => strips.value * width);
  return {
    strips: countOf(
      sum(groups, ({ strips }) => strips.value),
      told,
    ),
    cloth: lengthOf(needed, `${told} = ${formatExact(needed)}`),
    of: (width) => sum(groups, (group) => (near(group.width, width) ? group.strips.value : 0)),
  };
}
