import { z } from 'zod';
import { countOf, lengthOf, numberOf } from '../figure/figure.ts';
import { type CutLength, type Piece } from '../piece/piece.ts';
import { rectangle } from '../geometry/shapes.ts';
import { formatWithUnit, formatWorking } from '../length/format.ts';
import { leastIn, limitIn } from '../length/rounding.ts';
import { atLeast } from '../length/tolerance.ts';
import { evenTape } from './even-tape.ts';
import type { Grid, Setting, SettingPart } from './setting.ts';

const options = z.strictObject({
  kind: z.literal('coped'),
  /** Finished width of the smaller blocks; the larger are the plan's block. */
  small: z.number('The width of the smaller blocks is missing.'),
  places: z.enum(
    ['odd', 'rows', 'columns'],
    'The smaller blocks take every other place ("odd"), row ("rows") or column ("columns").',
  ),
  coping: z.enum(['exact', 'generous'], 'Coping strips are cut "exact" or "generous".'),
});
type CopedOptions = z.infer<typeof options>;

/** Generous strips are cut this much wider and the block is trimmed back up to size: 1/2" (from memory). */
const GENEROUS_INCHES = 1 / 2;

const isSmall = (row: number, column: number, { places }: CopedOptions): boolean =>
  (places === 'odd' ? row + column : places === 'rows' ? row : column) % 2 === 1;

const smallIn = ({ across, down }: Grid, { places }: CopedOptions): number =>
  places === 'odd'
    ? Math.floor((across * down) / 2)
    : places === 'rows'
      ? Math.floor(down / 2) * across
      : Math.floor(across / 2) * down;

/**
 * Blocks of two sizes: each smaller one is framed with four coping strips up to the larger, two at its
 * sides first, then two across, and all are sewn edge to edge (rule ST-11). An oblong pair takes
 * strips of one width all round.
 */
