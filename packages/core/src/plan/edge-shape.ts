import { z } from 'zod';
import {
  BINDING_GRAINS,
  COLOUR_ORDERS,
  EDGE_FINISHES,
  EDGE_SHAPES,
  FACING_CORNERS,
  POINT_FOLDS,
  POINTS_SEWN,
  SIDES,
} from '../choice/edge.ts';
import { BINDING_SCHOOLS } from '../choice/binding-schools.ts';
import { fabricId, length, oneOf, wholeNumber } from './fields.ts';

/** The edge: its shape, what it measured, and what finishes it. */
export const edgeSchema = z.strictObject({
  shape: oneOf('The edge’s shape', EDGE_SHAPES),
  /** Corners that are rounded or cut off: all, or those at the foot of a bed. */
  corners: oneOf('The shaped corners', ['all', 'foot']),
  /** Of a rounded corner; along each side of one that is cut off. */
  radius: length('The corner'),
  /** What is cut out of a corner for a bed post: along the top or bottom, and along the side. */
  cutOut: z.strictObject({ across: length('The cut-out across'), down: length('The cut-out down') }),
  scallop: z.strictObject({
    width: length('The scallop’s width'),
    depth: length('The scallop’s depth'),
    /** The sides that have them; the others are straight. */
    sides: z
      .array(oneOf('A scalloped side', SIDES))
      .min(1, 'At least one side has scallops.')
      .max(SIDES.length),
  }),
  /** All round, measured along the edge with a tape; null while it is computed. */
  around: length('The length all round').nullable(),
  finishes: z.array(oneOf('A finish', EDGE_FINISHES)).max(EDGE_FINISHES.length),
  flange: z.strictObject({ visible: length('The flange'), fabric: fabricId }),
  facing: z.strictObject({
    width: length('The facing strip'),
    corners: oneOf('The corners of a facing', FACING_CORNERS),
    fabric: fabricId,
  }),
  /** The backing folded over the edge: how much of it shows on the front. */
  selfBinding: z.strictObject({ shows: length('The self-binding') }),
  piping: z.strictObject({ cord: length('The cord'), fabric: fabricId }),
  points: z.strictObject({
    square: length('The points’ square'),
    overlap: length('The overlap'),
    fold: oneOf('The points’ fold', POINT_FOLDS),
    /** Where the difference to a whole number of points goes. */
    spread: oneOf('The difference', ['all', 'last-three']),
    fabrics: z
      .array(fabricId)
      .min(1, 'Points need at least one cloth.')
      .max(8, 'Points take at most eight cloths.'),
    order: oneOf('The colours’ order', COLOUR_ORDERS),
    /** Before the layers or after the quilting. */
    sewn: oneOf('How the points are sewn on', POINTS_SEWN),
    /** Left unsewn to turn the quilt through. */
    opening: length('The opening'),
    seed: wholeNumber('The scatter'),
  }),
});

/** The binding: its strip and how it is folded and cut, what it is reckoned by, and what it is made of. */
export const bindingSchema = z.strictObject({
  stripWidth: length('The binding strip'),
  fabric: fabricId,
  fold: oneOf('A binding’s fold', ['double', 'single']),
  grain: oneOf('A binding’s grain', BINDING_GRAINS),
  school: oneOf('A binding’s allowance', BINDING_SCHOOLS),
  /** How far from the edge it is sewn; null for as far as it finishes wide, so that both sides show alike. */
  seam: length('The binding’s seam').nullable(),
  /** A second strip joined along it that shows beside it as a flange; null for a plain binding. */
  flange: z.strictObject({ visible: length('The flange built in'), fabric: fabricId }).nullable(),
  /** Along the bottom edge from the left corner, where the binding begins; null for where joins keep farthest from corners. */
  start: length('The binding’s start').nullable(),
});
