import { z } from 'zod';
import { COLOUR_ORDERS } from '../choice/edge.ts';
import { TURN_FABRICS } from '../piece/piece.ts';
import { fabricId, length, name, oneOf, wholeNumber } from './fields.ts';

/** Id of a picture on the server. */
export const pictureId = z.string().regex(/^[0-9a-z-]{8,40}$/, 'A picture is named by its id.');

/** What pieces in hand can be used up for, besides being cut as the cloth they are set aside for. */
export const STOCK_JOBS = ['binding', 'batting'] as const;
export type StockJob = (typeof STOCK_JOBS)[number];

/** A piece in hand: a strip to bind with, or batting. */
export const stockSchema = z.strictObject({
  id: name('The piece’s id', 80),
  for: oneOf('A piece in hand', STOCK_JOBS),
  width: length('The piece’s width'),
  length: length('The piece’s length'),
});

/** Cloths that take turns with the first in one job of the setting. */
export const rotationSchema = z.strictObject({
  for: oneOf('A job with cloths in turn', TURN_FABRICS),
  fabrics: z
    .array(fabricId)
    .min(1, 'One more cloth at least takes turns.')
    .max(11, 'At most twelve cloths take turns.'),
  order: oneOf('The cloths’ order', COLOUR_ORDERS),
  seed: wholeNumber('The scatter'),
});

/** Added to the cut length of long sashes, and of borders; nothing where they are cut to length. */
export const overLongSchema = z.strictObject({
  sashes: length('What sashes are cut over-long'),
  borders: length('What borders are cut over-long'),
});
