import type { Template } from '../edge/template.ts';
import { fromInches, type Unit } from '../length/unit.ts';

const escaped = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/"/g, '&quot;');

/** Side of the square that is measured after printing, to see that nothing was scaled: 1" or 2 cm. */
export const checkSide = (unit: Unit): number => (unit === 'in' ? 1 : 2);

/** Templates as one SVG drawing, true to size in its own unit, with a square to check the printing by. */
export function templatesSvg(templates: readonly Template[], unit: Unit): string {
  const gap = fromInches(0.5, unit);
  const check = checkSide(unit);
  const width = Math.max(check, ...templates.map((t) => t.width)) + 2 * gap;
  let y = 2 * gap + check;
  const shapes = templates.map((t) => {
    const at = y;
    y += t.height + 2 * gap;
    return `  <g transform="translate(${gap} ${at})"><title>${escaped(t.name)}</title><path d="${t.path}" fill="none" stroke="#000" stroke-width="${gap / 40}"/><text x="${gap / 4}" y="${t.height + gap / 2}" font-size="${gap / 3}">${escaped(`${t.name}${t.half ? ', half: left edge on a fold' : ''}`)}</text></g>`;
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}${unit}" height="${y}${unit}" viewBox="0 0 ${width} ${y}">`,
    `  <rect x="${gap}" y="${gap}" width="${check}" height="${check}" fill="none" stroke="#000" stroke-width="${gap / 40}"/>`,
    ...shapes,
    '</svg>',
    '',
  ].join('\n');
}
