import { pathRound } from '../geometry/path.ts';
import { rectangle } from '../geometry/shapes.ts';
import type { Scene, SceneItem } from './scene.ts';

const MM = 1 / 25.4;

/** The sheets to photograph a block beside: paper and the rectangle round the squares' outer corners, short side first, in inches. */
export const MEASURING_SHEETS = {
  letter: { paper: [8.5, 11], sides: [6.5, 9] },
  a4: { paper: [210 * MM, 297 * MM], sides: [170 * MM, 240 * MM] },
} as const;

/** The side of each black square: 1 inch, 25.4 mm. */
export const SHEET_SQUARE = 1;

const SAYS = [
  'Print at 100 %, not fitted to the page.',
  'The line below must measure 4 inches; its mark stands at 10 cm.',
  'Lay the sheet flat, close beside the block or under a small one, on a ground of another colour.',
  'Hold the camera straight above, so that all four squares and the whole block are in the photo.',
  'For the surest measure cut the squares apart with white round them and lay them round the block.',
];

/** The measuring sheet, true to size: four filled squares in the corners of a rectangle, and a line to check the printing by. */
export function measuringSheetScene(name: keyof typeof MEASURING_SHEETS): Scene {
  const [width, height] = MEASURING_SHEETS[name].sides;
  const far = (side: number) => side - SHEET_SQUARE;
  const squares = [
    [0, 0],
    [far(width), 0],
    [far(width), far(height)],
    [0, far(height)],
  ].map(([x, y], k): SceneItem => ({
    what: 'shape',
    id: `square:${k + 1}`,
    paths: [pathRound(rectangle(x!, y!, SHEET_SQUARE, SHEET_SQUARE))],
    fill: '#000000',
    line: null,
  }));
  const middle = height / 2;
  const words = SAYS.map((text, i): SceneItem => ({
    what: 'text',
    at: { x: width / 2, y: middle - 1.2 + i * 0.24 },
    text,
    size: 0.125,
    align: 'middle',
    ...(i === 0 ? { strong: true } : {}),
  }));
  const left = (width - 4) / 2;
  const line = middle + 0.7;
  const stroke = (id: string, x: number, y: number, wide: number, high: number): SceneItem => ({
    what: 'shape',
    id,
    paths: [pathRound(rectangle(x, y, wide, high))],
    fill: '#000000',
    line: null,
  });
  const thin = 0.012;
  const marks = [
    stroke('line', left, line, 4, thin),
    stroke('begin', left, line - 0.12, thin, 0.24),
    stroke('end', left + 4 - thin, line - 0.12, thin, 0.24),
    stroke('ten', left + 100 * MM - thin, line - 0.08, thin, 0.08),
  ];
  return {
    name: 'Measuring sheet',
    unit: 'in',
    box: { x: 0, y: 0, width, height },
    layers: [{ id: 'sheet', name: 'Measuring sheet', items: [...squares, ...words, ...marks] }],
  };
}
