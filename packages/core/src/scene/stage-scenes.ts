import { edgePath } from '../edge/outline.ts';
import { pathMoved, pathRound, stroke } from '../geometry/path.ts';
import type { Point } from '../geometry/point.ts';
import { rectangle } from '../geometry/shapes.ts';
import { formatSize, formatWithUnit } from '../length/format.ts';
import { fabricById } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import type { Quilt } from '../quilt/quilt.ts';
import { quiltScene } from './quilt-scene.ts';
import type { Scene, SceneItem, SceneLayer } from './scene.ts';

/** Letters of these drawings, as a share of the longer side: read at the table, an arm's length away. */
const LETTER = 1 / 26;
const WHITE = '#ffffff';

/** Words on a white plate, so that they are read on any cloth. */
function plate(id: string, { x, y }: Point, text: string, size: number): SceneItem[] {
  const [width, height] = [size * (0.6 + 0.55 * text.length), size * 1.35];
  return [
    {
      what: 'shape',
      id: `plate-${id}`,
      paths: [pathRound(rectangle(x - width / 2, y - height / 2, width, height))],
      fill: WHITE,
      line: null,
    },
    { what: 'text', at: { x, y: y + size * 0.35 }, text, size, align: 'middle', strong: true },
  ];
}

/** A drawing with room for words above it. */
const framed = (
  { unit, title }: Plan,
  { width, height }: { readonly width: number; readonly height: number },
  room: number,
  layers: readonly SceneLayer[],
): Scene => ({
  name: title,
  unit,
  box: { x: -room, y: -room, width: width + 2 * room, height: height + 2 * room },
  layers,
});

/** The layers from above: the backing with its seams, the top's edge on it, each with its size. Null where nothing goes under the whole. */
export function layersScene(plan: Plan, { layers, finished }: Quilt): Scene | null {
  if (!layers) return null;
  const { unit } = plan;
  const show = (length: number) => formatWithUnit(length, unit);
  const [width, height] = [layers.backing.width.value, layers.backing.height.value];
  const size = Math.max(width, height) * LETTER;
  const fills = {
    panel: fabricById(plan, plan.backing.fabric).colour,
    stripe: fabricById(plan, plan.backing.stripe.fabric).colour,
    block: WHITE,
  };
  const slabs = layers.chosenBacking.slabs.map(({ what, x, y, width: wide, height: high }, i): SceneItem => ({
    what: 'shape',
    id: `slab-${i}`,
    paths: [pathRound(rectangle(x, y, wide, high))],
    fill: fills[what],
    line: 'seam',
  }));
  const top = { width: finished.width.value, height: finished.height.value };
  const at = { x: (width - top.width) / 2, y: (height - top.height) / 2 };
  const edge: SceneItem = {
    what: 'shape',
    id: 'top-edge',
    paths: [pathRound(rectangle(at.x, at.y, top.width, top.height))],
    fill: null,
    line: 'stitch',
  };
  const words = [
    ...plate('top', { x: width / 2, y: height / 2 }, `top ${formatSize(top.width, top.height, unit)}`, size),
    ...plate('overhang', { x: width / 2, y: at.y / 2 }, show(at.y), Math.min(size, at.y * 0.8)),
    ...plate('backing', { x: width / 2, y: -size }, `backing ${formatSize(width, height, unit)}`, size),
  ];
  return framed(plan, { width, height }, 2 * size, [
    { id: 'backing', name: 'Backing', items: slabs },
    { id: 'top', name: 'Edge of the top', items: [edge] },
    { id: 'sizes', name: 'Sizes', items: words },
  ]);
}

/** The top with the width of every border written on it. */
export function bordersScene(plan: Plan, { layout, joins }: Quilt): Scene {
  const scene = quiltScene(plan, layout, joins);
  const { width, height } = scene.box;
  const size = Math.max(width, height) * LETTER;
  const show = (length: number) => formatWithUnit(length, plan.unit);
  // From the outermost in: plans name them from the centre out.
  let [x, y] = [0, 0];
  const words = [...plan.borders.keys()].reverse().flatMap((i) => {
    const { sides, ends, id } = plan.borders[i]!;
    // One beside the other, so that none lies over its neighbour's.
    const at = [
      { side: 'left', x: x + sides / 2, y: height / 2 + 1.8 * i * size, text: show(sides) },
      { side: 'top', x: width / 2 + 4.5 * i * size, y: y + ends / 2, text: show(ends) },
    ];
    [x, y] = [x + sides, y + ends];
    return at.flatMap((place) => plate(`${id}-${place.side}`, place, place.text, size));
  });
  return framed(plan, { width, height }, size, [
    ...scene.layers,
    { id: 'widths', name: 'Widths', items: words },
  ]);
}

/** The quilt with its edge, and where the binding begins and is joined, numbered as the joins are listed. */
export function edgeScene(plan: Plan, { layout, joins, edge }: Quilt): Scene {
  const scene = quiltScene(plan, layout, joins);
  const { width, height } = scene.box;
  const size = Math.max(width, height) * LETTER;
  const across = { x: (width - edge.outline.width) / 2, y: (height - edge.outline.height) / 2 };
  const moved = ({ x, y }: Point): Point => ({ x: x + across.x, y: y + across.y });
  const outline: SceneItem = {
    what: 'shape',
    id: 'edge',
    paths: [pathMoved(edgePath(edge.outline), across)],
    fill: null,
    line: 'outline',
  };
  const fallen = edge.binding?.joins.joins ?? [];
  const marks = fallen.flatMap(({ point, last }, i): SceneItem[] => {
    const at = moved(point);
    // One beside another has its number farther out.
    const crowded = fallen
      .slice(0, i)
      .some((other) => Math.hypot(other.point.x - point.x, other.point.y - point.y) < 2.4 * size);
    const away = (crowded ? 3.1 : 1.6) * size;
    const by = {
      x: Math.cos(point.heading + Math.PI / 4) * size,
      y: Math.sin(point.heading + Math.PI / 4) * size,
    };
    const out = { x: Math.sin(point.heading), y: -Math.cos(point.heading) };
    return [
      {
        what: 'shape',
        id: `join-${i}`,
        paths: [stroke({ x: at.x - by.x, y: at.y - by.y }, { x: at.x + by.x, y: at.y + by.y })],
        fill: null,
        line: 'join',
      },
      ...plate(`join-${i}`, { x: at.x + out.x * away, y: at.y + out.y * away }, last ? 'S' : String(i), size),
    ];
  });
  return framed(plan, { width, height }, 4 * size, [
    ...scene.layers,
    { id: 'edge', name: 'Edge', items: [outline] },
    { id: 'binding-joins', name: 'Joins of the binding', items: marks },
  ]);
}
