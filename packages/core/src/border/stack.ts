import { sum } from 'd3-array';
import { countOf, type Figure } from '../figure/figure.ts';
import {
  type Band,
  type CutAs,
  type CutLength,
  type FabricUse,
  type Part,
  type Piece,
} from '../piece/piece.ts';
import { at } from '../geometry/point.ts';
import { rectangle } from '../geometry/shapes.ts';
import { formatLength, formatWithUnit } from '../length/format.ts';
import { near } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import { type Border, isPieced, type PiecedBorder } from './border.ts';
import type { CutBy } from './pieced/cut-by.ts';
import { unitsRound } from './pieced/fit.ts';
import { piecesRound, type Round } from './pieced/lie.ts';
import { piecedParts } from './pieced/parts.ts';
import type { BorderCorners } from '../choice/border-corners.ts';
import type { TopSize } from './sizes.ts';

/** A bordered centre: the pieces of every border, and the size outside the last. */
export interface Bordered {
  readonly parts: readonly Part[];
  readonly pieces: readonly Piece[];
  readonly bands: { readonly across: readonly Band[]; readonly down: readonly Band[] };
}

/** Width of all borders together on one side, and at one end. */
export const borderTotals = (borders: readonly Border[]): { sides: number; ends: number } => ({
  sides: sum(borders, (b) => b.sides),
  ends: sum(borders, (b) => b.ends),
});

/** The corners of a border, in the order their squares are drawn. */
const CORNERS = ['top-left', 'top-right', 'bottom-right', 'bottom-left'] as const;

/** A hand's breadth left on a mitred strip to fold and trim (rule BO-2). */
const MITRE_SPARE_INCHES = 4;

/**
 * A stack of borders round a centre, each butted (sides or top first), with corner squares, or mitred
 * (rules BO-1, BO-2). The quilt's top left corner is the origin, so the centre starts at the stack's totals.
 * Drawn as planned; where the top has been measured, strips are cut by the `sizes` that follow from it.
 */
export function borderStack(borders: readonly Border[], sizes: readonly TopSize[], by: CutBy): Bordered {
  const { unit } = by;
  const parts: Part[] = [];
  const pieces: Piece[] = [];
  const across: Band[] = [];
  const down: Band[] = [];
  const { sides, ends } = borderTotals(borders);
  let inner: Box = {
    x: sides,
    y: ends,
    width: sizes[0]!.planned.width.value,
    height: sizes[0]!.planned.height.value,
  };
  borders.forEach((border, index) => {
    const outer: Box = {
      x: inner.x - border.sides,
      y: inner.y - border.ends,
      width: inner.width + 2 * border.sides,
      height: inner.height + 2 * border.ends,
    };
    const own = `border-${border.id}`;
    const side = `${own}-side`;
    const end = `${own}-end`;
    const label = borders.length === 1 ? 'Border' : `Border ${index + 1}`;
    const bandsOf = (sidePart: string, endPart: string) => {
      const band = (key: string, from: number, width: number, which: 'sides' | 'ends'): Band => ({
        role: 'border',
        part: key,
        from,
        to: from + width,
        moves: { what: 'border', index, side: which },
      });
      across.push(
        band(sidePart, outer.x, border.sides, 'sides'),
        band(sidePart, inner.x + inner.width, border.sides, 'sides'),
      );
      down.push(
        band(endPart, outer.y, border.ends, 'ends'),
        band(endPart, inner.y + inner.height, border.ends, 'ends'),
      );
    };
    if (isPieced(border)) {
      const round = roundOf(border, inner, sizes[index]!);
      const own = piecesRound(border, round);
      pieces.push(...own);
      parts.push(...piecedParts(border, label, round, own, by));
      bandsOf(`border-${border.id}-first`, `border-${border.id}-first`);
      inner = outer;
      return;
    }
    const notes =
      border.corners === 'mitred' && !near(border.sides, border.ends)
        ? [crookedMitre(border, label, unit)]
        : [];
    const part = (key: string, name: string, count: number, working: string, use: FabricUse, cutAs?: CutAs) =>
      parts.push({
        key,
        role: use.what === 'border' ? 'border' : 'border-corner',
        name,
        grain: 'square-to-edge',
        count: countOf(count, working),
        cutFrom: { use, fabric: use.what === 'border' ? border.fabric : border.cornerFabric },
        notes,
        ...(cutAs ? { cutAs } : {}),
      });
    const use: FabricUse = { what: 'border', border: border.id };
    const lengths = stripLengths(border, sizes[index]!, unit);
    part(
      side,
      `${label} sides`,
      2,
      'One on each of two sides: 2',
      use,
      lengths.side && { shape: 'rectangle', width: { finished: border.sides }, length: lengths.side },
    );
    part(
      end,
      `${label} top and bottom`,
      2,
      'One at top, one at bottom: 2',
      use,
      lengths.end && { shape: 'rectangle', width: { finished: border.ends }, length: lengths.end },
    );
    const { left, right, top, bottom, squares } = strips(inner, outer, border.corners);
    pieces.push(
      { id: `${side}-left`, part: side, outline: left },
      { id: `${side}-right`, part: side, outline: right },
      { id: `${end}-top`, part: end, outline: top },
      { id: `${end}-bottom`, part: end, outline: bottom },
    );
    if (squares.length > 0) {
      const corner = `${own}-corner`;
      part(corner, `${label} corners`, 4, 'One at each corner: 4', {
        what: 'border-corner',
        border: border.id,
      });
      squares.forEach((outline, i) => pieces.push({ id: `${corner}-${CORNERS[i]!}`, part: corner, outline }));
    }
    bandsOf(side, end);
    inner = outer;
  });
  return {
    parts,
    pieces,
    bands: { across, down },
  };
}

