import { edgeBeyond, layOut, type Plan, planEdge, pointHeight } from '@lattice/core';
import { useMemo } from 'react';
import { EdgeArt } from './EdgeArt.tsx';
import { QuiltArt } from './QuiltArt.tsx';

/** A quilt drawn small, to scale, filling the box it is given; `edged` with its edge finished. */
export function Thumbnail({ plan, edged = false }: { plan: Plan; edged?: boolean }) {
  const layout = useMemo(() => layOut(plan), [plan]);
  const size = { width: layout.finished.width.value, height: layout.finished.height.value };
  const edge = useMemo(
    () =>
      edged
        ? planEdge(plan, { width: layout.finished.width.value, height: layout.finished.height.value })
        : null,
    [edged, plan, layout],
  );
  const out = !edge ? 0 : edge.points ? pointHeight(plan.edge.points.square, plan.seam) : edgeBeyond(plan);
  return (
    <svg
      viewBox={`${-out} ${-out} ${size.width + 2 * out} ${size.height + 2 * out}`}
      width="100%"
      height="100%"
      aria-hidden
      focusable="false"
    >
      {edge ? <EdgeArt plan={plan} layout={layout} edge={edge} /> : <QuiltArt plan={plan} layout={layout} />}
    </svg>
  );
}
