import type { PileBlock } from '../plan/shape.ts';

/** What a block measured, cut edge to edge: the least each way, and how far its places differ. */
export interface BlockMeasure {
  readonly leastWidth: number;
  readonly leastHeight: number;
  readonly mostWidth: number;
  readonly mostHeight: number;
  /** Difference between the places measured, the larger of the two ways; 0 when only one was. */
  readonly skew: number;
  /** How far a side leans from one end to the other because its corners are not square; 0 where its diagonals were not measured. */
  readonly lean: number;
}

/** The measure of a block; null while it has not been measured both ways. */
export function measureOf(block: PileBlock): BlockMeasure | null {
  const { width, height, edges, diagonals } = block;
  if (width === null || height === null) return null;
  const widths = [width, ...(edges ? [edges.top, edges.bottom] : [])];
  const heights = [height, ...(edges ? [edges.left, edges.right] : [])];
  const [leastWidth, mostWidth] = [Math.min(...widths), Math.max(...widths)];
  const [leastHeight, mostHeight] = [Math.min(...heights), Math.max(...heights)];
  return {
    leastWidth,
    leastHeight,
    mostWidth,
    mostHeight,
    skew: Math.max(mostWidth - leastWidth, mostHeight - leastHeight),
    // (w + s)² + h² and (w − s)² + h² differ by 4ws (geometry).
    lean: diagonals ? Math.abs(diagonals[0] ** 2 - diagonals[1] ** 2) / (4 * Math.min(width, height)) : 0,
  };
}
