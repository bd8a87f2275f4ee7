import { type Layout, longer, pathData, pathRound, type Piece, type Slab } from '@lattice/core';

/** The outline of a piece as a closed path, in quilt units. */
export const outlinePath = ({ outline }: Pick<Piece, 'outline'>): string => pathData(pathRound(outline));

/** Paths known of a layout: what is lit and what answers the pointer are the same. */
const known = new WeakMap<Layout, Map<string, string>>();

/** One path for all pieces of a part: a few elements for a quilt of thousands of pieces. */
export function partPath(layout: Layout, part: string): string {
  let paths = known.get(layout);
  if (!paths) known.set(layout, (paths = new Map()));
  let path = paths.get(part);
  if (path === undefined) {
    path = layout.pieces
      .filter((p) => p.part === part)
      .map(outlinePath)
      .join('');
    paths.set(part, path);
  }
  return path;
}

/** The seams between the slabs of a backing, blocks let into a stripe left out, as one path. */
export const seamPath = (slabs: readonly Slab[]): string =>
  slabs
    .filter((s) => s.what !== 'block')
    .flatMap(({ x, y, width, height }) => [
      ...(longer(x, 0) ? [`M${x} ${y}V${y + height}`] : []),
      ...(longer(y, 0) ? [`M${x} ${y}H${x + width}`] : []),
    ])
    .join('');
