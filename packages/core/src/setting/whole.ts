import { z } from 'zod';
import { countOf, lengthOf } from '../figure/figure.ts';
import { rectangle } from '../geometry/shapes.ts';
import { formatWithUnit, formatWorking } from '../length/format.ts';
import { leastIn, limitIn, mostIn } from '../length/rounding.ts';
import { atLeast } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';
import type { Refusal } from '../refusal/refusal.ts';
import type { Setting } from './setting.ts';

/** What lies before the maker whole: its measured size is all there is to say of it. */
type WholeOptions<K extends string> = { readonly kind: K; readonly width: number; readonly height: number };

/** What a whole piece begins with where nobody has measured it yet: a throw. */
const START: Readonly<Record<Unit, { readonly width: number; readonly height: number }>> = {
  in: { width: 60, height: 72 },
  cm: { width: 150, height: 180 },
};
/** Between these a whole piece makes sense: from a mug rug to the largest bed, in inches. */
const [LEAST, MOST] = [4, 200];

/**
 * One piece that is there already, measured raw edge to raw edge: no blocks are laid out, and whatever comes after
 * (borders, layers, the edge) goes by its size.
 */
function whole<const K extends string>(about: {
  readonly kind: K;
  readonly name: string;
  readonly describes: string;
  readonly quilted?: true;
}) {
  const options = z.strictObject({
    kind: z.literal(about.kind),
    width: z.number('The measured width is missing.'),
    height: z.number('The measured height is missing.'),
  });
  type Options = WholeOptions<K>;
  const setting: Setting<K, Options, z.ZodType<Options> & typeof options> = {
    ...about,
    gridMeans: { across: 'pieces across', down: 'pieces down' },
    options: options as z.ZodType<Options> & typeof options,
    otherBlocks: true,
    whole: true,
    start: (unit) => ({ kind: about.kind, ...START[unit] }),
    fields: [
      { key: 'width', label: 'Its width, measured', type: 'length' },
      { key: 'height', label: 'Its height, measured', type: 'length' },
    ],
    blocksNeeded: () => countOf(0, 'It is made already: 0'),
    extent: (direction, _count, _size, { width, height }) => (direction === 'across' ? width : height),
    pieceCount: () => 1,
    refusals: ({ unit, options: { width, height } }) =>
      [['width', width] as const, ['height', height] as const].flatMap(([key, value]): Refusal[] =>
        atLeast(value, leastIn(LEAST, unit)) && atLeast(mostIn(MOST, unit), value)
          ? []
          : [
              {
                path: ['setting', key],
                message: `A ${key} of ${formatWithUnit(value, unit)} cannot be right: it lies between ${formatWithUnit(limitIn(LEAST, unit), unit)} and ${formatWithUnit(limitIn(MOST, unit), unit)}.`,
              },
            ],
      ),
    layOut: ({ unit, options: { width, height }, origin }) => {
      const measured = (value: number) => lengthOf(value, `Measured: ${formatWorking(value, unit)}`);
      const band = (from: number, size: number, key: string) => [
        { from, to: from + size, part: 'whole', role: 'block', moves: { what: 'setting', key } } as const,
      ];
      return {
        width: measured(width),
        height: measured(height),
        parts: [
          {
            key: 'whole',
            role: 'block',
            name: about.name,
            grain: 'square-to-edge',
            count: countOf(1, 'Made already'),
          },
        ],
        pieces: [{ id: 'whole', part: 'whole', outline: rectangle(origin.x, origin.y, width, height) }],
        bands: { across: band(origin.x, width, 'width'), down: band(origin.y, height, 'height') },
      };
    },
  };
  return setting;
}

/** A top that is sewn: it may want borders, and wants layers and an edge. */
export const wholeTop = whole({
  kind: 'whole-top',
  name: 'A sewn top',
  describes: 'A top that is sewn already: layers and edge go by its measured size.',
});

/** A quilt that is quilted and trimmed: it wants its edge and nothing else. */
export const wholeQuilt = whole({
  kind: 'whole-quilt',
  name: 'A quilted quilt',
  describes: 'A quilt that is quilted and trimmed: its edge goes by its measured size.',
  quilted: true,
});
