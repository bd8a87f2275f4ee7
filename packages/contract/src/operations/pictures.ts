import { z } from 'zod';
import { LIMITS } from '../limits.ts';
import type { Operation } from '../operation.ts';
import { ID, list, shape } from '../shapes/plain.ts';

/** What the server made of a photo. */
const madePicture = shape({
  id: z.string(),
  /** Its main colours, `#rrggbb`. */
  colours: list(z.string()),
  /** The colour along its edge; null where it is not one colour. */
  edge: z.string().nullable(),
  /** What was done that the quilter would want to know. */
  notes: list(z.string()),
});
export type MadePicture = z.infer<typeof madePicture>;

/** Photos of blocks, cloths and notes. */
export const pictures = {
  addPicture: {
    says: 'A photo of a block or a cloth; its colours come back. ?id= names it where it was made.',
    query: z.object({ id: ID.optional() }),
    wrong: 'The picture’s id cannot be one.',
    sends: { type: 'image/*', most: LIMITS.pictureBytes },
    answers: { 201: { says: 'Its id and colours.', schema: madePicture } },
    refuses: ['no-picture', 'not-a-picture', 'drawing', 'picture-too-large'],
  },
  picture: {
    says: 'The picture.',
    answers: { 200: { says: 'The picture.', type: 'image/webp' } },
    refuses: ['no-such-picture'],
  },
} as const satisfies Record<string, Operation>;
