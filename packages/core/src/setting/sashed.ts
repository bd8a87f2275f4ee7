import { z } from 'zod';
import { countOf, numberOf } from '../figure/figure.ts';
import { type Piece } from '../piece/piece.ts';
import { rectangle } from '../geometry/shapes.ts';
import { formatWorking } from '../length/format.ts';
import { USUAL } from '../usual/lengths.ts';
import { sensibleSash } from './refusals.ts';
import {
  blockMarks,
  linesText,
  sashedSize,
  sashLines,
  sashPieces,
  sashTape,
  stopsAlong,
  stripPart,
  stripWidths,
} from './sash-lines.ts';
import type { Centre, Setting, SettingInput, SettingPart } from './setting.ts';
import { sashOfOwn } from './own-lengths.ts';

const options = z.strictObject({
  kind: z.literal('sashed'),
  sash: z.number('The sash width is missing.'),
  outerSash: z.boolean('Say whether a sash runs round the outside: true or false.'),
  cornerstones: z.boolean('Say whether there are cornerstones: true or false.'),
  /** Strips each sash is pieced of. */
  strips: z.enum(['1', '2', '3'], 'A sash is pieced of "1", "2" or "3" strips.'),
});
type SashedOptions = z.infer<typeof options>;

/**
 * Blocks parted by sashing, with or without a sash round the outside, with or without cornerstones
 * (rule ST-2). Without cornerstones the upright sashes are short and each level sash runs the whole
 * width of the row.
 */
export const sashed: Setting<'sashed', SashedOptions, typeof options> = {
  kind: 'sashed',
  name: 'Sashed',
  describes: 'Strips of sashing between the blocks.',
  gridMeans: { across: 'blocks across', down: 'blocks down' },
  options,
  ...sashOfOwn,
  besides: ({ outerSash }) => (outerSash ? 'sash round the outside' : 'no sash outside'),
  atCounter: (start, { sash, outerSash }) => ({ ...start, sash, outerSash }),
  start: (unit) => ({
    kind: 'sashed',
    sash: USUAL.sash[unit],
    outerSash: true,
    cornerstones: true,
    strips: '1',
  }),
  fields: [
    { key: 'sash', label: 'Sash, finished', type: 'length' },
    { key: 'outerSash', label: 'Sash round the outside', type: 'switch', sizes: true },
    { key: 'cornerstones', label: 'Cornerstones', type: 'switch' },
    {
      key: 'strips',
      label: 'Sash made of',
      type: 'choice',
      choices: [
        { value: '1', label: 'One strip' },
        { value: '2', label: 'Two strips' },
        { value: '3', label: 'Three strips' },
      ],
    },
  ],
  blocksNeeded: ({ across, down }) =>
    countOf(across * down, `${across} across × ${down} down = ${across * down}`),
  extent: (_, count, size, { sash, outerSash }) => count * size + sashLines(count, outerSash) * sash,
  pieceCount: ({ across, down }, { outerSash, cornerstones, strips }) => {
    const [uprights, levels] = [sashLines(across, outerSash), sashLines(down, outerSash)];
    const sashes = down * uprights + levels * (cornerstones ? across : 1);
    return across * down + sashes * Number(strips) + (cornerstones ? uprights * levels : 0);
  },
  refusals: ({ unit, block, options: { sash, strips } }) => sensibleSash(sash, Number(strips), block, unit),

  layOut: (input) => {
    const {
      unit,
      block,
      grid,
      options: { sash, outerSash, cornerstones, strips },
      origin,
    } = input;
    const show = (v: number) => formatWorking(v, unit);
    const widths = stripWidths(sash, Number(strips), unit);
    const x = stopsAlong(grid.across, block.width, sash, outerSash, origin.x);
    const y = stopsAlong(grid.down, block.height, sash, outerSash, origin.y);
    const width = sashedSize(grid.across, block.width, sash, outerSash, show);
    const height = sashedSize(grid.down, block.height, sash, outerSash, show);
    const pieces: Piece[] = [];
    y.blockAt.forEach((top, row) => {
      x.blockAt.forEach((left, column) => {
        const outline = rectangle(left, top, block.width, block.height);
        pieces.push({
          id: `block-${row}-${column}`,
          part: 'block',
          outline,
          place: row * grid.across + column,
          spot: { column, row },
        });
      });
      x.sashAt.forEach(({ line, at: left }) =>
        pieces.push(
          ...sashPieces(`upright-${row}-${line}`, 'upright', left, top, sash, block.height, widths, true),
        ),
      );
    });
    y.sashAt.forEach(({ line, at: top }) => {
      if (!cornerstones) {
        pieces.push(
          ...sashPieces(`level-${line}-0`, 'level', origin.x, top, width.value, sash, widths, false),
        );
        return;
      }
      x.blockAt.forEach((left, column) =>
        pieces.push(
          ...sashPieces(`level-${line}-${column}`, 'level', left, top, block.width, sash, widths, false),
        ),
      );
      x.sashAt.forEach(({ line: column, at: left }) => {
        pieces.push({
          id: `cornerstone-${line}-${column}`,
          part: 'cornerstone',
          outline: rectangle(left, top, sash, sash),
        });
      });
    });
    return {
      width,
      height,
      parts: parts(input),
      pieces,
      bands: {
        across: sashTape(x, block.width, sash, 'upright'),
        down: sashTape(y, block.height, sash, 'level'),
      },
    };
  },
};

