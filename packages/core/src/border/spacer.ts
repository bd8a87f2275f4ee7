import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { isOnRuler, limitIn } from '../length/rounding.ts';
import { howManyCover, near } from '../length/tolerance.ts';
import type { Plan } from '../plan/shape.ts';
import { isPieced } from './border.ts';
import { piecedRepeat } from './pieced/fit.ts';
import { addedBorder } from '../plan/start.ts';
import { isMeasured, type TopSize } from './sizes.ts';

/** How many repeats of a border's print or piecing lie along its strips; whole numbers when it fits. */
export interface Repeats {
  readonly across: number;
  readonly down: number;
  readonly fits: boolean;
}

/** Widths of the border inside that make a patterned border come out even. */
export interface SpacerFit {
  /** Finished widths at the sides, and at top and bottom. */
  readonly sides: Figure;
  readonly ends: Figure;
  /** Whole repeats along the top and along a side. */
  readonly across: number;
  readonly down: number;
  /** Both widths are marks of the ruler. */
  readonly onRuler: boolean;
}

/** A spacer narrower than this cannot be sewn neatly: 1/2" (from memory). */
const LEAST_INCHES = 1 / 2;

/** What the patterned border's strips have besides the centre and the spacer: its own corners, where its strips run to them. */
function runsOn({ corners, sides, ends }: Plan['borders'][number]): { top: number; side: number } {
  return { top: corners === 'sides-first' ? 2 * sides : 0, side: corners === 'top-first' ? 2 * ends : 0 };
}

/** Length a border repeats in: its units', or its print's; null where it has none. */
const repeatOf = (border: Plan['borders'][number]): number | null =>
  isPieced(border) ? piecedRepeat(border) : border.repeat;

/** Repeats along the border at `index`; null when its cloth has none. `sizes` are the layout's. */
export function repeatsOf(plan: Plan, sizes: readonly TopSize[], index: number): Repeats | null {
  const border = plan.borders[index]!;
  const repeat = repeatOf(border);
  if (repeat === null) return null;
  const on = runsOn(border);
  const { width, height } = sizes[index]!.used;
  const across = (width.value + on.top) / repeat;
  const down = (height.value + on.side) / repeat;
  return { across, down, fits: near(across, Math.round(across)) && near(down, Math.round(down)) };
}

/** Whether what a spacer would change is sewn and measured already: the border inside, or, where there is none, the border itself. */
export const isSpacerSewn = ({ measured }: Plan, index: number): boolean =>
  measured.some((top) => top.borders >= Math.max(index, 1) && isMeasured(top));

/**
 * Widths of a spacer just inside the border at `index` so that its repeat comes out even along every
 * side (rule BO-7: a spacer border makes the next one fit). Nearest to the width the spacer has now
 * and most even all round first; three at most. The border inside is the spacer; where there is none
 * the first answers are the narrowest that can be sewn. None where that is sewn and measured already.
 */
export function spacerFits(plan: Plan, sizes: readonly TopSize[], index: number): SpacerFit[] {
  const border = plan.borders[index]!;
  const repeat = repeatOf(border);
  if (repeat === null || isSpacerSewn(plan, index)) return [];
  const { unit } = plan;
  const show = (v: number) => formatWorking(v, unit);
  const spacer = index > 0 ? plan.borders[index - 1]! : null;
  const inside = sizes[Math.max(0, index - 1)]!.used;
  const on = runsOn(border);
  const least = limitIn(LEAST_INCHES, unit);
  const widths = (size: number, more: number, now: number, which: string) => {
    const base = size + more;
    const first = howManyCover(base + 2 * least, repeat);
    const nearest = Math.max(first, Math.round((base + 2 * now) / repeat));
    return [nearest, nearest + 1, nearest - 1]
      .filter((count) => count >= first)
      .map((count) => {
        const width = (count * repeat - base) / 2;
        const working = `${which}: ${count} repeats × ${show(repeat)} = ${show(count * repeat)}, less ${formatExact(size)} inside${more > 0 ? ` and ${show(more)} of its own corners` : ''}, halved = ${formatExact(width)}`;
        return { count, width, figure: lengthOf(width, working) };
      });
  };
  const sides = widths(inside.width.value, on.top, spacer?.sides ?? least, 'Along the top');
  const ends = widths(inside.height.value, on.side, spacer?.ends ?? least, 'Along a side');
  const fits = sides.flatMap((s) =>
    ends.map((e) => ({
      s,
      e,
      uneven: Math.abs(s.width - e.width),
      moved: Math.abs(s.width - (spacer?.sides ?? least)) + Math.abs(e.width - (spacer?.ends ?? least)),
    })),
  );
  return fits
    .sort((a, b) => 2 * a.uneven + a.moved - 2 * b.uneven - b.moved)
    .slice(0, 3)
    .map(({ s, e }) => ({
      sides: s.figure,
      ends: e.figure,
      across: s.count,
      down: e.count,
      onRuler: isOnRuler(s.width, unit) && isOnRuler(e.width, unit),
    }));
}

/**
 * The plan with that spacer: the border inside at its widths, or a new one where there was none.
 *
 * @param id of the new border
 */
export function withSpacer(plan: Plan, index: number, { sides, ends }: SpacerFit, id: string): Plan {
  const widths = { sides: sides.value, ends: ends.value };
  if (index > 0)
    return { ...plan, borders: plan.borders.map((b, i) => (i === index - 1 ? { ...b, ...widths } : b)) };
  const measured = plan.measured.map((m) => (m.borders > 0 ? { ...m, borders: m.borders + 1 } : m));
  return {
    ...plan,
    measured,
    borders: [{ ...addedBorder({ ...plan, borders: [] }, id, widths.sides), ...widths }, ...plan.borders],
  };
}
