import { chosenSewing, computeQuilt, sewRecord, toBuy } from '@lattice/core';
import type { TakeJob } from '@lattice/export';
import type { Claim } from './claim.ts';
import { type Evening, QUILT } from './evening.ts';

/** Somewhere a maker reads figures: what it says of an evening. */
export interface Surface {
  readonly name: string;
  readonly says: (
    evening: Evening,
  ) => readonly Omit<Claim, 'surface'>[] | Promise<readonly Omit<Claim, 'surface'>[]>;
}

export type Said = Omit<Claim, 'surface'>;

/** What the screens are made from: the plan worked out, what is still bought, how it is sewn. */
export function known({ plan, log }: Evening) {
  const quilt = computeQuilt(plan);
  const buying = toBuy(plan, quilt, { id: QUILT, log });
  const sewing = chosenSewing(plan, quilt, sewRecord(log, QUILT, plan.unit).chosen);
  return { plan, log, quilt, buying, sewing };
}

/** An evening as something to be taken along. */
export const job = ({ plan, log }: Evening): TakeJob => ({
  ...{ plan, quilt: computeQuilt(plan), id: QUILT, log, made: '2026-11-27T12:00:00.000Z' },
  ...{ paper: 'a4', comma: false },
  letters: () => Promise.reject(new Error('Nothing is drawn here.')),
  draw: () => Promise.reject(new Error('Nothing is drawn here.')),
  picture: () => Promise.resolve(null),
  jpeg: (picture) => Promise.resolve(picture),
});

/** Lines of a list that read alike are told apart by where they stand. */
export const counted = () => {
  const seen = new Map<string, number>();
  return (what: string): string => {
    const n = (seen.get(what) ?? 0) + 1;
    seen.set(what, n);
    return n === 1 ? what : `${what} (${n})`;
  };
};

/** The finished size, as printed within half a step where it is printed. */
export const finished = (width: number, height: number, within = 0): Said[] => [
  { of: 'finished width', value: width, within },
  { of: 'finished height', value: height, within },
];
