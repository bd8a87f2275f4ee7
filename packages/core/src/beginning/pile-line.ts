import { formatSize, formatWithUnit } from '../length/format.ts';
import { parseLength } from '../length/parse.ts';
import { leastIn, limitIn, mostIn } from '../length/rounding.ts';
import { atLeast, near } from '../length/tolerance.ts';
import { convertLength, type Unit } from '../length/unit.ts';
import { numberOf } from '../figure/figure.ts';
import { PILE_LIMIT } from '../plan/shape.ts';
import { type Granted, granted, refused } from '../refusal/refusal.ts';
import { RANGES } from '../soundness/ranges.ts';

/** How a size was meant: as the block lies there, seams and all, or as it shows once it is sewn in. */
export type SizeMeant = 'cut' | 'finished';

/** So many blocks alike. */
export interface PileGroup {
  readonly count: number;
  /** In the line's unit; null where only their number was said. */
  readonly size: { readonly width: number; readonly height: number } | null;
  /** What was said, or what is likely: see `likely`. */
  readonly meant: SizeMeant;
  /** Whether "cut" or "finished" was said. */
  readonly said: boolean;
  /** What they are, where that was said: "stars". */
  readonly kind: string | null;
}

/** A pile said in one line. */
export interface PileLine {
  readonly unit: Unit;
  readonly groups: readonly PileGroup[];
}

const NUMBERS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  dozen: 12,
};

/** A length inside a line: its figure, and the unit where one is written. */
const LENGTH = String.raw`(?:\d+(?:\s+|\s*-\s*))?\d+\s*[/⁄]\s*\d+|\d*\s*[¼½¾⅓⅔⅛⅜⅝⅞]|\d+[.,]\d+|\d+`;
const MARK = String.raw`(?:\s*(?:"|″|”|''|inch(?:es)?\b|ins?\b\.?|cm\b\.?|mm\b\.?))?`;
const SIZE = new RegExp(
  `((?:${LENGTH})${MARK})(?:\\s*(?:x|×|\\*|by)\\s*((?:${LENGTH})${MARK}))?(?:\\s*(?:square|sq)\\b\\.?)?`,
  'i',
);
/** Where one lot of blocks ends and the next begins: a comma or "and" only before a number with a word that is no measure. */
const PARTED =
  /\s*;\s*|\n|\s*\+\s*|(?:,\s+(?:and\s+)?|\s+and\s+)(?=(?:\d+|a|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)\s+(?!(?:cut|finished|unfinished|raw|in|ins|inch|inches|cm|mm|x|by|of\s+(?:them|these|those))\b)[a-z])/i;
/** A number that was said last: "12 1/2 blocks, 20 of them". */
const SAID_LAST = /,?\s*(\d+)\s+of\s+(?:them|these|those)\b\.?\s*$/i;
/** Blocks, and how their size is said; whatever word is left is what they are. */
const FILLERS =
  /\b(?:i|we|have|got|there|are|is|of|these|those|them|blocks?|squares?|patches|each|at|all|measuring|measured?|sizes?|is|being|about|the|my|our|quilt|pieces?|charms?|on point|inches|inch|cm|mm|and)\b/gi;

/**
 * Reads a pile as people say it: `70 of these, cut 6 1/2"`, `30 blocks, 10 finished`, `12 stars 8 1/2 cut and 13 chains
 * 8 1/2 cut`, `20 of 6 x 9`. Never throws. A size of which nobody said whether it is cut or finished is taken as what
 * it is likely to be, and marked so.
 *
 * @example
 * const read = readPileLine('14 of 7" finished', 'in');
 * read.ok && read.value.groups.map(({ count, size }) => [count, size.width]); // [[14, 7]]
 * readPileLine('blocks', 'in').ok; // false
 */