export const twoSizes: Setting<'coped', CopedOptions, typeof options> = {
  kind: 'coped',
  name: 'Two sizes',
  describes: 'Blocks of two sizes, the smaller framed up with coping strips.',
  gridMeans: { across: 'blocks across', down: 'blocks down' },
  options,
  start: (unit) => ({ kind: 'coped', small: unit === 'in' ? 8 : 20, places: 'odd', coping: 'exact' }),
  fields: [
    { key: 'small', label: 'Smaller blocks, finished', type: 'length' },
    {
      key: 'places',
      label: 'Smaller blocks in',
      type: 'choice',
      choices: [
        { value: 'odd', label: 'Every other place' },
        { value: 'rows', label: 'Every other row' },
        { value: 'columns', label: 'Every other column' },
      ],
    },
    {
      key: 'coping',
      label: 'Coping strips',
      type: 'choice',
      choices: [
        { value: 'exact', label: 'Cut to size' },
        { value: 'generous', label: 'Generous, then trimmed' },
      ],
    },
  ],
  otherBlocks: true,
  blocksNeeded: (grid, chosen) => {
    const all = grid.across * grid.down;
    const small = smallIn(grid, chosen);
    return countOf(
      all,
      `${grid.across} across × ${grid.down} down = ${all}: ${all - small} large, ${small} small`,
    );
  },
  extent: (_, count, size) => count * size,
  pieceCount: (grid, chosen) => grid.across * grid.down + 4 * smallIn(grid, chosen),
  refusals: ({ unit, block, options: { small } }) => {
    const path = ['setting', 'small'];
    const strip = (block.width - small) / 2;
    if (!atLeast(strip, leastIn(1 / 4, unit))) {
      return [
        {
          path,
          message: `Smaller blocks of ${formatWithUnit(small, unit)} leave coping strips of ${formatWithUnit(strip, unit)} beside blocks of ${formatWithUnit(block.width, unit)}: too narrow to sew. Give the smaller size here and the larger as the block.`,
        },
      ];
    }
    if (!atLeast(Math.min(small, block.height - 2 * strip), leastIn(1, unit))) {
      return [
        {
          path,
          message: `Smaller blocks of ${formatWithUnit(small, unit)} leave nothing of a block ${formatWithUnit(block.height, unit)} high once coping strips of ${formatWithUnit(strip, unit)} go all round.`,
        },
      ];
    }
    return [];
  },
  layOut: ({ unit, block, grid, options: chosen, origin }) => {
    const { across, down } = grid;
    const { width: w, height: h } = block;
    const show = (v: number) => formatWorking(v, unit);
    const strip = (w - chosen.small) / 2;
    const inner = { width: chosen.small, height: h - 2 * strip };
    const pieces: Piece[] = [];
    for (let row = 0; row < down; row++) {
      for (let column = 0; column < across; column++) {
        const [x, y] = [origin.x + column * w, origin.y + row * h];
        const id = `${row}-${column}`;
        const place = row * across + column;
        const spot = { column, row };
        if (!isSmall(row, column, chosen)) {
          pieces.push({ id: `block-${id}`, part: 'block', outline: rectangle(x, y, w, h), place, spot });
          continue;
        }
        pieces.push(
          {
            id: `block-${id}`,
            part: 'small-block',
            outline: rectangle(x + strip, y + strip, inner.width, inner.height),
            place,
            spot,
          },
          {
            id: `coping-${id}-left`,
            part: 'coping-side',
            outline: rectangle(x, y + strip, strip, inner.height),
          },
          {
            id: `coping-${id}-right`,
            part: 'coping-side',
            outline: rectangle(x + w - strip, y + strip, strip, inner.height),
          },
          { id: `coping-${id}-top`, part: 'coping-end', outline: rectangle(x, y, w, strip) },
          { id: `coping-${id}-bottom`, part: 'coping-end', outline: rectangle(x, y + h - strip, w, strip) },
        );
      }
    }
    const small = smallIn(grid, chosen);
    const spare = limitIn(GENEROUS_INCHES, unit);
    const generous = chosen.coping === 'generous';
    const width: CutLength = generous
      ? { finished: strip, spare: { length: spare, says: `${show(spare)} to trim back` } }
      : { finished: strip };
    const coping = (key: string, name: string, length: number, spares: 1 | 2): SettingPart => ({
      key,
      role: 'coping-strip',
      name,
      grain: 'square-to-edge',
      count: countOf(2 * small, `2 on each of ${small} small blocks = ${2 * small}`),
      cutAs: {
        shape: 'rectangle',
        width,
        length: {
          finished: length,
          ...(generous
            ? {
                spare: {
                  length: spares * spare,
                  says:
                    spares === 1
                      ? `${show(spare)} to trim back`
                      : `2 × ${show(spare)} that the side strips are wider`,
                },
              }
            : {}),
        },
      },
      notes: generous
        ? [
            `Sew the strips on, then trim every small block back to ${show(w)} × ${formatWithUnit(h, unit)} finished, the block in the middle.`,
          ]
        : [],
    });
    const parts: SettingPart[] = [
      {
        key: 'block',
        role: 'block',
        name: 'Blocks',
        grain: 'square-to-edge',
        count: countOf(
          across * down - small,
          `${numberOf(across * down, 'place')} less ${small} smaller = ${across * down - small}`,
        ),
      },
      ...(small === 0
        ? []
        : [
            {
              key: 'small-block',
              role: 'block',
              name: 'Smaller blocks',
              grain: 'square-to-edge',
              count: countOf(small, `${small} of ${numberOf(across * down, 'place')}`),
            } as const,
            coping('coping-side', 'Coping strips, sides', inner.height, 1),
            coping('coping-end', 'Coping strips, top and bottom', w, 2),
          ]),
    ];
    return {
      width: lengthOf(across * w, `${numberOf(across, 'block')} × ${show(w)} = ${show(across * w)}`),
      height: lengthOf(down * h, `${numberOf(down, 'block')} × ${show(h)} = ${show(down * h)}`),
      parts,
      pieces,
      bands: { across: evenTape(across, w, origin.x), down: evenTape(down, h, origin.y) },
    };
  },
};
