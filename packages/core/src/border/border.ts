import type { BorderCorners } from '../choice/border-corners.ts';
import type { PiecedCorner, PiecedKindId, UnitsMade } from '../choice/pieced-borders.ts';

/** What a border is pieced of: lengths finished, in the plan's unit. */
export interface Pieced {
  readonly kind: PiecedKindId;
  /** The second of its two cloths; the first is the border's own. */
  readonly fabric: string;
  readonly made: UnitsMade;
  readonly corner: PiecedCorner;
  /** Of checkers. */
  readonly rows: number;
  /** How wide a piano key is. */
  readonly key: number;
}

/** One border of a stack, from the centre outward; widths are finished. */
export interface Border {
  readonly id: string;
  readonly sides: number;
  readonly ends: number;
  readonly corners: BorderCorners;
  readonly fabric: string;
  readonly cornerFabric: string;
  /** Null where its strips are of one cloth. */
  readonly pieced: Pieced | null;
}

/** A border that is pieced of units. */
export type PiecedBorder = Border & { readonly pieced: Pieced };

/** Whether a border is pieced of units. */
export const isPieced = (border: Border): border is PiecedBorder => border.pieced !== null;
