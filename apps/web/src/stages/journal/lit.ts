import { type JournalLine, type Layout, type Plan, wallOf } from '@lattice/core';
import { outlinePath, partPath } from '../../rooms/drawing/paths.ts';

/** What of a quilt a line of the journal is about, as path data: a block where it lies, the strips of a border. */
export function litBy(layout: Layout, plan: Plan, { about }: Pick<JournalLine, 'about'>): string {
  if (about.border !== undefined)
    return Object.keys(layout.parts)
      .filter((part) => {
        const use = layout.parts[part]!.cutFrom?.use;
        return use?.what === 'border' && use.border === about.border;
      })
      .map((part) => partPath(layout, part))
      .join('');
  if (about.block === undefined) return '';
  const blocks = layout.pieces.filter(({ place }) => place !== undefined);
  const { places } = wallOf(plan, blocks.length);
  const at = places.findIndex(({ block }) => block?.id === about.block);
  return blocks.flatMap(({ place, outline }) => (place === at ? [outlinePath({ outline })] : [])).join('');
}
