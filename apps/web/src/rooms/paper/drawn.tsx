import { bordersScene, edgeScene, layersScene, type Scene } from '@lattice/core';
import { useAppSelector } from '../../state/hooks.ts';
import { SceneDrawing } from '../drawing/SceneArt.tsx';
import { selectPlan, selectQuilt, selectQuiltAsCut } from '../../state/selectors.ts';

/** A stage's own drawing on its paper, as large as leaves room for its lists on the same sheet. */
const Drawn = ({ scene, label }: { scene: Scene; label: string }) => (
  <SceneDrawing
    scene={scene}
    label={label}
    style={{ display: 'block', width: '100%', height: '4.2in', margin: '0 0 12px' }}
  />
);

/** The top with the width of every border on it. */
export function DrawnBorders() {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  if (plan.borders.length === 0) return null;
  return <Drawn scene={bordersScene(plan, quilt)} label="The top with the width of every border" />;
}

/** The backing with its seams and the top on it. */
export function DrawnLayers() {
  const plan = useAppSelector(selectPlan);
  const scene = layersScene(plan, useAppSelector(selectQuilt));
  return scene && <Drawn scene={scene} label="The backing with its seams, and the top on it" />;
}

/** The edge with every join of the binding, numbered as they are listed. */
export function DrawnEdge() {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuiltAsCut);
  return <Drawn scene={edgeScene(plan, quilt)} label="The edge, and where the binding is joined" />;
}
