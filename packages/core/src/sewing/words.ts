import type { Role } from '../piece/piece.ts';
import { ROLE_NAMES } from '../piece/roles.ts';
import type { Seam } from './bench.ts';
import type { Sewing } from './sewing.ts';
import type { Top } from './top.ts';

/** Where a piece that is no block lies, told by the block nearest to it. */
interface Near {
  readonly row: number;
  readonly column: number;
  readonly where: 'at' | 'left' | 'right' | 'below' | 'above';
}

/** Words for the pieces and seams of a top: "Row 4: block 3 to block 2". */
export interface SeamWords {
  readonly piece: (piece: number) => string;
  /** The row a piece belongs to, counted from 1. */
  readonly row: (piece: number) => number;
  readonly seam: (seam: Seam) => string;
}

const BORDERS: readonly Role[] = ['border', 'border-corner'];
/** More pieces than this along both sides of a seam make it one between rows. */
const LONG = 2;

/** Words for one top; whatever is asked is looked up. */
export function seamWords({ top, places }: Pick<Sewing, 'top' | 'places'>): SeamWords {
  const near = top.pieces.map((_, piece) => nearTo(top, places, piece));
  const isBorder = (piece: number) => BORDERS.includes(top.pieces[piece]!.role);
  const piece = (at: number): string => {
    const { role, id } = top.pieces[at]!;
    const { column, where } = near[at]!;
    const name = ROLE_NAMES[role].one.toLowerCase();
    if (role === 'block') return `block ${column}`;
    if (role === 'plain-block') return `plain block ${column}`;
    if (isBorder(at))
      return `the ${name}, ${id
        .split('-')
        .slice(-2)
        .join(' ')
        .replace(/^(side|end) /, '')}`;
    return where === 'at' ? `the ${name} of block ${column}` : `the ${name} ${SIDES[where]} block ${column}`;
  };
  const rowOf = (at: number) => near[at]!.row;
  const rowWords = (at: number) => {
    const { row, where } = near[at]!;
    return where === 'below'
      ? `what lies below row ${row}`
      : where === 'above'
        ? `what lies above row ${row}`
        : `row ${row}`;
  };
  return {
    piece,
    row: rowOf,
    seam: ({ a, b, beside, mitre }) => {
      if (mitre) return `Mitre: ${piece(a)} and ${piece(b)}`;
      if (isBorder(a) || isBorder(b)) {
        const strip = isBorder(b) ? b : a;
        const other = strip === b ? a : b;
        return isBorder(other) && beside.length <= 2
          ? `${capital(piece(strip))} to ${piece(other)}`
          : `${capital(piece(strip))} on`;
      }
      const along = (side: 'a' | 'b') =>
        new Set(beside.filter((one) => one.side === side).map((one) => one.piece)).size;
      if (along('a') >= LONG && along('b') >= LONG) return `Join ${rowWords(a)} and ${rowWords(b)}`;
      return `Row ${rowOf(b)}: ${piece(b)} to ${piece(a)}`;
    },
  };
}

const SIDES = { left: 'left of', right: 'right of', below: 'below', above: 'above' } as const;
const capital = (text: string) => text[0]!.toUpperCase() + text.slice(1);

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
      Math.hypot(middle.x - x, middle.y - y) + 1e-6 * (y < middle.y ? 1 : 0) + 1e-6 * (x > middle.x ? 1 : 0);
    if (!best || far < best.far) best = { block, far };
  }
  if (!best) return { row: 1, column: 1, where: 'at' };
  const { middle } = top.pieces[best.block]!;
  const [dx, dy] = [x - middle.x, y - middle.y];
  const where = Math.abs(dx) > Math.abs(dy) ? (dx < 0 ? 'left' : 'right') : dy < 0 ? 'above' : 'below';
  return { ...places.get(best.block)!, where };
}
