import { fromInches, type PileBlock, type Plan, type Point, rulerFine } from '@lattice/core';
import type { PhotoMeasured } from '@lattice/photo';

/** What a block keeps of a photo: its middles, its edges, and corner to corner. */
export function asSizes(
  { six: { width, height }, places }: Pick<PhotoMeasured, 'six' | 'places'>,
  unit: Plan['unit'],
): Required<Pick<PileBlock, 'width' | 'height' | 'edges' | 'diagonals'>> {
  const apart = (a: Point, b: Point) => fromInches(Math.hypot(b.x - a.x, b.y - a.y), unit);
  // As a tape's marks.
  const mark = (inches: number) => rulerFine(unit).apply(fromInches(inches, unit));
  return {
    width: mark(width.middle),
    height: mark(height.middle),
    edges: {
      top: mark(width.top),
      bottom: mark(width.bottom),
      left: mark(height.left),
      right: mark(height.right),
    },
    // As they are: how far off square a block is would be lost between two marks.
    diagonals: [apart(places[0]!, places[2]!), apart(places[1]!, places[3]!)],
  };
}
