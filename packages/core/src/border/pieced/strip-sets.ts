import { countOf, type Figure, lengthOf, numberOf } from '../../figure/figure.ts';
import { formatWithUnit, formatWorking } from '../../length/format.ts';
import { howManyFit } from '../../length/tolerance.ts';
import type { PiecedBorder } from '../border.ts';
import { turnsCorner, unitCount, unitLength } from './fit.ts';
import type { Round } from './lie.ts';
import type { CutBy } from './cut-by.ts';

/** Strips to sew together and crosscut: how many of either cloth, in how many sets, and how far apart the cuts are. */
export interface StripSets {
  readonly sets: number;
  /** Of them, those whose strips begin with the first cloth; all where every other piece is turned. */
  readonly beginFirst: number;
  /** Strips in one set. */
  readonly strips: number;
  /** Pieces that are crosscut in all: columns of checkers, pairs of keys. */
  readonly pieces: number;
  /** Of one set. */
  readonly each: number;
  readonly crosscut: Figure;
  readonly first: Figure;
  readonly second: Figure;
}

/**
 * Strip sets for checkers and piano keys (rule PB-4). A set is as long as the narrower cloth is wide, less what squaring
 * its end takes. A column of checkers is a square deep; with an even number of rows every other one is turned, so that
 * one kind of set serves; with three, columns that begin with the second cloth have sets of their own. Keys come in pairs, a
 * strip of either cloth; of a side with an odd number one key of the last pair is taken off.
 */
export function stripSets(
  border: PiecedBorder,
  { across, down }: Pick<Round, 'across' | 'down'>,
  by: CutBy,
): StripSets {
  const { pieced, ends: depth } = border;
  const deep = pieced.kind === 'keys' ? depth : unitLength(border);
  const show = (length: number) => formatWorking(length, by.unit);
  const cut = deep + 2 * by.seam;
  const crosscut = lengthOf(
    cut,
    `${show(deep)} finished + 2 × ${show(by.seam)} seam = ${formatWithUnit(cut, by.unit)}`,
  );
  const usable = Math.min(by.usableOf(border.fabric), by.usableOf(pieced.fabric)) - by.squaring;
  const each = howManyFit(usable, cut);
  const says = (what: string, sets: number) =>
    `${what} ÷ ${each} of a set ${show(usable)} long, cut every ${show(cut)}: ${numberOf(sets, 'set')}`;
  const setsOf = (pieces: number) => Math.ceil(pieces / each);
  if (pieced.kind === 'keys') {
    const pairs = 2 * Math.ceil(across / 2) + 2 * Math.ceil(down / 2);
    const sets = setsOf(pairs);
    const strips = countOf(
      sets,
      says(numberOf(pairs, 'pair'), sets),
      `One strip of this cloth in each: ${sets}`,
    );
    return {
      sets,
      beginFirst: sets,
      strips: 2,
      pieces: pairs,
      each,
      crosscut,
      first: strips,
      second: strips,
    };
  }
  const { rows } = pieced;
  const columns = unitCount(border, { across, down }).value;
  if (rows % 2 === 0) {
    const sets = setsOf(columns);
    const half = rows / 2;
    const strips = countOf(
      half * sets,
      says(numberOf(columns, 'column'), sets),
      `${half} of this cloth in each: ${half * sets}`,
    );
    return {
      sets,
      beginFirst: sets,
      strips: rows,
      pieces: columns,
      each,
      crosscut,
      first: strips,
      second: strips,
    };
  }
  const odd = columnsBeginning(border, across, down);
  const [a, b] = [setsOf(odd.first), setsOf(odd.second)];
  const [most, least] = [(rows + 1) / 2, (rows - 1) / 2];
  const working = [
    says(`${numberOf(odd.first, 'column')} that begin with the first cloth`, a),
    says(`${numberOf(odd.second, 'column')} that begin with the second`, b),
  ];
  const strips = (own: number, other: number) =>
    countOf(
      most * own + least * other,
      ...working,
      `${most} × ${own} + ${least} × ${other} of this cloth: ${most * own + least * other}`,
    );
  return {
    sets: a + b,
    beginFirst: a,
    strips: rows,
    pieces: columns,
    each,
    crosscut,
    first: strips(a, b),
    second: strips(b, a),
  };
}

/** Columns by the cloth they begin with at the outer edge: by turns along each side, counted through the corners. */
function columnsBeginning(border: PiecedBorder, across: number, down: number) {
  const { rows } = border.pieced;
  const starts = [
    { count: across, parity: rows },
    { count: down, parity: across + rows + 1 },
    { count: across, parity: across + down + rows },
    { count: down, parity: down + rows + 1 },
    ...(turnsCorner(border)
      ? [0, across + 1, across + down, down + 1].map((parity) => ({ count: rows, parity }))
      : []),
  ];
  let [first, second] = [0, 0];
  for (const { count, parity } of starts) {
    const even = Math.ceil(count / 2);
    const [begins, follows] = [even, count - even];
    if (parity % 2 === 0) [first, second] = [first + begins, second + follows];
    else [first, second] = [first + follows, second + begins];
  }
  return { first, second };
}
