import { fabricById, type Laid, type Layout, lieOf, type Piece, type Plan, wallOf } from '@lattice/core';
import { memo, useId, useMemo } from 'react';
import { FaceDefinitions, lookOf, ontoOutline } from './faces.tsx';
import { outlinePath, partPath } from './paths.ts';

/** A seam shows on light cloth and on dark. */
const SEAM = 'rgb(110 110 110 / 55%)';

/** How a block lies in the place of a piece: its look, and its quarter turns by rule and by hand. One-way prints stay upright. */
export function laidLook(plan: Plan, piece: Piece, { block, turn }: Laid): { look: string; turn: number } {
  const lie = lieOf(plan.places, piece.spot!);
  return { look: lookOf(block ?? undefined, lie.swapped), turn: block?.upright ? 0 : (lie.turn + turn) % 4 };
}

interface QuiltArtProps {
  readonly plan: Plan;
  readonly layout: Layout;
}

/**
 * The quilt itself in quilt units, seams as hairlines: cloth by part, blocks with their pictures or faces
 * as they lie on the wall, an empty place where no block lies.
 */
export const QuiltArt = memo(function QuiltArt({ plan, layout }: QuiltArtProps) {
  const prefix = useId().replace(/[^\w-]/g, '');
  const blocks = useMemo(() => layout.pieces.filter((p) => p.place !== undefined), [layout]);
  const { places } = wallOf(plan, blocks.length);
  const isEmpty = (piece: Piece) => plan.pile.length > 0 && places[piece.place!]!.block === null;
  const empty = blocks.filter(isEmpty);
  const hung = empty.length > 0 ? blocks.filter((piece) => !isEmpty(piece)) : blocks;
  const outlines = useMemo(() => hung.map(outlinePath).join(''), [hung]);
  const laid = hung.map((piece) => ({ piece, ...laidLook(plan, piece, places[piece.place!]!) }));
  // In an order of their own: two blocks that change places leave every other one's reference as it was.
  const looks = [...new Set(laid.map((l) => l.look))].sort();
  const numberOf = new Map(looks.map((look, i) => [look, i]));
  return (
    <g>
      <FaceDefinitions looks={looks} prefix={prefix} />
      <Cloth fabrics={plan.fabrics} layout={layout} />
      {laid.map(({ piece, look, turn }) => (
        <use
          key={piece.id}
          href={`#${prefix}-${numberOf.get(look)}`}
          transform={ontoOutline(piece.outline, turn)}
        />
      ))}
      <path d={outlines} fill="none" stroke={SEAM} strokeWidth={0.7} vectorEffect="non-scaling-stroke" />
      <path
        className="empty-places"
        d={empty.map(outlinePath).join('')}
        fill="var(--ground)"
        stroke="var(--soft)"
        strokeWidth={1.2}
        strokeDasharray="4 4"
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
});

/** Everything that is cut from cloth, a path for each part; blocks that change places leave it as it is. */
const Cloth = memo(function Cloth({ fabrics, layout }: { fabrics: Plan['fabrics']; layout: Layout }) {
  return Object.values(layout.parts).map((part) =>
    part.cutFrom ? (
      <path
        key={part.key}
        d={partPath(layout, part.key)}
        fill={fabricById({ fabrics }, part.cutFrom.fabric).colour}
        stroke={SEAM}
        strokeWidth={0.7}
        vectorEffect="non-scaling-stroke"
      />
    ) : null,
  );
});
