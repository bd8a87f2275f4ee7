import type { z } from 'zod';
import type { Stage } from '../choice/stages.ts';
import type { Problem } from '../refusal/refusal.ts';
import type { Figure } from '../figure/figure.ts';
import type {
  Band,
  BlockMarks,
  Cutting,
  Piece,
  SettingFabric,
  SettingRole,
  Underlayer,
} from '../piece/piece.ts';
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
  readonly marks?: BlockMarks;
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
  /** What it is, in a sentence, where its name does not say. */
  readonly says?: string;
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

/** Lengths of a setting's own that a search may choose, finished, in the plan's unit. */
export interface SettingLengths {
  readonly sash: number;
  readonly float: number;
}

/** What a setting is asked for at the counter, besides blocks and grid. */
interface CounterWish {
  readonly sash: number;
  readonly outerSash: boolean;
}

/**
 * One way of setting blocks. Everything the program knows of a setting is behind this shape: its
 * options and their fields, how many blocks it takes, what it refuses, and the laid-out centre. Whoever wants to
 * know what one can do asks it here, never by its kind or by looking into its options.
 */
export interface Setting<
  K extends string = string,
  O extends { kind: K } = { kind: K },
  S extends z.ZodType<O> = z.ZodType<O>,
> {
  readonly kind: K;
  /** As it reads on its button. */
  readonly name: string;
  /** One sentence: what it does with the blocks. */
  readonly describes: string;
  /** How its `across` and `down` are to be read. */
  readonly gridMeans: { readonly across: string; readonly down: string };
  readonly options: S;
  readonly fields: readonly SettingField[];
  /**
   * It takes blocks of another make than plain finished ones (quilted already, of two sizes), so it is
   * offered when chosen and never proposed in place of another.
   */
  readonly otherBlocks?: true;
  /** Its pieces are quilted before they are joined: no backing goes under the whole, and borders have layers of their own. */
  readonly quilted?: true;
  /** It is one piece that is there already: nothing is laid out, and no block is asked for. */
  readonly whole?: true;
  /** Its outer edge is trimmed to its size: no seam allowance lies beyond it, and nothing is left to trim. */
  readonly trimmed?: true;
  /** Stages that have nothing to do for it, each with what it says there; left out where all of them do. */
  readonly nothingAt?: Readonly<Partial<Record<Stage, string>>>;
  /** Its blocks stand on point, so they have to be square. */
  readonly onPoint?: true;
  start(unit: Unit): O;
  blocksNeeded(grid: Grid, options: O): Figure;
  /** Finished size along one direction, bare of its working: what a search asks thousands of times. Equals the layout's. Blocks are finished sizes, so few settings ask for the seam. */
  extent(direction: 'across' | 'down', count: number, size: number, options: O, seam: number): number;
  /** Pieces in the centre, blocks and all. Equals the number the layout draws. */
  pieceCount(grid: Grid, options: O): number;
  refusals(input: Omit<SettingInput<O>, 'origin'>): readonly Problem[];
  layOut(input: SettingInput<O>): Centre;
  /** Its own lengths that have a meaning with these options; a setting without any leaves this out. */
  lengths?(options: O): Partial<SettingLengths>;
  /** The options with other lengths; those it has not are passed over. */
  withLengths?(options: O, lengths: Partial<SettingLengths>): O;
  /** What lies between and round the blocks, in words, where that is a choice; null where there is nothing to say of this grid. */
  besides?(options: O, grid: Grid): string | null;
  /** Its options for a question at the counter; one that is not asked about there leaves this out. */
  atCounter?(start: O, wish: CounterWish): O;
}
