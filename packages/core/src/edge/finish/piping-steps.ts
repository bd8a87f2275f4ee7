import { CAUTIONS } from '../../choice/cautions.ts';
import { TIPS } from '../../choice/tips.ts';
import { formatWithUnit } from '../../length/format.ts';
import { ofUnit } from '../../length/unit.ts';
import type { Plan } from '../../plan/shape.ts';
import type { EdgeStep } from './finish.ts';

/** How a piping is made and sewn on (rule PI-1). */
export function pipingSteps(plan: Plan): EdgeStep[] {
  const { unit, seam, edge } = plan;
  const show = (v: number) => formatWithUnit(v, unit);
  return [
    {
      id: 'piping',
      title: 'Sew the piping on',
      pick: `The cord of ${show(edge.piping.cord)}, its bias strip joined at 45°, and the quilt as it is trimmed.`,
      does: [
        TIPS.starch,
        'Lay the cord in the strip, wrong side in, raw edges even, and sew along it with a zip or piping foot, not quite close.',
        `Baste it to the front, raw edges even, ${show(seam)} from the edge, close to the cord; begin in the middle of a side.`,
        edge.shape === 'square' || edge.shape === 'clipped' || edge.shape === 'posts'
          ? 'At a corner snip the strip’s edge to the stitches so that it bends; never the cord.'
          : 'On curves snip the strip’s edge to the stitches every little way; ease it, do not stretch it.',
        `Where it meets itself cut the cord so that its ends butt, fold the strip’s end under, and lap it by ${show(ofUnit(unit, 1, 2.5))}.`,
        'What closes the edge is sewn over it from the back, a thread nearer to the cord.',
      ],
      wrong: ['Piping that was stretched draws the edge in: lay it on, do not pull.'],
      cautions: [CAUTIONS.needle],
    },
  ];
}
