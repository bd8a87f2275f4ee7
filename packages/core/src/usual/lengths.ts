import type { Unit } from '../length/unit.ts';

/** A figure one begins with, as it would be said in either unit: a round one in both, never the one converted. */
export type Usual = Readonly<Record<Unit, number>>;

/**
 * What a new quilt, a new setting and a question at the counter begin with (rule US-1). Common practice in
 * inches; in centimetres the round figures metric quilters use (from memory).
 */
export const USUAL = {
  seam: { in: 0.25, cm: 0.75 },
  /** A block, finished. */
  block: { in: 12, cm: 25 },
  /** A sash between blocks, and a wider one: between columns, or over blocks quilted already. */
  sash: { in: 1.5, cm: 4 },
  wideSash: { in: 2, cm: 5 },
  /** Of a bolt, selvages off. Backing is asked for of a fuller bolt at an inch counter. */
  usable: { in: 40, cm: 102 },
  /** A fat quarter as it is sold: half a yard, half the width. */
  fatQuarterWidth: { in: 22, cm: 55 },
  fatQuarterLength: { in: 18, cm: 50 },
  backingUsable: { in: 42, cm: 102 },
  wideUsable: { in: 104, cm: 260 },
  battingUsable: { in: 88, cm: 220 },
  battingRoll: { in: 96, cm: 240 },
  overhang: { in: 4, cm: 10 },
  panelSeam: { in: 0.5, cm: 1.5 },
  quiltingLines: { in: 3, cm: 8 },
  bindingStrip: { in: 2.5, cm: 6.5 },
  flange: { in: 0.25, cm: 0.5 },
  facingStrip: { in: 2.5, cm: 6.5 },
  /** Of a backing folded over to the front. */
  selfBinding: { in: 0.5, cm: 1.5 },
  /** Deep, of a sleeve to hang a quilt by. */
  sleeve: { in: 4, cm: 10 },
  /** Thick, of a piping. */
  cord: { in: 0.125, cm: 0.3 },
  pointSquare: { in: 4, cm: 10 },
  pointOverlap: { in: 0.25, cm: 0.5 },
  pointOpening: { in: 6, cm: 15 },
  cornerRadius: { in: 6, cm: 15 },
  /** Of a corner cut out for a bed post: the usual drop. */
  cutOut: { in: 12, cm: 30 },
  scallopWidth: { in: 6, cm: 15 },
  scallopDepth: { in: 1, cm: 2.5 },
  /** Taken off to square a cloth's end before the first cut. */
  squaring: { in: 0.5, cm: 1 },
} as const satisfies Record<string, Usual>;
