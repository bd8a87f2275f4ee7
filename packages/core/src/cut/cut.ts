import { type Figure, lengthOf } from '../figure/figure.ts';
import type { FabricUse, LayerFabric, Role } from '../piece/piece.ts';
import type { Lying } from './lying.ts';

/**
 * The size something is cut to, seams and all. A triangle is cut from a square: a quarter of it (cut twice, corner
 * to corner) has the straight grain on its long side, a half (cut once) on its two short sides.
 */
export type CutShape =
  | { readonly shape: 'rectangle'; readonly width: Figure; readonly length: Figure }
  | { readonly shape: 'quarter-square'; readonly side: Figure }
  | { readonly shape: 'half-square'; readonly side: Figure };

/** What a cut becomes: a piece of the top, or a part of what lies under it or goes round it. */
type CutRole = Role | Exclude<LayerFabric, 'wide-back'> | 'prairie-point';

/**
 * One thing to cut, so many times over from one cloth. Top, layers and edge all make these and know nothing of
 * where they will lie; placing and buying know nothing of where they come from.
 */
export interface Cut {
  /**
   * Lasts as long as the thing is there: made of its owner's id, its role and its place, never of a display text,
   * a number in a list that grows, or an option that can be switched.
   */
  readonly id: string;
  readonly owner: 'top' | 'layers' | 'edge';
  readonly role: CutRole;
  readonly name: string;
  /** Id of its cloth, and the choice behind that. */
  readonly fabric: string;
  readonly use: FabricUse;
  readonly size: CutShape;
  readonly count: Figure;
  /** Across the cloth from selvage to selvage, along the selvage, or an oblong that is then cut on the bias. */
  readonly grain: 'crosswise' | 'lengthwise' | 'bias';
  /** The way its length has to lie on a cloth with a direction; null where it may be turned. */
  readonly oneWay: 'across' | 'along' | null;
  /** How strips too short for it are joined, or that it is never made of two. */
  readonly joins: 'diagonal' | 'straight' | 'never';
  /**
   * For strips that are all joined into one run: what that has to come to. The last of them need not be whole, so
   * something else may share its strip.
   */
  readonly run: number | null;
  /** For triangles of a cloth with a direction: how many lie each way on the quilt. */
  readonly lying: Lying | null;
  /** The layout's part it is cut for, and the ids of its pieces there. */
  readonly part: string | null;
  readonly pieces: readonly string[];
  /** Lies under the piece that is drawn: the batting or back of a strip. */
  readonly under: boolean;
  /** What to know when cutting or sewing it. */
  readonly notes: readonly string[];
}

/** What most cuts are besides what they are named, sized and counted: crosswise, free to turn, joined on the diagonal. */
const PLAIN = {
  grain: 'crosswise',
  oneWay: null,
  joins: 'diagonal',
  run: null,
  lying: null,
  part: null,
  pieces: [],
  under: false,
  notes: [],
} as const satisfies Partial<Cut>;

/** A cut with whatever is not said as it is for most. */
export const cutOf = (said: Omit<Cut, keyof typeof PLAIN> & Partial<Cut>): Cut => ({ ...PLAIN, ...said });

/** The size of a whole strip across a cloth; lengths in the plan's unit. */
export const wholeStrip = (width: number, usable: number): CutShape => ({
  shape: 'rectangle',
  width: lengthOf(width),
  length: lengthOf(usable, 'From selvage to selvage'),
});
