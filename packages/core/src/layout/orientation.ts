import { type Figure, countOf, numberOf } from '../figure/figure.ts';
import type { Plan } from '../plan/shape.ts';
import type { Layout } from './lay-out.ts';
import type { Spot } from '../piece/piece.ts';

/** How one block lies in its place: quarter turns to the right, and whether its background is swapped. */
export interface Orientation {
  readonly turn: 0 | 1 | 2 | 3;
  readonly swapped: boolean;
}

/** Turns of a group of four, going round it from its first block. */
const ROUND = [
  [0, 1],
  [3, 2],
] as const;

/** How a block at this spot lies by the plan's rule for odd and even places (rule ST-12). The first block lies as it was made. */
export function orientationOf({ turn, swap }: Plan['places'], { column, row }: Spot): Orientation {
  const other = isOdd(column + row);
  return {
    turn:
      turn === 'odd'
        ? other
          ? 1
          : 0
        : turn === 'round'
          ? ROUND[isOdd(row) ? 1 : 0][isOdd(column) ? 1 : 0]
          : 0,
    swapped: swap === 'odd' && other,
  };
}

const isOdd = (whole: number): boolean => Math.abs(whole % 2) === 1;

/** How many blocks lie otherwise than they would without the rule: turned by each of one to three quarters, and swapped. */
export interface RotationCounts {
  readonly turned: readonly [Figure, Figure, Figure];
  readonly swapped: Figure;
}

/** Counts what the rule asks for: so many blocks to turn, and so many to make with the background swapped. */
export function countRotations(plan: Plan, layout: Layout): RotationCounts {
  const tally = { turned: [0, 0, 0, 0], swapped: 0, blocks: 0 };
  for (const { spot } of layout.pieces) {
    if (!spot) continue;
    const { turn, swapped } = orientationOf(plan.places, spot);
    tally.blocks++;
    tally.turned[turn]!++;
    if (swapped) tally.swapped++;
  }
  const counted = (name: string, count: number): Figure =>
    countOf(count, `${count} of ${numberOf(tally.blocks, 'block')} ${name}`);
  return {
    turned: [
      counted('rotated a quarter', tally.turned[1]!),
      counted('rotated half round', tally.turned[2]!),
      counted('rotated three quarters', tally.turned[3]!),
    ],
    swapped: counted('with the background swapped', tally.swapped),
  };
}
