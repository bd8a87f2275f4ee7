import { z } from 'zod';
import { CLOTH_DIRECTIONS } from '../cloth/direction.ts';

/** The log's place for what belongs to the maker and to no one quilt. */
export const STASH = 'stash';

/** What a piece of cloth is called by its shape; batting lies there too. */
export const STASH_KINDS = ['yardage', 'fat-quarter', 'strip', 'square', 'piece', 'batting'] as const;
export type StashKind = (typeof STASH_KINDS)[number];

const side = z.number('A piece has a width and a length.').positive().max(10_000);
const id = z.string().min(8).max(64);
const count = z.number().int().min(1).max(5000);

/** Cloth that is there: so many pieces alike. A later word on the same id takes its place. */
export const stashPut = z.strictObject({
  id,
  name: z.string().trim().min(1, 'A cloth has a name.').max(60),
  colour: z.string().regex(/^#[0-9a-f]{6}$/i, 'A colour is written like #c4532f.'),
  kind: z.enum(STASH_KINDS),
  unit: z.enum(['in', 'cm']),
  /** Usable, selvages off: across the cloth and along the selvage. */
  width: side,
  length: side,
  count,
  direction: z.enum(CLOTH_DIRECTIONS),
  alike: z.boolean(),
  washed: z.boolean(),
  /** Of a yard or a metre; null where nobody knows. */
  price: z.number().min(0).max(1000).nullable(),
  from: z.string().max(120),
  /** Id of a photo of it on the server. */
  picture: z
    .string()
    .regex(/^[0-9a-z-]{8,40}$/)
    .optional(),
  /** Leftovers of a quilt's cutting that it is made of: they are no longer there for that quilt. */
  leftovers: z
    .array(z.strictObject({ quilt: z.string().min(1).max(64), key: z.string().min(1).max(300) }))
    .max(1000)
    .optional(),
});

/** Some of them are set aside for a cloth of a quilt, given back, or no longer there. */
export const stashMoved = z.strictObject({
  piece: id,
  count,
  to: z.enum(['aside', 'back', 'gone']),
  quilt: z.string().min(1).max(64).nullable(),
  cloth: z.string().min(1).max(64).nullable(),
});
