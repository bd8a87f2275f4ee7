import { fabricById, type Layout, lieOf, type Piece, type Plan } from '@lattice/core';
import { memo, useId } from 'react';
import { FaceDefinitions, lookOf, ontoOutline } from './faces.tsx';

/** A seam shows on light cloth and on dark. */
const SEAM = 'rgb(110 110 110 / 55%)';

const outlinePath = (piece: Piece): string => `M${piece.outline.map((p) => `${p.x} ${p.y}`).join('L')}Z`;

/** One path for all pieces of a part: a few elements for a quilt of thousands of pieces. */
export function partPath(layout: Layout, part: string): string {
  return layout.pieces.filter((p) => p.part === part).map(outlinePath).join('');
}

interface QuiltArtProps {
  readonly plan: Plan;
  readonly layout: Layout;
}

/**
 * The quilt itself in quilt units, seams as hairlines: cloth by part, blocks with the faces of the
 * pile in its order, turned and swapped as the plan says, an empty place where the pile has no block left.
 */
export const QuiltArt = memo(function QuiltArt({ plan, layout }: QuiltArtProps) {
  const prefix = useId().replace(/[^\w-]/g, '');
  const blocks = layout.pieces.filter((p) => p.place !== undefined);
  const lookAt = ({ place, spot }: Piece) => lookOf(plan.pile[place!], lieOf(plan.places, spot!).swapped);
  const looks = [...new Set(blocks.map(lookAt))];
  const isEmpty = (place: number) => plan.pile.length > 0 && place >= plan.pile.length;
  return (
    <g>
      <FaceDefinitions looks={looks} prefix={prefix} />
      {Object.values(layout.parts).map((part) =>
        part.cutFrom ? (
          <path key={part.key} d={partPath(layout, part.key)} fill={fabricById(plan, part.cutFrom.fabric).colour} stroke={SEAM} strokeWidth={0.7} vectorEffect="non-scaling-stroke" />
        ) : null,
      )}
      {blocks.map((block) =>
        isEmpty(block.place!) ? null : (
          <use key={block.id} href={`#${prefix}-${looks.indexOf(lookAt(block))}`} transform={ontoOutline(block.outline, lieOf(plan.places, block.spot!).turn)} />
        ),
      )}
      <path d={blocks.filter((b) => !isEmpty(b.place!)).map(outlinePath).join('')} fill="none" stroke={SEAM} strokeWidth={0.7} vectorEffect="non-scaling-stroke" />
      <path className="empty-places" d={blocks.filter((b) => isEmpty(b.place!)).map(outlinePath).join('')} fill="var(--ground)" stroke="var(--soft)" strokeWidth={1.2} strokeDasharray="4 4" vectorEffect="non-scaling-stroke" />
    </g>
  );
});