export function readPileLine(text: string, unit: Unit): Granted<PileLine> {
  const parts = text
    // A comma parts what was said only where a number of blocks follows it; "70 of these, cut 6 1/2" is one.
    .split(PARTED)
    .map((part) => part.trim())
    .filter(Boolean);
  const example = unit === 'in' ? '30 blocks, 10″ finished' : '30 blocks, 25 cm finished';
  if (parts.length === 0) return refused(`Say how many and how large, like ${example}.`);
  const inLine: Unit = /\d\s*(?:cm|mm)\b/i.test(text)
    ? 'cm'
    : /\d\s*(?:"|″|”|''|in\b|inch)/i.test(text)
      ? 'in'
      : unit;
  const groups: PileGroup[] = [];
  for (const part of parts) {
    const read = readGroup(part, inLine, example);
    if (!read.ok) return read;
    groups.push(read.value);
  }
  const total = groups.reduce((sum, { count }) => sum + count, 0);
  if (total > PILE_LIMIT) return refused(`A pile holds at most ${PILE_LIMIT} blocks, and this is ${total}.`);
  return granted({ unit: inLine, groups });
}

function readGroup(part: string, unit: Unit, example: string): Granted<PileGroup> {
  const last = SAID_LAST.exec(part);
  const counted =
    last && /^\D*\d.*\d/.test(part.slice(0, last.index) + '0')
      ? { count: Number(last[1]), rest: part.slice(0, last.index) }
      : takeCount(part.replace(/^(?:i|we)\s+have\s+|^there\s+are\s+|^about\s+/i, ''));
  if (!counted) return refused(`“${part.slice(0, 40)}” does not say how many. Write it like ${example}.`);
  const { count, rest } = counted;
  if (count < 1 || count > PILE_LIMIT)
    return refused(`${count} blocks cannot be right: a pile holds 1 to ${PILE_LIMIT}.`);
  const said = /\b(?:cut|unfinished|raw|untrimmed|unsewn)\b/i.test(rest)
    ? 'cut'
    : /\bfinished\b/i.test(rest)
      ? 'finished'
      : null;
  const bare = rest.replace(/\b(?:cut|unfinished|raw|untrimmed|unsewn|finished)\b/gi, ' ');
  const found = SIZE.exec(bare);
  const sizes: number[] = [];
  for (const text of found ? [found[1]!, found[2] ?? found[1]!] : []) {
    const length = parseLength(text.trim(), unit);
    if (!length.ok) return refused(length.message);
    const { least, most } = RANGES.block;
    if (!atLeast(length.value, leastIn(least, unit)) || !atLeast(mostIn(most, unit), length.value))
      return refused(
        `A block of ${formatWithUnit(length.value, unit)} cannot be right: it lies between ${formatWithUnit(limitIn(least, unit), unit)} and ${formatWithUnit(limitIn(most, unit), unit)}.`,
      );
    sizes.push(length.value);
  }
  const size = sizes.length === 2 ? { width: sizes[0]!, height: sizes[1]! } : null;
  const squares = /\b(?:squares|charms?|patches)\b/i.test(bare);
  const rested = found ? bare.replace(found[0], ' ') : bare;
  if (/\d/.test(rested))
    return refused(`“${part.slice(0, 40)}” could be read two ways. Write it like ${example}.`);
  const words = rested.replace(FILLERS, ' ').replace(/[^\p{L}’'\s-]/gu, ' ');
  const kind = words.replace(/\s+/g, ' ').trim();
  return granted({
    count,
    size,
    meant: said ?? likely(size, squares, unit),
    said: said !== null,
    kind: kind === '' ? null : kind.slice(0, 60),
  });
}

/** How many, at the beginning of what was said: a figure, a word, or so many dozen. */
function takeCount(text: string): { readonly count: number; readonly rest: string } | null {
  const figure = /^(\d+)(?![\d.,/⁄½¼¾⅛⅜⅝⅞])\s*(dozen\b)?(?:\s*(?:x|×)\s)?/i.exec(text);
  if (figure) return { count: Number(figure[1]) * (figure[2] ? 12 : 1), rest: text.slice(figure[0].length) };
  const word = /^([a-z]+)\s+(dozen\b)?/i.exec(`${text} `);
  const count = word ? NUMBERS[word[1]!.toLowerCase()] : undefined;
  if (!word || count === undefined) return null;
  return { count: count * (word[2] ? 12 : 1), rest: text.slice(Math.min(text.length, word[0].length)) };
}

/**
 * Squares are sold and spoken of as they are cut. A block that measures a half inch over a whole one (in centimetres,
 * one and a half) has its seams on; otherwise people name what shows (common practice; both said plainly beside it).
 */
function likely(size: PileGroup['size'], squares: boolean, unit: Unit): SizeMeant {
  if (squares) return 'cut';
  const part = size ? size.width % 1 : 0;
  return size && near(part, 0.5) && (unit === 'in' || size.width > 5) ? 'cut' : 'finished';
}

/** The size a group of blocks shows once it is sewn in; null where no size was said. */
export function finishedSize({ size, meant }: PileGroup, seam: number): PileGroup['size'] {
  if (!size || meant === 'finished') return size;
  return { width: size.width - 2 * seam, height: size.height - 2 * seam };
}

/** What was understood of a line, to be read beside it: "70 blocks, cut 6 1/2″, 6″ finished". */
export function pileLineWords({ groups, unit }: PileLine, seam: number): string {
  return groups
    .map((group) => {
      const { count, kind, size, meant } = group;
      const what = kind === null ? numberOf(count, 'block') : `${count} ${kind}`;
      if (!size) return `${what}, size not said`;
      const [cut, finished] =
        meant === 'cut'
          ? [size, finishedSize(group, seam)!]
          : [{ width: size.width + 2 * seam, height: size.height + 2 * seam }, size];
      const show = (s: { width: number; height: number }) =>
        near(s.width, s.height) ? formatWithUnit(s.width, unit) : formatSize(s.width, s.height, unit);
      return `${what}, cut ${show(cut)}, ${show(finished)} finished`;
    })
    .join('; ');
}

/** The same line in the other unit, for a plan kept in that. */
export function pileLineIn(line: PileLine, unit: Unit): PileLine {
  const size = (s: PileGroup['size']): PileGroup['size'] =>
    s && {
      width: convertLength(s.width, line.unit, unit),
      height: convertLength(s.height, line.unit, unit),
    };
  return { unit, groups: line.groups.map((group) => ({ ...group, size: size(group.size) })) };
}

/** The line with every size of which nobody said it taken as cut, or as finished. */
export const withMeant = ({ unit, groups }: PileLine, meant: SizeMeant): PileLine => ({
  unit,
  groups: groups.map((group) => (group.said ? group : { ...group, meant })),
});
