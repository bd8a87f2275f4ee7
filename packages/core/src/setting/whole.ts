import { z } from 'zod';
import type { Stage } from '../choice/stages.ts';
import { countOf, lengthOf } from '../figure/figure.ts';
import { rectangle } from '../geometry/shapes.ts';
import { formatWithUnit, formatWorking } from '../length/format.ts';
import { leastIn, limitIn, mostIn } from '../length/rounding.ts';
import { atLeast } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';
import type { Problem } from '../refusal/refusal.ts';
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
 * One piece that is there already, measured edge to edge: no blocks are laid out, and whatever comes after
 * (borders, layers, the edge) goes by its size. A top is measured raw edge to raw edge, so a seam goes off each side; a
 * trimmed quilt's edge is its size (rule BO-5).
 */
function whole<const K extends string>(about: {
  readonly kind: K;
  readonly name: string;
  readonly describes: string;
  /** Which edges are meant, beside a field. */
  readonly edges: string;
  readonly quilted?: true;
  readonly trimmed?: true;
  readonly nothingAt: Readonly<Partial<Record<Stage, string>>>;
}) {
  const options = z.strictObject({
    kind: z.literal(about.kind),
    width: z.number('The measured width is missing.'),
    height: z.number('The measured height is missing.'),
  });
  type Options = WholeOptions<K>;
  const { edges, ...known } = about;
  /** What its edge gives to the seam that comes next. */
  const taken = (seam: number) => (about.trimmed ? 0 : 2 * seam);
  const setting: Setting<K, Options, z.ZodType<Options> & typeof options> = {
    ...known,
    gridMeans: { across: 'pieces across', down: 'pieces down' },
    options: options as z.ZodType<Options> & typeof options,
    otherBlocks: true,
    whole: true,
    start: (unit) => ({ kind: about.kind, ...START[unit] }),
    fields: [
      { key: 'width', label: `Its width, ${edges}`, type: 'length' },
      { key: 'height', label: `Its height, ${edges}`, type: 'length' },
    ],
    blocksNeeded: () => countOf(0, 'It is made already: 0'),
    extent: (direction, _count, _size, { width, height }, seam) =>
      (direction === 'across' ? width : height) - taken(seam),
    pieceCount: () => 1,
    refusals: ({ unit, options: { width, height } }) =>
      [['width', width] as const, ['height', height] as const].flatMap(([key, value]): Problem[] =>
        atLeast(value, leastIn(LEAST, unit)) && atLeast(mostIn(MOST, unit), value)
          ? []
          : [
              {
                path: ['setting', key],
                message: `A ${key} of ${formatWithUnit(value, unit)} cannot be right: it lies between ${formatWithUnit(limitIn(LEAST, unit), unit)} and ${formatWithUnit(limitIn(MOST, unit), unit)}.`,
              },
            ],
      ),
    layOut: ({ unit, seam, options: { width, height }, origin }) => {
      const show = (value: number) => formatWorking(value, unit);
      const finished = (value: number) =>
        about.trimmed
          ? lengthOf(value, `Measured: ${show(value)}, ${edges}`)
          : lengthOf(
              value - taken(seam),
              `Measured: ${show(value)}, ${edges}`,
              `less 2 × ${show(seam)} seam = ${show(value - taken(seam))} finished`,
            );
      const [wide, high] = [finished(width), finished(height)];
      // What a tape measured is typed, not drawn out.
      const band = (from: number, size: number) => [
        { from, to: from + size, part: 'whole', role: 'block' } as const,
      ];
      return {
        width: wide,
        height: high,
        parts: [
          {
            key: 'whole',
            role: 'block',
            name: about.name,
            grain: 'square-to-edge',
            count: countOf(1, 'Made already'),
          },
        ],
        pieces: [
          { id: 'whole', part: 'whole', outline: rectangle(origin.x, origin.y, wide.value, high.value) },
        ],
        bands: { across: band(origin.x, wide.value), down: band(origin.y, high.value) },
      };
    },
  };
  return setting;
}

/** A top that is sewn: it may want borders, and wants layers and an edge. */
export const wholeTop = whole({
  kind: 'whole-top',
  name: 'A sewn top',
  describes: 'A top that is sewn already: borders, layers and edge go by its measured size.',
  edges: 'raw edge to raw edge',
  nothingAt: {
    blocks: 'This top is sewn already: no block is measured any more.',
    wall: 'This top is sewn already: nothing is left to lay out.',
  },
});

/** A quilt that is quilted and trimmed: it wants its edge and nothing else. */
export const wholeQuilt = whole({
  kind: 'whole-quilt',
  name: 'A quilted quilt',
  describes: 'A quilt that is quilted and trimmed: its edge goes by its measured size.',
  edges: 'trimmed edge to trimmed edge',
  quilted: true,
  trimmed: true,
  nothingAt: {
    blocks: 'This quilt is quilted and trimmed: no block is measured any more.',
    wall: 'This quilt is quilted and trimmed: nothing is left to lay out.',
    borders: 'This quilt is quilted and trimmed: a border would have come before that.',
    layers: 'This quilt is quilted already: its batting and back are in it.',
  },
});
