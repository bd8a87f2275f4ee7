import type { PiecedKindId } from '../choice/pieced-borders.ts';
import { numberOf } from '../figure/figure.ts';
import type { UnitFacts, UnitStep } from './unit-step.ts';

const BIAS = 'Its long side is on the bias: starch the cloth before it is cut, and press straight down.';

/** Words of half-square units, by how they are made (rule PB-3). */
function halfSquares({
  border,
  making: { pairs },
  lighter,
  darker,
  seam,
  trim,
  pressed,
}: UnitFacts): UnitStep {
  const trimmed = `Trim each to ${trim}, the seam on the ruler’s 45° line.`;
  const picked = `${numberOf(pairs, 'square')} of ${lighter} and as many of ${darker}.`;
  const lay = `Lay each on a square of ${darker}, right sides together`;
  const small = ['Trim after pressing, never before: what is trimmed first is pressed out of square.'];
  switch (border.pieced.made) {
    case 'four':
      return {
        pick: picked,
        does: [
          `Lay a square of ${lighter} on each of ${darker}, right sides together, and sew all round, ${seam} from the edge.`,
          'Cut corner to corner both ways: each pair gives four units.',
          pressed,
          trimmed,
        ],
        wrong: [
          'The edges of these units are all on the bias: starch the squares first, and handle them little.',
          ...small,
        ],
      };
    case 'eight':
      return {
        pick: picked,
        does: [
          `On the wrong side of the squares of ${lighter} draw both diagonals.`,
          `${lay}, and sew ${seam} from the lines on both sides of each.`,
          'Cut through the middle straight down and straight across, then on both lines: each pair gives eight units.',
          pressed,
          trimmed,
        ],
        wrong: [
          'Cut straight through the middle before the diagonals, and do not move the pieces in between.',
          ...small,
        ],
      };
    case 'two':
      return {
        pick: picked,
        does: [
          `On the wrong side of the squares of ${lighter} draw a line from corner to corner.`,
          `${lay}, and sew ${seam} from the line on both sides, chained.`,
          'Cut on the line: each pair gives two units.',
          pressed,
          trimmed,
        ],
        wrong: small,
      };
    default:
      return {
        pick: `The triangles of ${lighter} and of ${darker}, cut from ${numberOf(pairs, 'square')} of each.`,
        does: [
          `Lay a triangle of each cloth on one another, right sides together, and sew their long sides at ${seam}, chained.`,
          pressed,
          trimmed,
        ],
        wrong: [BIAS, ...small],
      };
  }
}

/** Words of quarter-square units: pairs, and then both pairs. */
function quarterSquares(
  { border, making: { pairs }, lighter, darker, seam, trim, pressed }: UnitFacts,
  which: string,
): UnitStep {
  const whole = border.pieced.made === 'two';
  if (which === 'halves')
    return whole
      ? {
          pick: `${numberOf(pairs, 'square')} of ${lighter} and as many of ${darker}.`,
          does: [
            `On the wrong side of the squares of ${lighter} draw a line from corner to corner.`,
            `Lay each on a square of ${darker}, right sides together, and sew ${seam} from the line on both sides, chained.`,
            'Cut on the line.',
            pressed,
          ],
          wrong: ['Do not trim them yet: they are still to be cut the other way.'],
        }
      : {
          pick: `The triangles of ${lighter} and of ${darker}.`,
          does: [
            `Sew a triangle of each cloth together by a short side at ${seam}, chained, ${darker} always on the same side: otherwise half of the pairs come out the wrong way round.`,
            pressed,
          ],
          wrong: [BIAS],
        };
  const cut = whole
    ? [
        `Lay two of them on one another, right sides together, ${lighter} on ${darker}, seams against one another. Draw a line from corner to corner across the seam, and sew ${seam} from it on both sides.`,
        'Cut on the line: two units.',
      ]
    : [
        `Lay two pairs on one another, right sides together, seams against one another, and sew the long side at ${seam}.`,
      ];
  return {
    pick: whole ? 'The squares of two triangles.' : 'The pairs of triangles.',
    does: [
      ...cut,
      'Press the last seam to either side, or open.',
      `Trim each to ${trim}, so that its seams cross in the middle.`,
    ],
    wrong: ['A pin where the two seams meet: what does not nest shows in the middle of the unit.'],
  };
}

