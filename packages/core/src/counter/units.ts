import { halfSquareSide, quarterSquareSide } from '../cutting/cut-shape.ts';
import { pairSquare, GEESE_OF_SQUARE } from '../border/pieced/squares-of-units.ts';
import { countOf, type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatWithUnit, formatWorking } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { USUAL } from '../usual/lengths.ts';
import { type AnswerLine, blankQuilt, lengthIn, type Topic } from './topic.ts';

/** Squares for units made so: of each cloth, or for geese large and small. */
interface Squares {
  readonly name: string;
  /** Units that come of one square of each cloth; of geese of one large square. */
  readonly each: number;
  readonly cut: (
    finished: number,
    seam: number,
    unit: Unit,
  ) => { readonly large: Figure; readonly small?: Figure };
}

const WAYS: Readonly<Record<string, Squares>> = {
  'half-square-two': {
    name: 'Half-square units, two at a time',
    each: 2,
    cut: (f, a, unit) => ({ large: halfSquareSide(f, a, unit) }),
  },
  'half-square-four': {
    name: 'Half-square units, four at a time',
    each: 4,
    cut: (f, a, unit) => ({ large: pairSquare('four', f, a, unit) }),
  },
  'half-square-eight': {
    name: 'Half-square units, eight at a time',
    each: 8,
    cut: (f, a, unit) => ({ large: pairSquare('eight', f, a, unit) }),
  },
  'quarter-square': {
    name: 'Quarter-square units, two at a time',
    each: 2,
    cut: (f, a, unit) => ({ large: quarterSquareSide(f, a, unit) }),
  },
  geese: {
    name: 'Flying geese, four at a time',
    each: GEESE_OF_SQUARE,
    cut: (f, a, unit) => ({ large: quarterSquareSide(f, a, unit), small: halfSquareSide(f / 2, a, unit) }),
  },
};

/** Squares to cut for units of triangles (rule PB-3). */
export const units: Topic = {
  name: 'units',
  describes: 'Squares to cut for half-square and quarter-square units and flying geese.',
  flags: [
    {
      key: 'of',
      label: 'Units',
      type: 'choice',
      start: 'half-square-two',
      choices: Object.keys(WAYS),
      names: (way) => WAYS[way]!.name,
    },
    { key: 'finished', label: 'Finished; of geese their width', type: 'length', start: { in: 2.5, cm: 6 } },
    { key: 'units', label: 'Units wanted', type: 'count', start: 24 },
    { key: 'seam', label: 'Seam allowance', type: 'length', start: USUAL.seam },
  ],
  answer: (question) => {
    const { unit, given } = question;
    const { each, cut } = WAYS[given['of'] as string]!;
    const [finished, seam] = [lengthIn(question, 'finished'), lengthIn(question, 'seam')];
    const wanted = given['units'] as number;
    const squares = Math.ceil(wanted / each);
    const { large, small } = cut(finished, seam, unit);
    const number = (what: string, of: Figure, count: number): AnswerLine[] => [
      { what: `${what}, cut`, figure: of },
      {
        what: `${what}, how many`,
        figure: countOf(
          count,
          `${numberOf(wanted, 'unit')} ÷ ${each}, up to a whole square: ${squares}`,
          ...(count === squares ? [] : [`${count / squares} × ${squares} = ${count}`]),
        ),
      },
    ];
    const high = small ? finished / 2 : finished;
    const raw = (length: number) =>
      lengthOf(
        length + 2 * seam,
        `${formatWorking(length, unit)} finished + 2 × ${formatWorking(seam, unit)} seam = ${formatWithUnit(length + 2 * seam, unit)}`,
      );
    return {
      ok: true,
      headline: small
        ? `${numberOf(squares, 'square')} of ${formatWithUnit(large.value, unit)}, ${4 * squares} of ${formatWithUnit(small.value, unit)}`
        : `${numberOf(squares, 'square')} of ${formatWithUnit(large.value, unit)} of each cloth`,
      json: {
        squares,
        cut: large.value,
        ...(small ? { small: small.value, smallSquares: 4 * squares } : {}),
        spare: squares * each - wanted,
      },
      said: [
        ...number(small ? 'Large squares' : 'Squares of each cloth', large, squares),
        ...(small ? number('Small squares', small, 4 * squares) : []),
        { what: small ? 'Trim each to, wide' : 'Trim each to', figure: raw(finished) },
        ...(small ? [{ what: 'Trim each to, high', figure: raw(high) }] : []),
      ],
    };
  },
  quilt: (question): Plan => {
    const side = Math.max(question.unit === 'in' ? 1 : 2.5, lengthIn(question, 'finished'));
    return blankQuilt(question.unit, {
      block: { width: side, height: side },
      seam: lengthIn(question, 'seam'),
    });
  },
};
