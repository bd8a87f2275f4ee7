import { z } from 'zod';
import { countOf, lengthOf, numberOf } from '../figure/figure.ts';
import { type Piece } from '../piece/piece.ts';
import { rectangle } from '../geometry/shapes.ts';
import { formatWorking } from '../length/format.ts';
import { evenTape } from './even-tape.ts';
import type { Setting } from './setting.ts';

const options = z.strictObject({ kind: z.literal('edge-to-edge') });

/** Blocks sewn straight to one another: `n f × m f` (rule ST-1). */
export const edgeToEdge: Setting<'edge-to-edge', z.infer<typeof options>, typeof options> = {
  kind: 'edge-to-edge',
  name: 'Edge to edge',
  describes: 'Blocks sewn straight to their neighbours.',
  gridMeans: { across: 'blocks across', down: 'blocks down' },
  options,
  atCounter: (start) => start,
  start: () => ({ kind: 'edge-to-edge' }),
  fields: [],
  blocksNeeded: ({ across, down }) =>
    countOf(across * down, `${across} across × ${down} down = ${across * down}`),
  extent: (_, count, size) => count * size,
  pieceCount: ({ across, down }) => across * down,
  refusals: () => [],
  layOut: ({ unit, block, grid, options: chosen, origin }) => {
    const { across, down } = grid;
    const show = (v: number) => formatWorking(v, unit);
    const pieces: Piece[] = [];
    for (let row = 0; row < down; row++) {
      for (let column = 0; column < across; column++) {
        const outline = rectangle(
          origin.x + column * block.width,
          origin.y + row * block.height,
          block.width,
          block.height,
        );
        pieces.push({
          id: `block-${row}-${column}`,
          part: 'block',
          outline,
          place: row * across + column,
          spot: { column, row },
        });
      }
    }
    const width = across * block.width;
    const height = down * block.height;
    return {
      width: lengthOf(width, `${numberOf(across, 'block')} × ${show(block.width)} = ${show(width)}`),
      height: lengthOf(height, `${numberOf(down, 'block')} × ${show(block.height)} = ${show(height)}`),
      parts: [
        {
          key: 'block',
          role: 'block',
          name: 'Blocks',
          grain: 'square-to-edge',
          count: edgeToEdge.blocksNeeded(grid, chosen),
        },
      ],
      pieces,
      bands: {
        across: evenTape(across, block.width, origin.x),
        down: evenTape(down, block.height, origin.y),
      },
    };
  },
};
