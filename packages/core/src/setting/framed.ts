import { z } from 'zod';
import { countOf, lengthOf, numberOf } from '../figure/figure.ts';
import { type Piece } from '../piece/piece.ts';
import type { Point } from '../geometry/point.ts';
import { diamond } from '../geometry/shapes.ts';
import { formatExact, formatLength, formatWithUnit, formatWorking } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import { evenTape } from './even-tape.ts';
import { CUT_ONCE, triangleOptions, triangleRuleField } from './edge-triangles.ts';
import { squareBlocksOnly } from './refusals.ts';
import type { Setting } from './setting.ts';

const options = z.strictObject({
  kind: z.literal('framed'),
  /** Triangles cut to size, or from squares as large as the cut block and squared up once sewn. */
  frame: z.enum(['exact', 'generous'], 'A frame is cut "exact" or "generous".'),
  triangles: triangleOptions.triangles,
});

/**
 * Each block stands on its point inside a frame of four half-square triangles, and the units are sewn
 * in straight rows (rule ST-7). A unit finishes `f√2`; the straight grain of a frame triangle lies
 * along the unit's outside. The generous school cuts the triangles from squares the size of the cut
 * block, sews them on and squares the unit up with a seam allowance left beyond each point.
 */
export const framed: Setting<'framed', z.infer<typeof options>, typeof options> = {
  kind: 'framed',
  name: 'Framed',
  describes: 'Each block on point in a square of four triangles, sewn in straight rows.',
  gridMeans: { across: 'blocks across', down: 'blocks down' },
  options,
  onPoint: true,
  atCounter: (start) => start,
  start: () => ({ kind: 'framed', frame: 'exact', triangles: 'trade' }),
  fields: [
    {
      key: 'frame',
      label: 'Frame triangles',
      type: 'choice',
      choices: [
        { value: 'exact', label: 'Cut to size' },
        { value: 'generous', label: 'Generous, then trimmed' },
      ],
    },
    { ...triangleRuleField, when: { key: 'frame', is: 'exact' } },
  ],
  blocksNeeded: ({ across, down }) =>
    countOf(across * down, `${across} across × ${down} down = ${across * down}`),
  extent: (_, count, size) => count * size * Math.SQRT2,
  pieceCount: ({ across, down }) => 5 * across * down,
  refusals: ({ unit, block }) => squareBlocksOnly(block, unit),
  layOut: ({ unit, block, grid, options: chosen, seam, origin }) => {
    const { across, down } = grid;
    const side = block.width * Math.SQRT2;
    const half = side / 2;
    const at = (column: number, row: number): Point => ({
      x: origin.x + column * half,
      y: origin.y + row * half,
    });
    const pieces: Piece[] = [];
    for (let row = 0; row < down; row++) {
      for (let column = 0; column < across; column++) {
        const c = 2 * column;
        const r = 2 * row;
        const middle = at(c + 1, r + 1);
        pieces.push({
          id: `block-${row}-${column}`,
          part: 'block',
          outline: diamond(middle.x, middle.y, half),
          place: row * across + column,
          spot: { column, row },
        });
        const triangle = (name: string, outline: Point[]) =>
          pieces.push({ id: `frame-${name}-${row}-${column}`, part: 'frame', outline });
        triangle('nw', [at(c, r), at(c + 1, r), at(c, r + 1)]);
        triangle('ne', [at(c + 2, r), at(c + 2, r + 1), at(c + 1, r)]);
        triangle('se', [at(c + 2, r + 2), at(c + 1, r + 2), at(c + 2, r + 1)]);
        triangle('sw', [at(c, r + 2), at(c, r + 1), at(c + 1, r + 2)]);
      }
    }
    const size = (count: number) =>
      lengthOf(
        count * side,
        `${numberOf(count, 'block')} × ${formatWorking(block.width, unit)} × √2 = ${formatExact(count * side)}`,
      );
    const triangles = 4 * across * down;
    return {
      width: size(across),
      height: size(down),
      parts: [
        {
          key: 'block',
          role: 'block',
          name: 'Blocks',
          grain: 'diagonal',
          count: framed.blocksNeeded(grid, chosen),
        },
        {
          key: 'frame',
          role: 'frame-triangle',
          name: 'Frame triangles',
          grain: 'square-to-edge',
          rule: chosen.triangles,
          ...(chosen.frame === 'exact'
            ? { notes: [CUT_ONCE] }
            : generous(block.width + 2 * seam, seam, unit)),
          count: countOf(triangles, `4 round each of ${numberOf(across * down, 'block')} = ${triangles}`),
        },
      ],
      pieces,
      bands: { across: evenTape(across, side, origin.x), down: evenTape(down, side, origin.y) },
    };
  },
};

/** Squares as large as the cut block, two to a block, and what is done with what is too much (rule ST-7). */
const generous = (cut: number, seam: number, unit: Unit) =>
  ({
    cutAs: {
      shape: 'half-square',
      side: { cut, says: `As large as the cut block, ${formatLength(cut, unit)}` },
    },
    notes: [
      CUT_ONCE,
      `Sew opposite triangles first, then square each unit up with ${formatWithUnit(seam, unit)} left beyond every point of the block.`,
    ],
  }) as const;
