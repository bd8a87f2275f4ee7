import { formatLength, formatWithUnit } from '../length/format.ts';
import { near, shorter } from '../length/tolerance.ts';
import { limitIn, rulerUp } from '../length/rounding.ts';
import type { Unit } from '../length/unit.ts';
import type { BlockMeasure } from './measure.ts';

/** How a block that is too small is brought up to size: framed, then trimmed back with the block in the middle. Lengths as cut. */
export interface Coping {
  /** Cut width of every strip: two as long as the block is high, then two as long as it is wide with them on. */
  readonly strip: number;
  readonly sideLength: number;
  readonly endLength: number;
  /** What the framed block measures before it is trimmed to the cut size. */
  readonly framed: { readonly width: number; readonly height: number };
  /** Of the strips once it is sewn in: at the sides, and at top and bottom. */
  readonly shows: { readonly sides: number; readonly ends: number };
  readonly text: string;
}

/** Strips that finish narrower than this are hard to sew evenly: 1/2" (from memory). */
const LEAST_STRIP_INCHES = 1 / 2;
/** Cut off all round once it is framed, so that it comes out square: 1/8" (from memory). */
const TRIM_INCHES = 1 / 8;

/** Less than this beside a block reads as a mistake and not as a frame: 1/4" (from memory). */
const SLIVER_INCHES = 1 / 4;

/** How much of the strips will be seen, and what helps where that is a sliver (rule BL-4). */
function showsSays({ sides, ends }: Coping['shows'], unit: Unit): string {
  const show = (v: number) => formatWithUnit(v, unit);
  const said = near(sides, ends)
    ? `${show(sides)} of it will show all round`
    : `${show(sides)} of it will show at the sides, ${show(ends)} at top and bottom`;
  const least = Math.min(...[sides, ends].filter((width) => width > 0));
  return shorter(least, limitIn(SLIVER_INCHES, unit))
    ? `${said}: a sliver. Remaking the block, or framing every block alike, looks better.`
    : `${said}.`;
}

/**
 * Coping strips for a block short of a cut size (rule BL-4). The block keeps all of its own seam allowance: cut
 * into, the patches inside would be sewn away. A strip cut `s` adds `s − 2a` a side, so strips that can be sewn
 * evenly make it too large, and it is trimmed to the cut size with the block in the middle; half of what it was
 * short then shows on each side. Sides first, then top and bottom.
 *
 * @param points its points lie at the seam line
 */
export function copingFor(
  measure: BlockMeasure,
  cut: { width: number; height: number },
  seam: number,
  unit: Unit,
  points = false,
): Coping {
  const shows = {
    sides: Math.max(0, cut.width - measure.leastWidth) / 2,
    ends: Math.max(0, cut.height - measure.leastHeight) / 2,
  };
  const finished = Math.max(
    limitIn(LEAST_STRIP_INCHES, unit),
    Math.max(shows.sides, shows.ends) + limitIn(TRIM_INCHES, unit),
  );
  const strip = rulerUp(unit).apply(finished + 2 * seam);
  const added = 2 * (strip - 2 * seam);
  const framed = { width: measure.leastWidth + added, height: measure.leastHeight + added };
  const [sideLength, endLength] = [measure.mostHeight, measure.mostWidth + added];
  const show = (v: number) => formatWithUnit(v, unit);
  const warning = points
    ? ' Its points lie at the seam: sew the strips at exactly the seam allowance, or they are lost.'
    : '';
  return {
    strip,
    sideLength,
    endLength,
    framed,
    shows,
    text: `build it up with strips cut ${show(strip)} wide, two ${show(sideLength)} long at its sides, then two of ${show(endLength)}; trim it to ${formatLength(cut.width, unit)} × ${show(cut.height)} with the block in the middle. ${showsSays(shows, unit)}${warning}`,
  };
}
