import { CAUTIONS } from '../../choice/cautions.ts';
import { CLOSING_NAMES } from '../../choice/edge.ts';
import { formatWithUnit } from '../../length/format.ts';
import type { Plan } from '../../plan/shape.ts';
import type { EdgeStep } from './finish.ts';

/** How top and backing are turned in (rule TE-1). */
export function turnedEdgeSteps({ unit, seam, edge: { finishes } }: Plan): EdgeStep[] {
  const by = formatWithUnit(seam, unit);
  return [
    {
      id: 'turned-edge',
      title: CLOSING_NAMES['turned-edge'],
      pick: `The quilt, trimmed, its batting ${by} shorter than top and backing.`,
      does: [
        `Fold the top’s edge over the batting by ${by}, and press lightly.`,
        finishes.includes('piping')
          ? `Fold the backing’s edge in by ${by} to the stitches of the piping. Pin, corners first.`
          : `Fold the backing’s edge in by ${by} to meet it, fold to fold. Pin, corners first.`,
        'Sew the folds together by hand with a ladder stitch, small and pulled snug.',
        'Quilt one line more close to the edge where the quilting stopped.',
      ],
      wrong: ['Batting left full makes a thick, wavy edge: it ends where the fold is.'],
      cautions: [CAUTIONS.iron, CAUTIONS.needle],
    },
  ];
}