function parts({ unit, block, grid, options: chosen, seam }: SettingInput<SashedOptions>): Centre['parts'] {
  const { sash, outerSash, cornerstones, strips } = chosen;
  const { across, down } = grid;
  const uprightLines = sashLines(across, outerSash);
  const levelLines = sashLines(down, outerSash);
  const found: SettingPart[] = [
    {
      key: 'block',
      role: 'block',
      name: 'Blocks',
      grain: 'square-to-edge',
      count: sashed.blocksNeeded(grid, chosen),
    },
  ];
  const sashes = (
    key: string,
    name: string,
    value: number,
    working: string,
    notes: readonly string[] = [],
  ) => {
    if (value === 0) return;
    const add = (partKey: string, partName: string, each: number, fabric?: 'middle-sash') =>
      found.push({
        key: partKey,
        role: 'sash',
        name: partName,
        grain: 'square-to-edge',
        notes,
        ...(fabric ? { fabric } : {}),
        count: countOf(
          value * each,
          `${working} = ${value}`,
          ...(each > 1 ? [`${each} strips in each: ${value * each}`] : []),
        ),
      });
    add(key, strips === '1' ? name : `${name}, outer strips`, strips === '3' ? 2 : 1);
    if (strips !== '1')
      add(stripPart(key, 1), `${name}, ${strips === '3' ? 'middle' : 'second'} strips`, 1, 'middle-sash');
  };
  sashes(
    'upright',
    'Upright sashes',
    down * uprightLines,
    `Upright: ${numberOf(down, 'row')} × ${linesText(across, outerSash)}`,
  );
  if (cornerstones) {
    sashes(
      'level',
      'Level sashes',
      across * levelLines,
      `Level: ${across} across × ${linesText(down, outerSash)}`,
    );
    const stones = uprightLines * levelLines;
    if (stones > 0) {
      found.push({
        key: 'cornerstone',
        role: 'cornerstone',
        name: 'Cornerstones',
        grain: 'square-to-edge',
        count: countOf(
          stones,
          `${linesText(across, outerSash)} × ${linesText(down, outerSash)} crossings = ${stones}`,
        ),
      });
    }
  } else {
    sashes('level', 'Level sashes', levelLines, `Level, the whole width: ${linesText(down, outerSash)}`, [
      blockMarks(seam + (outerSash ? sash : 0), block.width, sash, unit),
    ]);
  }
  return found;
}
