import { equalStrips, runLength, stripsFor } from '../strip/joins.ts';
import { countOf, type Figure, numberOf } from '../figure/figure.ts';
import { lengthOnGrid, unitsDown, unitsUp } from '../length/grid.ts';
import { formatExact, formatLength, formatWorking } from '../length/format.ts';
import { atLeast, howManyCover } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';

/** Less than this left over of the last strip is too close: 2" (rule BD-2: 3.98 strips → take one more). */
const LAST_STRIP_SPARE_INCHES = 2;

/** Beyond the edge itself a binding wants so much for its corners and tails, whatever the school adds: 6", 15 cm (rule BD-3). */
export const LEAST_TAIL: Readonly<Record<Unit, number>> = { in: 6, cm: 15 };

/** A binding to be made of strips; lengths in `unit`. */
export interface StripWish {
  /** All round and with what the school adds, less what leftovers do of it. */
  readonly length: number;
  /** The edge that has to be gone round, bare. */
  readonly around: number;
  readonly usable: number;
  readonly strip: number;
  readonly unit: Unit;
  /** What leftovers reach that these strips are joined on to; their first join takes a strip's width too. */
  readonly before?: number;
}

/** Whole strips of a binding, counted three ways. */
export interface BindingStrips {
  /** The trade's plain count: length ÷ usable width, up. */
  readonly plain: Figure;
  /** Strictly, every join taking a strip's width of the length with its allowance. */
  readonly strict: Figure;
  /** What is bought and cut: the plain count where, joined, it gets round with enough for corners and tails; more where it does not. */
  readonly cut: Figure;
  /** So much the strips have to come to once they are joined: all they can, or the length with a little to spare. */
  readonly reach: number;
}

/** Whole strips for a length of binding: length ÷ usable width, up, and one more when the last would be all but used up (rule BD-2). */
export function stripsOf(length: number, usable: number, unit: Unit): Figure {
  const covered = howManyCover(length, usable);
  const tight = covered * usable - length < fromInches(LAST_STRIP_SPARE_INCHES, unit);
  const strips = tight && covered > 0 ? covered + 1 : covered;
  return countOf(
    strips,
    `${formatExact(length)} ÷ ${formatLength(usable, unit)} usable = ${(length / usable).toFixed(2)}, up to whole strips: ${covered}`,
    ...(tight && covered > 0 ? [`The last would be all but used up, so one more: ${strips}`] : []),
  );
}

/** Strips counting that each diagonal join takes a strip's width (rule BD-3). */
const strictStripsOf = ({ length, usable, strip, unit }: StripWish): Figure =>
  countOf(
    stripsFor(length, usable, strip),
    `Each diagonal join takes ${formatLength(strip, unit)}: strips of ${formatLength(usable, unit)} less a join between each two`,
  );

/** Counts the strips of a binding, and sees to it that they get round once they are joined (rule BD-3). */
export function countStrips(wish: StripWish): BindingStrips {
  const { length, around, usable, strip, unit, before } = wish;
  const plain = stripsOf(length, usable, unit);
  const strict = strictStripsOf(wish);
  const tail = LEAST_TAIL[unit];
  // A leftover's run ends in a join of its own.
  const had = before === undefined || before <= 0 ? 0 : before - strip;
  const reachOf = (strips: number) =>
    had + (strips === 0 ? 0 : runLength(equalStrips(strips, usable, strip)));
  const least = stripsFor(around + tail - had, usable, strip);
  const enough = atLeast(reachOf(plain.value), around + tail);
  const cut = enough ? plain.value : Math.max(plain.value + 1, least);
  const show = (v: number) => formatWorking(v, unit);
  const joined = (strips: number) =>
    `${had > 0 ? `${formatExact(had)} of leftovers + ` : ''}${strips} × ${show(usable)} − ${numberOf(strips - 1, 'join')} × ${show(strip)} = ${formatExact(reachOf(strips))}`;
  const wants = `the edge is ${formatExact(around)}, and ${show(tail)} more is wanted for corners and tails`;
  return {
    plain,
    strict,
    cut: countOf(
      cut,
      ...plain.working,
      `Joined: ${joined(plain.value)}; ${wants}: ${enough ? 'enough' : 'short'}`,
      ...(enough ? [] : [`So ${numberOf(cut, 'strip')}: ${joined(cut)}`]),
    ),
    // On the grid a cloth is planned on it is at most a mark narrower, and joins at most a mark longer.
    reach: Math.min(
      runLength(
        equalStrips(
          cut,
          lengthOnGrid(unitsDown(usable, unit), unit),
          lengthOnGrid(unitsUp(strip, unit), unit),
        ),
      ),
      length + fromInches(LAST_STRIP_SPARE_INCHES, unit),
    ),
  };
}
