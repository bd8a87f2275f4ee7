import { formatSize, formatWithUnit } from '../length/format.ts';
import { atLeast, near } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { SewnStep } from './seam-ledger.ts';
import { capital, listed, manyOf } from '../figure/many.ts';
import { isBlock } from './method.ts';
import { type RawSize, rawSizeOf } from './parts.ts';
import type { Told } from './told.ts';
import { EASE_INCHES, TRUE_INCHES } from '../length/ease.ts';

/** Parts alike when a step is done: what they should measure with their seams, and what can be eased of that. */
export interface PartSize extends RawSize {
  /** What a measurement of it is kept under. */
  readonly id: string;
  /** "Each row", "Row 2", "The top" */
  readonly what: string;
  readonly count: number;
  /** What can be eased across and down: each block along that way gives a little. */
  readonly ease: Ease;
}

/** What a part can be eased by: in its width, and in its height. */
export interface Ease {
  readonly width: number;
  readonly height: number;
}

/** So many rows of one size are told by their names, more are counted. */
const NAMED = 4;

/** What can be eased in all without ripples, however many blocks a side has: 1/2" (rule SW-7). */
const MOST_EASE_INCHES = 1 / 2;

/** What a part of so many blocks can be eased by each way (rule SW-7); one without blocks as one. */
function easeOf(blocks: number, { width, height }: RawSize, unit: Unit): Ease {
  const across = Math.max(1, Math.round(Math.sqrt((blocks * width) / height)));
  const down = Math.max(1, Math.round(blocks / across));
  const ease = (count: number) => fromInches(Math.min(MOST_EASE_INCHES, count * EASE_INCHES), unit);
  return { width: ease(across), height: ease(down) };
}

/** "⅜″ can be eased", or how much across and how much down. */
export function easeSays({ width, height }: Ease, unit: Unit): string {
  const show = (length: number) => formatWithUnit(length, unit);
  if (near(width, 0) && near(height, 0)) return 'trimmed to that';
  return near(width, height)
    ? `${show(width)} either way can be eased`
    : `${show(width)} across and ${show(height)} down can be eased`;
}

/** What the parts that a step makes should measure; those of one kind and one size together. */
export function partSizes({ plan, sewing: { top }, parts, words, way }: Told, step: SewnStep): PartSize[] {
  // Strips of a mitred border are over-long until their mitres are sewn.
  if (step.id.endsWith('-strips') && step.id.startsWith('border')) return [];
  const numbers = step.seams;
  const gone = new Set(
    numbers.flatMap((number) => (way.seams[number]!.mitre ? [] : [parts[number]!.a, parts[number]!.b])),
  );
  const made = [...new Set(numbers.map((number) => parts[number]!.made))].filter((part) => !gone.has(part));
  const sizes: { kind: string; the: string[]; count: number; size: RawSize; blocks: number }[] = [];
  for (const part of made) {
    const size = rawSizeOf(part, plan.seam);
    const { kind, the } = words.part(part);
    const alike = sizes.find(
      (one) => one.kind === kind && near(one.size.width, size.width) && near(one.size.height, size.height),
    );
    if (alike) {
      alike.count++;
      alike.the.push(the);
    } else {
      const blocks = part.pieces.filter((piece) => isBlock(top, piece)).length;
      sizes.push({ kind, the: [the], count: 1, size, blocks });
    }
  }
  const kindsOf = (kind: string) => sizes.filter((one) => one.kind === kind).length;
  return sizes.map(({ kind, the, count, size, blocks }, i) => ({
    id: i === 0 ? step.id : `${step.id}#${i + 1}`,
    what:
      count === 1
        ? capital(the[0]!)
        : kindsOf(kind) === 1
          ? `Each ${kind}`
          : count <= NAMED && /row|column/.test(kind)
            ? capital(listed(the))
            : `${count} of the ${manyOf(kind)}`,
    count,
    ...size,
    ease: easeOf(blocks, size, plan.unit),
  }));
}

/** What a part should measure, as it is said: "Each row now measures 18 1/2 × 6 1/2″". */
export const partSays = ({ what, width, height }: PartSize, unit: Unit, when = 'now'): string =>
  `${what} ${when} ${/^(\d+ of|Rows|Columns)|, | and /.test(what) ? 'measure' : 'measures'} ${formatSize(width, height, unit)}`;

/**
 * What a part measured one way against what it should: go on, ease it, or sew the seam again.
 *
 * @param meant what it should measure that way, in `unit`
 * @param other what it should measure the other way, which a tape may have been laid along
 */
export function judgePart(
  { meant, other, ease }: { readonly meant: number; readonly other: number; readonly ease: number },
  measured: number,
  unit: Unit,
): { readonly kind: 'true' | 'ease' | 'again' | 'part'; readonly text: string } {
  const off = measured - meant;
  const show = formatWithUnit(Math.abs(off), unit);
  const which = off > 0 ? 'long' : 'short';
  if (atLeast(fromInches(TRUE_INCHES, unit), Math.abs(off)))
    return { kind: 'true', text: 'As it should be: go on.' };
  // What is trimmed is not eased.
  if (near(ease, 0))
    return {
      kind: 'again',
      text: off > 0 ? `${show} too large: trim it.` : `${show} too small: its seams are fat. Make it again.`,
    };
  if (atLeast(ease, Math.abs(off)))
    return { kind: 'ease', text: `${show} too ${which}: ease it in, the longer one underneath, pins close.` };
  if (atLeast(ease, Math.abs(measured - other)))
    return {
      kind: 'part',
      text: `That is its other way: this way it should be ${formatWithUnit(meant, unit)}, that way ${formatWithUnit(other, unit)}.`,
    };
  return {
    kind: 'again',
    text: `${show} too ${which}, more than ${formatWithUnit(ease, unit)} that can be eased: ${off > 0 ? 'the seams are scant' : 'the seams are fat'}. Unpick the last seams and sew them again before you go on.`,
  };
}
