import type { Path } from '../geometry/path.ts';
import type { Point } from '../geometry/point.ts';
import type { Unit } from '../length/unit.ts';
import type { BlockLook } from './look.ts';

/**
 * What a line stands for; whoever draws it knows how wide and how broken that is. `seam` is sewn, `stitch` will be, inside what is cut; `join` joins two
 * strips, `fold`, `cut` and `tape` are done to paper or cloth, `empty` is a place where nothing lies yet.
 */
export type LineKind = 'outline' | 'seam' | 'stitch' | 'join' | 'fold' | 'cut' | 'tape' | 'empty';

/** Something drawn: shapes of one make, a block's face, words, or a length that is marked. */
export type SceneItem =
  | {
      readonly what: 'shape';
      /** Lasts, as the ids of pieces and parts do. */
      readonly id: string;
      readonly paths: readonly Path[];
      /** Colour of its cloth, as #rrggbb; null where it is not filled. */
      readonly fill: string | null;
      readonly line: LineKind | null;
    }
  | {
      readonly what: 'block';
      readonly id: string;
      /** Its four corners as it lies, from its own upper left one clockwise. */
      readonly corners: readonly Point[];
      readonly look: BlockLook;
    }
  | {
      readonly what: 'text';
      readonly at: Point;
      readonly text: string;
      /** Height of its letters, in the scene's unit. */
      readonly size: number;
      readonly align: 'start' | 'middle';
      readonly strong?: true;
    }
  | { readonly what: 'dimension'; readonly from: Point; readonly to: Point; readonly text: string };

/** What belongs together and can be shown or left out: cloth, blocks, joins. */
export interface SceneLayer {
  readonly id: string;
  /** As it reads in a drawing program. */
  readonly name: string;
  readonly items: readonly SceneItem[];
}

/**
 * A drawing before it is one: what lies where, on the plan's own plane and in its unit. The screen, an SVG file and
 * whatever else can be drawn on are written from it and know nothing of quilts.
 */
export interface Scene {
  readonly name: string;
  readonly unit: Unit;
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  readonly layers: readonly SceneLayer[];
}
