import { EDGE_SHAPE_NAMES } from '../../choice/edge.ts';
import { type Figure, lengthOf } from '../../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../../length/format.ts';
import { atLeast } from '../../length/tolerance.ts';
import { ofUnit } from '../../length/unit.ts';
import type { Plan } from '../../plan/shape.ts';
import type { Problem } from '../../refusal/refusal.ts';
import { settingOf } from '../../setting/registry.ts';
import { closesBeside, type WholeFinish } from './finish.ts';

/** Backing that is trimmed away once it has been left beyond the top (from memory). */
const toTrim = (plan: Pick<Plan, 'unit'>): number => ofUnit(plan.unit, 1 / 2, 1);

/**
 * Backing beyond the trimmed top (rule SB-1): folded once to the edge and once over it, twice what shows.
 *
 * @returns in the plan's unit
 */
export function backingBeyond({ edge: { selfBinding }, unit }: Pick<Plan, 'edge' | 'unit'>): Figure {
  const show = (v: number) => formatWorking(v, unit);
  const beyond = 2 * selfBinding.shows;
  return lengthOf(
    beyond,
    `Folded to the edge and over it: 2 × ${show(selfBinding.shows)} that shows = ${formatExact(beyond)}`,
  );
}

function refusals(plan: Plan): Problem[] {
  const { unit, setting, backing } = plan;
  const show = (v: number) => formatWithUnit(v, unit);
  if (settingOf(setting.kind).trimmed || settingOf(setting.kind).quilted)
    return [
      {
        path: ['edge', 'finishes'],
        message:
          'Self-binding is folded from the backing, which here is trimmed away or lies behind each block by itself: bind or face the quilt.',
      },
    ];
  const needed = backingBeyond(plan).value + toTrim(plan);
  if (atLeast(backing.overhang, needed)) return [];
  return [
    {
      path: ['edge', 'selfBinding', 'shows'],
      message: `A self-binding that shows ${show(plan.edge.selfBinding.shows)} takes ${show(needed)} of backing beyond the top, and it overhangs by ${show(backing.overhang)}: let it overhang more, in Layers, or show less.`,
    },
  ];
}

/** The backing folded over the edge to the front. */
export const selfBinding: WholeFinish = {
  closes: true,
  ends: 'trimmed',
  describes:
    'The backing itself, folded twice over the edge to the front. To be decided before the backing is bought: its cloth frames the front, and it has to reach beyond the top.',
  against: (other) =>
    other === 'flange' || other === 'piping'
      ? 'A self-binding is folded over and stitched down: it has no seam that would hold a flange or piping. Bind the quilt instead.'
      : closesBeside('A self-binding', 'self-binding', other),
  around: (shape) =>
    shape === 'square' || shape === 'clipped'
      ? null
      : `A straight fold cannot follow ${EDGE_SHAPE_NAMES[shape].toLowerCase()}: bind the quilt on the bias, or choose square corners.`,
  refusals,
  trim: (plan) => ({
    says: `batting even with the top, and the backing ${formatWithUnit(backingBeyond(plan).value, plan.unit)} beyond them`,
  }),
  quiltingShort: () => 0,
  plan: ({ plan }) => {
    const { edge, backing } = plan;
    const { shows } = edge.selfBinding;
    return {
      finish: 'self-binding',
      lines: [
        { name: 'Self-binding, backing beyond the top', figure: backingBeyond(plan) },
        { name: 'Self-binding, on the front', figure: lengthOf(shows, 'As chosen') },
      ],
      cuts: [],
      bands: [
        {
          name: 'backing',
          from: 0,
          wide: shows,
          fabric: backing.way === 'wide' ? backing.wide : backing.fabric,
          face: 'front',
        },
      ],
    };
  },
};
