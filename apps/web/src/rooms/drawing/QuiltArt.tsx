import { blockLayers, clothLayer, type Layout, type Plan, type SceneLayer, seamLayer } from '@lattice/core';
import { memo, useMemo } from 'react';
import { SceneLayers } from './SceneArt.tsx';

interface QuiltArtProps {
  readonly plan: Plan;
  readonly layout: Layout;
}

/** A layer without its lines. */
const unlined = (layer: SceneLayer): SceneLayer => ({
  ...layer,
  items: layer.items.map((item) => (item.what === 'shape' ? { ...item, line: null } : item)),
});

/**
 * The quilt itself in quilt units: cloth by part, blocks with their pictures or faces as they lie on the wall, the seams
 * over both, an empty place where no block lies. Blocks that change places leave cloth and seams as they were.
 */
export const QuiltArt = memo(function QuiltArt({ plan, layout }: QuiltArtProps) {
  const cloth = useMemo(() => unlined(clothLayer(plan.fabrics, layout)), [plan.fabrics, layout]);
  const seams = useMemo(() => seamLayer(layout), [layout]);
  const { blocks, empty } = blockLayers(plan, layout);
  return <SceneLayers layers={[cloth, blocks, seams, empty]} />;
});
