import { sum } from 'd3-array';
import type { ClothDirection } from '../cloth/direction.ts';
import { countOf, type Figure, numberOf } from '../figure/figure.ts';
import { near } from '../length/tolerance.ts';
import type { Role } from '../piece/piece.ts';
import { ROLE_NAMES } from '../piece/roles.ts';
import type { Cut, CutShape } from './cut.ts';
import { squaresLying } from './lying.ts';

/** One line of a cutting list: cuts alike in role, cloth, size and the way they lie. */
export interface CutLine extends Pick<
  Cut,
  | 'id'
  | 'owner'
  | 'role'
  | 'name'
  | 'fabric'
  | 'use'
  | 'count'
  | 'grain'
  | 'oneWay'
  | 'joins'
  | 'under'
  | 'notes'
> {
  /** The cuts on this line; the line bears the id of the first. */
  readonly cuts: readonly Cut[];
  readonly cut: CutShape;
  /** The layout's parts it serves, so that pointing at the line lights them up. */
  readonly parts: readonly string[];
  /** For triangles: the squares they are cut from, and the triangles left over. */
  readonly squares: { readonly count: Figure; readonly leftOver: number } | null;
}

/** Triangles that one cut square gives. */
const TRIANGLES_PER_SQUARE = { 'quarter-square': 4, 'half-square': 2 } as const;

/**
 * A cutting list: pieces of the top that are alike stand on one line, so that triangles share squares; layers and
 * edge have a line for each cut.
 *
 * @param directionOf which way the print of a fabric runs, by the fabric's id
 */
export function linesOf(cuts: readonly Cut[], directionOf: (fabric: string) => ClothDirection): CutLine[] {
  const groups: Cut[][] = [];
  for (const cut of cuts) {
    const alike = cut.owner === 'top' ? groups.find(([first]) => areAlike(first!, cut)) : undefined;
    if (alike) alike.push(cut);
    else groups.push([cut]);
  }
  return groups.map((group) => {
    const role = group[0]!.role;
    const alone = groups.filter(([first]) => first!.role === role).length === 1;
    return lineOf(group, directionOf(group[0]!.fabric), alone);
  });
}

/** Cuts that are alike as one line. @param alone no other line has its role, so that the role names it. */
function lineOf(cuts: readonly Cut[], direction: ClothDirection, alone: boolean): CutLine {
  const { id, owner, role, fabric, use, size, grain, oneWay, joins } = cuts[0]!;
  const named = owner === 'top' && alone ? ROLE_NAMES[role as Role].many : cuts.map((c) => c.name).join(', ');
  const count = together(cuts.map((c) => c.count));
  return {
    id,
    owner,
    role,
    name: named,
    fabric,
    use,
    cut: size,
    count,
    grain,
    oneWay,
    joins,
    cuts,
    parts: [...new Set(cuts.flatMap((c) => (c.part === null ? [] : [c.part])))],
    squares: squaresOf(cuts, count.value, direction),
    notes: [
      ...new Set(cuts.flatMap((c) => c.notes)),
      ...(owner === 'top' && oneWay ? [liesOn(grain, oneWay, cuts[0]!.size)] : []),
    ],
    under: cuts.every((c) => c.under),
  };
}

/** A strip that is cut along the selvage though the print would have it across: the print lies on its side in it. */
export const liesOnItsSide = ({ grain, oneWay }: Pick<Cut, 'grain' | 'oneWay'>): boolean =>
  grain === 'lengthwise' && oneWay === 'across';

function liesOn(grain: Cut['grain'], oneWay: 'across' | 'along', size: CutShape): string {
  if (liesOnItsSide({ grain, oneWay }))
    return 'Cut along the selvage: the print lies on its side here. Cut it across the cloth where it should stand up.';
  // Of a piece wider than it is long the note is about its longer side all the same.
  const isShort = size.shape === 'rectangle' && size.width.value > size.length.value;
  return isShort ? LIES_SHORT[oneWay] : LIES[oneWay];
}

/** How a piece lies on a cloth with a direction, in words. */
const LIES = {
  along: 'Cut with the length along the selvage, so that the print stands up.',
  across: 'Cut with the length across, from selvage to selvage, so that the print stands up.',
} as const;

const LIES_SHORT = {
  along: 'Cut with its shorter side along the selvage, so that the print stands up.',
  across: 'Cut with its shorter side across, so that the print stands up.',
} as const;

function together(counts: readonly Figure[]): Figure {
  const total = sum(counts, (c) => c.value);
  const working = counts.flatMap((c) => c.working);
  return countOf(total, ...working, ...(counts.length > 1 ? [`Together ${total}`] : []));
}

/** Squares for the triangles of a line, and what is left over; a cloth with a direction asks how each triangle lies. */
function squaresOf(cuts: readonly Cut[], triangles: number, direction: ClothDirection): CutLine['squares'] {
  const { shape } = cuts[0]!.size;
  if (shape === 'rectangle') return null;
  const each = TRIANGLES_PER_SQUARE[shape];
  const lying = cuts.flatMap((c) => c.lying ?? []);
  const { squares, how } =
    direction === 'none' || lying.length === 0
      ? {
          squares: Math.ceil(triangles / each),
          how: `${numberOf(triangles, 'triangle')} ÷ ${each} from a square, up to a whole square`,
        }
      : squaresLying(shape, lying, direction);
  const leftOver = squares * each - triangles;
  const spare = leftOver === 0 ? 'none left over' : `${leftOver} left over`;
  return { count: countOf(squares, `${how}: ${squares}, ${spare}`), leftOver };
}

const areAlike = (a: Cut, b: Cut): boolean =>
  a.role === b.role && a.fabric === b.fabric && a.oneWay === b.oneWay && sameSize(a.size, b.size);

function sameSize(a: CutShape, b: CutShape): boolean {
  if (a.shape === 'rectangle')
    return (
      b.shape === 'rectangle' && near(a.width.value, b.width.value) && near(a.length.value, b.length.value)
    );
  return a.shape === b.shape && near(a.side.value, b.side.value);
}
