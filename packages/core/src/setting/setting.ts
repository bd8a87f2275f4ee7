import type { z } from 'zod';
import type { Refusal } from '../refusal/refusal.ts';
import type { Figure } from '../figure/figure.ts';
import type { Band, Cutting, Piece, SettingFabric, SettingRole, Underlayer } from '../piece/piece.ts';
import type { Point } from '../geometry/point.ts';
import type { Unit } from '../length/unit.ts';

/** A finished block: what it measures inside its seams. */
export interface BlockSize {
  readonly width: number;
  readonly height: number;
}

/** Blocks across and down. On point: blocks across the top row and down the first column. */
export interface Grid {
  readonly across: number;
  readonly down: number;
}

/** What a setting is given. `origin` is where the centre's top left corner lies on the quilt. */
export interface SettingInput<O> {
  readonly unit: Unit;
  readonly block: BlockSize;
  readonly grid: Grid;
  readonly options: O;
  readonly seam: number;
  readonly origin: Point;
}

/** A part as a setting knows it, before a fabric is chosen. */
export interface SettingPart extends Cutting {
  readonly key: string;
  readonly role: SettingRole;
  readonly name: string;
  readonly count: Figure;
  readonly under?: readonly Underlayer[];
  readonly notes?: readonly string[];
  /** A fabric other than the role's usual one. */
  readonly fabric?: SettingFabric;
}

/** What every setting answers: the centre of the quilt, inside any borders. */
export interface Centre {
  readonly width: Figure;
  readonly height: Figure;
  readonly parts: readonly SettingPart[];
  readonly pieces: readonly Piece[];
  readonly bands: { readonly across: readonly Band[]; readonly down: readonly Band[] };
}

/** One choice a setting offers; `key` names a field of its options. `sizes`: it changes the finished size or the number of blocks. */
export type SettingField = {
  readonly key: string;
  readonly label: string;
  /** Matters only while another option has this value. */
  readonly when?: { readonly key: string; readonly is: unknown };
} & (
  | { readonly type: 'length' }
  | { readonly type: 'switch'; readonly sizes?: true }
  | {
      readonly type: 'choice';
      readonly sizes?: true;
      readonly choices: readonly { readonly value: string; readonly label: string }[];
    }
);

/**
 * One way of setting blocks. Everything the program knows of a setting is behind this shape: its
 * options and their fields, how many blocks it takes, what it refuses, and the laid-out centre.
 */
export interface Setting<K extends string = string, O extends { kind: K } = { kind: K }> {
  readonly kind: K;
  /** As it reads on its button. */
  readonly name: string;
  /** One sentence: what it does with the blocks. */
  readonly describes: string;
  /** How its `across` and `down` are to be read. */
  readonly gridMeans: { readonly across: string; readonly down: string };
  readonly options: z.ZodType<O>;
  readonly start: (unit: Unit) => O;
  readonly fields: readonly SettingField[];
  /**
   * It takes blocks of another make than plain finished ones (quilted already, of two sizes), so it is
   * offered when chosen and never proposed in place of another.
   */
  readonly otherBlocks?: true;
  /** Its pieces are quilted before they are joined: no backing goes under the whole, and borders have layers of their own. */
  readonly quilted?: true;
  readonly blocksNeeded: (grid: Grid, options: O) => Figure;
  /** Finished size along one direction, bare of its working: what a search asks thousands of times. Equals the layout's. */
  readonly extent: (direction: 'across' | 'down', count: number, size: number, options: O) => number;
  /** Pieces in the centre, blocks and all. Equals the number the layout draws. */
  readonly pieceCount: (grid: Grid, options: O) => number;
  readonly refusals: (input: Omit<SettingInput<O>, 'origin'>) => readonly Refusal[];
  readonly layOut: (input: SettingInput<O>) => Centre;
}
