import type { PiecedKindId, UnitsMade } from '../../choice/pieced-borders.ts';
import type { Point } from '../../geometry/point.ts';
import type { Pieced } from '../border.ts';

/** Which of the two cloths of a pieced border a patch is of. */
export type OfCloth = 'first' | 'second';

/** One patch of a unit, finished, on the unit's own plane: x along the border clockwise, y from its outer edge inward. */
export interface Patch {
  readonly of: OfCloth;
  readonly outline: readonly Point[];
}

/** Where a unit stands along its side. */
interface UnitPlace {
  /** From 0, clockwise. */
  readonly index: number;
  /** Of a checkered ground counted round the whole border: even where its first square is of the first cloth. */
  readonly parity: number;
}

/** The box a unit fills. */
export interface UnitBox {
  readonly along: number;
  readonly depth: number;
}

/** What a patch is cut as, before seams: by its finished size. */
type PatchCut =
  | { readonly shape: 'half-square' | 'quarter-square'; readonly side: number }
  | { readonly shape: 'rectangle'; readonly width: number; readonly length: number };

/** Patches of a unit that are joined at one sitting: pairs by their numbers. */
interface UnitSeams {
  readonly id: string;
  /** "Make the half-square units of border 2", by what the border is called. */
  readonly title: (border: string) => string;
  readonly joins: readonly (readonly [number, number])[];
}

/** A kind of pieced border: what its units are, how they are cut and sewn (rule PB-1). */
export interface PiecedKind {
  readonly id: PiecedKindId;
  /** What its units are called: "half-square unit", "half-square units". */
  readonly one: string;
  readonly many: string;
  /** What its patches of either cloth are called, many of them: cut singly, or left whole. */
  readonly patchNames: Readonly<Record<OfCloth, string>>;
  /** Ways of making its units; the usual one first. */
  readonly made: readonly UnitsMade[];
  /** Units that belong together, so that a side has a whole number of these. */
  readonly together: 1 | 2;
  /** A unit may stand in the corners; otherwise a plain square does. */
  readonly turnsCorner: boolean;
  /** Finished length of a unit along the border. */
  readonly along: (depth: number, pieced: Pieced) => number;
  readonly patches: (box: UnitBox, place: UnitPlace, pieced: Pieced) => readonly Patch[];
  /** What stands in the corner, its outer corner at the origin. Asked only where it turns the corner. */
  readonly cornerPatches: (depth: number, parity: number, pieced: Pieced) => readonly Patch[];
  readonly cut: (of: OfCloth, box: UnitBox, pieced: Pieced) => PatchCut;
  /** The seams of a unit, sitting by sitting; none where a unit is one patch. */
  readonly seams: (pieced: Pieced) => readonly UnitSeams[];
}
