import { sum } from 'd3-array';
import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import { type Allowance, shopCut } from './shop-cut.ts';

/** A length of cloth that is needed, what is bought besides, and what a yard or a metre of it costs; null where nobody has said. */
export interface Priced {
  readonly length: number;
  readonly price: number | null;
  readonly allowance: Allowance;
}

/** What lengths of cloth cost as the shop cuts them, at so much a yard or a metre; null where a price is not known. */
export function costOf(lengths: readonly Priced[], unit: Unit): Figure | null {
  const bought = lengths
    .filter(({ length }) => length > 0)
    .map(({ length, price, allowance }) => ({ cut: shopCut(length, allowance, unit), price }));
  if (bought.some(({ price }) => price === null)) return null;
  const whole = unit === 'in' ? 36 : 100;
  const each = bought.map(({ cut, price }) => (cut.length.value / whole) * price!);
  const total = Math.round(sum(each) * 100) / 100;
  return {
    ...lengthOf(
      total,
      ...bought.map(({ cut, price }, i) => `${cut.text} at ${formatExact(price!)} = ${each[i]!.toFixed(2)}`),
      ...(bought.length > 1 ? [`Together ${total.toFixed(2)}`] : []),
    ),
    kind: 'money',
  };
}
