import type { Role } from '../piece/piece.ts';
import { type SeamLedger, NotSewable } from './seam-ledger.ts';
import type { Top } from './top.ts';

/** What a method is given: the top, and which of its pieces are the centre, inside any borders. */
export interface Centre {
  readonly top: Top;
  readonly pieces: readonly number[];
  readonly habits: SewingHabits;
}

/** How somebody likes to sew a row: from its left end or its right, and every other row the other way or not. */
export interface SewingHabits {
  readonly fromRight: boolean;
  /** Many small blocks slant when every row begins at the same end. */
  readonly alternate: boolean;
}

/** Whether the row with this number, counted from 0, is sewn from its right end. */
export const isFromRight = ({ fromRight, alternate }: SewingHabits, row: number): boolean =>
  fromRight !== (alternate && row % 2 === 1);

/** A way of sewing the centre of a top together. A new one is a file beside these and a line in the registry. */
export interface SewingMethod {
  readonly id: string;
  readonly name: string;
  /** One sentence: what is done. */
  readonly says: string;
  /** Of use where blocks are chain pieced: threads are not cut between seams. */
  readonly chained?: true;
  /** For blocks that are quilted already, and for no others. */
  readonly quilted?: true;
  /** Sews the centre into one. @throws NotSewable where this way does not suit it */
  sewCentre(bench: SeamLedger, centre: Centre): void;
}

const BLOCKS: ReadonlySet<Role> = new Set(['block', 'plain-block']);

/** Whether a piece is a block, or plain cloth in the place of one. */
export const isBlock = (top: Top, piece: number): boolean => BLOCKS.has(top.pieces[piece]!.role);

/** Those of some pieces that have one of these roles. */
export const withRole = (top: Top, pieces: readonly number[], ...roles: readonly Role[]): number[] =>
  pieces.filter((piece) => roles.includes(top.pieces[piece]!.role));

/** Refuses a part that holds more than one block: it is not what this way calls one. */
export function oneBlockEach(top: Top, cells: readonly (readonly number[])[]): void {
  for (const cell of cells)
    if (cell.filter((piece) => isBlock(top, piece)).length > 1)
      throw new NotSewable('Blocks do not lie in such rows here.');
}
