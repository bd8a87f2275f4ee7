import { lengthOf, type Figure } from '../figure/figure.ts';
import { formatExact, formatWithUnit } from '../length/format.ts';
import { TOLERANCE } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';

/** A length a shop cuts: the answer to "how much do I ask for?". */
export interface ShopCut {
  /** Bought length in the plan's unit, with the rounding in its working. */
  readonly length: Figure;
  /** Amount alone, as it is written on a list: "1 1/8", "0.9". */
  readonly amount: string;
  /** Amount with its unit: "1 1/8 yd", "0.9 m". */
  readonly text: string;
}

/** Parts of a yard that shops cut to (handbook 1), in inches. */
const YARD_PARTS: readonly (readonly [inches: number, written: string])[] = [
  [0, ''], [4.5, '1/8'], [9, '1/4'], [12, '1/3'], [13.5, '3/8'], [18, '1/2'], [22.5, '5/8'], [24, '2/3'], [27, '3/4'], [31.5, '7/8'], [36, '1'],
];

/** Up to the next length a shop cuts: parts of a yard, or whole 10 cm. Nothing needed is nothing bought. */
export function shopCut(needed: number, unit: Unit): ShopCut {
  return unit === 'in' ? yardCut(needed) : metreCut(needed);
}

function yardCut(needed: number): ShopCut {
  const yards = Math.floor((needed + TOLERANCE) / 36);
  const rest = needed - yards * 36;
  const [part, written] = YARD_PARTS.find(([inches]) => rest <= inches + TOLERANCE)!;
  const whole = part === 36 ? yards + 1 : yards;
  const amount = [whole > 0 || part === 0 ? String(whole) : '', part === 36 ? '' : written].filter(Boolean).join(' ');
  const bought = yards * 36 + part;
  return {
    amount,
    text: `${amount} yd`,
    length: lengthOf(bought, `${exactly(needed, 'in')} needed, next shop cut: ${amount} yd = ${formatWithUnit(bought, 'in')}`),
  };
}

function metreCut(needed: number): ShopCut {
  const bought = Math.ceil((needed - TOLERANCE) / 10) * 10;
  const amount = (bought / 100).toFixed(1);
  return { amount, text: `${amount} m`, length: lengthOf(bought, `${exactly(needed, 'cm')} needed, next 10 cm: ${amount} m`) };
}

const exactly = (value: number, unit: Unit): string => `${formatExact(value)}${unit === 'in' ? '″' : ' cm'}`;
