import type { Layout, Piece } from '@lattice/core';

/** The outline of a piece as a closed path, in quilt units. */
export const outlinePath = ({ outline }: Pick<Piece, 'outline'>): string => `M${outline.map((p) => `${p.x} ${p.y}`).join('L')}Z`;

/** One path for all pieces of a part: a few elements for a quilt of thousands of pieces. */
export function partPath(layout: Layout, part: string): string {
  return layout.pieces.filter((p) => p.part === part).map(outlinePath).join('');
}
