import { z } from 'zod';
import { countOf, type Figure, lengthOf } from '../figure/figure.ts';
import { type Band, diamond, type Piece, type Point } from '../layout/piece.ts';
import { formatExact, formatLength } from '../length/format.ts';
import { edgeTriangleParts, sideTriangles } from './edge-triangles.ts';
import { sensibleSash, squareBlocksOnly } from './refusals.ts';
import type { Grid, Setting, SettingPart } from './setting.ts';

const options = z.strictObject({
  kind: z.literal('on-point-sashed'),
  sash: z.number('The sash width is missing.'),
});

type OnPointSashedOptions = z.infer<typeof options>;

const blocksIn = ({ across: n, down: m }: Grid): number => n * m + (n - 1) * (m - 1);

/**
 * Square blocks on point with a sash along every side of every block and a cornerstone at every
 * crossing, the outermost cornerstones whole at the edge (handbook 4): width `(n f + (n+1) s)√2`.
 */
export const onPointSashed: Setting<'on-point-sashed', OnPointSashedOptions> = {
  kind: 'on-point-sashed',
  name: 'On point, sashed',
  describes: 'Blocks on a corner, sashes and cornerstones round every one.',
  gridMeans: { across: 'blocks across the top row', down: 'blocks down the first column' },
  options,
  start: (unit) => ({ kind: 'on-point-sashed', sash: unit === 'in' ? 1.5 : 4 }),
  fields: [{ key: 'sash', label: 'Sash, finished', type: 'length' }],
  blocksNeeded: (grid) => {
    const { across: n, down: m } = grid;
    return countOf(blocksIn(grid), `${n} × ${m} = ${n * m}, and ${n - 1} × ${m - 1} = ${(n - 1) * (m - 1)} nested between: ${blocksIn(grid)}`);
  },
  extent: (_, count, size, { sash }) => (count * size + (count + 1) * sash) * Math.SQRT2,
  pieceCount: (grid) => {
    const { across: n, down: m } = grid;
    return blocksIn(grid) + 4 * n * m + n * (m + 1) + m * (n + 1) + sideTriangles(grid) + 4;
  },
  refusals: ({ unit, block, options: { sash } }) => [...squareBlocksOnly(block, unit), ...sensibleSash(sash, 1, block, unit)],

  layOut: ({ unit, block, grid, options: chosen, origin }) => {
    const { sash } = chosen;
    const { across: n, down: m } = grid;
    const f = block.width;
    // Half diagonals of a block, a cornerstone, and of the step from one crossing to the next.
    const half = (f * Math.SQRT2) / 2;
    const stone = (sash * Math.SQRT2) / 2;
    const step = half + stone;
    // Crossings lie on a lattice of steps, the outermost a cornerstone's half diagonal inside the edge.
    const at = (column: number, row: number, dx = 0, dy = 0): Point => ({ x: origin.x + stone + column * step + dx, y: origin.y + stone + row * step + dy });
    const pieces: Piece[] = [];
    let place = 0;
    for (let row = 1; row < 2 * m; row++) {
      for (let column = row % 2 === 1 ? 1 : 2; column < 2 * n; column += 2) {
        const middle = at(column, row);
        pieces.push({ id: `block-${row}-${column}`, part: 'block', outline: diamond(middle.x, middle.y, half), place: place++ });
      }
    }
    for (let row = 0; row <= 2 * m; row++) {
      for (let column = row % 2 === 0 ? 1 : 0; column <= 2 * n; column += 2) {
        const middle = at(column, row);
        pieces.push({ id: `cornerstone-${row}-${column}`, part: 'cornerstone', outline: diamond(middle.x, middle.y, stone) });
      }
    }
    // Sashes run from the right corner of one cornerstone to the next, falling (\) or rising (/).
    const crossing = (column: number, row: number) => (column + row) % 2 === 1 && column >= 0 && column <= 2 * n && row >= 0 && row <= 2 * m;
    for (let row = 0; row < 2 * m; row++) {
      for (let column = 0; column <= 2 * n; column++) {
        if (!crossing(column, row)) continue;
        if (crossing(column + 1, row + 1)) {
          pieces.push({ id: `falling-${row}-${column}`, part: 'falling', outline: [at(column, row, stone), at(column + 1, row + 1, 0, -stone), at(column + 1, row + 1, -stone), at(column, row, 0, stone)] });
        }
        if (crossing(column - 1, row + 1)) {
          pieces.push({ id: `rising-${row}-${column}`, part: 'rising', outline: [at(column, row, 0, stone), at(column - 1, row + 1, stone), at(column - 1, row + 1, 0, -stone), at(column, row, -stone)] });
        }
      }
    }
    const triangle = (part: string, id: string, outline: Point[]) => pieces.push({ id, part, outline });
    for (let column = 2; column < 2 * n; column += 2) {
      triangle('side-triangle', `side-top-${column}`, [at(column - 1, 0, 0, -stone), at(column + 1, 0, 0, -stone), at(column, 1, 0, -stone)]);
      triangle('side-triangle', `side-bottom-${column}`, [at(column + 1, 2 * m, 0, stone), at(column - 1, 2 * m, 0, stone), at(column, 2 * m - 1, 0, stone)]);
    }
    for (let row = 2; row < 2 * m; row += 2) {
      triangle('side-triangle', `side-left-${row}`, [at(0, row + 1, -stone), at(0, row - 1, -stone), at(1, row, -stone)]);
      triangle('side-triangle', `side-right-${row}`, [at(2 * n, row - 1, stone), at(2 * n, row + 1, stone), at(2 * n - 1, row, stone)]);
    }
    const [left, top, right, bottom] = [at(0, 0, -stone).x, at(0, 0, 0, -stone).y, at(2 * n, 0, stone).x, at(0, 2 * m, 0, stone).y];
    const leg = step + stone;
    triangle('corner-triangle', 'corner-top-left', [{ x: left, y: top }, { x: left + leg, y: top }, { x: left, y: top + leg }]);
    triangle('corner-triangle', 'corner-top-right', [{ x: right, y: top }, { x: right, y: top + leg }, { x: right - leg, y: top }]);
    triangle('corner-triangle', 'corner-bottom-right', [{ x: right, y: bottom }, { x: right - leg, y: bottom }, { x: right, y: bottom - leg }]);
    triangle('corner-triangle', 'corner-bottom-left', [{ x: left, y: bottom }, { x: left, y: bottom - leg }, { x: left + leg, y: bottom }]);

    const show = (v: number) => formatLength(v, unit);
    const size = (count: number): Figure => {
      const value = (count * f + (count + 1) * sash) * Math.SQRT2;
      return lengthOf(value, `(${count} blocks × ${show(f)} + ${count + 1} sashes × ${show(sash)}) × √2 = ${formatExact(value)}`);
    };
    const bands = (count: number, start: number): Band[] =>
      Array.from({ length: count }, (_, i): Band[] => {
        const from = start + 2 * stone + i * 2 * step;
        return [
          { role: 'cornerstone', part: 'cornerstone', from: from - 2 * stone, to: from },
          { role: 'block', part: 'block', from, to: from + 2 * half },
        ];
      }).flat().concat([{ role: 'cornerstone', part: 'cornerstone', from: start + count * 2 * step, to: start + count * 2 * step + 2 * stone }]);
    return {
      width: size(n),
      height: size(m),
      parts: parts(grid, chosen),
      pieces,
      bands: { across: bands(n, origin.x), down: bands(m, origin.y) },
    };
  },
};

function parts(grid: Grid, chosen: OnPointSashedOptions): SettingPart[] {
  const { across: n, down: m } = grid;
  const stones = n * (m + 1) + m * (n + 1);
  const sash = (key: string, name: string): SettingPart => ({
    key, role: 'sash', name, grain: 'diagonal', count: countOf(2 * n * m, `${name}: 2 × ${n} × ${m} = ${2 * n * m}`),
  });
  return [
    { key: 'block', role: 'block', name: 'Blocks', grain: 'diagonal', count: onPointSashed.blocksNeeded(grid, chosen) },
    sash('falling', 'Falling sashes'),
    sash('rising', 'Rising sashes'),
    {
      key: 'cornerstone', role: 'cornerstone', name: 'Cornerstones', grain: 'diagonal',
      count: countOf(stones, `${n} × (${m} + 1) + ${m} × (${n} + 1) = ${stones}`),
    },
    ...edgeTriangleParts(grid),
  ];
}
