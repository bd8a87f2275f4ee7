import { type Figure, lengthOf } from '../figure/figure.ts';
import { type Band, type Piece, rectangle } from '../layout/piece.ts';

/** Sash lines in one direction: one between each two blocks, and one at either end when it runs round the outside. */
export const sashLines = (blocks: number, outer: boolean): number => (outer ? blocks + 1 : blocks - 1);

/** Where each block and each sash line starts along one direction. */
export interface Stops {
  readonly blockAt: readonly number[];
  readonly sashAt: readonly number[];
}

/** Stops of blocks of `size` with sash lines between them, from `start`. No sash when `sash` is 0. */
export function stopsAlong(blocks: number, size: number, sash: number, outer: boolean, start: number): Stops {
  const first = start + (outer ? sash : 0);
  return {
    blockAt: Array.from({ length: blocks }, (_, i) => first + i * (size + sash)),
    sashAt: sash === 0 ? [] : Array.from({ length: sashLines(blocks, outer) }, (_, i) => start + (outer ? 0 : size) + i * (size + sash)),
  };
}

/** The tape along one direction. Any sash division moves the width of all. */
export function sashTape({ blockAt, sashAt }: Stops, size: number, sash: number, part: string): Band[] {
  const blocks: Band[] = blockAt.map((from) => ({ role: 'block', part: 'block', from, to: from + size }));
  const sashes: Band[] = sashAt.map((from) => ({ role: 'sash', part, from, to: from + sash, moves: { what: 'setting', key: 'sash' } }));
  return [...blocks, ...sashes].sort((a, b) => a.from - b.from);
}

/** Finished size along one direction, with its working. */
export function sashedSize(blocks: number, block: number, sash: number, outer: boolean, show: (v: number) => string): Figure {
  const lines = sashLines(blocks, outer);
  const value = blocks * block + lines * sash;
  return lengthOf(value, `${blocks} blocks × ${show(block)} + ${lines} sashes × ${show(sash)} = ${show(value)}`);
}

/** `(4 + 1)` or `(4 − 1)`, as it stands in a working. */
export const linesText = (blocks: number, outer: boolean): string => (outer ? `(${blocks} + 1)` : `(${blocks} − 1)`);

/** Part of strip number `strip` of a sash pieced of `strips`: the middle one of three has a cloth of its own, as has the second of two. */
export const stripPart = (part: string, strip: number): string => (strip === 1 ? `${part}-middle` : part);

/** One sash as its strips, side by side across its width. */
export function sashPieces(id: string, part: string, x: number, y: number, width: number, height: number, strips: number, upright: boolean): Piece[] {
  return Array.from({ length: strips }, (_, i) => ({
    id: strips === 1 ? id : `${id}-strip-${i}`,
    part: stripPart(part, i),
    outline: upright ? rectangle(x + (i * width) / strips, y, width / strips, height) : rectangle(x, y + (i * height) / strips, width, height / strips),
  }));
}
