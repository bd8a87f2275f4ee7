import { z } from 'zod';
import { CLOTH_DIRECTIONS } from '../../cloth/direction.ts';
import { STASH_KINDS } from '../stash-words.ts';
import { logKind } from './log-kind.ts';

const side = z.number('A piece has a width and a length.').positive().max(10_000);
const id = z.string().min(8).max(64);
const count = z.number().int().min(1).max(5000);

/** Cloth that is there: so many pieces alike. A later word on the same id takes its place. */
export const stashPut = logKind({
  body: z.strictObject({
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
  }),
  readers: ['cut record', 'stash'],
  inCopy: 'stays',
  // Putting cloth into the stash is of no quilt.
  says: null,
});
