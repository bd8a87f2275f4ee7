import { formatWithUnit } from '../length/format.ts';
import { fromInches, type Unit } from '../length/unit.ts';

/** A reading this far from what a block is meant to be is a slip of the tape, not a block: 3/4" (from memory). */
const SLIP_INCHES = 3 / 4;

/** What is wrong with a reading of the tape, in words; null when it can be a block's. Lengths in the plan's unit. */
export function doubtOf(reading: number, meant: number, unit: Unit): string | null {
  if (Math.abs(reading - meant) <= fromInches(SLIP_INCHES, unit)) return null;
  return `${formatWithUnit(reading, unit)} is ${formatWithUnit(Math.abs(reading - meant), unit)} off what a block should be: the tape slipped. Squeeze again, or type it if it is so.`;
}
