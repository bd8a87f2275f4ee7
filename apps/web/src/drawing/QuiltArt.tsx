import { blockLayers, clothLayer, type Layout, type Plan } from '@lattice/core';
import { memo, useMemo } from 'react';
import { SceneLayers } from './SceneArt.tsx';

interface QuiltArtProps {
  readonly plan: Plan;
  readonly layout: Layout;
}

/**
 * The quilt itself in quilt units: cloth by part, blocks with their pictures or faces as they lie on the wall, an
 * empty place where no block lies. Blocks that change places leave the cloth as it was.
 */
export const QuiltArt = memo(function QuiltArt({ plan, layout }: QuiltArtProps) {
  const cloth = useMemo(() => clothLayer(plan.fabrics, layout), [plan.fabrics, layout]);
  return <SceneLayers layers={[cloth, ...blockLayers(plan, layout)]} />;
});
