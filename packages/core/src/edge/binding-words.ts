import { numberOf } from '../figure/figure.ts';
import { formatWithUnit } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import type { Binding } from './binding.ts';
import type { BindingJoin } from './binding-joins.ts';
import { saysStrips } from './strips-as-cut.ts';

/** What a binding is joined of, as its cloth is cut: `8 strips of 2 1/4″ and 2 shorter ones, 12 and 12″ long`. */
export function bindingStripsSay(
  {
    bias,
    strips,
    asCut,
    cutWidth,
    leftovers,
  }: Pick<Binding, 'bias' | 'strips' | 'asCut' | 'cutWidth' | 'leftovers'>,
  unit: Unit,
): string {
  const of = ` of ${formatWithUnit(cutWidth, unit)}`;
  if (bias) return bias.tube ? `one bias strip${of}` : `${numberOf(strips.value, 'bias strip')}${of}`;
  const had =
    leftovers && leftovers.lengths.length > 0 ? numberOf(leftovers.lengths.length, 'leftover') : null;
  if (strips.value === 0) return had ?? numberOf(0, 'strip');
  return [saysStrips(asCut, unit, of), ...(had ? [`${had} in hand`] : [])].join(' and ');
}

const FROM_END = { top: 'left end', bottom: 'left end', left: 'upper end', right: 'upper end' } as const;

/** Where a join of the binding falls, in words; `number` counts them from where the binding begins. */
export const joinSays = ({ last, side, from }: BindingJoin, number: number, unit: Unit): string =>
  `${last ? 'Beginning and last join' : `Join ${number}`}: ${side}, ${formatWithUnit(from, unit)} from its ${FROM_END[side]}`;
