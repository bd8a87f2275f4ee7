import { pathData } from '../geometry/path.ts';
import type { Point } from '../geometry/point.ts';
import { fromInches } from '../length/unit.ts';
import { asMarkup } from './markup.ts';
import type { LineKind, Scene, SceneItem } from '../scene/scene.ts';

/** A hairline, in inches; how each kind of line is broken, in hairlines. */
const HAIRLINE_INCHES = 1 / 80;
const BROKEN: Readonly<Record<LineKind, readonly number[]>> = {
  outline: [],
  seam: [],
  stitch: [2, 2],
  cut: [],
  join: [3, 2],
  fold: [6, 4],
  tape: [1, 4],
  empty: [4, 4],
};

/**
 * A scene as an SVG drawing, true to size in its own unit, a group for each layer with its name, so that it opens in
 * a drawing program as it is meant.
 *
 * @param faces pictures of blocks by their ids, as data addresses; a block whose picture is not among them is its ground
 */
export function sceneSvg(
  { unit, box, layers }: Scene,
  faces: ReadonlyMap<string, string> = new Map(),
): string {
  const hair = fromInches(HAIRLINE_INCHES, unit);
  const lineOf = (kind: LineKind) => {
    const dashes = BROKEN[kind].map((n) => n * hair).join(' ');
    return `stroke="#000" stroke-width="${hair}"${dashes ? ` stroke-dasharray="${dashes}"` : ''}`;
  };
  const drawn = (item: SceneItem): string => {
    switch (item.what) {
      case 'shape': {
        const line = item.line === null ? '' : ` ${lineOf(item.line)}`;
        const data = item.paths.map(pathData).join('');
        return `<path id="${asMarkup(item.id)}" d="${data}" fill="${item.fill ?? 'none'}"${line}/>`;
      }
      case 'block': {
        const { ground, patches } = item.look;
        const drawnPatches = patches.map(({ colour, outlines }) => {
          const data = outlines.map((o) => `M${o.map((at) => at.join(' ')).join('L')}Z`).join('');
          return `<path d="${data}" fill="${colour}"/>`;
        });
        const photo = faces.get(item.look.picture ?? '');
        const square =
          photo === undefined
            ? `<rect width="1" height="1" fill="${ground}"/>`
            : `<image href="${photo}" width="1" height="1" preserveAspectRatio="none"/>`;
        return `<g id="${asMarkup(item.id)}" transform="${ontoCorners(item.corners)}">${square}${drawnPatches.join('')}</g>`;
      }
      case 'text': {
        const anchor = item.align === 'middle' ? ' text-anchor="middle"' : '';
        const weight = item.strong ? ' font-weight="700"' : '';
        const { x, y } = item.at;
        return `<text x="${x}" y="${y}" font-size="${item.size}"${anchor}${weight}>${asMarkup(item.text)}</text>`;
      }
      case 'dimension': {
        const { from, to, text } = item;
        const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
        const line = `<path d="M${from.x} ${from.y}L${to.x} ${to.y}" ${lineOf('outline')}/>`;
        const words = `<text x="${middle.x}" y="${middle.y}" font-size="${12 * hair}" text-anchor="middle">${asMarkup(text)}</text>`;
        return `${line}${words}`;
      }
    }
  };
  const groups = layers
    .filter(({ items }) => items.length > 0)
    .map(({ id, name, items }) => {
      const inner = items.map((item) => `    ${drawn(item)}`).join('\n');
      return `  <g id="layer-${asMarkup(id)}"><title>${asMarkup(name)}</title>\n${inner}\n  </g>`;
    });
  const { x, y, width, height } = box;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}${unit}" height="${height}${unit}" viewBox="${x} ${y} ${width} ${height}">`,
    ...groups,
    '</svg>',
    '',
  ].join('\n');
}

/** The transform that lays the unit square on a block's corners, from its own upper left one clockwise. */
export function ontoCorners(corners: readonly Point[]): string {
  const [o, x, , y] = corners as [Point, Point, Point, Point];
  return `matrix(${x.x - o.x} ${x.y - o.y} ${y.x - o.x} ${y.y - o.y} ${o.x} ${o.y})`;
}
