import { cutOf } from '../../cut/cut.ts';
import { countOf, type Figure, lengthOf } from '../../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../../length/format.ts';
import { rulerUp } from '../../length/rounding.ts';
import { ofUnit, type Unit } from '../../length/unit.ts';
import { fabricById } from '../../plan/fabric-use.ts';
import type { Plan } from '../../plan/shape.ts';
import type { Problem } from '../../refusal/refusal.ts';
import { type BiasPlan, planBias } from '../bias-plan.ts';
import type { WholeFinish } from './finish.ts';
import { atLeast } from '../../length/tolerance.ts';

/** A cord in a bias strip, to lie in the seam that closes the edge. */
export interface Piping {
  readonly strip: Figure;
  /** Of strip and cord, with what overlaps where it meets itself. */
  readonly length: Figure;
  readonly bias: BiasPlan;
}

/** What a piping is made for; lengths in `unit`. */
export interface PipingWish {
  readonly around: number;
  readonly cord: number;
  readonly seam: number;
  readonly usable: number;
  readonly unit: Unit;
}

/** Strip and cord are so much longer than the edge: ends overlap, and corners take some (common practice). */
const over = (unit: Unit): number => ofUnit(unit, 4, 10);

/**
 * A piping (rule PI-1): a bias strip as wide as the cord is round and two seams, up to the ruler's next mark, as long as
 * the edge and what overlaps.
 */
export function planPiping({ around, cord, seam, usable, unit }: PipingWish): Piping {
  const show = (v: number) => formatWorking(v, unit);
  const girth = Math.PI * cord;
  const exact = girth + 2 * seam;
  const up = rulerUp(unit);
  const width = up.apply(exact);
  const whole = around + over(unit);
  return {
    strip: lengthOf(
      width,
      `π × ${show(cord)} round the cord + 2 × ${show(seam)} seam = ${formatExact(exact)}, ${up.name}: ${show(width)}`,
    ),
    length: lengthOf(
      whole,
      `${formatExact(around)} all round + ${show(over(unit))} to overlap and for corners = ${formatExact(whole)}`,
    ),
    bias: planBias({ grain: 'bias-length', strip: width, usable, seam, unit }, whole),
  };
}

function refusals({ edge: { piping }, unit, seam }: Plan): Problem[] {
  // A thicker cord than the seam takes lifts the binding off its seam.
  const most = 2 * seam;
  return atLeast(most, piping.cord)
    ? []
    : [
        {
          path: ['edge', 'piping', 'cord'],
          message: `A cord of ${formatWithUnit(piping.cord, unit)} is too thick for a seam of ${formatWithUnit(seam, unit)}: at most ${formatWithUnit(most, unit)}.`,
        },
      ];
}

/** A corded line along the edge, beside whatever closes it. */
export const piping: WholeFinish = {
  closes: false,
  ends: 'trimmed',
  describes:
    'A cord in a bias strip, caught in the seam that closes the edge: a round line beside a binding, at the edge of a facing, a turned edge or points. To be sewn on before what closes the edge.',
  against: (other) =>
    other === 'flange' ? 'Piping and a flange lie in the same seam: choose one of the two.' : null,
  // On the bias it follows any edge.
  around: () => null,
  refusals,
  trim: () => null,
  quiltingShort: () => 0,
  plan: ({ plan, around, closedAt }) => {
    const { edge, unit, seam } = plan;
    const { cord, fabric } = edge.piping;
    const cloth = fabricById(plan, fabric);
    const planned = planPiping({ around: around.value, cord, seam, usable: cloth.usableWidth, unit });
    return {
      finish: 'piping',
      lines: [
        { name: 'Piping, bias strip cut', figure: planned.strip },
        { name: 'Piping, strip and cord', figure: planned.length },
        { name: 'Piping, cloth for the strips', figure: planned.bias.cloth },
      ],
      cuts: [
        cutOf({
          id: 'piping',
          owner: 'edge',
          role: 'piping',
          name: 'Piping',
          fabric,
          use: { what: 'piping' },
          size: { shape: 'rectangle', width: lengthOf(cloth.usableWidth), length: planned.bias.cloth },
          count: countOf(1, '1 piece of cloth for bias strips'),
          grain: 'bias',
        }),
      ],
      bands: [{ name: 'piping', from: closedAt ?? -cord, wide: cord, fabric, face: 'front' }],
    };
  },
};
