import type { Point } from '../geometry/point.ts';

/** What an arrangement weighs, each from 0 (does not matter) to 10. */
export interface ArrangeRules {
  /**
   * Side by side, or (at half the weight) corner to corner: the same pattern, the same maker, the same
   * main colour, any cloth in common, the same way round.
   */
  readonly kind: number;
  readonly maker: number;
  readonly colour: number;
  readonly cloth: number;
  readonly turn: number;
  /** Blocks alike in pattern, maker, colour, value and size lie far apart. */
  readonly spread: number;
  /** Light to dark in an order. */
  readonly gradient: number;
  readonly order: 'across' | 'down' | 'outwards';
}

/** The rules as they begin. */
export const START_RULES: ArrangeRules = {
  kind: 5,
  maker: 3,
  colour: 3,
  cloth: 0,
  turn: 0,
  spread: 2,
  gradient: 0,
  order: 'across',
};

/** One block as an arrangement sees it. */
export interface WallBlock {
  readonly id: string;
  readonly name: string;
  /** Null where nobody has said: such blocks are not held to be alike. */
  readonly kind: string | null;
  readonly maker: string | null;
  /** `#rrggbb`, the main one first; empty when not known. */
  readonly colours: readonly string[];
  /** Lightness from 0 (black) to 1 (white). */
  readonly value: number;
  /** How much larger than its fellows, in inches; for spreading sizes. */
  readonly size: number;
  /** A one-way print, which is never turned. */
  readonly upright: boolean;
}

/** Two places beside each other: along a side (or the sash between), or only corner to corner. */
export interface Meeting {
  readonly a: number;
  readonly b: number;
  readonly how: 'side' | 'corner';
}

/** A whole arrangement to judge or improve: plain data, as it goes to a worker. */
export interface WallJob {
  readonly blocks: readonly WallBlock[];
  readonly places: readonly Point[];
  readonly meetings: readonly Meeting[];
  /** Index of the block in each place, −1 where there is none. */
  readonly at: readonly number[];
  /** Quarter turns of each block, by its index. */
  readonly turns: readonly number[];
  /** Places whose block stays. */
  readonly locked: readonly boolean[];
  readonly rules: ArrangeRules;
}

/** One arrangement: which block lies where, and how each is turned. */
export interface Arrangement {
  readonly at: readonly number[];
  readonly turns: readonly number[];
}
