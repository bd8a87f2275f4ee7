import { type Layout, type Plan, wallOf } from '@lattice/core';
import { outlinePath } from '../../rooms/drawing/paths.ts';
import { QuiltArt } from '../../rooms/drawing/QuiltArt.tsx';

/** The quilt small, with the block that is pointed at in the table lit. */
export function PointedQuilt({ plan, layout, id }: { plan: Plan; layout: Layout; id: string | null }) {
  const places = layout.pieces.filter((p) => p.place !== undefined);
  const place = id === null ? -1 : wallOf(plan, places.length).places.findIndex((l) => l.block?.id === id);
  const lit = places.find((p) => p.place === place);
  return (
    <svg
      className="quilt"
      viewBox={`0 0 ${layout.finished.width.value} ${layout.finished.height.value}`}
      width="100%"
      aria-hidden
    >
      <QuiltArt plan={plan} layout={layout} />
      {lit && (
        <path
          d={outlinePath(lit)}
          fill="var(--chalk)"
          fillOpacity={0.45}
          stroke="var(--chalk)"
          strokeWidth={3}
          vectorEffect="non-scaling-stroke"
        />
      )}
    </svg>
  );
}
