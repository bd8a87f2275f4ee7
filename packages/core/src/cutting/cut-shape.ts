import type { CutShape } from '../cut/cut.ts';
import { type Figure, lengthOf } from '../figure/figure.ts';
import type { CutLength, Cutting, TriangleRule } from '../piece/piece.ts';
import type { Point } from '../geometry/point.ts';
import { formatExact, formatLength, formatWorking, unitMark } from '../length/format.ts';
import { isOnRuler, ontoMark, type Rounding, rulerNearest, rulerUp } from '../length/rounding.ts';
import { near } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';

/**
 * The cut shape of a finished outline: seam allowance all round, straight grain where the quilt
 * needs it. Knows rectangles and right-angled isosceles triangles, which is what settings are made of.
 *
 * Rectangle: `w + 2a` by `l + 2a`. Triangle with its long side `h` on the grain, a quarter of a square
 * of `h + 2a(1 + √2)`; with its short sides `l` on the grain, half a square of `l + a(2 + √2)`. At a
 * quarter-inch seam the trade adds 1 1/4 and 7/8 instead, unless the exact form is asked for. All by
 * rule TR-2. A part that says what it is cut as is cut so, whatever its outline.
 *
 * @throws when the outline is neither: a setting drew something that cannot be cut yet.
 */
export function cutShapeOf(
  outline: readonly Point[],
  { grain, cutAs, rule = 'trade' }: Cutting,
  seam: number,
  unit: Unit,
): CutShape {
  if (cutAs?.shape === 'rectangle')
    return {
      shape: 'rectangle',
      width: cutLength(cutAs.width, seam, unit),
      length: cutLength(cutAs.length, seam, unit),
    };
  if (cutAs) {
    const { shape, side } = cutAs;
    if ('cut' in side) return { shape, side: asCut(side, unit) };
    return {
      shape,
      side: (shape === 'quarter-square' ? quarterSquareSide : halfSquareSide)(
        side.finished,
        seam,
        unit,
        rule,
      ),
    };
  }
  const flat = grain === 'diagonal' ? outline.map(turnedToGrain) : outline;
  if (flat.length === 4 && isUprightRectangle(flat)) {
    const { width, height } = extent(flat);
    return {
      shape: 'rectangle',
      width: withSeams(Math.min(width, height), seam, unit),
      length: withSeams(Math.max(width, height), seam, unit),
    };
  }
  if (flat.length === 3) {
    const { width, height } = extent(flat);
    if (near(width, height)) {
      return { shape: 'half-square', side: halfSquareSide(width, seam, unit, rule) };
    }
    if (near(Math.max(width, height), 2 * Math.min(width, height))) {
      return { shape: 'quarter-square', side: quarterSquareSide(Math.max(width, height), seam, unit, rule) };
    }
  }
  throw new Error('A piece of this shape has no cutting rule.');
}

/** A finished length with a seam at either end, on the ruler. */
function withSeams(
  finished: number,
  seam: number,
  unit: Unit,
  extra?: { length: number; says: string },
): Figure {
  const exact = finished + 2 * seam + (extra?.length ?? 0);
  const sum = `${formatWorking(finished, unit)} finished + 2 × ${formatWorking(seam, unit)} seam${extra ? ` + ${extra.says}` : ''}`;
  return rounded(exact, sum, rulerNearest(unit), unit);
}

function cutLength(length: CutLength, seam: number, unit: Unit): Figure {
  if ('cut' in length) return asCut(length, unit);
  const figure = withSeams(length.finished, seam, unit, length.spare);
  return length.working ? { ...figure, working: [...length.working, ...figure.working] } : figure;
}

/** A length given as it is cut; only the ruler's nearest mark is still to be found. */
const asCut = ({ cut, says }: { cut: number; says: string }, unit: Unit): Figure =>
  rounded(cut, says, rulerNearest(unit), unit);

/** A quilter's quarter-inch seam, for which the trade keeps its own additions. */
const isTradeSeam = (seam: number, unit: Unit): boolean => unit === 'in' && near(seam, 1 / 4);

/** Side of the square cut twice corner to corner for a triangle of long side `long`, finished. */
export function quarterSquareSide(
  long: number,
  seam: number,
  unit: Unit,
  rule: TriangleRule = 'trade',
): Figure {
  return rule === 'trade' && isTradeSeam(seam, unit)
    ? rounded(long + 1.25, `${formatExact(long)} long side + 1 1/4`, rulerUp(unit), unit)
    : rounded(
        long + 2 * seam * (1 + Math.SQRT2),
        `${formatExact(long)} long side + 2 × ${formatWorking(seam, unit)} × (1 + √2)`,
        rulerUp(unit),
        unit,
      );
}

/** Side of the square cut once corner to corner for a triangle of short side `short`, finished. */
export function halfSquareSide(
  short: number,
  seam: number,
  unit: Unit,
  rule: TriangleRule = 'trade',
): Figure {
  return rule === 'trade' && isTradeSeam(seam, unit)
    ? rounded(short + 0.875, `${formatExact(short)} short side + 7/8`, rulerUp(unit), unit)
    : rounded(
        short + seam * (2 + Math.SQRT2),
        `${formatExact(short)} short side + ${formatWorking(seam, unit)} × (2 + √2)`,
        rulerUp(unit),
        unit,
      );
}

/** `exact` on the ruler, its working saying which rounding was used, or none when it lies on a mark already. */
function rounded(exact: number, sum: string, rounding: Rounding, unit: Unit): Figure {
  const needed = rounding === rulerUp(unit) ? !near(rounding.apply(exact), exact) : !isOnRuler(exact, unit);
  if (!needed)
    return lengthOf(ontoMark(exact, unit), `${sum} = ${formatLength(exact, unit)}${unitMark(unit)}`);
  const value = rounding.apply(exact);
  return lengthOf(
    value,
    `${sum} = ${formatExact(exact)}, ${rounding.name}: ${formatLength(value, unit)}${unitMark(unit)}`,
  );
}

/** The plane turned 45°, so that a piece on point lies level. Lengths are kept. */
const turnedToGrain = ({ x, y }: Point): Point => ({ x: (x + y) * Math.SQRT1_2, y: (y - x) * Math.SQRT1_2 });

function extent(outline: readonly Point[]): { width: number; height: number } {
  const xs = outline.map((p) => p.x);
  const ys = outline.map((p) => p.y);
  return { width: Math.max(...xs) - Math.min(...xs), height: Math.max(...ys) - Math.min(...ys) };
}

function isUprightRectangle(outline: readonly Point[]): boolean {
  return outline.every((p, i) => {
    const next = outline[(i + 1) % outline.length]!;
    return near(p.x, next.x) !== near(p.y, next.y);
  });
}
