import { z } from 'zod';

/** The kinds of value a plan is made of, each with its message in the quilter's words. */
export const length = (what: string) =>
  z.number(`${what} must be a length, as a plain number in the plan’s unit.`);
/** A colour as #rrggbb. */
export const colour = z.string().regex(/^#[0-9a-f]{6}$/i, 'A colour is written like #2e4a5f.');
/** Words that have to be there, at most so many letters. */
export const name = (what: string, max = 80) =>
  z
    .string(`${what} must be words.`)
    .trim()
    .min(1, `${what} is missing.`)
    .max(max, `${what} is longer than ${max} letters.`)
    // Said apart from the length, so that the schema for other programs says it too: it knows no trimming.
    .regex(/\S/, `${what} is missing.`);
/** A whole number. */
export const wholeNumber = (what: string) => z.int(`${what} must be a whole number.`);
/** Id of a fabric of the plan. */
export const fabricId = name('The cloth', 40);

/** One of a few words; the message lists them. */
export const oneOf = <const T extends readonly [string, ...string[]]>(what: string, words: T) =>
  z.enum(words, `${what} is one of: ${words.join(', ')}.`);
