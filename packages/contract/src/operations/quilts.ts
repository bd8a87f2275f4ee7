import { STAGES } from '@lattice/core';
import { z } from 'zod';
import { LIMITS } from '../limits.ts';
import { JSON_TYPE, type Operation } from '../operation.ts';
import { ID, shape } from '../shapes/plain.ts';
import { saved, shelfPage, storedQuilt, takenOff } from '../shapes/quilt.ts';

const WRONG = 'The request lacks a plan or its revision.';
/** What a device calls itself: "Kitchen tablet". */
const device = z.string().trim().max(LIMITS.deviceName).default('');
/** Whatever a plan is read from; its own reader says what is wrong with it. */
const toRead = z.custom<unknown>((value) => value !== undefined);
/** A length as it is written, "12 1/2", or a number in the plan's unit. */
const length = z.union([z.number().positive().max(1000), z.string().trim().min(1).max(40)]);

/** The last of a page: what it is sorted by, and its id. */
const after = z
  .string()
  .regex(/^.{1,120} \S{1,64}$/)
  .transform((text) => {
    const at = text.lastIndexOf(' ');
    return { by: text.slice(0, at), id: text.slice(at + 1) };
  });

/** The shelf and its quilts. */
export const quilts = {
  listQuilts: {
    says: 'The shelf: a page of quilts, without their plans.',
    query: z.object({
      after: after.optional(),
      sort: z.enum(['recent', 'newest', 'name']).default('recent'),
      stage: z.enum(['', ...STAGES]).default(''),
      tag: z.string().trim().max(30).default(''),
      count: z.coerce.number().int().min(1).max(LIMITS.pageMost).default(LIMITS.page),
      words: z.string().trim().max(120).default(''),
    }),
    wrong: 'Say which quilts of the shelf.',
    answers: {
      200: {
        says: 'Quilts, how many there are in all, and what to say for the next page.',
        schema: shelfPage,
      },
    },
    curl: `'/api/quilts?words=raffle'`,
  },
  quilt: {
    says: 'One quilt, with its whole plan.',
    answers: { 200: { says: 'The quilt.', schema: storedQuilt } },
    refuses: ['no-such-quilt', 'unreadable'],
    curl: `'/api/quilts/ID'`,
  },
  addQuilt: {
    says: 'Puts a new quilt on the shelf.',
    // A new quilt may bring an id made where it was: sent twice, it is one quilt.
    body: z.object({ plan: toRead, id: ID.optional(), by: device }),
    wrong: WRONG,
    answers: { 201: { says: 'The quilt, with its id.', schema: storedQuilt } },
    refuses: ['unsound-plan', 'taken-off', 'unreadable'],
    curl: `-X POST ${JSON_TYPE} -d "{\\"plan\\": $(cat my.plan.json)}" '/api/quilts'`,
  },
  saveQuilt: {
    says: 'Changes a quilt: its whole plan, and the revision it was changed from. Refused where that is not the last.',
    body: z.object({ revision: z.int().min(1), plan: toRead, by: device }),
    wrong: WRONG,
    answers: { 200: { says: 'Its new revision.', schema: saved } },
    refuses: ['no-such-quilt', 'unsound-plan', 'stale', 'unreadable'],
  },
  readBlock: {
    says: 'What one block measured, cut edge to cut edge; the verdict comes back.',
    body: z.strictObject({
      /** Its id, or the name it has. */
      block: z.string().min(1).max(80),
      width: length,
      height: length,
      edges: z.strictObject({ top: length, bottom: length, left: length, right: length }).optional(),
      by: device,
    }),
    wrong: 'A reading names a block and what it measured: {block, width, height}.',
    answers: {
      201: {
        says: 'The block, and what is to be done with it.',
        schema: shape({
          revision: z.int().min(1),
          block: z.string(),
          name: z.string(),
          kind: z.string(),
          text: z.string(),
        }),
      },
    },
    refuses: [
      'no-such-quilt',
      'no-such-block',
      'bad-length',
      'not-sound',
      'unsound-plan',
      'unreadable',
      'stale',
    ],
    curl: `-X POST ${JSON_TYPE} -d '{"block": "Wheelbarrow", "width": "10 1/2", "height": "10 5/8"}' '/api/quilts/ID/readings'`,
  },
  removeQuilt: {
    says: 'Takes a quilt off the shelf; for a month it can be put back.',
    answers: { 204: { says: 'Done.' } },
    refuses: ['no-such-quilt'],
  },
  restoreQuilt: {
    says: 'Puts a quilt back that was taken off.',
    answers: { 200: { says: 'The quilt.', schema: storedQuilt } },
    refuses: ['no-such-quilt', 'unreadable'],
  },
  takenOff: {
    says: 'What was taken off and can be put back.',
    answers: { 200: { says: 'Quilts.', schema: takenOff } },
  },
} as const satisfies Record<string, Operation>;
