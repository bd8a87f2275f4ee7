import { formatLength, formatWithUnit } from '../length/format.ts';
import { leastIn, limitIn } from '../length/rounding.ts';
import { atLeast, near } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';
import type { BlockSize } from './setting.ts';
import type { Problem } from '../refusal/refusal.ts';

/** Blocks that stand on point fit one even grid only when they are square. */
export function squareBlocksOnly(block: BlockSize, unit: Unit): Problem[] {
  if (near(block.width, block.height)) return [];
  return [
    {
      path: ['setting', 'kind'],
      message:
        `Only square blocks can stand on point in one even grid; these finish ${formatLength(block.width, unit)} × ${formatWithUnit(block.height, unit)}. ` +
        'Make the block square, or choose a straight setting.',
    },
  ];
}

/** A float that leaves more block than cloth. */
export function sensibleFloat(float: number, block: BlockSize, unit: Unit): Problem[] {
  if (float >= 0 && atLeast(Math.min(block.width, block.height), float)) return [];
  return [
    {
      path: ['setting', 'float'],
      message:
        float < 0
          ? 'A float cannot be less than nothing: 0 lets the points touch the edge.'
          : `A float of ${formatWithUnit(float, unit)} is wider than the block. Most lie between ${formatLength(limitIn(1 / 4, unit), unit)} and ${formatWithUnit(limitIn(1, unit), unit)}; a border gives more.`,
    },
  ];
}

/** A sash that can be sewn (each of its strips too) and is no wider than the block. */
export function sensibleSash(
  sash: number,
  strips: number,
  block: BlockSize,
  unit: Unit,
  key: 'sash' | 'short' = 'sash',
): Problem[] {
  const path = ['setting', key];
  const least = limitIn(1 / 4, unit) * strips;
  const shorter = Math.min(block.width, block.height);
  if (!atLeast(sash, leastIn(1 / 4, unit) * strips)) {
    const pieced = strips === 1 ? '' : ` of ${strips} strips`;
    return [
      {
        path,
        message: `A sash${pieced} of ${formatWithUnit(sash, unit)} cannot be sewn: make it ${formatWithUnit(least, unit)} or more, finished.`,
      },
    ];
  }
  if (!atLeast(shorter, sash)) {
    return [
      {
        path,
        message:
          `A sash of ${formatWithUnit(sash, unit)} is wider than the block, which finishes ${formatWithUnit(shorter, unit)}. ` +
          `Most sashes are a sixth to a quarter of the block: ${formatLength(shorter / 6, unit)} to ${formatWithUnit(shorter / 4, unit)}.`,
      },
    ];
  }
  return [];
}
