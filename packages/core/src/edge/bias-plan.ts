import { longer } from '../length/tolerance.ts';
import { sum } from 'd3-array';
import { countOf, type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import {
  biasFromLength,
  biasFromSquare,
  biasJoinLoss,
  biasTube,
  type BiasYield,
  smallestThat,
} from './bias.ts';
import type { BindingGrain } from '../choice/edge.ts';
import { biasRectangle, biasSquare } from './schools.ts';

/** What bias strips are cut from, and how that comes out. */
export interface BiasPlan {
  /** Side of the square, or length across the usable width. */
  readonly cloth: Figure;
  /** By the rule of the root. */
  readonly rule: Figure;
  /** Drawn strips of a square or a length; null for the tube, which has lanes. */
  readonly cut: BiasYield | null;
  readonly tube: { readonly lanes: number; readonly round: number } | null;
  /** What the cloth gives by geometry. */
  readonly gives: Figure;
  /** The cloth is narrower than the square has to be. */
  readonly tooWide: boolean;
}

/** What bias strips are cut for, and from. */
export interface BiasWish {
  readonly grain: Exclude<BindingGrain, 'straight'>;
  readonly strip: number;
  readonly usable: number;
  readonly seam: number;
  readonly unit: Unit;
}

/** Cloth for bias strips: by the rule of the root, or more where geometry says that is short. */
export function planBias({ grain, strip, usable, seam, unit }: BiasWish, length: number): BiasPlan {
  const { root, square } = biasSquare(length, strip, unit);
  const across = grain === 'bias-length';
  const rule = across ? biasRectangle(root, usable) : square;
  const yieldAt = (size: number) =>
    grain === 'bias-tube' ? biasTube(size, strip, seam).length : cutAt(size).length;
  const cutAt = (size: number) =>
    across ? biasFromLength(usable, size, strip, seam, unit) : biasFromSquare(size, strip, seam, unit);
  const enough =
    yieldAt(rule.value) >= length
      ? rule.value
      : (smallestThat(
          unit === 'in' ? 400 : 1000,
          (size) => (size < rule.value ? -1 : yieldAt(size)),
          length,
        ) ?? rule.value);
  const gives = yieldAt(enough);
  return {
    rule,
    cloth: lengthOf(
      enough,
      ...rule.working,
      ...(enough > rule.value
        ? [
            `By geometry that gives only ${formatExact(yieldAt(rule.value))}; ${enough} gives ${formatExact(gives)}`,
          ]
        : []),
    ),
    cut: grain === 'bias-tube' ? null : cutAt(enough),
    tube: grain === 'bias-tube' ? biasTube(enough, strip, seam) : null,
    gives:
      grain === 'bias-tube'
        ? lengthOf(
            gives,
            `${biasTube(enough, strip, seam).lanes} lanes × ${formatExact(biasTube(enough, strip, seam).round)} each = ${formatExact(gives)}`,
            `${formatExact(length)} is wanted`,
          )
        : givenBy(cutAt(enough), seam, length),
    tooWide: !across && longer(enough, usable),
  };
}

/** What the strips of a cloth come to once joined, by geometry, beside what is wanted. */
function givenBy({ strips, length }: BiasYield, seam: number, wanted: number): Figure {
  const whole = sum(strips, (s) => s.length);
  return lengthOf(
    length,
    `${numberOf(strips.length, 'strip')}, ${formatExact(whole)} in all, less ${numberOf(Math.max(0, strips.length - 1), 'join')} × ${formatExact(biasJoinLoss(seam))} = ${formatExact(length)}`,
    `${formatExact(wanted)} is wanted${length < wanted ? ': take a larger cloth' : ''}`,
  );
}

/** How many pieces it comes in. */
export function biasPieces({ cut, tube }: BiasPlan): Figure {
  return tube
    ? countOf(1, `One continuous strip of ${tube.lanes} lanes`)
    : countOf(cut!.strips.length, `${numberOf(cut!.strips.length, 'bias strip')} from the cloth`);
}
