import { parseLength, type Unit } from '@lattice/core';

/** A printed length read again, in the unit it is printed in. @throws where it is none: a surface said something else */
export function lengthIn(text: string, unit: Unit): number {
  const read = parseLength(text.trim(), unit);
  if (!read.ok) throw new Error(`“${text}” is no length: ${read.message}`);
  return read.value;
}

/** Both sides of a printed size: "70 × 81 1/2″". */
export function sizeIn(text: string, unit: Unit): readonly [number, number] {
  const [one, other] = text.split('×');
  return [lengthIn(one!, unit), lengthIn(other!, unit)];
}

/** Half the step lengths are printed in: what is printed differs from the figure by no more. */
export const PRINTED: Readonly<Record<Unit, number>> = { in: 1 / 16, cm: 0.05 };
