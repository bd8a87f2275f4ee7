import { z } from 'zod';
import { countOf, lengthOf, numberOf } from '../figure/figure.ts';
import { type Piece } from '../piece/piece.ts';
import { rectangle } from '../geometry/shapes.ts';
import { formatWorking } from '../length/format.ts';
import { evenTape } from './even-tape.ts';
import { slanting } from './slanting.ts';
import type { Grid, Setting, SettingPart } from './setting.ts';

const options = z.strictObject({ kind: z.literal('alternate') });

const blocksOf = ({ across, down }: Grid): number => Math.ceil((across * down) / 2);

/** Blocks and plain squares of cloth in turn, a block at the top left: half as many blocks for the same size (rule ST-10). */
export const alternate: Setting<'alternate', z.infer<typeof options>, typeof options> = {
  kind: 'alternate',
  name: 'Alternate',
  describes: 'Blocks and plain blocks in turn.',
  gridMeans: { across: 'places across', down: 'places down' },
  options,
  start: () => ({ kind: 'alternate' }),
  fields: [],
  blocksNeeded: (grid) =>
    countOf(
      blocksOf(grid),
      `Every other of ${grid.across} × ${grid.down} places, a block first: ${blocksOf(grid)}`,
    ),
  extent: (_, count, size) => count * size,
  pieceCount: ({ across, down }) => across * down,
  refusals: () => [],
  layOut: ({ unit, block, grid, options: chosen, origin }) => {
    const { across, down } = grid;
    const show = (v: number) => formatWorking(v, unit);
    const pieces: Piece[] = [];
    let place = 0;
    for (let row = 0; row < down; row++) {
      for (let column = 0; column < across; column++) {
        const outline = rectangle(
          origin.x + column * block.width,
          origin.y + row * block.height,
          block.width,
          block.height,
        );
        // Blocks meet one another corner to corner here: their own rows slant.
        if ((row + column) % 2 === 0)
          pieces.push({
            id: `block-${row}-${column}`,
            part: 'block',
            outline,
            place: place++,
            spot: slanting(column + 1, row + 1),
          });
        else pieces.push({ id: `plain-${row}-${column}`, part: 'plain', outline });
      }
    }
    const plain = across * down - blocksOf(grid);
    const parts: SettingPart[] = [
      {
        key: 'block',
        role: 'block',
        name: 'Blocks',
        grain: 'square-to-edge',
        count: alternate.blocksNeeded(grid, chosen),
      },
    ];
    if (plain > 0) {
      parts.push({
        key: 'plain',
        role: 'plain-block',
        name: 'Plain blocks',
        grain: 'square-to-edge',
        count: countOf(
          plain,
          `${across} × ${down} places less ${numberOf(blocksOf(grid), 'block')} = ${plain}`,
        ),
      });
    }
    return {
      width: lengthOf(
        across * block.width,
        `${numberOf(across, 'place')} × ${show(block.width)} = ${show(across * block.width)}`,
      ),
      height: lengthOf(
        down * block.height,
        `${numberOf(down, 'place')} × ${show(block.height)} = ${show(down * block.height)}`,
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
