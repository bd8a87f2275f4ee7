import type { Unit } from '../../length/unit.ts';

/** What a pieced border's cuts are worked out from besides itself; lengths in the plan's unit. */
export interface CutBy {
  readonly unit: Unit;
  readonly seam: number;
  /** What squaring an end takes. */
  readonly squaring: number;
  /** Usable width of a cloth, by its id. */
  readonly usableOf: (fabric: string) => number;
}
