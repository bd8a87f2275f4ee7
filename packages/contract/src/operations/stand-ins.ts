import {
  longArmAnswerSchema,
  longArmJobSchema,
  shopAnswerSchema,
  shopListSchema,
  shopOrderSchema,
} from '@lattice/core';
import { z } from 'zod';
import type { Operation } from '../operation.ts';
import { entry } from '../shapes/known.ts';
import { shape } from '../shapes/plain.ts';

const NO_JOB = 'The long-arm service cannot read this job: it needs the sizes of top, backing and batting.';
const NO_LIST = 'The shop cannot read this list: each cloth has its name, colour, length and width.';
const NO_ORDER = 'The shop cannot read this order: each line has its bolt and its length.';
const NOT_ASKED = 'Say for which quilt, and with which entry of the log.';
const NONSENSE = 'The tape was asked for something it cannot do.';

/** Which quilt something is done for, and the id its entry of the log will have, made where it was asked. */
const asked = z.object({
  quilt: z.string().min(1).max(64),
  entry: z.string().regex(/^[0-9A-Za-z-]{8,64}$/),
});
export type Asked = z.infer<typeof asked>;

/** The entry that something left in the log. */
const left = shape({ entry });
/** A reading of the tape. */
const reading = shape({ number: z.int().positive(), millimetres: z.number().nonnegative() });

/** Outside services and devices, as they are simulated. */
export const standIns = {
  askLongArm: {
    says: 'Asks the simulated long-arm service.',
    body: longArmJobSchema,
    wrong: NO_JOB,
    answers: {
      200: { says: 'A price and a place in its queue, or what is against it.', schema: longArmAnswerSchema },
    },
  },
  bookLongArm: {
    says: 'Books with it. Asked twice with one entry, a job is booked once.',
    body: asked.extend({ job: longArmJobSchema }),
    wrong: NO_JOB,
    answers: {
      201: {
        says: 'The entry it left in the log; with what was answered, when it was booked just now.',
        schema: shape({ entry, answer: longArmAnswerSchema.nullable() }),
      },
      409: {
        says: 'It was not booked, and why.',
        schema: shape({ entry: z.null(), answer: longArmAnswerSchema }),
      },
    },
  },
  cancelLongArm: {
    says: 'Takes a booking back.',
    body: asked,
    wrong: NOT_ASKED,
    answers: { 200: { says: 'The entry that says so.', schema: left } },
    refuses: ['no-such-booking'],
  },
  askShop: {
    says: 'Asks the simulated shop what it has for a list.',
    body: shopListSchema,
    wrong: NO_LIST,
    answers: { 200: { says: 'For each cloth what it has, the best first.', schema: shopAnswerSchema } },
  },
  holdOrder: {
    says: 'Has it lay cloth aside. Asked twice with one entry, an order is held once.',
    body: asked.extend({ order: shopOrderSchema }),
    wrong: NO_ORDER,
    answers: { 201: { says: 'The entry it left in the log.', schema: left } },
    refuses: ['no-such-bolt', 'not-enough'],
  },
  letOrderGo: {
    says: 'Lets it go again.',
    body: asked,
    wrong: NOT_ASKED,
    answers: { 200: { says: 'The entry that says so.', schema: left } },
    refuses: ['no-such-order'],
  },
  tapeReadings: {
    says: 'Readings of the simulated tape, as they come.',
    answers: { 200: { says: 'A stream of them.', type: 'text/event-stream' } },
    refuses: ['tape-out-of-reach'],
  },
  squeezeTape: {
    says: 'Takes a reading with it.',
    body: z.object({ millimetres: z.number().positive().max(6000) }),
    wrong: NONSENSE,
    answers: { 200: { says: 'The reading.', schema: reading } },
    refuses: ['tape-out-of-reach'],
  },
  carryTape: {
    says: 'Carries it off, or back.',
    body: z.object({ inReach: z.boolean() }),
    wrong: NONSENSE,
    answers: { 200: { says: 'Where it is now.', schema: shape({ inReach: z.boolean() }) } },
  },
} as const satisfies Record<string, Operation>;
