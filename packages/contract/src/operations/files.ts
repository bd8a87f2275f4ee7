import { FORMATS, PAPER_NAMES } from '@lattice/export/formats';
import { z } from 'zod';
import { LIMITS } from '../limits.ts';
import type { Operation } from '../operation.ts';
import { list, shape } from '../shapes/plain.ts';

/** What came out of a parcel. */
const arrived = shape({
  quilts: list(shape({ id: z.string(), title: z.string(), copy: z.boolean() })),
  /** Those that could not be written, and why: all others are there. */
  left: list(shape({ title: z.string(), why: z.string() })),
  entries: z.int().nonnegative(),
  pictures: z.int().nonnegative(),
});
export type Arrived = z.infer<typeof arrived>;

/** Quilts as files that are carried away and come back. */
export const files = {
  take: {
    says: 'Anything a quilt is written as: its lists as tables, drawings, the booklet, the whole quilt.',
    query: z.object({
      to: z.enum(FORMATS),
      what: z.string().max(20).optional(),
      paper: z.enum(PAPER_NAMES).default('a4'),
      comma: z.enum(['yes', 'no']).default('no'),
    }),
    wrong: 'Say what to take along: to, what, paper, comma.',
    answers: { 200: { says: 'The file.', type: 'application/octet-stream' } },
    refuses: ['no-such-quilt', 'no-such-file', 'not-sound', 'unreadable'],
    curl: `'/api/quilts/ID/take?to=csv&what=cuts'`,
  },
  planFile: {
    says: 'The plan file as it lies there, readable or not.',
    answers: { 200: { says: 'The file.', type: 'application/json' } },
    refuses: ['no-such-quilt'],
  },
  shelfFile: {
    says: 'All quilts of the shelf in one file.',
    answers: { 200: { says: 'The file.', type: 'application/zip' } },
    curl: `-o shelf.zip '/api/shelf.zip'`,
  },
  arriving: {
    says: 'How far the parcel has come that is being taken in; null while there is none.',
    answers: {
      200: {
        says: 'Quilts on the shelf, and in all.',
        schema: shape({
          arriving: shape({ done: z.int().nonnegative(), of: z.int().nonnegative() }).nullable(),
        }),
      },
    },
  },
  arrive: {
    says: 'Takes in whole quilts from a zip that was taken along.',
    sends: { type: 'application/octet-stream', most: LIMITS.parcel },
    answers: { 201: { says: 'What arrived.', schema: arrived } },
    refuses: [
      ...(['no-parcel', 'bad-parcel', 'stopped', 'unsound-plan', 'taken-off', 'unreadable'] as const),
      ...(['not-a-picture', 'picture-too-large', 'drawing'] as const),
    ],
    curl: `-X POST -H 'Content-Type: application/octet-stream' --data-binary @quilt.zip '/api/parcels'`,
  },
  planSchema: {
    says: 'What a plan file is, as a JSON Schema.',
    answers: { 200: { says: 'The schema.', type: 'application/schema+json' } },
  },
} as const satisfies Record<string, Operation>;
