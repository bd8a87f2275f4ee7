import { fromInches, type Unit } from '../length/unit.ts';
import type { Seam, SewnStep } from './seam-ledger.ts';

/** What a way of sewing takes. */
export interface Effort {
  readonly seams: number;
  /** Of the longest seam, in the plan's unit. */
  readonly longest: number;
  /** To the iron: a step each. */
  readonly trips: number;
  /** Area that hangs on the needle at the heaviest seam, in square units of the plan. */
  readonly heaviest: number;
  readonly minutes: number;
}

/** Sewing at an easy pace, 40" in a minute; pinning what is longer than 14", a pin every 4" (from memory). */
const INCHES_A_MINUTE = 40;
const PINNED_INCHES = 14;
const PIN_EVERY_INCHES = 4;
const PIN_MINUTES = 0.08;
/** Taking up two parts and laying them edge to edge; less where one follows another without cutting the thread. */
const TAKE_UP_MINUTES = 0.45;
const CHAINED_MINUTES = 0.25;
/** To the iron and back; setting and pressing a seam, and its length at 60" in a minute. */
const TRIP_MINUTES = 1.5;
const PRESS_MINUTES = 0.15;
const IRONED_INCHES_A_MINUTE = 60;
/** Each square foot that has to be turned at the machine slows a seam by so much. */
const HEAVY_MINUTES = 0.06;

/** What these seams in these steps take (times from memory: for telling ways apart, not for promising an evening). */
export function effortOf(
  seams: readonly Seam[],
  steps: readonly SewnStep[],
  chained: boolean,
  unit: Unit,
): Effort {
  const inch = fromInches(1, unit);
  const foot = 144 * inch * inch;
  let [longest, heaviest, minutes] = [0, 0, steps.length * TRIP_MINUTES];
  for (const { length, area } of seams) {
    const inches = length / inch;
    longest = Math.max(longest, length);
    heaviest = Math.max(heaviest, area);
    const pins = inches > PINNED_INCHES ? Math.ceil(inches / PIN_EVERY_INCHES) * PIN_MINUTES : 0;
    minutes +=
      (chained ? CHAINED_MINUTES : TAKE_UP_MINUTES) +
      pins +
      inches / INCHES_A_MINUTE +
      PRESS_MINUTES +
      inches / IRONED_INCHES_A_MINUTE +
      (area / foot) * HEAVY_MINUTES;
  }
  return { seams: seams.length, longest, trips: steps.length, heaviest, minutes: Math.round(minutes) };
}
