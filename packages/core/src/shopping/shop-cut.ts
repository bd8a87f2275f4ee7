import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../length/format.ts';
import { TOLERANCE } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';
import { listed } from '../figure/many.ts';

/** A length a shop cuts: the answer to "how much do I ask for?". */
export interface ShopCut {
  /** Bought length in the plan's unit, with the rounding in its working. */
  readonly length: Figure;
  /** Amount alone, as it is written on a list: "1 1/8", "0.9". */
  readonly amount: string;
  /** Amount with its unit: "1 1/8 yd", "0.9 m". */
  readonly text: string;
  /** Where hardly anything is over: how much, and the next length a shop cuts; null where there is enough. */
  readonly tight: string | null;
}

/** What is bought besides what is needed. */
export interface Allowance {
  /** Taken off to square the end before the first cut, in the plan's unit. */
  readonly squaring: number;
  /** How often the end is squared again between strips; each time takes half of that. */
  readonly again: number;
  /** A strip to spare, as wide as the widest; 0 for none. */
  readonly spare: number;
  /** Of the length, in the wash before it is cut; per cent. */
  readonly shrinkage: number;
}

/** Nothing besides what is needed: cloth that is there already, cut square. */
export const NO_ALLOWANCE: Allowance = { squaring: 0, again: 0, spare: 0, shrinkage: 0 };

/** Squaring the end again takes half as much as the first time: 1/4" of 1/2" (rule BU-2, common practice). */
const AGAIN_SHARE = 1 / 2;

/** What is cut away to square the end, first and again, while so many strips are cut. */
export const squaredOff = ({ squaring, again }: Pick<Allowance, 'squaring' | 'again'>): number =>
  squaring * (1 + again * AGAIN_SHARE);

/** Parts of a yard that shops cut to (rule BU-1), in inches. */
const YARD_PARTS: readonly (readonly [inches: number, written: string])[] = [
  [0, ''],
  [4.5, '1/8'],
  [9, '1/4'],
  [12, '1/3'],
  [13.5, '3/8'],
  [18, '1/2'],
  [22.5, '5/8'],
  [24, '2/3'],
  [27, '3/4'],
  [31.5, '7/8'],
  [36, '1'],
];
/** Metric shops cut to whole 10 cm (rule BU-1). */
const METRE_STEP = 10;
/** Less than this left over is said, with the next length a shop cuts: one slip of the ruler uses it up (from memory). */
const TIGHT: Readonly<Record<Unit, number>> = { in: 1, cm: 2.5 };

/**
 * What to ask the shop for: what is needed with its allowance, up to the next length a shop cuts (rules BU-1,
 * BU-2). Nothing needed is nothing bought. The working says so where the allowance costs a step.
 */
export function shopCut(needed: number, allowance: Allowance, unit: Unit): ShopCut {
  if (needed <= TOLERANCE) return { ...nextCut(0, [`${formatExact(0)} needed`], unit), tight: null };
  const { shrinkage } = allowance;
  const mark = unit === 'in' ? '″' : ' cm';
  const besides = besidesIn(allowance, unit);
  const whole = needed + squaredOff(allowance) + allowance.spare;
  const unwashed = whole / (1 - shrinkage / 100);
  const lines = [
    besides.length > 0
      ? `${[`${formatExact(needed)} needed`, ...besides.map(({ line }) => line)].join(' + ')} = ${formatExact(whole)}${mark}`
      : `${formatExact(needed)}${mark} needed`,
    ...(shrinkage > 0
      ? [`÷ (1 − ${formatExact(shrinkage)} %) that the wash takes = ${formatExact(unwashed)}${mark}`]
      : []),
  ];
  const bare = nextCut(needed, [], unit);
  const bought = nextCut(unwashed, lines, unit);
  const tight = tightIn(bought.length.value - unwashed, bought.length.value, unit);
  const lifted = bought.length.value > bare.length.value + TOLERANCE;
  if (!lifted) return { ...bought, tight };
  const takes = [...new Set(besides.map(({ what }) => what)), ...(shrinkage > 0 ? ['shrinking'] : [])];
  const why = `${bare.text} would hold it with nothing to spare; ${listed(takes)} makes it ${bought.text}`;
  return { ...bought, tight, length: { ...bought.length, working: [...bought.length.working, why] } };
}

/** What is bought besides what is needed, each as a term of the sum, and what it is called. */
function besidesIn(allowance: Allowance, unit: Unit): { line: string; what: string }[] {
  const { squaring, again, spare } = allowance;
  const show = (length: number) => formatWorking(length, unit);
  return [
    ...(squaring > 0 ? [{ line: `${show(squaring)} to square the end`, what: 'squaring' }] : []),
    ...(squaring > 0 && again > 0
      ? [{ line: `${again} × ${show(squaring * AGAIN_SHARE)} to square it again`, what: 'squaring' }]
      : []),
    ...(spare > 0 ? [{ line: `${show(spare)} for a strip to spare`, what: 'a strip to spare' }] : []),
  ];
}

/** Said where less is left over than one slip of the ruler uses up. */
function tightIn(over: number, bought: number, unit: Unit): string | null {
  if (over >= TIGHT[unit] - TOLERANCE) return null;
  const next = nextCut(bought + TIGHT[unit] / 100, [], unit);
  const left = over <= TOLERANCE ? 'Nothing' : `Only ${formatWithUnit(over, unit)}`;
  return `${left} to spare: the next cut is ${next.text}`;
}

function nextCut(length: number, lines: readonly string[], unit: Unit): Omit<ShopCut, 'tight'> {
  const { bought, amount, step } = unit === 'in' ? yardCut(length) : metreCut(length);
  const text = `${amount} ${unit === 'in' ? 'yd' : 'm'}`;
  const last = `${lines.at(-1) ?? formatExact(length)}, next ${step}: ${text}${unit === 'in' ? ` = ${formatWithUnit(bought, 'in')}` : ''}`;
  return { amount, text, length: lengthOf(bought, ...lines.slice(0, -1), last) };
}

function yardCut(needed: number): { bought: number; amount: string; step: string } {
  const yards = Math.floor((needed + TOLERANCE) / 36);
  const rest = needed - yards * 36;
  const [part, written] = YARD_PARTS.find(([inches]) => rest <= inches + TOLERANCE)!;
  const whole = part === 36 ? yards + 1 : yards;
  const amount = [whole > 0 || part === 0 ? String(whole) : '', part === 36 ? '' : written]
    .filter(Boolean)
    .join(' ');
  return { bought: yards * 36 + part, amount, step: 'shop cut' };
}

function metreCut(needed: number): { bought: number; amount: string; step: string } {
  const bought = Math.ceil((needed - TOLERANCE) / METRE_STEP) * METRE_STEP;
  return { bought, amount: (bought / 100).toFixed(1), step: `${METRE_STEP} cm` };
}
