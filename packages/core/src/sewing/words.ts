import { group } from 'd3-array';
import type { Role } from '../piece/piece.ts';
import { isOfBorder, ROLE_NAMES } from '../piece/roles.ts';
import type { Seam } from './seam-ledger.ts';
import { capital } from '../figure/many.ts';
import { isBlock } from './method.ts';
import type { PartName } from './part-name.ts';
import { partNames } from './part-words.ts';
import { type SeamParts, seamParts, type SewnPart } from './parts.ts';
import type { Sewing, SewingWay } from './sewing.ts';
import type { Top } from './top.ts';
import { longer, TOLERANCE } from '../length/tolerance.ts';

/** Where a piece that is no block lies, told by the block nearest to it. */
interface Near {
  readonly row: number;
  readonly column: number;
  readonly where: 'at' | 'left' | 'right' | 'below' | 'above';
}

/** Words for the pieces, parts and seams of a top: "Row 4: add block 3". */
export interface SeamWords {
  /** What a part of the top is called, by what it is made of. */
  readonly part: (part: SewnPart) => PartName;
  readonly piece: (piece: number) => string;
  /** The row a piece belongs to, counted from 1. */
  readonly row: (piece: number) => number;
  readonly seam: (seam: Seam) => string;
}

/** Longer than so many blocks a seam is one between rows. */
const LONG = 1.7;

/** Words for one top sewn one way; whatever is asked is looked up. */
export function seamWords(
  { top, places }: Pick<Sewing, 'top' | 'places'>,
  way: Pick<SewingWay, 'seams' | 'steps'>,
): SeamWords {
  const inRow = countedInRows(places);
  // Looked up where it is asked: a stage tells a few seams of thousands.
  const found = new Map<number, Near>();
  const near = (at: number): Near => {
    const known = found.get(at) ?? nearTo(top, inRow, at);
    found.set(at, known);
    return known;
  };
  const block = blockSize(top);
  const part = partNames({ top, places: inRow, near });
  // Joined when somebody asks for a long seam first.
  let parts: ReadonlyMap<Seam, SeamParts> | null = null;
  const partsOf = (seam: Seam): SeamParts => {
    if (!parts) {
      const all = seamParts(top, way);
      parts = new Map(way.seams.map((one, number) => [one, all[number]!]));
    }
    return parts.get(seam)!;
  };
  const isBorder = (piece: number) => isOfBorder(top.pieces[piece]!.role);
  const piece = (at: number): string => {
    const { role, outline } = top.pieces[at]!;
    const { column, where } = near(at);
    const name = ROLE_NAMES[role].one.toLowerCase();
    if (role === 'block') return `block ${column}`;
    if (role === 'plain-block') return `plain block ${column}`;
    if (isBorder(at)) return part({ pieces: [at], hull: outline }).the;
    return where === 'at' ? `the ${name} of block ${column}` : `the ${name} ${SIDES[where]} block ${column}`;
  };
  const nameOf = (at: number) => ROLE_NAMES[top.pieces[at]!.role].one.toLowerCase();
  const rowOf = (at: number) => near(at).row;
  return {
    part,
    piece,
    row: rowOf,
    seam: (seam) => {
      const { beside, mitre, length, pieces } = seam;
      const [a, b] = [longest(beside, 'a'), longest(beside, 'b')];
      if (mitre) return `Mitre: ${piece(a)} and ${piece(b)}`;
      const isLong = length > LONG * block && pieces[0] > 1 && pieces[1] > 1;
      if (isBorder(a) || isBorder(b) || isLong) {
        const of = partsOf(seam);
        const [first, second] =
          isLong && !isBorder(a) && !isBorder(b) ? [of.b, of.a] : byBorder(of, isBorder);
        return `${capital(part(first).the)} onto ${part(second).the}`;
      }
      const [one, other] = [near(a), near(b)];
      const place = `Row ${other.row}`;
      if (top.pieces[b]!.role === 'block') return `${place}: add block ${other.column}`;
      // A block that was made up with its sashes goes by its block.
      if (pieces[1] > 1 && pieces[0] > 1 && one.column !== other.column)
        return `${place}: add block ${other.column}`;
      if (one.row !== other.row || one.column !== other.column)
        return `${place}: add ${piece(b).replace(/^the /, '')}`;
      const here = `${place}, block ${other.column}`;
      return one.where === 'at' && isBlock(top, a)
        ? `${here}: ${sideName(top.pieces[b]!.role, other.where)}`
        : `${here}: ${nameOf(b)} to ${nameOf(a)}`;
    },
  };
}

/** The strip first, and then what it goes on; of two parts of borders the smaller one first. */
const byBorder = ({ a, b }: SeamParts, isBorder: (piece: number) => boolean): [SewnPart, SewnPart] => {
  const [ofA, ofB] = [a, b].map(({ pieces }) => pieces.every(isBorder));
  return ofA && (!ofB || a.pieces.length <= b.pieces.length) ? [a, b] : [b, a];
};

const SIDES = { left: 'left of', right: 'right of', below: 'below', above: 'above' } as const;
/** Of one side of a seam the piece that has most of it. */
const longest = (beside: Seam['beside'], side: 'a' | 'b'): number =>
  beside
    .filter((one) => one.side === side)
    .reduce((most, one) => (longer(one.length, most.length) ? one : most)).piece;

/** "left sash", "sash below" */
function sideName(role: Role, where: Near['where']): string {
  const name = ROLE_NAMES[role].one.toLowerCase();
  return where === 'left' || where === 'right'
    ? `${where} ${name}`
    : where === 'at'
      ? name
      : `${name} ${where}`;
}

/** Blocks counted within their own row, from its left end. */
function countedInRows(places: Sewing['places']): Sewing['places'] {
  const rows = group(places, ([, { row }]) => row);
  return new Map(
    [...rows].flatMap(([row, own]) =>
      own
        .sort(([, a], [, b]) => a.column - b.column)
        .map(([piece], i) => [piece, { row, column: i + 1 }] as const),
    ),
  );
}

/** The longest side of the largest block. */
const blockSize = (top: Top): number =>
  Math.max(
    0,
    ...top.pieces.flatMap(({ outline }, piece) =>
      isBlock(top, piece)
        ? outline.map((p, i) => {
            const q = outline[(i + 1) % outline.length]!;
            return Math.hypot(q.x - p.x, q.y - p.y);
          })
        : [],
    ),
  );

/** Left of a block and below it belongs to it; what has no block beside it goes by the nearest. */
function nearTo(top: Top, places: Sewing['places'], piece: number): Near {
  const own = places.get(piece);
  if (own) return { ...own, where: 'at' };
  const { x, y } = top.pieces[piece]!.middle;
  let best: { block: number; far: number } | null = null;
  for (const block of places.keys()) {
    const { middle } = top.pieces[block]!;
    // Of blocks as far away the one to the right and above.
    const far =
      Math.hypot(middle.x - x, middle.y - y) +
      TOLERANCE * (y < middle.y ? 1 : 0) +
      TOLERANCE * (x > middle.x ? 1 : 0);
    if (!best || far < best.far) best = { block, far };
  }
  if (!best) return { row: 1, column: 1, where: 'at' };
  const { middle } = top.pieces[best.block]!;
  const [dx, dy] = [x - middle.x, y - middle.y];
  const where = Math.abs(dx) > Math.abs(dy) ? (dx < 0 ? 'left' : 'right') : dy < 0 ? 'above' : 'below';
  return { ...places.get(best.block)!, where };
}
