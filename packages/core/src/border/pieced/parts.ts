import { count as countIf } from 'd3-array';
import { countOf, numberOf } from '../../figure/figure.ts';
import { formatWithUnit } from '../../length/format.ts';
import type { Part, Piece } from '../../piece/piece.ts';
import type { PiecedBorder } from '../border.ts';
import type { CutBy } from './cut-by.ts';
import { turnsCorner, unitCount, unitLength } from './fit.ts';
import type { OfCloth } from './kind.ts';
import type { Round } from './lie.ts';
import { piecedKind } from './registry.ts';
import { GEESE_OF_SQUARE, pairSquareSum, UNITS_OF_PAIR } from './squares-of-units.ts';
import { stripSets } from './strip-sets.ts';

/** The parts of a pieced border: the patches of either cloth, and plain corner squares where it has them. */
export function piecedParts(
  border: PiecedBorder,
  label: string,
  round: Round,
  pieces: readonly Piece[],
  by: CutBy,
): Part[] {
  const own = `border-${border.id}`;
  const cuts = (of: OfCloth) => cutOfPatches(border, of, round, by);
  const patches = (of: OfCloth): Part => {
    const key = `${own}-${of}`;
    const drawn = countIf(pieces, ({ part }) => (part === key ? 1 : undefined));
    return {
      key,
      role: 'border-patch',
      name: `${label} ${nameOf(border, of)}`,
      grain: 'square-to-edge',
      count: countOf(drawn, ...unitCount(border, round).working, `Of this cloth: ${drawn}`),
      cutFrom: {
        use: { what: of === 'first' ? 'border' : 'border-second', border: border.id },
        fabric: of === 'first' ? border.fabric : border.pieced.fabric,
      },
      ...cuts(of),
    };
  };
  const corners: Part[] = turnsCorner(border)
    ? []
    : [
        {
          key: `${own}-corner`,
          role: 'border-corner',
          name: `${label} corners`,
          grain: 'square-to-edge',
          count: countOf(4, 'One at each corner: 4'),
          cutFrom: { use: { what: 'border-corner', border: border.id }, fabric: border.cornerFabric },
        },
      ];
  return [patches('first'), patches('second'), ...corners];
}

/** What is cut, in the words of the list: strips where it comes of strips, squares that are left whole, or the patches. */
function nameOf({ pieced }: PiecedBorder, of: OfCloth): string {
  if (pieced.made === 'strips') return `strips, ${of} cloth`;
  if (pieced.made === 'four' || pieced.made === 'eight')
    return pieced.kind === 'geese' ? piecedKind(pieced.kind).patchNames[of] : `squares, ${of} cloth`;
  return piecedKind(pieced.kind).patchNames[of];
}

/** What patches of one cloth are cut as: themselves, squares that give several units, or strips that are sewn and crosscut. */
function cutOfPatches(
  border: PiecedBorder,
  of: OfCloth,
  round: Round,
  by: CutBy,
): Pick<Part, 'cutAs' | 'cuts' | 'notes' | 'whole'> {
  const { pieced, ends: depth } = border;
  const kind = piecedKind(pieced.kind);
  const cut = kind.cut(of, { along: unitLength(border), depth }, pieced);
  if (cut.shape === 'rectangle') {
    if (pieced.made !== 'strips')
      return {
        cutAs: { shape: 'rectangle', width: { finished: cut.width }, length: { finished: cut.length } },
      };
    const sets = stripSets(border, round, by);
    return {
      cutAs: {
        shape: 'rectangle',
        width: { finished: unitLength(border) },
        length: {
          cut: by.usableOf(of === 'first' ? border.fabric : pieced.fabric),
          says: 'From selvage to selvage',
        },
      },
      cuts: of === 'first' ? sets.first : sets.second,
      notes: [
        `Sewn together as strips, then crosscut every ${formatWithUnit(sets.crosscut.value, by.unit)}.`,
      ],
    };
  }
  if (pieced.made !== 'four' && pieced.made !== 'eight') return triangles(cut, pieced.made === 'two');
  if (kind.id === 'geese') {
    const geese = unitCount(border, round);
    const large = Math.ceil(geese.value / GEESE_OF_SQUARE);
    const [each, what] = of === 'first' ? [1, 'large square'] : [4, 'small square'];
    const inSquare = of === 'first' ? 4 : 2;
    return {
      ...triangles(cut, true),
      cuts: countOf(
        large * each * inSquare,
        ...geese.working,
        `${numberOf(geese.value, 'goose', 'geese')} ÷ ${GEESE_OF_SQUARE} of a large square and four small ones, up to a whole one: ${numberOf(large * each, what)}`,
      ),
    };
  }
  const { value, says } = pairSquareSum(pieced.made, depth, by.seam, by.unit);
  const each = UNITS_OF_PAIR[pieced.made];
  const units = unitCount(border, round);
  const squares = Math.ceil(units.value / each);
  const side = { cut: value, says };
  return {
    cutAs: { shape: 'rectangle', width: side, length: side },
    cuts: countOf(
      squares,
      ...units.working,
      `${numberOf(units.value, 'unit')} ÷ ${each} of a pair of squares, up to a whole one: ${squares}`,
    ),
    notes: [`Left whole: a square of each cloth gives ${each} units.`],
  };
}

/** Triangles from their squares: cut beforehand, or the squares left whole and cut once they are sewn. */
const triangles = (
  { shape, side }: { readonly shape: 'half-square' | 'quarter-square'; readonly side: number },
  whole: boolean,
) => ({
  cutAs: { shape, side: { finished: side } },
  ...(whole ? { whole: true as const } : {}),
  notes: whole ? ['Left whole: the squares are cut corner to corner once they are sewn.'] : [],
});
