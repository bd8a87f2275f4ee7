import type { Path } from '../geometry/path.ts';
import type { Point } from '../geometry/point.ts';
import type { Scene, SceneItem } from './scene.ts';

/** A path moved as a whole. */
export function movedPath({ from, steps, closed }: Path, by: Point): Path {
  const moved = ({ x, y }: Point) => ({ x: x + by.x, y: y + by.y });
  return {
    from: moved(from),
    closed,
    steps: steps.map((step) =>
      'arc' in step
        ? { to: moved(step.to), arc: { ...step.arc, centre: moved(step.arc.centre) } }
        : { to: moved(step.to) },
    ),
  };
}

function movedItem(item: SceneItem, by: Point): SceneItem {
  const moved = ({ x, y }: Point) => ({ x: x + by.x, y: y + by.y });
  switch (item.what) {
    case 'shape':
      return { ...item, paths: item.paths.map((path) => movedPath(path, by)) };
    case 'block':
      return { ...item, corners: item.corners.map(moved) };
    case 'text':
      return { ...item, at: moved(item.at) };
    case 'dimension':
      return { ...item, from: moved(item.from), to: moved(item.to) };
  }
}

/** Drawings one below the other as one, a gap between them, each with its own layers. */
export function oneBelowAnother(name: string, scenes: readonly Scene[], gap: number): Scene {
  const { unit } = scenes[0]!;
  let y = 0;
  const layers = scenes.flatMap(({ box, layers: own }) => {
    const by = { x: -box.x, y: y - box.y };
    y += box.height + gap;
    return own.map((layer) => ({ ...layer, items: layer.items.map((item) => movedItem(item, by)) }));
  });
  const width = Math.max(...scenes.map(({ box }) => box.width));
  return { name, unit, box: { x: 0, y: 0, width, height: Math.max(0, y - gap) }, layers };
}
