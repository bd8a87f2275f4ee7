import { z } from 'zod';
import { countOf, numberOf } from '../figure/figure.ts';
import { type Piece } from '../piece/piece.ts';
import { rectangle } from '../geometry/shapes.ts';
import { formatWorking } from '../length/format.ts';
import { USUAL } from '../usual/lengths.ts';
import { sensibleSash } from './refusals.ts';
import {
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
  /** Without cornerstones: the way the sashes lie that run the whole of the top. */
  long: z.enum(['level', 'upright'], 'Long sashes run "level" or "upright".'),
  /** Strips each sash is pieced of. */
  strips: z.enum(['1', '2', '3'], 'A sash is pieced of "1", "2" or "3" strips.'),
});
type SashedOptions = z.infer<typeof options>;

/**
 * Blocks parted by sashing, with or without a sash round the outside, with or without cornerstones
 * (rule ST-2). Without cornerstones the sashes of one way run the whole of the top, level or upright as it is chosen,
 * and those of the other are as short as a block.
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
    long: 'level',
    strips: '1',
  }),
  fields: [
    { key: 'sash', label: 'Sash, finished', type: 'length' },
    { key: 'outerSash', label: 'Sash round the outside', type: 'switch', sizes: true },
    { key: 'cornerstones', label: 'Cornerstones', type: 'switch' },
    {
      key: 'long',
      label: 'Long sashes run',
      type: 'choice',
      when: { key: 'cornerstones', is: false },
      choices: [
        { value: 'level', label: 'Level' },
        { value: 'upright', label: 'Upright' },
      ],
    },
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
  pieceCount: ({ across, down }, { outerSash, cornerstones, long, strips }) => {
    const [uprights, levels] = [sashLines(across, outerSash), sashLines(down, outerSash)];
    const inOne = (way: 'level' | 'upright') => !cornerstones && long === way;
    const sashes = uprights * (inOne('upright') ? 1 : down) + levels * (inOne('level') ? 1 : across);
    return across * down + sashes * Number(strips) + (cornerstones ? uprights * levels : 0);
  },
  refusals: ({ unit, block, options: { sash, strips } }) => sensibleSash(sash, Number(strips), block, unit),

  layOut: (input) => {
    const {
      unit,
      block,
      grid,
      options: { sash, outerSash, cornerstones, long, strips },
      origin,
    } = input;
    const inOne = (way: 'level' | 'upright') => !cornerstones && long === way;
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
      if (inOne('upright')) return;
      x.sashAt.forEach(({ line, at: left }) =>
        pieces.push(
          ...sashPieces(`upright-${row}-${line}`, 'upright', left, top, sash, block.height, widths, true),
        ),
      );
    });
    if (inOne('upright'))
      x.sashAt.forEach(({ line, at: left }) =>
        pieces.push(
          ...sashPieces(`upright-0-${line}`, 'upright', left, origin.y, sash, height.value, widths, true),
        ),
      );
    y.sashAt.forEach(({ line, at: top }) => {
      if (inOne('level')) {
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
      if (!cornerstones) return;
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

/** Sashes of one way: what they run along, and how many there are of each line where they are short. */
interface Along {
  readonly whole: 'height' | 'width';
  /** A block's side along them. */
  readonly size: number;
  readonly times: number;
  readonly each: string;
  /** Their lines, as they stand in a working. */
  readonly text: string;
}

function parts({ block, grid, options: chosen, seam }: SettingInput<SashedOptions>): Centre['parts'] {
  const { sash, outerSash, cornerstones, long, strips } = chosen;
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
    marks?: SettingPart['marks'],
  ) => {
    if (value === 0) return;
    const add = (partKey: string, partName: string, each: number, fabric?: 'middle-sash') =>
      found.push({
        key: partKey,
        role: 'sash',
        name: partName,
        grain: 'square-to-edge',
        ...(marks && { marks }),
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
  // Of one way all run the whole of the top where they do so by choice; otherwise there is one beside every block.
  const ofWay = (way: 'upright' | 'level', name: string, lines: number, at: Along) =>
    !cornerstones && long === way
      ? sashes(way, `${name} sashes`, lines, `${name}, the whole ${at.whole}: ${at.text}`, {
          first: seam + (outerSash ? sash : 0),
          size: at.size,
          sash,
        })
      : sashes(way, `${name} sashes`, at.times * lines, `${name}: ${at.each} × ${at.text}`);
  ofWay('upright', 'Upright', uprightLines, {
    ...{ whole: 'height', size: block.height, times: down, each: numberOf(down, 'row') },
    text: linesText(across, outerSash),
  });
  ofWay('level', 'Level', levelLines, {
    ...{ whole: 'width', size: block.width, times: across, each: `${across} across` },
    text: linesText(down, outerSash),
  });
  if (cornerstones) {
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
  }
  return found;
}