/** Words of geese: the first wing, and then the second. */
function geeseWords(
  { border, making: { pairs }, first, second, seam, trim, pressed }: UnitFacts,
  which: string,
): UnitStep {
  const whole = border.pieced.made === 'four';
  const trimmed = `Trim each to ${trim}; its tip lies ${seam} inside the edge.`;
  if (!whole)
    return which === 'wings'
      ? {
          pick: `The geese of ${first}, and half of the small triangles of ${second}.`,
          does: [
            `Sew a small triangle to a short side of each goose at ${seam}, chained, tips out at the base.`,
            pressed,
          ],
          wrong: [BIAS],
        }
      : {
          pick: `The geese with one wing, and the other small triangles of ${second}.`,
          does: [`Sew the other wing on at ${seam}, chained.`, pressed, trimmed],
          wrong: ['The seams cross a seam’s width from the edge: what is trimmed closer loses the tip.'],
        };
  return which === 'wings'
    ? {
        pick: `${numberOf(pairs, 'large square')} of ${first}, and two small ones of ${second} to each.`,
        does: [
          'Lay two small squares on opposite corners of a large one, right sides together; they overlap in the middle. Draw a line from corner to corner through both.',
          `Sew ${seam} from the line on both sides, and cut on the line.`,
          pressed,
        ],
        wrong: ['Press toward the small triangles, so that the next square lies flat.'],
      }
    : {
        pick: `The halves with two small triangles, and a small square of ${second} to each.`,
        does: [
          'Lay a small square on the corner that is left, right sides together. Draw a line from that corner to between the two triangles.',
          `Sew ${seam} from the line on both sides, and cut on it: each large square gives four geese.`,
          pressed,
          trimmed,
        ],
        wrong: ['The seams cross a seam’s width from the edge: what is trimmed closer loses the tip.'],
      };
}

/** Words of checkers: columns crosscut from strips, or sewn square by square. */
function checkerWords({ border, making: { sets }, first, second, seam, show, pressed }: UnitFacts): UnitStep {
  const { rows } = border.pieced;
  if (!sets)
    return {
      pick: `The squares of ${first} and of ${second}.`,
      does: [`Sew ${rows} squares to a column, cloths in turn, at ${seam}, chained.`, pressed],
      wrong: ['Every other column begins with the other cloth.'],
    };
  const even = rows % 2 === 0;
  return {
    pick: `The strips of ${first} and of ${second}.`,
    does: [
      `Sew ${numberOf(sets.sets, 'set')} of ${rows} strips, cloths in turn, at ${seam}${even ? '' : `: ${numberOf(sets.beginFirst, 'set')} with ${first} outside, ${numberOf(sets.sets - sets.beginFirst, 'set')} with ${second}`}.`,
      'Press every seam toward the darker, the whole length, without pulling. Square one end.',
      `Crosscut every ${show(sets.crosscut.value)}: ${numberOf(sets.pieces, 'column')}${even ? '; every other one is turned end for end' : ''}.`,
    ],
    wrong: [
      'A set bows when all its seams are sewn from one end: sew every other one from the other. Square the end again after every few cuts.',
    ],
  };
}

/** What is said at the steps of a unit, by its kind. Keys are whole as they are: they are only joined. */
export const UNIT_WORDS: Readonly<
  Record<PiecedKindId, (facts: UnitFacts, which: string) => UnitStep | null>
> = {
  'half-square': halfSquares,
  sawtooth: halfSquares,
  'quarter-square': quarterSquares,
  geese: geeseWords,
  checkers: checkerWords,
  keys: () => null,
};
