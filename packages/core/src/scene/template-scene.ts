import { sheetsOf, type Template } from '../edge/template.ts';
import { pathRound, stroke } from '../geometry/path.ts';
import { rectangle } from '../geometry/shapes.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { Scene, SceneItem } from './scene.ts';

/** Side of the square that is measured after printing, to see that nothing was scaled: 1" or 2 cm. */
export const checkSide = (unit: Unit): number => (unit === 'in' ? 1 : 2);

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
  const rest = 1e-6;
  return sheetsOf(template, unit).map(({ x, y, width, height }, i) => {
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
    ];
    if (template.half && x <= rest)
      items.push({ what: 'shape', id: 'fold', paths: [upright(0)], fill: null, line: 'fold' });
    if (taped.length > 0) items.push({ what: 'shape', id: 'tape', paths: taped, fill: null, line: 'tape' });
    return {
      name: `${template.name} ${i + 1}`,
      unit,
      box: { x, y, width, height },
      layers: [{ id: 'template', name: template.name, items }],
    };
  });
}

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
      { what: 'shape', id: template.name, paths: [movedBy(template.outline, at)], fill: null, line: 'cut' },
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

function movedBy(
  { from, steps, closed }: Template['outline'],
  by: { x: number; y: number },
): Template['outline'] {
  const moved = ({ x, y }: { x: number; y: number }) => ({ x: x + by.x, y: y + by.y });
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
