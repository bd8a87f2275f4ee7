import type { Figure } from '../figure/figure.ts';
import type { Point } from '../geometry/point.ts';

/** What a piece is in the quilt. Its names for people are in `roles.ts`. */
export type Role =
  | 'block'
  | 'plain-block'
  | 'plain-half'
  | 'sash'
  | 'cornerstone'
  | 'side-triangle'
  | 'corner-triangle'
  | 'frame-triangle'
  | 'coping-strip'
  | 'border'
  | 'border-patch'
  | 'border-corner';

/** Roles a setting's own pieces can have. */
export type SettingRole = Exclude<Role, 'border' | 'border-patch' | 'border-corner'>;

/**
 * How the straight grain of a piece lies on the finished quilt: level and upright with the quilt's
 * edge, or turned 45°. It decides how the piece is cut.
 */
export type Grain = 'square-to-edge' | 'diagonal';

/** One sewn piece of the finished quilt: its finished outline, seams taken off. */
export interface Piece {
  readonly id: string;
  /** Key of the `Part` it belongs to. */
  readonly part: string;
  /** Finished outline, in order round the piece. */
  readonly outline: readonly Point[];
  /** For a block: its number in the order the pile is laid out, row by row from the top left. */
  readonly place?: number;
  /** For a block: where it stands among its fellows. */
  readonly spot?: Spot;
}

/**
 * A block's place in whole numbers along the rows it is sewn in, level ones or slanting: blocks that share
 * a side, or the sash between them, differ by one in one of the two.
 */
export interface Spot {
  readonly column: number;
  readonly row: number;
}

/** A job a fabric is chosen for. */
export type FabricUse =
  | { readonly what: SettingFabric | LayerFabric }
  | {
      readonly what: 'border' | 'border-second' | 'border-corner';
      /** Id of the border. */ readonly border: string;
    }
  | { readonly what: 'point'; /** Its turn among the cloths of the points. */ readonly index: number };

/** Jobs the layers and the edge have for fabric. */
export const LAYER_FABRICS = [
  'backing',
  'wide-back',
  'back-stripe',
  'binding',
  'binding-flange',
  'flange',
  'facing',
  'piping',
  'sleeve',
] as const;
export type LayerFabric = (typeof LAYER_FABRICS)[number];

/**
 * Jobs a setting has for fabric; `middle-sash` is the inner strip of a pieced sash, `sash-back` and
 * `sash-batting` the layers under a covered one.
 */
export const SETTING_FABRICS = [
  'sash',
  'middle-sash',
  'sash-back',
  'sash-batting',
  'cornerstone',
  'triangle',
  'plain',
  'frame',
  'coping',
] as const;
export type SettingFabric = (typeof SETTING_FABRICS)[number];

/** Jobs that several cloths may take in turns: what is seen of the top. */
export const TURN_FABRICS = [
  'sash',
  'middle-sash',
  'cornerstone',
  'triangle',
  'plain',
  'frame',
  'coping',
] as const satisfies readonly SettingFabric[];

/** A length to cut: a finished one that seams are added to, with something to spare, or one that is given as it is cut. */
export type CutLength =
  | {
      readonly finished: number;
      readonly spare?: { readonly length: number; readonly says: string };
      /** How the finished length was come by, where that is not plain from the drawing. */
      readonly working?: readonly string[];
    }
  | { readonly cut: number; readonly says: string };

/** Which addition makes a triangle's square: the trade's round one, where there is one, or the exact one. */
export type TriangleRule = 'trade' | 'exact';

/**
 * What to cut instead of the outline: a rectangle, or the square a triangle comes from, by the
 * triangle's long side (cut twice) or short side (cut once).
 */
export type CutAs =
  | { readonly shape: 'rectangle'; readonly width: CutLength; readonly length: CutLength }
  | { readonly shape: 'quarter-square' | 'half-square'; readonly side: CutLength };

/** How a part is cut, where its outline alone does not say. */
export interface Cutting {
  readonly grain: Grain;
  readonly cutAs?: CutAs;
  readonly rule?: TriangleRule;
}

/** A further piece cut for each piece of a part and sewn under it: the batting and back of a covered sash. */
export interface Underlayer {
  readonly name: string;
  readonly fabric: SettingFabric;
  readonly cutAs?: CutAs;
}

/** The fabric something is cut from and the choice behind that. */
export interface CutFrom {
  readonly use: FabricUse;
  readonly fabric: string;
}

/** A set of pieces all alike: same finished shape unless `cutAs` says what all are cut as, same turn of grain, same fabric. */
export interface BlockMarks {
  /** Where the first block begins, from the strip's end as it is cut to size. */
  readonly first: number;
  /** A block's side along it, and what lies between two blocks. */
  readonly size: number;
  readonly sash: number;
}

/** Pieces of one kind on the quilt, all cut alike. */
export interface Part extends Cutting {
  readonly key: string;
  readonly role: Role;
  /** As it reads in a list when a role has more than one part: "Upright sashes". */
  readonly name: string;
  /** Null for blocks, which are made already. */
  readonly cutFrom: CutFrom | null;
  readonly under?: readonly (Underlayer & { readonly cutFrom: CutFrom })[];
  /** What to know when cutting or sewing it: marks to make, grids to draw. */
  readonly notes?: readonly string[];
  /** Where blocks lie along it, for a strip that runs past several. */
  readonly marks?: BlockMarks;
  /** How many, by the setting's formula. Equal to the pieces drawn: a test holds it. */
  readonly count: Figure;
  /** Cut as squares that are left whole until they are sewn: how a piece lies on the cloth is not the cutter's to choose. */
  readonly whole?: true;
  /** How many are cut, where what is cut gives several pieces: a strip, or a square that is left whole. */
  readonly cuts?: Figure;
}

/** One division of a tape laid along the top or the left edge. */
export interface Band {
  /** Of its part; layers beyond the top have their own names. */
  readonly role: Role | 'overhang' | 'top';
  readonly part: string;
  readonly from: number;
  readonly to: number;
  /** What changes when its edge is dragged; absent when the width is given by the blocks. */
  readonly moves?: BandHandle;
}

/** The plan's length behind a band. */
export type BandHandle =
  | {
      readonly what: 'setting';
      readonly key: string;
      /** Its outer copy grows towards the quilt's edge. */
      readonly outward?: true;
    }
  | { readonly what: 'border'; readonly index: number; readonly side: 'sides' | 'ends' }
  | { readonly what: 'overhang' };
