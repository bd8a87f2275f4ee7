import { z } from 'zod';
import { countOf, lengthOf } from '../figure/figure.ts';
import type { Band, Piece, Point } from '../layout/piece.ts';
import { formatExact, formatLength, formatWithUnit } from '../length/format.ts';
import { near } from '../length/tolerance.ts';
import type { Grid, Setting, SettingPart } from './setting.ts';

const options = z.strictObject({ kind: z.literal('on-point') });

/** Outline of a square standing on its point, by its middle and half its diagonal. */
const diamond = (x: number, y: number, half: number): Point[] => [
  { x, y: y - half },
  { x: x + half, y },
  { x, y: y + half },
  { x: x - half, y },
];

/**
 * Square blocks turned 45°: `n` across the top row, `m` down the first column, further rows nested
 * between, side setting triangles along the edges and corner triangles at the four corners
 * (handbook 4). The straight grain of every triangle lies along the quilt's edge.
 */
export const onPoint: Setting<'on-point', z.infer<typeof options>> = {
  kind: 'on-point',
  name: 'On point',
  describes: 'Blocks turned to stand on a corner, triangles filling the edges.',
  gridMeans: { across: 'blocks across the top row', down: 'blocks down the first column' },
  options,
  start: () => ({ kind: 'on-point' }),
  fields: [],
  blocksNeeded: ({ across: n, down: m }) => {
    const inner = (n - 1) * (m - 1);
    return countOf(n * m + inner, `${n} × ${m} = ${n * m}, and ${n - 1} × ${m - 1} = ${inner} nested between: ${n * m + inner}`);
  },
  refusals: ({ unit, block }) =>
    near(block.width, block.height)
      ? []
      : [{
          path: ['setting', 'kind'],
          message: `Only square blocks can stand on point in one even grid; these finish ${formatLength(block.width, unit)} × ${formatWithUnit(block.height, unit)}. `
            + 'Make the block square, or choose a straight setting.',
        }],

  layOut: ({ unit, block, grid, origin }) => {
    const { across: n, down: m } = grid;
    const diagonal = block.width * Math.SQRT2;
    const half = diagonal / 2;
    // Every corner of every piece lies on one lattice of half diagonals, so shared corners agree to the last bit.
    const at = (column: number, row: number): Point => ({ x: origin.x + column * half, y: origin.y + row * half });
    const pieces: Piece[] = [];
    let place = 0;
    for (let row = 1; row < 2 * m; row++) {
      const nested = row % 2 === 0;
      for (let column = nested ? 2 : 1; column < 2 * n; column += 2) {
        const middle = at(column, row);
        pieces.push({ id: `block-${row}-${column}`, part: 'block', outline: diamond(middle.x, middle.y, half), place: place++ });
      }
    }
    const triangle = (part: string, id: string, ...outline: Point[]) => pieces.push({ id, part, outline });
    for (let column = 2; column < 2 * n; column += 2) {
      triangle('side-triangle', `side-top-${column}`, at(column - 1, 0), at(column + 1, 0), at(column, 1));
      triangle('side-triangle', `side-bottom-${column}`, at(column + 1, 2 * m), at(column - 1, 2 * m), at(column, 2 * m - 1));
    }
    for (let row = 2; row < 2 * m; row += 2) {
      triangle('side-triangle', `side-left-${row}`, at(0, row + 1), at(0, row - 1), at(1, row));
      triangle('side-triangle', `side-right-${row}`, at(2 * n, row - 1), at(2 * n, row + 1), at(2 * n - 1, row));
    }
    triangle('corner-triangle', 'corner-top-left', at(0, 0), at(1, 0), at(0, 1));
    triangle('corner-triangle', 'corner-top-right', at(2 * n, 0), at(2 * n, 1), at(2 * n - 1, 0));
    triangle('corner-triangle', 'corner-bottom-right', at(2 * n, 2 * m), at(2 * n - 1, 2 * m), at(2 * n, 2 * m - 1));
    triangle('corner-triangle', 'corner-bottom-left', at(0, 2 * m), at(0, 2 * m - 1), at(1, 2 * m));

    const size = (blocks: number) =>
      lengthOf(blocks * diagonal, `${blocks} blocks × ${formatLength(block.width, unit)} × √2 = ${formatExact(blocks * diagonal)}`);
    const bands = (count: number, start: number): Band[] =>
      Array.from({ length: count }, (_, i) => ({ role: 'block', part: 'block', from: start + i * diagonal, to: start + (i + 1) * diagonal }));
    return {
      width: size(n),
      height: size(m),
      parts: parts(grid),
      pieces,
      bands: { across: bands(n, origin.x), down: bands(m, origin.y) },
    };
  },
};

function parts(grid: Grid): SettingPart[] {
  const { across: n, down: m } = grid;
  const sides = 2 * (n - 1) + 2 * (m - 1);
  const found: SettingPart[] = [
    { key: 'block', role: 'block', name: 'Blocks', grain: 'diagonal', count: onPoint.blocksNeeded(grid) },
    {
      key: 'corner-triangle', role: 'corner-triangle', name: 'Corner triangles', grain: 'square-to-edge',
      count: countOf(4, 'One at each corner: 4'),
    },
  ];
  if (sides > 0) {
    found.push({
      key: 'side-triangle', role: 'side-triangle', name: 'Side triangles', grain: 'square-to-edge',
      count: countOf(sides, `Top and bottom 2 × (${n} − 1), sides 2 × (${m} − 1): ${sides}`),
    });
  }
  return found;
}
