import { CAUTIONS } from '../choice/cautions.ts';
import { formatWithUnit } from '../length/format.ts';
import { ofUnit } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import type { EdgeStep } from './finish/finish.ts';
import { type Hanging, hem } from './hanging.ts';
import { shorter } from '../length/tolerance.ts';

/** How it is sewn on: caught by a binding's seam, or by hand when the edge is closed. */
export function hangingSteps({ as }: Hanging, { unit, hanging, edge }: Plan): EdgeStep[] {
  const show = (v: number) => formatWithUnit(v, unit);
  const caught = edge.finishes.includes('binding');
  const below = show(ofUnit(unit, 1 / 2, 1.5));
  if (as === 'corners')
    return [
      {
        id: 'sleeve',
        title: 'Put the hanging corners on',
        pick: 'The two squares, folded corner to corner, wrong sides together.',
        does: [
          caught
            ? 'Lay them on the upper corners of the back, raw edges even, the folds toward the middle, and baste them: the binding’s seam holds them.'
            : 'Fold their raw edges in, lay them on the upper corners of the back, and sew the two outer sides down by hand.',
        ],
        wrong: ['Only for a small quilt: a wide one sags between two corners.'],
        cautions: [CAUTIONS.needle],
      },
    ];
  return [
    {
      id: 'sleeve',
      title: 'Put the sleeve on',
      pick: `The strip, its ends hemmed by ${show(hem(unit))}.`,
      does: [
        caught
          ? 'Fold it along its length, wrong sides together, and baste its raw edges to the top edge of the back, in the middle: the binding’s seam holds them.'
          : `Sew it into a tube, press its seam to the middle of one side, and sew its upper edge to the back by hand, ${below} below the top.`,
        `Push the outer layer up by ${show(ofUnit(unit, 1 / 4, 0.6))} before its lower edge is pinned: the slack takes the rod, and the front lies flat.`,
        'Sew the lower edge and both ends of the inner layer to the back by hand, through backing and batting only.',
      ],
      wrong: [
        'A stitch that comes through is seen on the front.',
        ...(shorter(hanging.depth, ofUnit(unit, 4, 10))
          ? [
              `Shows ask for ${show(ofUnit(unit, 4, 10))}: one ${show(hanging.depth)} deep may not take their rod.`,
            ]
          : []),
      ],
      cautions: [CAUTIONS.needle],
    },
  ];
}
