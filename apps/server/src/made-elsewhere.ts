import { z } from 'zod';

/** An id that was made in a browser before the server heard of it: letters, digits and dashes, long enough to be one of its kind. */
export const ID = z.string().regex(/^[0-9a-z-]{8,40}$/, 'An id is 8 to 40 small letters, digits and dashes.');
