import { layOut, type Plan } from '@lattice/core';
import { useMemo } from 'react';
import { QuiltArt } from './QuiltArt.tsx';

/** A quilt drawn small, to scale, filling the box it is given. */
export function Thumbnail({ plan }: { plan: Plan }) {
  const layout = useMemo(() => layOut(plan), [plan]);
  const { width, height } = layout.finished;
  return (
    <svg viewBox={`0 0 ${width.value} ${height.value}`} width="100%" height="100%" aria-hidden focusable="false">
      <QuiltArt plan={plan} layout={layout} />
    </svg>
  );
}
