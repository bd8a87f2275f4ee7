import { valueOf } from '../colour/colour.ts';
import { areaOf } from '../geometry/outline.ts';
import type { Role } from '../piece/piece.ts';
import { isOfBorder } from '../piece/roles.ts';
import type { Seam } from './seam-ledger.ts';
import type { BlockPlace } from './places.ts';
import type { Top } from './top.ts';

/** What pressing looks at besides the seams: the top, where its blocks lie, and how light its cloths are. */
export interface PressContext {
  readonly top: Top;
  /** Where the blocks stand. */
  readonly places: ReadonlyMap<number, BlockPlace>;
  /** Colour of a piece's cloth; null for blocks. */
  readonly colourOf: (piece: number) => string | null;
}

/** A rule of the trade on which way a seam is pressed. */
export interface PressRule {
  readonly id: string;
  readonly name: string;
  /** How much it counts, when it is not said otherwise; a crossing that nests counts 100. */
  readonly weight: number;
  /** The side the seam goes to by this rule; null where it says nothing. */
  prefers(seam: Seam, context: PressContext): 'a' | 'b' | null;
}

/** Cloth lighter than this shows what is pressed under it; cloth darker than that is what shows through: of 1 (from memory). */
const LIGHT = 0.75;
const DARK = 0.5;

/** Every rule; each can be switched off and weighed (rule SW-3, common practice; weights from memory). */
export const PRESS_RULES: readonly PressRule[] = [
  {
    id: 'toward-sash',
    name: 'Toward the sash',
    weight: 8,
    prefers: (seam, { top }) =>
      toward(seam, top, ['sash', 'coping-strip'], ['cornerstone', 'border', 'border-patch', 'border-corner']),
  },
  {
    id: 'from-cornerstone',
    name: 'Away from cornerstones',
    weight: 8,
    prefers: (seam, { top }) => opposite(toward(seam, top, ['cornerstone'])),
  },
  {
    id: 'toward-border',
    name: 'Toward the border',
    weight: 6,
    prefers: (seam, { top }) => toward(seam, top, ['border']) ?? outward(seam, top),
  },
  {
    id: 'from-patches',
    name: 'Away from the patches of a pieced border',
    weight: 6,
    prefers: (seam, { top }) => opposite(toward(seam, top, ['border-patch'])),
  },
  {
    id: 'patches',
    name: 'Between patches toward the smaller, or the darker',
    weight: 5,
    prefers: betweenPatches,
  },
  {
    id: 'toward-triangle',
    name: 'Toward the triangle',
    weight: 2,
    prefers: (seam, { top }) => toward(seam, top, ['side-triangle', 'corner-triangle', 'frame-triangle']),
  },
  {
    id: 'toward-dark',
    name: 'Toward the dark, where it would show through',
    weight: 4,
    prefers: (seam, { colourOf }) => {
      const a = lightnessOf(seam, 'a', colourOf);
      const b = lightnessOf(seam, 'b', colourOf);
      if (a === null || b === null) return null;
      if (a >= LIGHT && b <= DARK) return 'b';
      return b >= LIGHT && a <= DARK ? 'a' : null;
    },
  },
  {
    id: 'alternate-rows',
    name: 'Every other row the other way',
    weight: 3,
    prefers: ({ a, b, towardA }, { places }) => {
      const [one, other] = [places.get(a), places.get(b)];
      if (!one || !other) return null;
      // To the right in odd rows, to the left in even ones; down and up alike in columns.
      if (one.row === other.row) return (one.row % 2 === 1) === towardA.x > 0 ? 'a' : 'b';
      return (one.column % 2 === 1) === towardA.y > 0 ? 'a' : 'b';
    },
  },
];

/** Of a border sewn on to a border the strip that goes on last: outward, away from the quilt it is sewn to. */
function outward({ mitre, pieces: [ofA, ofB], beside }: Seam, { pieces }: Top): 'a' | 'b' | null {
  if (mitre || ofA === ofB) return null;
  const all = beside.every(({ piece }) => isOfBorder(pieces[piece]!.role));
  // Corner squares are sewn to their own strip, not to a border within.
  const own =
    beside.filter(({ piece }) => pieces[piece]!.role === 'border-corner').length > 0 && ofA + ofB <= 3;
  const pieced = beside.some(({ piece }) => pieces[piece]!.role === 'border-patch');
  return all && !own && !pieced ? (ofA < ofB ? 'a' : 'b') : null;
}

/**
 * Of two patches of a pieced border the smaller, as a goose's wing; of two as large the darker; where units are joined, the side
 * on which fewer pieces lie, as the base of a goose.
 */
function betweenPatches({ beside }: Seam, { top: { pieces }, colourOf }: PressContext): 'a' | 'b' | null {
  if (!beside.every(({ piece }) => pieces[piece]!.role === 'border-patch')) return null;
  const of = (side: 'a' | 'b') => beside.filter((one) => one.side === side).map(({ piece }) => piece);
  const [a, b] = [of('a'), of('b')];
  if (a.length !== b.length) return a.length < b.length ? 'a' : 'b';
  if (a.length > 1) return null;
  const size = ([piece]: readonly number[]) => areaOf(pieces[piece!]!.outline);
  const [ofA, ofB] = [size(a), size(b)];
  if (Math.abs(ofA - ofB) > 1e-3 * Math.max(ofA, ofB)) return ofA < ofB ? 'a' : 'b';
  const light = ([piece]: readonly number[]) => valueOf(colourOf(piece!) ?? '#ffffff');
  const [lightA, lightB] = [light(a), light(b)];
  return Math.abs(lightA - lightB) < 0.02 ? null : lightA < lightB ? 'a' : 'b';
}

/** The side on which most of the seam lies along pieces of these roles, unless the other side is of them too, or of `never`. */
function toward(
  { beside }: Seam,
  { pieces }: Top,
  roles: readonly Role[],
  never: readonly Role[] = [],
): 'a' | 'b' | null {
  const share = (side: 'a' | 'b', of: readonly Role[]) => {
    let [some, all] = [0, 0];
    for (const one of beside)
      if (one.side === side) {
        all += one.length;
        if (of.includes(pieces[one.piece]!.role)) some += one.length;
      }
    return all > 0 ? some / all : 0;
  };
  const [a, b] = [share('a', roles), share('b', roles)];
  if (a > 0.5 === b > 0.5) return null;
  const [side, other] = a > b ? (['a', 'b'] as const) : (['b', 'a'] as const);
  return share(other, never) > 0.5 ? null : side;
}

const opposite = (side: 'a' | 'b' | null): 'a' | 'b' | null =>
  side === null ? null : side === 'a' ? 'b' : 'a';

function lightnessOf({ beside }: Seam, side: 'a' | 'b', colourOf: PressContext['colourOf']): number | null {
  let [sum, all] = [0, 0];
  for (const one of beside) {
    if (one.side !== side) continue;
    const colour = colourOf(one.piece);
    if (colour === null) return null;
    sum += one.length * valueOf(colour);
    all += one.length;
  }
  return all > 0 ? sum / all : null;
}
