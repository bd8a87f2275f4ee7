import type { CutShape } from '../cut/cut.ts';
import type { CutLine } from '../cut/line.ts';
import { lengthOf } from '../figure/figure.ts';
import { formatWithUnit, formatWorking } from '../length/format.ts';
import { TOLERANCE } from '../length/tolerance.ts';
import type { Part } from '../piece/piece.ts';
import { borderById } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';

/**
 * What strips of a part are cut over-long, by choice: borders, and sashes that run past more than one block. Mitred
 * borders have their hand's breadth already, and what is no longer than a block is cut to the block.
 *
 * @param length as it would be cut otherwise, in the plan's unit
 */
function overLongBy(plan: Plan, { role, cutFrom }: Pick<Part, 'role' | 'cutFrom'>, length: number): number {
  const { overLong } = plan;
  if (role === 'border' && cutFrom?.use.what === 'border')
    return borderById(plan, cutFrom.use.border).corners === 'mitred' ? 0 : overLong.borders;
  return role === 'sash' && length > pastBlock(plan) ? overLong.sashes : 0;
}

/** Longer than this, as cut, a sash runs past more than one block. */
const pastBlock = ({ block, seam }: Pick<Plan, 'block' | 'seam'>): number =>
  Math.max(block.width, block.height) + 2 * seam + TOLERANCE;

/** Whether a cutting list has sashes that may be cut over-long. */
export const hasLongSashes = (plan: Plan, lines: readonly CutLine[]): boolean =>
  lines.some(
    ({ role, cut }) => role === 'sash' && cut.shape === 'rectangle' && cut.length.value > pastBlock(plan),
  );

/** The size with what is cut over-long of it: sewn on, then trimmed (rule CU-8, common practice). */
export function overLong(plan: Plan, part: Pick<Part, 'role' | 'cutFrom'>, size: CutShape): CutShape {
  if (size.shape !== 'rectangle') return size;
  const { value, working } = size.length;
  const by = overLongBy(plan, part, value);
  if (by <= 0) return size;
  const show = (length: number) => formatWorking(length, plan.unit);
  return {
    ...size,
    length: lengthOf(
      value + by,
      ...working,
      `+ ${show(by)} over-long, trimmed once it is sewn on = ${formatWithUnit(value + by, plan.unit)}`,
    ),
  };
}
