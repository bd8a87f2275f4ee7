import { countOf, type Figure } from '../../figure/figure.ts';
import type { TopSize } from '../sizes.ts';
import type { PiecedBorder } from '../border.ts';
import { piecedKind } from './registry.ts';

/** The units of one strip, and how they go along the side they are sewn to; finished, in the plan's unit. */
export interface UnitsAlong {
  readonly count: number;
  /** What they come to, sewn together. */
  readonly comesTo: number;
  /** How much longer that is than the side; negative where it is shorter. */
  readonly over: number;
}

/** Finished length of one unit of a pieced border. */
export const unitLength = ({ pieced, ends }: PiecedBorder): number =>
  piecedKind(pieced.kind).along(ends, pieced);

/** Length that has to go into a side a whole number of times: a unit, or two that belong together. */
export const piecedRepeat = (border: PiecedBorder): number =>
  unitLength(border) * piecedKind(border.pieced.kind).together;

/** Whole units, as many as come nearest to a side; at least what belongs together once. */
function alongSide(border: PiecedBorder, side: number): UnitsAlong {
  const repeat = piecedRepeat(border);
  const times = Math.max(1, Math.round(side / repeat));
  return {
    count: times * piecedKind(border.pieced.kind).together,
    comesTo: times * repeat,
    over: times * repeat - side,
  };
}

/**
 * Units along the top and along a side (rule PB-2): as many as come nearest to the top as it is known when they go on.
 *
 * @param inside the size of what the border goes round
 */
export const unitsRound = (
  border: PiecedBorder,
  { used }: Pick<TopSize, 'used'>,
): { readonly across: UnitsAlong; readonly down: UnitsAlong } => ({
  across: alongSide(border, used.width.value),
  down: alongSide(border, used.height.value),
});

/** A unit stands in the corners of this border, not a plain square. */
export const turnsCorner = ({ pieced }: PiecedBorder): boolean =>
  pieced.corner === 'unit' && piecedKind(pieced.kind).turnsCorner;

/** Units of a whole border: along its strips, and at its corners where they turn it; a corner of checkers is a column for each row. */
export function unitCount(
  border: PiecedBorder,
  { across, down }: { readonly across: number; readonly down: number },
): Figure {
  const { kind, rows } = border.pieced;
  const each = !turnsCorner(border) ? 0 : kind === 'checkers' ? rows : 1;
  const total = 2 * across + 2 * down + 4 * each;
  const corners = each === 0 ? '' : ` + ${each === 1 ? '4' : `4 × ${each}`} at the corners`;
  return countOf(total, `2 × ${across} along top and bottom + 2 × ${down} at the sides${corners}: ${total}`);
}
