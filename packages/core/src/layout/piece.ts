import type { Figure } from '../figure/figure.ts';

/** A point on the quilt's plane: x to the right, y down, in the plan's unit, from the quilt's top left corner. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** What a piece is in the quilt. Its names for people are in `roles.ts`. */
export type Role =
  | 'block'
  | 'plain-block'
  | 'sash'
  | 'cornerstone'
  | 'side-triangle'
  | 'corner-triangle'
  | 'frame-triangle'
  | 'border'
  | 'border-corner';

/** Roles a setting's own pieces can have. */
export type SettingRole = Exclude<Role, 'border' | 'border-corner'>;

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
}

/** A job a fabric is chosen for. */
export type FabricUse =
  | { readonly what: SettingFabric | 'backing' | 'binding' }
  | { readonly what: 'border' | 'border-corner'; readonly index: number };

/** Jobs a setting has for fabric; `middle-sash` is the inner strip of a pieced sash. */
export const SETTING_FABRICS = ['sash', 'middle-sash', 'cornerstone', 'triangle', 'plain', 'frame'] as const;
export type SettingFabric = (typeof SETTING_FABRICS)[number];

/** A finished rectangle to cut instead of the outline, and what is added to its length for handling. */
export interface CutAs {
  readonly width: number;
  readonly length: number;
  readonly spare: number;
}

/** A set of pieces all alike: same finished shape, same turn of grain, same fabric. */
export interface Part {
  readonly key: string;
  readonly role: Role;
  /** As it reads in a list when a role has more than one part: "Upright sashes". */
  readonly name: string;
  readonly grain: Grain;
  /** The fabric it is cut from and the choice behind that; null for blocks, which are made already. */
  readonly cutFrom: { readonly use: FabricUse; readonly fabric: string } | null;
  /** The finished rectangle to cut when the outline alone does not say, as for a mitred strip. */
  readonly cutAs?: CutAs;
  /** How many, by the setting's formula. Equal to the pieces drawn: a test holds it. */
  readonly count: Figure;
}

/** One division of a tape laid along the top or the left edge. */
export interface Band {
  readonly role: Role;
  readonly part: string;
  readonly from: number;
  readonly to: number;
  /** What changes when its edge is dragged; absent when the width is given by the blocks. */
  readonly moves?: BandHandle;
}

/** The plan's length behind a band. */
export type BandHandle =
  | { readonly what: 'sash' }
  | { readonly what: 'border'; readonly index: number; readonly side: 'sides' | 'ends' };

/** The four corners of an upright rectangle. */
export const rectangle = (x: number, y: number, width: number, height: number): Point[] => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];

/** Outline of a square standing on its point, by its middle and half its diagonal. */
export const diamond = (x: number, y: number, half: number): Point[] => [
  { x, y: y - half },
  { x: x + half, y },
  { x, y: y + half },
  { x: x - half, y },
];
