import { CAUTIONS } from '../../choice/cautions.ts';
import { CLOSING_NAMES } from '../../choice/edge.ts';
import { formatWithUnit } from '../../length/format.ts';
import type { Plan } from '../../plan/shape.ts';
import type { EdgeStep } from './finish.ts';
import { backingBeyond } from './self-binding.ts';

/** How the backing is folded over the edge (rule SB-1). */
export function selfBindingSteps(plan: Plan): EdgeStep[] {
  const show = (v: number) => formatWithUnit(v, plan.unit);
  const { shows } = plan.edge.selfBinding;
  return [
    {
      id: 'self-binding',
      title: CLOSING_NAMES['self-binding'],
      pick: `The quilt right side up, its backing ${show(backingBeyond(plan).value)} beyond the edge all round.`,
      does: [
        'At each corner fold the backing’s tip over the corner of the top, and press; trim the tip off half way.',
        `Fold each side of the backing in to meet the edge of the top, press; fold it once more over the edge, ${show(shows)} onto the front. Pin or clip.`,
        'The corners fall into mitres: tuck the second side under the first.',
        'Sew the fold down to the front by machine close to it, or by hand, the mitres by hand.',
      ],
      wrong: [
        'Trim top and batting only, with the backing folded out of the way: a snip into it shows on the front.',
        'A fold that is pulled ripples the side: let it lie.',
      ],
      cautions: [CAUTIONS.blade, CAUTIONS.iron, CAUTIONS.needle],
    },
  ];
}
