import type { Path, Scene, SceneItem } from '@lattice/core';
import Drawing from 'dxf-writer';
// @ts-expect-error -- The writer's running number is the only part of it that its types leave out.
import Handle from 'dxf-writer/src/Handle.js';

/** An arc is drawn in so many straight steps a full turn: a side bends away from it by less than 1/1000 of its radius. */
const STEPS_A_TURN = 72;

/** A path in straight steps; arcs go clockwise as one looks at them. */
function straight({ from, steps }: Path): [number, number][] {
  const points: [number, number][] = [[from.x, from.y]];
  let at = from;
  for (const step of steps) {
    if ('arc' in step) {
      const { centre, radius } = step.arc;
      const angle = ({ x, y }: { x: number; y: number }) => Math.atan2(y - centre.y, x - centre.x);
      const begin = angle(at);
      const turn = (angle(step.to) - begin + 2 * Math.PI) % (2 * Math.PI) || 2 * Math.PI;
      const parts = Math.max(1, Math.ceil((turn / (2 * Math.PI)) * STEPS_A_TURN));
      for (let i = 1; i < parts; i += 1) {
        const to = begin + (turn * i) / parts;
        points.push([centre.x + radius * Math.cos(to), centre.y + radius * Math.sin(to)]);
      }
    }
    points.push([step.to.x, step.to.y]);
    at = step.to;
  }
  return points;
}

/** The file is lines of text: what would end a line is a space; what is not plain is told by its number, as the format has it. */
const plainText = (text: string): string =>
  [...text.replace(/[\p{Cc}\p{Zl}\p{Zp}]+/gu, ' ')]
    .map((sign) => {
      const code = sign.codePointAt(0)!;
      return code < 127
        ? sign
        : code < 0x10000
          ? `\\U+${code.toString(16).toUpperCase().padStart(4, '0')}`
          : '?';
    })
    .join('');

/** Names of layers hold letters, figures, - and _ in every version. */
const layerName = (id: string): string =>
  id
    .replace(/[^A-Za-z0-9_-]+/g, '-')
    .slice(0, 60)
    .toUpperCase();

/** Each kind of line in a colour of its own, by the number the format gives it. */
const COLOURS = { cut: 1, seam: 5, other: 7 } as const;

/**
 * A scene as a DXF drawing in its own unit, a layer for each of its layers, every outline one closed polyline. Cutting
 * machines read straight lines best: arcs are drawn in short ones. Up is up: the format counts from below.
 */
export function sceneDxf({ unit, box, layers }: Scene): string {
  // The writer numbers what it writes on and on: a drawing is to be the same whatever was drawn before it.
  (Handle as { seed: number }).seed = 0;
  const drawing = new Drawing();
  drawing.setUnits(unit === 'in' ? 'Inches' : 'Centimeters');
  const top = box.y + box.height;
  const lines = (paths: readonly Path[]) => {
    for (const path of paths)
      drawing.drawPolyline(
        straight(path).map(([x, y]) => [x - box.x, top - y]),
        path.closed,
      );
  };
  const words = (x: number, y: number, size: number, text: string, middle: boolean) =>
    drawing.drawText(x - box.x, top - y, size, 0, plainText(text), middle ? 'center' : 'left', 'baseline');
  const draw = (item: SceneItem) => {
    switch (item.what) {
      case 'shape':
        return lines(item.paths);
      case 'block': {
        const [from, ...rest] = item.corners;
        return lines([{ from: from!, steps: rest.map((to) => ({ to })), closed: true }]);
      }
      case 'text':
        return words(item.at.x, item.at.y, item.size, item.text, item.align === 'middle');
      case 'dimension': {
        const { from, to, text } = item;
        drawing.drawLine(from.x - box.x, top - from.y, to.x - box.x, top - to.y);
        return words((from.x + to.x) / 2, (from.y + to.y) / 2, box.width / 60, text, true);
      }
    }
  };
  for (const { id, items } of layers) {
    if (items.length === 0) continue;
    const name = layerName(id);
    drawing.addLayer(
      name,
      id.startsWith('cut') ? COLOURS.cut : id.startsWith('sewn') ? COLOURS.seam : COLOURS.other,
      'CONTINUOUS',
    );
    drawing.setActiveLayer(name);
    for (const item of items) draw(item);
  }
  return drawing.toDxfString();
}
