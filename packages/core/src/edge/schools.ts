import { sum } from 'd3-array';
import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { atLeast, TOLERANCE } from '../length/tolerance.ts';
import type { BindingSchool } from '../choice/binding-schools.ts';
import type { Unit } from '../length/unit.ts';
import { LEAST_TAIL } from './binding-strips.ts';

/** What each adds to the perimeter, in inches and in centimetres as it would be said there. */
const ADDED: Readonly<Record<Exclude<BindingSchool, 'round-up-sides'>, Readonly<Record<Unit, number>>>> = {
  'plus-ten': { in: 10, cm: 25 },
  'plus-twelve': { in: 12, cm: 30 },
};

/** Round a quilt of this size, with what a school adds for corners and tails; or each side up to the next ten and nothing added. */
export function bindingLength(
  { width, height }: { width: number; height: number },
  school: BindingSchool,
  unit: Unit,
): Figure {
  if (school === 'round-up-sides') {
    const ten = unit === 'in' ? 10 : 25;
    const up = (v: number) => Math.ceil((v - TOLERANCE) / ten) * ten;
    const sides = [up(width), up(width), up(height), up(height)];
    const total = sum(sides);
    const says = `Each side up to the next ${ten}: ${sides.join(' + ')} = ${total}`;
    const left = total - 2 * (width + height);
    if (atLeast(left, LEAST_TAIL[unit])) return lengthOf(total, says);
    // Sides that are whole tens already leave nothing to turn a corner with.
    const added = ADDED['plus-ten'][unit];
    return lengthOf(
      total + added,
      says,
      `That leaves only ${formatExact(left)} for corners and tails, so + ${added} = ${total + added}`,
    );
  }
  const around = 2 * (width + height);
  return withAdded(
    lengthOf(
      around,
      `Round the quilt: 2 × (${formatWorking(width, unit)} + ${formatWorking(height, unit)}) = ${formatExact(around)}`,
    ),
    school,
    unit,
  );
}

/** A perimeter that was measured, with what a school adds. */
export function withAdded(
  around: Figure,
  school: Exclude<BindingSchool, 'round-up-sides'>,
  unit: Unit,
): Figure {
  const added = ADDED[school][unit];
  return lengthOf(
    around.value + added,
    ...around.working,
    `+ ${added} for corners and tails = ${formatExact(around.value + added)}`,
  );
}

/** What the rule of the root adds to the square's side, for squaring and the trimmed points: 2", 5 cm. */
const ROOT_SPARE: Readonly<Record<Unit, number>> = { in: 2, cm: 5 };

/** Side of a square that bias strips are cut from: √(length × strip), up to a whole inch (or centimetre), + 2" (rule BI-1). */
export function biasSquare(
  length: number,
  strip: number,
  unit: Unit,
): { readonly root: number; readonly square: Figure } {
  const root = Math.ceil(Math.sqrt(length * strip) - TOLERANCE);
  const spare = ROOT_SPARE[unit];
  return {
    root,
    square: lengthOf(
      root + spare,
      `√(${formatExact(length)} × ${formatWorking(strip, unit)}) = ${formatExact(Math.sqrt(length * strip))}, up to ${root}`,
      `+ ${spare} = ${root + spare}`,
    ),
  };
}

/** The same cloth as a length across the whole usable width instead of a square, in whole inches (or centimetres). */
export function biasRectangle(root: number, usable: number): Figure {
  const length = Math.ceil((root * root) / usable - TOLERANCE);
  return lengthOf(
    length,
    `${root} × ${root} = ${root * root} ÷ ${formatExact(usable)} usable = ${formatExact((root * root) / usable)}, up to ${length}`,
  );
}
