import { z } from 'zod';
import { countOf, lengthOf } from '../figure/figure.ts';
import { diamond, type Piece, type Point } from '../layout/piece.ts';
import { formatExact, formatLength } from '../length/format.ts';
import { edgeTriangleParts, sideTriangles } from './edge-triangles.ts';
import { evenTape } from './even-tape.ts';
import { squareBlocksOnly } from './refusals.ts';
import type { Grid, Setting, SettingPart } from './setting.ts';

const options = z.strictObject({
  kind: z.literal('on-point'),
  /** The nested rows between are plain squares of cloth instead of blocks. */
  plainBetween: z.boolean('Say whether the nested places are plain: true or false.'),
});
type OnPointOptions = z.infer<typeof options>;

/**
 * Square blocks turned 45°: `n` across the top row, `m` down the first column, further rows nested
 * between, side setting triangles along the edges and corner triangles at the four corners
 * (handbook 4). The straight grain of every triangle lies along the quilt's edge.
 */
export const onPoint: Setting<'on-point', OnPointOptions> = {
  kind: 'on-point',
  name: 'On point',
  describes: 'Blocks turned to stand on a corner, triangles filling the edges.',
  gridMeans: { across: 'blocks across the top row', down: 'blocks down the first column' },
  options,
  start: () => ({ kind: 'on-point', plainBetween: false }),
  fields: [{ key: 'plainBetween', label: 'Plain blocks between', type: 'switch', sizes: true }],
  blocksNeeded: ({ across: n, down: m }, { plainBetween }) => {
    const inner = (n - 1) * (m - 1);
    return plainBetween
      ? countOf(n * m, `${n} × ${m} = ${n * m}`)
      : countOf(n * m + inner, `${n} × ${m} = ${n * m}, and ${n - 1} × ${m - 1} = ${inner} nested between: ${n * m + inner}`);
  },
  extent: (_, count, size) => count * size * Math.SQRT2,
  pieceCount: (grid) => grid.across * grid.down + (grid.across - 1) * (grid.down - 1) + sideTriangles(grid) + 4,
  refusals: ({ unit, block }) => squareBlocksOnly(block, unit),

  layOut: ({ unit, block, grid, options: chosen, origin }) => {
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
        const outline = diamond(middle.x, middle.y, half);
        if (nested && chosen.plainBetween) pieces.push({ id: `plain-${row}-${column}`, part: 'plain', outline });
        else pieces.push({ id: `block-${row}-${column}`, part: 'block', outline, place: place++ });
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
    return {
      width: size(n),
      height: size(m),
      parts: parts(grid, chosen),
      pieces,
      bands: { across: evenTape(n, diagonal, origin.x), down: evenTape(m, diagonal, origin.y) },
    };
  },
};

function parts(grid: Grid, chosen: OnPointOptions): SettingPart[] {
  const { across: n, down: m } = grid;
  const inner = (n - 1) * (m - 1);
  const blocks: SettingPart = { key: 'block', role: 'block', name: 'Blocks', grain: 'diagonal', count: onPoint.blocksNeeded(grid, chosen) };
  if (!chosen.plainBetween || inner === 0) return [blocks, ...edgeTriangleParts(grid)];
  const plain: SettingPart = { key: 'plain', role: 'plain-block', name: 'Plain blocks', grain: 'diagonal', count: countOf(inner, `${n - 1} × ${m - 1} nested between = ${inner}`) };
  return [blocks, plain, ...edgeTriangleParts(grid)];
}
