import { capital } from '../figure/many.ts';
import type { Unit } from '../length/unit.ts';
import type { FabricCut } from './buy.ts';
import type { ShopCut } from './shop-cut.ts';

const PARTS: Readonly<Record<string, string>> = {
  '1/8': 'an eighth',
  '1/4': 'a quarter',
  '1/3': 'a third',
  '3/8': 'three eighths',
  '1/2': 'a half',
  '5/8': 'five eighths',
  '2/3': 'two thirds',
  '3/4': 'three quarters',
  '7/8': 'seven eighths',
};
const NUMBERS = [
  'no',
  'a',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

/** A shop cut as one says it at the counter: "a yard and three eighths", "half a yard", "1.3 metres". */
export function spokenCut({ amount }: Pick<ShopCut, 'amount'>, unit: Unit): string {
  if (unit === 'cm') return `${amount} ${amount === '1.0' ? 'metre' : 'metres'}`;
  const [first, second] = amount.split(' ');
  const part = first!.includes('/') ? first : second;
  const whole = first!.includes('/') ? 0 : Number(first);
  if (whole === 0) return part === '1/2' ? 'half a yard' : `${PARTS[part!] ?? part} of a yard`;
  const yards = `${NUMBERS[whole] ?? whole} ${whole === 1 ? 'yard' : 'yards'}`;
  return part ? `${yards} and ${PARTS[part] ?? part}` : yards;
}

/**
 * The shopping list as it is said, a line a cloth that is bought, with what all of it costs where that is known.
 *
 * @example
 * const plan = { ...startPlan('sashed-sampler'), grid: { across: 2, down: 5 } };
 * spokenList(toBuy(plan, computeQuilt(plan), { id: '', log: [] }), 'in')[0]; // 'Five eighths of a yard of the sash'
 */
export function spokenList(fabrics: readonly FabricCut[], unit: Unit): string[] {
  const bought = fabrics.filter(({ buy }) => buy.length.value > 0);
  const lines = bought.map(({ fabric, buy, cost }) => {
    const said = `${spokenCut(buy, unit)} of the ${fabric.name.toLowerCase()}`;
    return `${capital(said)}${cost ? `, ${cost.value.toFixed(2)}` : ''}`;
  });
  const priced = bought.flatMap(({ cost }) => cost ?? []);
  if (priced.length === 0) return lines;
  const total = priced.reduce((sum, { value }) => sum + value, 0).toFixed(2);
  const without = bought.length - priced.length;
  return [
    ...lines,
    `Together ${total}${without > 0 ? `, without the ${without} whose price is not said` : ''}`,
  ];
}
