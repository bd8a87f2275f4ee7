import { z } from 'zod';

/** An object nobody changes. */
export const shape = <const S extends z.ZodRawShape>(fields: S) => z.strictObject(fields).readonly();
/** A list nobody changes. */
export const list = <S extends z.ZodType>(item: S) => z.array(item).readonly();

/** A moment, ISO 8601 in UTC. */
export const moment = z.iso.datetime();
/** An id that was made in a browser before the server heard of it: letters, digits and dashes, long enough to be one of its kind. */
export const ID = z.string().regex(/^[0-9a-z-]{8,40}$/, 'An id is 8 to 40 small letters, digits and dashes.');
