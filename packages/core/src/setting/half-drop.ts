import { z } from 'zod';
import { countOf, lengthOf, numberOf } from '../figure/figure.ts';
import { rectangle } from '../geometry/shapes.ts';
import { formatWorking } from '../length/format.ts';
import type { Piece } from '../piece/piece.ts';
import { evenTape } from './even-tape.ts';
import type { Grid, Setting, SettingPart } from './setting.ts';

const options = z.strictObject({ kind: z.literal('half-drop') });

/** Columns that are dropped: every other one, from the second. */
const isDropped = (column: number): boolean => column % 2 === 1;
const droppedIn = ({ across }: Grid): number => Math.floor(across / 2);

const blocksOf = (grid: Grid): number => grid.across * grid.down - droppedIn(grid);

/**
 * Blocks in columns, every other one dropped by half a block: it holds one block fewer, and plain halves make it as
 * long as its neighbours (rule ST-13). Sewn column by column, so that no seam has to match across.
 */
export const halfDrop: Setting<'half-drop', z.infer<typeof options>, typeof options> = {
  kind: 'half-drop',
  name: 'Half drop',
  describes: 'Columns of blocks, every other one dropped by half a block between plain halves.',
  gridMeans: { across: 'columns across', down: 'blocks down a full column' },
  options,
  start: () => ({ kind: 'half-drop' }),
  fields: [],
  atCounter: (start) => start,
  blocksNeeded: (grid) => {
    const dropped = droppedIn(grid);
    const all = `${numberOf(grid.across, 'column')} × ${grid.down} = ${grid.across * grid.down}`;
    return countOf(blocksOf(grid), `${all}, less one in each of ${dropped} dropped: ${blocksOf(grid)}`);
  },
  extent: (_, count, size) => count * size,
  pieceCount: (grid) => blocksOf(grid) + 2 * droppedIn(grid),
  refusals: () => [],
  layOut: ({ unit, block, grid, options: chosen, origin }) => {
    const { across, down } = grid;
    const show = (v: number) => formatWorking(v, unit);
    const half = block.height / 2;
    const pieces: Piece[] = [];
    let place = 0;
    // Places are numbered across, as a pile is laid out; a dropped row lies between two full ones.
    for (let row = 0; row < 2 * down - 1; row++) {
      for (let column = 0; column < across; column++) {
        if (isDropped(column) !== (row % 2 === 1)) continue;
        const outline = rectangle(
          origin.x + column * block.width,
          origin.y + row * half,
          block.width,
          block.height,
        );
        // A block beside another lies half a row on: as rows that slant down to the right, they are its neighbours.
        const spot = { column, row: (row - column) / 2 };
        pieces.push({ id: `block-${row}-${column}`, part: 'block', outline, place: place++, spot });
      }
    }
    for (let column = 1; column < across; column += 2)
      for (const end of ['top', 'bottom'] as const) {
        const y = origin.y + (end === 'top' ? 0 : down * block.height - half);
        const outline = rectangle(origin.x + column * block.width, y, block.width, half);
        pieces.push({ id: `half-${end}-${column}`, part: 'half', outline });
      }
    const dropped = droppedIn(grid);
    const parts: SettingPart[] = [];
    const blocks = halfDrop.blocksNeeded(grid, chosen);
    parts.push({ key: 'block', role: 'block', name: 'Blocks', grain: 'square-to-edge', count: blocks });
    if (dropped > 0)
      parts.push({
        key: 'half',
        role: 'plain-half',
        name: 'Plain halves',
        grain: 'square-to-edge',
        count: countOf(
          2 * dropped,
          `One at either end of each of ${numberOf(dropped, 'dropped column')}: ${2 * dropped}`,
        ),
      });
    return {
      width: lengthOf(
        across * block.width,
        `${numberOf(across, 'column')} × ${show(block.width)} = ${show(across * block.width)}`,
      ),
      height: lengthOf(
        down * block.height,
        `${numberOf(down, 'block')} × ${show(block.height)} = ${show(down * block.height)}`,
      ),
      parts,
      pieces,
      bands: {
        across: evenTape(across, block.width, origin.x),
        down: evenTape(down, block.height, origin.y),
      },
    };
  },
};
