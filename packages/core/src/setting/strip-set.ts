import { z } from 'zod';
import { countOf, lengthOf, numberOf } from '../figure/figure.ts';
import { type Band, type Piece } from '../piece/piece.ts';
import { rectangle } from '../geometry/shapes.ts';
import { formatWorking } from '../length/format.ts';
import { USUAL } from '../usual/lengths.ts';
import { sensibleSash } from './refusals.ts';
import { linesText, sashedSize, sashLines, sashTape, stopsAlong } from './sash-lines.ts';
import type { Setting, SettingPart } from './setting.ts';
import { sashOfOwn } from './own-lengths.ts';

const options = z.strictObject({
  kind: z.literal('strip-set'),
  direction: z.enum(['columns', 'rows'], 'Strips run between "columns" or "rows".'),
  sash: z.number('The sash width is missing.'),
  outerSash: z.boolean('Say whether a strip runs along both outsides: true or false.'),
  /** A short sash between the blocks of a column or row, and how wide it finishes where there is one. */
  shortSash: z.boolean('Say whether a short sash parts the blocks: true or false.'),
  short: z.number('The width of the short sash is missing.'),
});

/**
 * Blocks sewn to one another in columns (or rows), straight or with a short sash between, and long strips between the
 * columns (or rows) (rule ST-4). Strips are cut over-long and trimmed after sewing; the list gives the
 * length they finish at, with seams.
 */
export const stripSet: Setting<'strip-set', z.infer<typeof options>, typeof options> = {
  kind: 'strip-set',
  name: 'Strips',
  describes: 'Long strips between columns or rows only.',
  gridMeans: { across: 'blocks across', down: 'blocks down' },
  options,
  ...sashOfOwn,
  besides: ({ outerSash, shortSash }) =>
    [
      ...(outerSash ? ['strips along the outsides'] : []),
      ...(shortSash ? ['short sashes between blocks'] : []),
    ].join(', ') || null,
  start: (unit) => ({
    kind: 'strip-set',
    direction: 'columns',
    sash: USUAL.wideSash[unit],
    outerSash: false,
    shortSash: false,
    short: USUAL.sash[unit],
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
    { key: 'shortSash', label: 'A short sash between blocks', type: 'switch', sizes: true },
    { key: 'short', label: 'Short sash, finished', type: 'length', when: { key: 'shortSash', is: true } },
  ],
  blocksNeeded: ({ across, down }) =>
    countOf(across * down, `${across} across × ${down} down = ${across * down}`),
  extent: (way, count, size, { direction, sash, outerSash, shortSash, short }) =>
    count * size +
    ((way === 'across') === (direction === 'columns')
      ? sashLines(count, outerSash) * sash
      : shortSash
        ? sashLines(count, false) * short
        : 0),
  pieceCount: ({ across, down }, { direction, outerSash, shortSash }) => {
    const [lines, inLine] = direction === 'columns' ? [across, down] : [down, across];
    return across * down + sashLines(lines, outerSash) + (shortSash ? lines * sashLines(inLine, false) : 0);
  },
  refusals: ({ unit, block, options: { sash, shortSash, short } }) => [
    ...sensibleSash(sash, 1, block, unit),
    ...(shortSash ? sensibleSash(short, 1, block, unit, 'short') : []),
  ],
  layOut: ({ unit, block, grid, options: chosen, seam, origin }) => {
    const { direction, sash, outerSash, shortSash } = chosen;
    const short = shortSash ? chosen.short : 0;
    const show = (v: number) => formatWorking(v, unit);
    const columns = direction === 'columns';
    const along = (blocks: number, size: number, stripped: boolean, start: number) => {
      const [between, outer] = stripped ? [sash, outerSash] : [short, false];
      return {
        stops: stopsAlong(blocks, size, between, outer, start),
        size:
          between > 0
            ? sashedSize(blocks, size, between, outer, show)
            : lengthOf(
                blocks * size,
                `${numberOf(blocks, 'block')} × ${show(size)} = ${show(blocks * size)}`,
              ),
      };
    };
    const x = along(grid.across, block.width, columns, origin.x);
    const y = along(grid.down, block.height, !columns, origin.y);
    const [width, height] = [x.size, y.size];
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
    const [strips, shorts] = columns ? [x.stops, y.stops] : [y.stops, x.stops];
    strips.sashAt.forEach(({ line, at }) =>
      pieces.push({
        id: `strip-${line}`,
        part: 'strip',
        outline: columns
          ? rectangle(at, origin.y, sash, height.value)
          : rectangle(origin.x, at, width.value, sash),
      }),
    );
    strips.blockAt.forEach((beside, of) =>
      shorts.sashAt.forEach(({ line, at }) =>
        pieces.push({
          id: `short-${of}-${line}`,
          part: 'short',
          outline: columns
            ? rectangle(beside, at, block.width, short)
            : rectangle(at, beside, short, block.height),
        }),
      ),
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
        marks: { first: seam, size: columns ? block.height : block.width, sash: short },
      });
    }
    const between = sashLines(columns ? grid.down : grid.across, false);
    if (shortSash && between > 0)
      parts.push({
        key: 'short',
        role: 'sash',
        name: 'Short sashes',
        grain: 'square-to-edge',
        count: countOf(
          blocks * between,
          `Between blocks, in each of ${numberOf(blocks, columns ? 'column' : 'row')}: ${blocks} × ${linesText(columns ? grid.down : grid.across, false)} = ${blocks * between}`,
        ),
      });
    const bands = (stops: typeof x.stops, size: number, stripped: boolean): Band[] =>
      stripped ? sashTape(stops, size, sash, 'strip') : sashTape(stops, size, short, 'short', 'short');
    return {
      width,
      height,
      parts,
      pieces,
      bands: { across: bands(x.stops, block.width, columns), down: bands(y.stops, block.height, !columns) },
    };
  },
};
