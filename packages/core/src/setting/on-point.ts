import { z } from 'zod';
import { countOf, lengthOf, numberOf } from '../figure/figure.ts';
import { type Piece } from '../piece/piece.ts';
import type { Point } from '../geometry/point.ts';
import { diamond } from '../geometry/shapes.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import {
  type EdgeGeometry,
  edgePieces,
  edgeTriangleParts,
  floatField,
  floatTape,
  sideTriangles,
  triangleOptions,
  triangleRuleField,
} from './edge-triangles.ts';
import { evenTape } from './even-tape.ts';
import { sensibleFloat, squareBlocksOnly } from './refusals.ts';
import { floatOfOwn } from './own-lengths.ts';
import type { Grid, Setting, SettingPart } from './setting.ts';
import { slanting } from './slanting.ts';

const options = z.strictObject({
  kind: z.literal('on-point'),
  /** The nested rows between are plain squares of cloth instead of blocks. */
  plainBetween: z.boolean('Say whether the nested places are plain: true or false.'),
  ...triangleOptions,
});
type OnPointOptions = z.infer<typeof options>;

/**
 * Square blocks turned 45°: `n` across the top row, `m` down the first column, further rows nested
 * between, side setting triangles along the edges and corner triangles at the four corners
 * (rule ST-5). The straight grain of every triangle lies along the quilt's edge. With a float the
 * triangles are larger and the points stay that far inside the edge; the float is part of the finished size.
 */
export const onPoint: Setting<'on-point', OnPointOptions, typeof options> = {
  kind: 'on-point',
  name: 'On point',
  describes: 'Blocks turned to stand on a corner, triangles filling the edges.',
  gridMeans: { across: 'blocks across the top row', down: 'blocks down the first column' },
  options,
  ...floatOfOwn,
  besides: ({ plainBetween }, { across, down }) =>
    plainBetween && across > 1 && down > 1 ? 'plain ones between' : null,
  onPoint: true,
  atCounter: (start) => start,
  start: () => ({ kind: 'on-point', plainBetween: false, float: 0, triangles: 'trade' }),
  fields: [
    { key: 'plainBetween', label: 'Plain blocks between', type: 'switch', sizes: true },
    floatField,
    triangleRuleField,
  ],
  blocksNeeded: ({ across: n, down: m }, { plainBetween }) => {
    const inner = (n - 1) * (m - 1);
    return plainBetween
      ? countOf(n * m, `${n} × ${m} = ${n * m}`)
      : countOf(
          n * m + inner,
          `${n} × ${m} = ${n * m}, and ${n - 1} × ${m - 1} = ${inner} nested between: ${n * m + inner}`,
        );
  },
  extent: (_, count, size, { float }) => count * size * Math.SQRT2 + 2 * float,
  pieceCount: (grid) =>
    grid.across * grid.down + (grid.across - 1) * (grid.down - 1) + sideTriangles(grid) + 4,
  refusals: ({ unit, block, options: { float } }) => [
    ...squareBlocksOnly(block, unit),
    ...sensibleFloat(float, block, unit),
  ],

  layOut: ({ unit, block, grid, options: chosen, origin }) => {
    const { across: n, down: m } = grid;
    const diagonal = block.width * Math.SQRT2;
    const half = diagonal / 2;
    // Every corner of every piece lies on one lattice of half diagonals, so shared corners agree to the last bit.
    const { float } = chosen;
    const inner: Point = { x: origin.x + float, y: origin.y + float };
    const at = (column: number, row: number): Point => ({
      x: inner.x + column * half,
      y: inner.y + row * half,
    });
    const pieces: Piece[] = [];
    let place = 0;
    for (let row = 1; row < 2 * m; row++) {
      const nested = row % 2 === 0;
      for (let column = nested ? 2 : 1; column < 2 * n; column += 2) {
        const middle = at(column, row);
        const outline = diamond(middle.x, middle.y, half);
        if (nested && chosen.plainBetween)
          pieces.push({ id: `plain-${row}-${column}`, part: 'plain', outline });
        else
          pieces.push({
            id: `block-${row}-${column}`,
            part: 'block',
            outline,
            place: place++,
            spot: chosen.plainBetween
              ? { column: (column - 1) / 2, row: (row - 1) / 2 }
              : slanting(column, row),
          });
      }
    }
    const edge: EdgeGeometry = { lead: half, pitch: diagonal, float };
    pieces.push(...edgePieces(grid, edge, inner));
    const size = (blocks: number) => {
      const points = `${numberOf(blocks, 'block')} × ${formatWorking(block.width, unit)} × √2 = ${formatExact(blocks * diagonal)}`;
      const value = blocks * diagonal + 2 * float;
      return lengthOf(
        value,
        points,
        ...(float > 0 ? [`+ 2 × ${formatWorking(float, unit)} float = ${formatExact(value)}`] : []),
      );
    };
    return {
      width: size(n),
      height: size(m),
      parts: parts(grid, chosen, edge),
      pieces,
      bands: {
        across: floatTape(evenTape(n, diagonal, inner.x), float, origin.x),
        down: floatTape(evenTape(m, diagonal, inner.y), float, origin.y),
      },
    };
  },
};

function parts(grid: Grid, chosen: OnPointOptions, edge: EdgeGeometry): SettingPart[] {
  const { across: n, down: m } = grid;
  const inner = (n - 1) * (m - 1);
  const blocks: SettingPart = {
    key: 'block',
    role: 'block',
    name: 'Blocks',
    grain: 'diagonal',
    count: onPoint.blocksNeeded(grid, chosen),
  };
  if (!chosen.plainBetween || inner === 0)
    return [blocks, ...edgeTriangleParts(grid, edge, chosen.triangles)];
  const plain: SettingPart = {
    key: 'plain',
    role: 'plain-block',
    name: 'Plain blocks',
    grain: 'diagonal',
    count: countOf(inner, `${n - 1} × ${m - 1} nested between = ${inner}`),
  };
  return [blocks, plain, ...edgeTriangleParts(grid, edge, chosen.triangles)];
}
