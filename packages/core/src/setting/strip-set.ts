import { z } from 'zod';
import { countOf, numberOf } from '../figure/figure.ts';
import { type Band, type Piece } from '../piece/piece.ts';
import { rectangle } from '../geometry/shapes.ts';
import { formatWorking } from '../length/format.ts';
import { USUAL } from '../usual/lengths.ts';
import { sensibleSash } from './refusals.ts';
import { blockMarks, linesText, sashedSize, sashLines, sashTape, stopsAlong } from './sash-lines.ts';
import type { Setting, SettingPart } from './setting.ts';
import { sashOfOwn } from './own-lengths.ts';

const options = z.strictObject({
  kind: z.literal('strip-set'),
  direction: z.enum(['columns', 'rows'], 'Strips run between "columns" or "rows".'),
  sash: z.number('The sash width is missing.'),
  outerSash: z.boolean('Say whether a strip runs along both outsides: true or false.'),
});

/**
 * Blocks sewn straight to one another in columns (or rows), with long strips only between the columns
 * (or rows) (rule ST-4). Strips are cut over-long and trimmed after sewing; the list gives the
 * length they finish at, with seams.
 */
export const stripSet: Setting<'strip-set', z.infer<typeof options>, typeof options> = {
  kind: 'strip-set',
  name: 'Strips',
  describes: 'Long strips between columns or rows only.',
  gridMeans: { across: 'blocks across', down: 'blocks down' },
  options,
  ...sashOfOwn,
  besides: ({ outerSash }) => (outerSash ? 'strips along the outsides' : null),
  start: (unit) => ({
    kind: 'strip-set',
    direction: 'columns',
    sash: USUAL.wideSash[unit],
    outerSash: false,
  }),
  fields: [
    {
      key: 'direction',
      label: 'Strips between',
      type: 'choice',
      sizes: true,
      choices: [
        { value: 'columns', label: 'Columns' },
        { value: 'rows', label: 'Rows' },
      ],
    },
    { key: 'sash', label: 'Strip, finished', type: 'length' },
    { key: 'outerSash', label: 'Strips along the outsides', type: 'switch', sizes: true },
  ],
  blocksNeeded: ({ across, down }) =>
    countOf(across * down, `${across} across × ${down} down = ${across * down}`),
  extent: (way, count, size, { direction, sash, outerSash }) =>
    count * size +
    ((way === 'across') === (direction === 'columns') ? sashLines(count, outerSash) * sash : 0),
  pieceCount: ({ across, down }, { direction, outerSash }) =>
    across * down + sashLines(direction === 'columns' ? across : down, outerSash),
  refusals: ({ unit, block, options: { sash } }) => sensibleSash(sash, 1, block, unit),
  layOut: ({ unit, block, grid, options: chosen, seam, origin }) => {
    const { direction, sash, outerSash } = chosen;
    const show = (v: number) => formatWorking(v, unit);
    const columns = direction === 'columns';
    const along = (blocks: number, size: number, stripped: boolean, start: number) => ({
      stops: stopsAlong(blocks, size, stripped ? sash : 0, stripped && outerSash, start),
      size: stripped ? sashedSize(blocks, size, sash, outerSash, show) : undefined,
    });
    const x = along(grid.across, block.width, columns, origin.x);
    const y = along(grid.down, block.height, !columns, origin.y);
    const plain = (blocks: number, size: number) => ({
      value: blocks * size,
      kind: 'length' as const,
      working: [`${numberOf(blocks, 'block')} × ${show(size)} = ${show(blocks * size)}`],
    });
    const width = x.size ?? plain(grid.across, block.width);
    const height = y.size ?? plain(grid.down, block.height);
    const pieces: Piece[] = [];
    y.stops.blockAt.forEach((top, row) =>
      x.stops.blockAt.forEach((left, column) =>
        pieces.push({
          id: `block-${row}-${column}`,
          part: 'block',
          outline: rectangle(left, top, block.width, block.height),
          place: row * grid.across + column,
          spot: { column, row },
        }),
      ),
    );
    x.stops.sashAt.forEach(({ line, at }) =>
      pieces.push({
        id: `strip-${line}`,
        part: 'strip',
        outline: rectangle(at, origin.y, sash, height.value),
      }),
    );
    y.stops.sashAt.forEach(({ line, at }) =>
      pieces.push({
        id: `strip-${line}`,
        part: 'strip',
        outline: rectangle(origin.x, at, width.value, sash),
      }),
    );
    const blocks = columns ? grid.across : grid.down;
    const lines = sashLines(blocks, outerSash);
    const parts: SettingPart[] = [
      {
        key: 'block',
        role: 'block',
        name: 'Blocks',
        grain: 'square-to-edge',
        count: stripSet.blocksNeeded(grid, chosen),
      },
    ];
    if (lines > 0) {
      const working = `${outerSash ? 'Between and outside' : 'Between'} ${numberOf(blocks, columns ? 'column' : 'row')}: ${linesText(blocks, outerSash)} = ${lines}`;
      parts.push({
        key: 'strip',
        role: 'sash',
        name: 'Strips',
        grain: 'square-to-edge',
        count: countOf(lines, working),
        notes: [blockMarks(seam, columns ? block.height : block.width, 0, unit)],
      });
    }
    const bands = (stops: typeof x.stops, size: number, stripped: boolean): Band[] =>
      sashTape(stops, size, stripped ? sash : 0, 'strip');
    return {
      width,
      height,
      parts,
      pieces,
      bands: { across: bands(x.stops, block.width, columns), down: bands(y.stops, block.height, !columns) },
    };
  },
};
