import { z } from 'zod';
import { countOf, numberOf } from '../figure/figure.ts';
import { type CutLength, type Piece, type Underlayer } from '../piece/piece.ts';
import { rectangle } from '../geometry/shapes.ts';
import { formatWithUnit, formatWorking } from '../length/format.ts';
import { limitIn } from '../length/rounding.ts';
import type { Unit } from '../length/unit.ts';
import { USUAL } from '../usual/lengths.ts';
import { sensibleSash } from './refusals.ts';
import { sashedSize, sashTape, stopsAlong } from './sash-lines.ts';
import type { Setting, SettingPart } from './setting.ts';
import { sashOfOwn } from './own-lengths.ts';

const options = z.strictObject({ kind: z.literal('quilted'), sash: z.number('The sash width is missing.') });

/** Batting is cut narrower than the sash it lies in, and the sash's quilting grid stops this short of either end: 1/8" (rule ST-8). */
const CLEAR_INCHES = 1 / 8;

/**
 * Blocks that are quilted already, each with its own batting and backing, joined by covered sashing
 * (rule ST-8): short sashes between the blocks of a row, a long one between two rows. A sash is three
 * pieces: a front cut at twice its finished width and folded edges to middle, batting laid in the gap,
 * and a back strip sewn to both blocks.
 */
export const quilted: Setting<'quilted', z.infer<typeof options>, typeof options> = {
  kind: 'quilted',
  name: 'Quilted blocks',
  describes: 'Blocks quilted already, joined by covered sashing.',
  gridMeans: { across: 'blocks across', down: 'blocks down' },
  options,
  ...sashOfOwn,
  start: (unit) => ({ kind: 'quilted', sash: USUAL.wideSash[unit] }),
  fields: [{ key: 'sash', label: 'Sash, finished', type: 'length' }],
  otherBlocks: true,
  quilted: true,
  blocksNeeded: ({ across, down }) =>
    countOf(across * down, `${across} across × ${down} down = ${across * down}`),
  extent: (_, count, size, { sash }) => count * size + (count - 1) * sash,
  pieceCount: ({ across, down }) => across * down + down * (across - 1) + down - 1,
  refusals: ({ unit, block, options: { sash } }) => sensibleSash(sash, 1, block, unit),
  layOut: ({ unit, block, grid, options: chosen, seam, origin }) => {
    const { sash } = chosen;
    const { across, down } = grid;
    const show = (v: number) => formatWorking(v, unit);
    const x = stopsAlong(across, block.width, sash, false, origin.x);
    const y = stopsAlong(down, block.height, sash, false, origin.y);
    const width = sashedSize(across, block.width, sash, false, show);
    const height = sashedSize(down, block.height, sash, false, show);
    const pieces: Piece[] = [];
    y.blockAt.forEach((top, row) => {
      x.blockAt.forEach((left, column) =>
        pieces.push({
          id: `block-${row}-${column}`,
          part: 'block',
          outline: rectangle(left, top, block.width, block.height),
          place: row * across + column,
          spot: { column, row },
        }),
      );
      x.sashAt.forEach(({ line, at: left }) =>
        pieces.push({
          id: `upright-${row}-${line}`,
          part: 'upright',
          outline: rectangle(left, top, sash, block.height),
        }),
      );
    });
    y.sashAt.forEach(({ line, at: top }) =>
      pieces.push({
        id: `level-${line}`,
        part: 'level',
        outline: rectangle(origin.x, top, width.value, sash),
      }),
    );

    const parts: SettingPart[] = [
      {
        key: 'block',
        role: 'block',
        name: 'Blocks',
        grain: 'square-to-edge',
        count: quilted.blocksNeeded(grid, chosen),
      },
    ];
    if (across > 1) {
      parts.push({
        key: 'upright',
        role: 'sash',
        name: 'Upright sashes',
        grain: 'square-to-edge',
        ...covered(sash, block.height, unit),
        count: countOf(
          down * (across - 1),
          `${numberOf(down, 'row')} × (${across} − 1) = ${down * (across - 1)}`,
        ),
        notes: [sashGrid(block.height + 2 * seam, sash, unit)],
      });
    }
    if (down > 1) {
      const crossings = x.sashAt
        .map(({ at }) => at - origin.x + seam)
        .map((from) => `${show(from)} to ${show(from + sash)}`);
      parts.push({
        key: 'level',
        role: 'sash',
        name: 'Row strips',
        grain: 'square-to-edge',
        ...covered(sash, width.value, unit),
        count: countOf(down - 1, `Between ${numberOf(down, 'row')}: ${down - 1}`),
        notes: [
          ...(crossings.length > 0
            ? [
                `Mark each row strip from one end where the upright sashes cross: ${crossings.join(', ')}. They must line up.`,
              ]
            : []),
          ...(down > 2 ? ['Join the rows in pairs, then the pairs.'] : []),
        ],
      });
    }
    return {
      width,
      height,
      parts,
      pieces,
      bands: {
        across: sashTape(x, block.width, sash, 'upright'),
        down: sashTape(y, block.height, sash, 'level'),
      },
    };
  },
};

/** The three cuts of a covered sash of this finished length. */
function covered(sash: number, finishedLength: number, unit: Unit) {
  const show = (v: number) => formatWorking(v, unit);
  const length: CutLength = { finished: finishedLength };
  const ease = limitIn(CLEAR_INCHES, unit);
  const under: Underlayer[] = [
    {
      name: 'batting',
      fabric: 'sash-batting',
      cutAs: {
        shape: 'rectangle',
        length,
        width: { cut: sash - ease, says: `${show(sash)} sash − ${show(ease)}, to lie flat in the gap` },
      },
    },
    { name: 'back', fabric: 'sash-back', cutAs: { shape: 'rectangle', length, width: { finished: sash } } },
  ];
  return {
    under,
    cutAs: {
      shape: 'rectangle',
      length,
      width: { cut: 2 * sash, says: `2 × ${show(sash)} sash, folded edges to middle` },
    },
  } as const;
}

/** How a short sash is marked for quilting: squares of about its own width, a little clear of either end. */
function sashGrid(length: number, sash: number, unit: Unit): string {
  const clear = limitIn(CLEAR_INCHES, unit);
  const run = length - 2 * clear;
  const squares = Math.max(1, Math.round(run / sash));
  const show = (v: number) => formatWorking(v, unit);
  return `Quilting grid on an upright sash: ${show(length)} less ${show(clear)} at each end = ${show(run)}, ${numberOf(squares, 'square')} of ${formatWithUnit(run / squares, unit)}.`;
}
