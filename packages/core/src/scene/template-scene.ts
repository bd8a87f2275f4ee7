import { movedPath } from './beside.ts';
import { sheetsOf, type Template } from '../edge/template.ts';
import type { Point } from '../geometry/point.ts';
import { pathRound, stroke } from '../geometry/path.ts';
import { rectangle } from '../geometry/shapes.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { Scene, SceneItem } from './scene.ts';
import { TOLERANCE } from '../length/tolerance.ts';

/** Side of the square that is measured after printing, to see that nothing was scaled: 1" or 3 cm. */
export const checkSide = (unit: Unit): number => (unit === 'in' ? 1 : 3);

/** An inch and three centimetres, each a square in its own unit: whoever prints has one ruler or the other. */
export const testSquares = (): Scene[] =>
  (['in', 'cm'] as const).map((unit) => {
    const side = checkSide(unit);
    const room = fromInches(0.2, unit);
    const text = unit === 'in' ? '1″' : '3 cm';
    const says: SceneItem = {
      what: 'text',
      at: { x: 0, y: side + room * 0.9 },
      text,
      size: room * 0.8,
      align: 'start',
    };
    return {
      name: `A square of ${text} to check the printing by`,
      unit,
      box: { x: 0, y: 0, width: side, height: side + room },
      layers: [
        { id: 'check', name: 'Square to check the printing by', items: [checkSquare(0, 0, unit), says] },
      ],
    };
  });

/** The square to check the printing by. */
export function checkScene(unit: Unit): Scene {
  const side = checkSide(unit);
  return {
    name: 'Square to check the printing by',
    unit,
    box: { x: 0, y: 0, width: side, height: side },
    layers: [{ id: 'check', name: 'Square to check the printing by', items: [checkSquare(0, 0, unit)] }],
  };
}

const checkSquare = (x: number, y: number, unit: Unit): SceneItem => ({
  what: 'shape',
  id: 'check',
  paths: [pathRound(rectangle(x, y, checkSide(unit), checkSide(unit)))],
  fill: null,
  line: 'outline',
});

/** A template on the sheets of paper it takes, one scene each, with the lines they are cut and taped along. */
export function sheetScenes(template: Template, unit: Unit): Scene[] {
  const rest = TOLERANCE;
  const sheets = sheetsOf(template, unit);
  const columns = sheets.filter((sheet) => sheet.y === sheets[0]!.y).length;
  const letter = fromInches(0.14, unit);
  /** The same letter stands on both sides of a join: of the sheet it lies to the right of, or below. */
  const mark = (join: number, at: Point): SceneItem => ({
    what: 'text',
    at,
    text: joinLetter(join),
    size: letter,
    align: 'middle',
  });
  return sheets.map(({ x, y, width, height }, i) => {
    const [right, bottom] = [x + width, y + height];
    const upright = (at: number) => stroke({ x: at, y }, { x: at, y: bottom });
    const level = (at: number) => stroke({ x, y: at }, { x: right, y: at });
    const taped = [
      ...(x > rest ? [upright(x)] : []),
      ...(right < template.width - rest ? [upright(right)] : []),
      ...(y > rest ? [level(y)] : []),
      ...(bottom < template.height - rest ? [level(bottom)] : []),
    ];
    const items: SceneItem[] = [
      { what: 'shape', id: 'template', paths: [template.outline], fill: null, line: 'outline' },
      ...(template.seam
        ? [
            {
              what: 'shape',
              id: 'seam',
              paths: [template.seam],
              fill: null,
              line: 'stitch',
            } satisfies SceneItem,
          ]
        : []),
    ];
    if (template.half && x <= rest)
      items.push({ what: 'shape', id: 'fold', paths: [upright(0)], fill: null, line: 'fold' });
    if (taped.length > 0) items.push({ what: 'shape', id: 'tape', paths: taped, fill: null, line: 'tape' });
    const [middleX, middleY] = [x + width / 2, y + height / 2];
    if (x > rest) items.push(mark(2 * i, { x: x + letter, y: middleY }));
    if (right < template.width - rest) items.push(mark(2 * (i + 1), { x: right - letter, y: middleY }));
    if (y > rest) items.push(mark(2 * i + 1, { x: middleX, y: y + 1.3 * letter }));
    if (bottom < template.height - rest)
      items.push(mark(2 * (i + columns) + 1, { x: middleX, y: bottom - 0.4 * letter }));
    return {
      name: `${template.name} ${i + 1}`,
      unit,
      box: { x, y, width, height },
      layers: [{ id: 'template', name: template.name, items }],
    };
  });
}

/** A letter for a join, two where there are many. */
const joinLetter = (join: number): string =>
  (join >= 26 ? String.fromCharCode(64 + Math.floor(join / 26)) : '') + String.fromCharCode(65 + (join % 26));

/** All templates one below the other, true to size, with a square to check the printing by. */
export function templatesScene(name: string, templates: readonly Template[], unit: Unit): Scene {
  const gap = fromInches(0.5, unit);
  const side = checkSide(unit);
  const width = Math.max(side, ...templates.map((t) => t.width)) + 2 * gap;
  let y = 2 * gap + side;
  const layers = templates.map((template) => {
    const at = { x: gap, y };
    y += template.height + 2 * gap;
    const said = `${template.name}${template.half ? ', half: left edge on a fold' : ''}`;
    const items: SceneItem[] = [
      { what: 'shape', id: template.name, paths: [movedPath(template.outline, at)], fill: null, line: 'cut' },
      ...(template.seam
        ? [
            {
              what: 'shape',
              id: `${template.name}-seam`,
              paths: [movedPath(template.seam, at)],
              fill: null,
              line: 'stitch',
            } satisfies SceneItem,
          ]
        : []),
      {
        what: 'text',
        at: { x: at.x + gap / 4, y: at.y + template.height + gap / 2 },
        text: said,
        size: gap / 3,
        align: 'start',
      },
    ];
    return { id: template.name, name: template.name, items };
  });
  const check = {
    id: 'check',
    name: 'Square to check the printing by',
    items: [checkSquare(gap, gap, unit)],
  };
  return { name, unit, box: { x: 0, y: 0, width, height: y }, layers: [check, ...layers] };
}
