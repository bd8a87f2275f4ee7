import type { Figure } from '../figure/figure.ts';
import type { Fabric } from '../plan/shape.ts';

/** A rectangle on a cloth in the plan's unit: x from one selvage, y along it. */
export interface ClothBox {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** A rectangle on the cloth, or on a piece that is left of it: measured then from that one's own corner. */
export interface StockBox extends ClothBox {
  /** Key of that piece; null on the cloth itself. */
  readonly stock: string | null;
}

/** A piece where it is cut from its cloth. */
export interface PlacedPiece extends StockBox {
  /** Id of its line of the cutting list, and of its cut; null for squares that triangles of several cuts come from. */
  readonly line: string;
  readonly cut: string | null;
  readonly name: string;
  /** Which of its cut's pieces it is, from 0. */
  readonly index: number;
  /** A square that is cut corner to corner, so many times; 0 where it stays as it is. */
  readonly corners: 0 | 1 | 2;
}

/** A piece longer than its cloth is wide, cut from joined strips. */
export interface JoinedPiece {
  readonly line: string;
  readonly cut: string;
  readonly name: string;
  readonly index: number;
  /** As cut. */
  readonly length: number;
  /** Where joins fall along it, from its start. */
  readonly joins: readonly number[];
}

/** Strips joined end to end, and what is cut from the run they make. */
export interface PlacedRun {
  readonly width: number;
  readonly straight: boolean;
  /** What a join takes of the length. */
  readonly loss: number;
  /** In the order they are joined. */
  readonly segments: readonly StockBox[];
  readonly pieces: readonly JoinedPiece[];
  /** The nearest a join falls to an end or the middle of its piece, and what one strip more would make of it. */
  readonly clear: number;
  readonly withOneMore: number;
}

/** Strips of one width right across the cloth, and all that is cut from them. */
export interface StripsAcross {
  readonly width: number;
  readonly strips: Figure;
  /** It holds pieces that lie along the selvage: a length of cloth rather than a strip. */
  readonly along: boolean;
  readonly yields: readonly { readonly line: string; readonly name: string; readonly count: number }[];
}

/** What is cut from one cloth, where, and how much of its length that takes. */
export interface Placed {
  readonly fabric: Fabric;
  readonly pieces: readonly PlacedPiece[];
  readonly runs: readonly PlacedRun[];
  /** Heights of the strips right across the cloth, in the order they are cut. */
  readonly heights: readonly number[];
  /** The same, those of one width together, and what they are for. */
  readonly strips: readonly StripsAcross[];
  /** Nothing cut by these rules takes less cloth than this. */
  readonly bound: number;
  readonly needed: Figure;
  /** What this cloth is too narrow for, in words. */
  readonly tooNarrow: readonly string[];
  /** What to mind about the cloth while it is cut and sewn. */
  readonly notes: readonly string[];
}
