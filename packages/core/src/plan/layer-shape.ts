import { z } from 'zod';
import { BACKING_CHOICES, MARKINGS } from '../choice/layers.ts';
import { BATTING_CHOICES, BATTING_COLOURS, FIBRE_IDS } from '../choice/battings.ts';

import { fabricId, length, oneOf } from './fields.ts';

/** The backing: how far it stands over, what it is made of and how; and what it measured once it was made. */
export const backingSchema = z.strictObject({
  overhang: length('The overhang'),
  fabric: fabricId,
  /** What a back without seams is cut from. */
  wide: fabricId,
  way: oneOf('A backing’s way', BACKING_CHOICES),
  /** Let in between the panels: leftover blocks with cloth between them, or cloth alone. */
  stripe: z.strictObject({ of: oneOf('A stripe', ['fabric', 'blocks']), fabric: fabricId }),
  /** As sewn together and trimmed: both sides, and corner to corner both ways; null what has not been measured of it. */
  made: z
    .strictObject({
      width: length('The backing’s width').nullable(),
      height: length('The backing’s height').nullable(),
      diagonals: z.tuple([length('The diagonal').nullable(), length('The other diagonal').nullable()]),
    })
    .nullable(),
});

/** The batting: what it is and where it comes from. */
export const battingSchema = z.strictObject({
  fibre: oneOf('A batting', FIBRE_IDS),
  colour: oneOf('A batting’s colour', BATTING_COLOURS),
  way: oneOf('A batting’s source', BATTING_CHOICES),
  rollWidth: length('The roll’s width'),
});

/** Who quilts it, and how it is marked. What a long-arm service has promised is the log's. */
export const quiltingSchema = z.strictObject({
  by: oneOf('The quilting', ['home', 'long-arm']),
  marking: oneOf('The marking', MARKINGS),
  spacing: length('The lines’ distance'),
});
