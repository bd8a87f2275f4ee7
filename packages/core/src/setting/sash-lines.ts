import { type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { type Band, type BlockMarks, type Piece } from '../piece/piece.ts';
import { rectangle } from '../geometry/shapes.ts';
import { rulerNearest } from '../length/rounding.ts';
import { formatWithUnit } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';

/** Sash lines in one direction: one between each two blocks, and one at either end when it runs round the outside. */
export const sashLines = (blocks: number, outer: boolean): number => (outer ? blocks + 1 : blocks - 1);

/** Where each block and each sash line starts along one direction, in the plan's unit. */
export interface Stops {
  readonly blockAt: readonly number[];
  /**
   * A line is numbered by the block it lies before, so that it keeps its number when a sash is put round the
   * outside: 0 is the outer one at the start.
   */
  readonly sashAt: readonly { readonly line: number; readonly at: number }[];
}

/** Stops of blocks of `size` with sash lines between them, from `start`. No sash when `sash` is 0. */
export function stopsAlong(blocks: number, size: number, sash: number, outer: boolean, start: number): Stops {
  const first = start + (outer ? sash : 0);
  const firstLine = outer ? 0 : 1;
  const lines = sash === 0 ? 0 : sashLines(blocks, outer);
  return {
    blockAt: Array.from({ length: blocks }, (_, i) => first + i * (size + sash)),
    sashAt: Array.from({ length: lines }, (_, i) => ({
      line: firstLine + i,
      at: start + (outer ? 0 : size) + i * (size + sash),
    })),
  };
}

/** The tape along one direction. Any sash division moves the width of all, which is the setting's own length `key`. */
export function sashTape(
  { blockAt, sashAt }: Stops,
  size: number,
  sash: number,
  part: string,
  key = 'sash',
): Band[] {
  const blocks: Band[] = blockAt.map((from) => ({ role: 'block', part: 'block', from, to: from + size }));
  const sashes: Band[] = sashAt.map(({ at }) => ({
    role: 'sash',
    part,
    from: at,
    to: at + sash,
    moves: { what: 'setting', key },
  }));
  return [...blocks, ...sashes].sort((a, b) => a.from - b.from);
}

/** Finished size along one direction, with its working. */
export function sashedSize(
  blocks: number,
  block: number,
  sash: number,
  outer: boolean,
  show: (v: number) => string,
): Figure {
  const lines = sashLines(blocks, outer);
  const value = blocks * block + lines * sash;
  return lengthOf(
    value,
    `${numberOf(blocks, 'block')} × ${show(block)} + ${numberOf(lines, 'sash', 'sashes')} × ${show(sash)} = ${show(value)}`,
  );
}

/** `(4 + 1)` or `(4 − 1)`, as it stands in a working. */
export const linesText = (blocks: number, outer: boolean): string =>
  outer ? `(${blocks} + 1)` : `(${blocks} − 1)`;

/**
 * How a long sash is marked so that the blocks on either side of it do not drift apart (rule ST-4). One that is cut
 * over-long is centred: half of what it has too much lies beyond either end (rule CU-8, common practice).
 *
 * @param overLong what it is cut longer than it has to be, in the plan's unit
 */
export function blockMarks({ first, size, sash }: BlockMarks, overLong: number, unit: Unit): string {
  const show = (length: number) => formatWithUnit(length, unit);
  const between = sash > 0 ? `, each ${show(size)} long` : '';
  const centred =
    overLong > 0
      ? `It is centred, ${show(overLong / 2)} over at either end, trimmed once it is sewn on. `
      : '';
  return `${centred}Mark the block lines on each before it is sewn: blocks begin ${show(first + overLong / 2)} from its end and every ${show(size + sash)} after${between}. Both sides are pinned to the marks, or they drift.`;
}

/** Part of strip number `strip` of a sash pieced of `strips`: the middle one of three has a cloth of its own, as has the second of two. */
export const stripPart = (part: string, strip: number): string => (strip === 1 ? `${part}-middle` : part);

/**
 * Finished widths of the strips a sash is pieced of, side by side: the outer ones alike and on the ruler, the one
 * with a cloth of its own taking what is left, so that together they are the sash exactly (rule ST-9). In `unit`.
 */
export function stripWidths(sash: number, strips: number, unit: Unit): number[] {
  if (strips === 1) return [sash];
  const outer = rulerNearest(unit).apply(sash / strips);
  const inner = sash - outer * (strips - 1);
  return strips === 2 ? [outer, inner] : [outer, inner, outer];
}

/** One sash as its strips, side by side across its width. */
export function sashPieces(
  id: string,
  part: string,
  x: number,
  y: number,
  width: number,
  height: number,
  widths: readonly number[],
  upright: boolean,
): Piece[] {
  let from = 0;
  return widths.map((strip, i) => {
    const at = from;
    from += strip;
    return {
      id: widths.length === 1 ? id : `${id}-strip-${i}`,
      part: stripPart(part, i),
      outline: upright ? rectangle(x + at, y, strip, height) : rectangle(x, y + at, width, strip),
    };
  });
}
