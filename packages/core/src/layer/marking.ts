import { sum as sumOf } from 'd3-array';
import { countOf, type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import type { Layout } from '../layout/lay-out.ts';
import { lengthRound } from '../geometry/outline.ts';
import type { Point } from '../geometry/point.ts';
import { formatExact, formatRun, formatWithUnit } from '../length/format.ts';
import { TOLERANCE } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { Marking } from '../choice/layers.ts';

/** Lines a top is quilted along at home, and what they take. */
export interface MarkedLines {
  /** Straight lines from edge to edge; none along the seams, which need no marking. */
  readonly lines: readonly { readonly from: Point; readonly to: Point }[];
  readonly count: Figure;
  /** All the stitching, end to end. */
  readonly length: Figure;
  readonly thread: Figure;
  /** One every hand's breadth. */
  readonly pins: Figure;
}

/** Top and bobbin thread for a length of quilting: three times it (from memory). */
const THREAD_TIMES = 3;
/** Basting pins stand a hand's breadth apart: 4" (rule QL-1; common practice). */
const PIN_INCHES = 4;

/** Lines of a marking over a top, from the middle outward, and what quilting along them takes. */
export function markTop(layout: Layout, marking: Marking, spacing: number, unit: Unit): MarkedLines {
  const [width, height] = [layout.finished.width.value, layout.finished.height.value];
  const lines =
    marking === 'ditch'
      ? []
      : marking === 'grid'
        ? gridLines(placesAlong(width, spacing), placesAlong(height, spacing), { width, height })
        : marking === 'even'
          ? gridLines(evenPlaces(width, spacing), evenPlaces(height, spacing), { width, height })
          : slantingLines(width, height, spacing);
  const length = marking === 'ditch' ? seamsOf(layout, unit) : totalOf(lines, unit);
  const hand = unit === 'in' ? PIN_INCHES : Math.round(fromInches(PIN_INCHES, unit));
  const [across, down] = [Math.ceil(width / hand - TOLERANCE), Math.ceil(height / hand - TOLERANCE)];
  return {
    lines,
    count: countOf(
      lines.length,
      marking === 'ditch'
        ? 'The seams are there already: nothing to mark'
        : marking === 'even'
          ? `${evenSays(width, spacing)} across, ${evenSays(height, spacing)} down: ${numberOf(lines.length, 'line')}, none on the edge`
          : `Every ${formatWithUnit(spacing, unit)} from the middle outward: ${numberOf(lines.length, 'line')}`,
    ),
    length,
    thread: lengthOf(
      THREAD_TIMES * length.value,
      `About ${THREAD_TIMES} × ${formatRun(length.value, unit)} of quilting, top and bobbin together: ${formatRun(THREAD_TIMES * length.value, unit)}`,
    ),
    pins: countOf(
      across * down,
      `One every ${formatWithUnit(hand, unit)}: ${across} across × ${down} down = ${across * down}`,
    ),
  };
}

/** Places a line every `spacing` from the middle of a side both ways. */
const placesAlong = (side: number, spacing: number): number[] => {
  const each = Math.floor((side / 2 - TOLERANCE) / spacing);
  return Array.from({ length: 2 * each + 1 }, (_, i) => side / 2 + (i - each) * spacing);
};

/** Into how many a side is divided, so that lines lie near the distance asked for and come out whole (rule QL-3). */
const partsOf = (side: number, spacing: number): number => Math.max(1, Math.round(side / spacing));

/** Places that divide a side evenly; none on the edge. */
const evenPlaces = (side: number, spacing: number): number[] => {
  const parts = partsOf(side, spacing);
  return Array.from({ length: parts - 1 }, (_, i) => ((i + 1) * side) / parts);
};

const evenSays = (side: number, spacing: number): string => {
  const parts = partsOf(side, spacing);
  return `${formatExact(side)} ÷ ${parts} = ${formatExact(side / parts)}`;
};

const gridLines = (
  across: readonly number[],
  down: readonly number[],
  { width, height }: { readonly width: number; readonly height: number },
) => [
  ...across.map((x) => ({ from: { x, y: 0 }, to: { x, y: height } })),
  ...down.map((y) => ({ from: { x: 0, y }, to: { x: width, y } })),
];

/** Lines at 45° both ways; `spacing` is measured across them. */
function slantingLines(width: number, height: number, spacing: number): { from: Point; to: Point }[] {
  // Along the top a line comes every spacing × √2; x + y counts the lines that fall to the left.
  const sums = placesAlong(width + height, spacing * Math.SQRT2);
  return sums.flatMap((sum) => {
    const from = { x: Math.min(sum, width), y: Math.max(0, sum - width) };
    const to = { x: Math.max(0, sum - height), y: Math.min(sum, height) };
    const mirrored = ({ x, y }: Point): Point => ({ x: width - x, y });
    return [
      { from, to },
      { from: mirrored(from), to: mirrored(to) },
    ];
  });
}

function totalOf(lines: readonly { from: Point; to: Point }[], unit: Unit): Figure {
  const total = sumOf(lines, ({ from, to }) => Math.hypot(to.x - from.x, to.y - from.y));
  return lengthOf(
    total,
    `${numberOf(lines.length, 'line')} from edge to edge, together ${formatExact(total)}, which is ${formatRun(total, unit)}`,
  );
}

/** All the seams of a top: every piece's outline counts each seam twice and the outside once. */
function seamsOf(layout: Layout, unit: Unit): Figure {
  const round = sumOf(layout.pieces, (piece) => lengthRound(piece.outline));
  const outside = 2 * (layout.finished.width.value + layout.finished.height.value);
  const seams = Math.max(0, (round - outside) / 2);
  return lengthOf(
    seams,
    `All round every piece ${formatExact(round)}, less the outside ${formatExact(outside)}, halved: ${formatExact(seams)}, which is ${formatRun(seams, unit)} of seams`,
  );
}
