import { z } from 'zod';
import { countOf, type Figure, lengthOf } from '../figure/figure.ts';
import { type Band, type Piece, rectangle } from '../layout/piece.ts';
import { formatLength, formatWithUnit } from '../length/format.ts';
import { limitIn } from '../length/rounding.ts';
import { atLeast } from '../length/tolerance.ts';
import type { Centre, Setting, SettingInput, SettingPart } from './setting.ts';

const options = z.strictObject({
  kind: z.literal('sashed'),
  sash: z.number('The sash width is missing.'),
  outerSash: z.boolean('Say whether a sash runs round the outside: true or false.'),
  cornerstones: z.boolean('Say whether there are cornerstones: true or false.'),
});
type SashedOptions = z.infer<typeof options>;

/** Sash lines in one direction: one between each two blocks, and one at either end when it runs round the outside. */
const sashLines = (blocks: number, outer: boolean): number => (outer ? blocks + 1 : blocks - 1);

/** Where each block and each sash line starts along one direction. */
function stops(blocks: number, size: number, sash: number, outer: boolean, start: number) {
  const first = start + (outer ? sash : 0);
  const blockAt = Array.from({ length: blocks }, (_, i) => first + i * (size + sash));
  const sashAt = Array.from({ length: sashLines(blocks, outer) }, (_, i) => start + (outer ? 0 : size) + i * (size + sash));
  return { blockAt, sashAt };
}

function tape(stop: ReturnType<typeof stops>, size: number, sash: number, part: string): Band[] {
  const blocks: Band[] = stop.blockAt.map((from) => ({ role: 'block', part: 'block', from, to: from + size }));
  const sashes: Band[] = stop.sashAt.map((from) => ({ role: 'sash', part, from, to: from + sash, moves: { what: 'sash' } }));
  return [...blocks, ...sashes].sort((a, b) => a.from - b.from);
}

function size(blocks: number, block: number, sash: number, outer: boolean, show: (v: number) => string): Figure {
  const lines = sashLines(blocks, outer);
  const value = blocks * block + lines * sash;
  return lengthOf(value, `${blocks} blocks × ${show(block)} + ${lines} sashes × ${show(sash)} = ${show(value)}`);
}

/**
 * Blocks parted by sashing, with or without a sash round the outside, with or without cornerstones
 * (handbook 4). Without cornerstones the upright sashes are short and each level sash runs the whole
 * width of the row.
 */
export const sashed: Setting<'sashed', SashedOptions> = {
  kind: 'sashed',
  name: 'Sashed',
  describes: 'Strips of sashing between the blocks.',
  gridMeans: { across: 'blocks across', down: 'blocks down' },
  options,
  start: (unit) => ({ kind: 'sashed', sash: unit === 'in' ? 1.5 : 4, outerSash: true, cornerstones: true }),
  fields: [
    { key: 'sash', label: 'Sash, finished', type: 'length' },
    { key: 'outerSash', label: 'Sash round the outside', type: 'switch' },
    { key: 'cornerstones', label: 'Cornerstones', type: 'switch' },
  ],
  blocksNeeded: ({ across, down }) => countOf(across * down, `${across} across × ${down} down = ${across * down}`),

  refusals: ({ unit, block, options: { sash } }) => {
    const path = ['setting', 'sash'];
    const least = limitIn(1 / 4, unit);
    const shorter = Math.min(block.width, block.height);
    if (!atLeast(sash, least)) {
      return [{ path, message: `A sash of ${formatWithUnit(sash, unit)} cannot be sewn: make it ${formatWithUnit(least, unit)} or more, finished.` }];
    }
    if (!atLeast(shorter, sash)) {
      return [{
        path,
        message: `A sash of ${formatWithUnit(sash, unit)} is wider than the block, which finishes ${formatWithUnit(shorter, unit)}. `
          + `Most sashes are a sixth to a quarter of the block: ${formatLength(shorter / 6, unit)} to ${formatWithUnit(shorter / 4, unit)}.`,
      }];
    }
    return [];
  },

  layOut: (input) => {
    const { unit, block, grid, options: { sash, outerSash, cornerstones }, origin } = input;
    const show = (v: number) => formatLength(v, unit);
    const x = stops(grid.across, block.width, sash, outerSash, origin.x);
    const y = stops(grid.down, block.height, sash, outerSash, origin.y);
    const width = size(grid.across, block.width, sash, outerSash, show);
    const height = size(grid.down, block.height, sash, outerSash, show);
    const pieces: Piece[] = [];
    y.blockAt.forEach((top, row) => {
      x.blockAt.forEach((left, column) => {
        const outline = rectangle(left, top, block.width, block.height);
        pieces.push({ id: `block-${row}-${column}`, part: 'block', outline, place: row * grid.across + column });
      });
      x.sashAt.forEach((left, line) => {
        pieces.push({ id: `upright-${row}-${line}`, part: 'upright', outline: rectangle(left, top, sash, block.height) });
      });
    });
    y.sashAt.forEach((top, line) => {
      if (!cornerstones) {
        pieces.push({ id: `level-${line}`, part: 'level', outline: rectangle(origin.x, top, width.value, sash) });
        return;
      }
      x.blockAt.forEach((left, column) => {
        pieces.push({ id: `level-${line}-${column}`, part: 'level', outline: rectangle(left, top, block.width, sash) });
      });
      x.sashAt.forEach((left, column) => {
        pieces.push({ id: `cornerstone-${line}-${column}`, part: 'cornerstone', outline: rectangle(left, top, sash, sash) });
      });
    });
    return {
      width,
      height,
      parts: parts(input),
      pieces,
      bands: { across: tape(x, block.width, sash, 'upright'), down: tape(y, block.height, sash, 'level') },
    };
  },
};

function parts({ grid, options: { outerSash, cornerstones } }: SettingInput<SashedOptions>): Centre['parts'] {
  const { across, down } = grid;
  const uprightLines = sashLines(across, outerSash);
  const levelLines = sashLines(down, outerSash);
  const found: SettingPart[] = [
    { key: 'block', role: 'block', name: 'Blocks', grain: 'square-to-edge', count: sashed.blocksNeeded(grid) },
  ];
  const add = (key: string, role: 'sash' | 'cornerstone', name: string, value: number, working: string) => {
    if (value > 0) found.push({ key, role, name, grain: 'square-to-edge', count: countOf(value, `${working} = ${value}`) });
  };
  const lines = (blocks: number) => (outerSash ? `(${blocks} + 1)` : `(${blocks} − 1)`);
  add('upright', 'sash', 'Upright sashes', down * uprightLines, `Upright: ${down} rows × ${lines(across)}`);
  if (cornerstones) {
    add('level', 'sash', 'Level sashes', across * levelLines, `Level: ${across} across × ${lines(down)}`);
    add('cornerstone', 'cornerstone', 'Cornerstones', uprightLines * levelLines, `${lines(across)} × ${lines(down)} crossings`);
  } else {
    add('level', 'sash', 'Level sashes', levelLines, `Level, the whole width: ${lines(down)}`);
  }
  return found;
}