/** A mitre between strips of two widths is not at 45°: it runs from the inner to the outer corner (geometry). */
function crookedMitre({ sides, ends }: Border, label: string, unit: Unit): string {
  const degrees = Math.round((Math.atan2(ends, sides) * 180) / Math.PI);
  return `${label} is ${formatWithUnit(sides, unit)} wide at the sides and ${formatWithUnit(ends, unit)} at top and bottom, so its mitre is not at 45°: it runs from corner to corner, ${degrees}° up from the top strip. Mark it from the inner corner to the outer one.`;
}

interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** What a pieced border lies round, with its units counted. */
function roundOf(border: PiecedBorder, inner: Box, size: TopSize): Round {
  const { across, down } = unitsRound(border, size);
  return { inner, across: across.count, down: down.count };
}

/** Finished outlines of one border between two boxes. */
function strips(inner: Box, outer: Box, corners: BorderCorners) {
  const b = inner.x - outer.x;
  const e = inner.y - outer.y;
  const ir = inner.x + inner.width;
  const ib = inner.y + inner.height;
  const or = outer.x + outer.width;
  const ob = outer.y + outer.height;
  if (corners === 'mitred') {
    return {
      left: [at(outer.x, outer.y), at(inner.x, inner.y), at(inner.x, ib), at(outer.x, ob)],
      right: [at(or, outer.y), at(or, ob), at(ir, ib), at(ir, inner.y)],
      top: [at(outer.x, outer.y), at(or, outer.y), at(ir, inner.y), at(inner.x, inner.y)],
      bottom: [at(outer.x, ob), at(inner.x, ib), at(ir, ib), at(or, ob)],
      squares: [],
    };
  }
  const sideRuns =
    corners === 'top-first' ? { y: outer.y, height: outer.height } : { y: inner.y, height: inner.height };
  const endRuns =
    corners === 'sides-first' ? { x: outer.x, width: outer.width } : { x: inner.x, width: inner.width };
  return {
    left: rectangle(outer.x, sideRuns.y, b, sideRuns.height),
    right: rectangle(ir, sideRuns.y, b, sideRuns.height),
    top: rectangle(endRuns.x, outer.y, endRuns.width, e),
    bottom: rectangle(endRuns.x, ib, endRuns.width, e),
    squares:
      corners === 'squares'
        ? [
            rectangle(outer.x, outer.y, b, e),
            rectangle(ir, outer.y, b, e),
            rectangle(ir, ib, b, e),
            rectangle(outer.x, ib, b, e),
          ]
        : [],
  };
}

/**
 * What a border's strips are cut to, where the outline does not say: mitred strips run to the outer
 * corners with a hand's breadth over, and a measured top has its own lengths.
 */
function stripLengths(
  { sides, ends, corners }: Border,
  { used, real }: TopSize,
  unit: Unit,
): { side?: CutLength; end?: CutLength } {
  const length = (figure: Figure, beyond: number, measured: boolean): CutLength => ({
    finished: figure.value + 2 * beyond,
    ...(measured
      ? {
          working: [
            ...figure.working,
            ...(beyond > 0
              ? [`+ 2 × ${formatLength(beyond, unit)} = ${formatLength(figure.value + 2 * beyond, unit)}`]
              : []),
          ],
        }
      : {}),
  });
  if (corners === 'mitred') {
    const spare = fromInches(MITRE_SPARE_INCHES, unit);
    const over = { spare: { length: spare, says: `${formatLength(spare, unit)} to spare for the mitres` } };
    return {
      side: { ...length(used.height, ends, real.height), ...over },
      end: { ...length(used.width, sides, real.width), ...over },
    };
  }
  return {
    ...(real.height ? { side: length(used.height, corners === 'top-first' ? ends : 0, true) } : {}),
    ...(real.width ? { end: length(used.width, corners === 'sides-first' ? sides : 0, true) } : {}),
  };
}
