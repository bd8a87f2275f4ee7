import { middleOf, nearestSideOf } from '../geometry/outline.ts';
import { pathRound } from '../geometry/path.ts';
import { rectangle } from '../geometry/shapes.ts';
import type { Plan } from '../plan/shape.ts';
import type { Quilt } from '../quilt/quilt.ts';
import { rowLabels } from '../wall/edits.ts';
import { quiltScene } from './quilt-scene.ts';
import type { Scene, SceneItem } from './scene.ts';

/** The whole top with the place of each block written on it: the row it is sewn in, and its number there. */
export function placesScene(plan: Plan, { layout, joins }: Quilt): Scene {
  const scene = quiltScene(plan, layout, joins);
  const pieces = layout.pieces.filter((p) => p.place !== undefined).sort((a, b) => a.place! - b.place!);
  const numbers = rowLabels(pieces);
  const items = pieces.flatMap((piece, i): SceneItem[] => {
    const { x, y } = middleOf(piece);
    const size = nearestSideOf(piece) * 0.36;
    const { row, number } = numbers[i]!;
    const text = `${row}·${number}`;
    const [width, height] = [size * (0.5 + 0.6 * text.length), size * 1.4];
    return [
      {
        what: 'shape',
        id: `plate-${piece.id}`,
        paths: [pathRound(rectangle(x - width / 2, y - height / 2, width, height))],
        fill: '#ffffff',
        line: null,
      },
      { what: 'text', at: { x, y: y + size * 0.36 }, text, size, align: 'middle', strong: true },
    ];
  });
  return { ...scene, layers: [...scene.layers, { id: 'places', name: 'Places', items }] };
}

/** The top with how wide and how high it comes to marked beside it. */
export function measuredScene(plan: Plan, quilt: Quilt, says: { width: string; height: string }): Scene {
  const scene = quiltScene(plan, quilt.layout, quilt.joins);
  const { width, height } = scene.box;
  const away = Math.max(width, height) / 14;
  const items: SceneItem[] = [
    { what: 'dimension', from: { x: 0, y: -away / 2 }, to: { x: width, y: -away / 2 }, text: says.width },
    {
      what: 'dimension',
      from: { x: width + away / 2, y: 0 },
      to: { x: width + away / 2, y: height },
      text: says.height,
    },
  ];
  return {
    ...scene,
    box: { x: 0, y: -away, width: width + 3 * away, height: height + away },
    layers: [...scene.layers, { id: 'sizes', name: 'Sizes', items }],
  };
}
