import type { PiecedBorder } from '../border/border.ts';
import type { Making } from '../border/pieced/make.ts';
import type { Plan } from '../plan/shape.ts';

/** What is said at a step that makes the units of a pieced border or joins them (rule PB-5). */
export interface UnitStep {
  readonly pick: string;
  readonly does: readonly string[];
  readonly wrong: readonly string[];
}

/** What the words of a unit are made from. */
export interface UnitFacts {
  readonly border: PiecedBorder;
  readonly making: Making;
  /** Names of its cloths: the border's own, and the second; the lighter, on which a drawn line is seen, and the darker. */
  readonly first: string;
  readonly second: string;
  readonly lighter: string;
  readonly darker: string;
  /** The seam allowance with its unit. */
  readonly seam: string;
  /** What a unit is trimmed to, raw edge to raw edge. */
  readonly trim: string;
  /** How its seams are pressed: "Press each toward the dark." */
  readonly pressed: string;
  readonly unit: Plan['unit'];
  readonly show: (length: number) => string;
}
