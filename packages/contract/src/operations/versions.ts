import { z } from 'zod';
import type { Operation } from '../operation.ts';
import { plan } from '../shapes/known.ts';
import { ID, list, shape } from '../shapes/plain.ts';
import { version } from '../shapes/quilt.ts';

/** How a quilt was. */
export const versions = {
  listVersions: {
    says: 'Versions of a quilt that are kept.',
    answers: { 200: { says: 'Versions, the latest first; of no quilt, none.', schema: list(version) } },
  },
  keepVersion: {
    says: 'Keeps the quilt as it is now, under a name.',
    body: z.strictObject({ name: z.string().trim().min(1).max(80), id: ID.optional() }),
    wrong: 'A version needs a name of at most 80 letters.',
    answers: { 201: { says: 'The version.', schema: version } },
    refuses: ['no-such-quilt', 'id-taken'],
  },
  version: {
    says: 'A version’s plan.',
    answers: { 200: { says: 'The plan.', schema: shape({ plan }) } },
    refuses: ['no-such-snapshot', 'unreadable'],
  },
  dropVersion: {
    says: 'Lets a version go.',
    answers: { 204: { says: 'Done.' } },
    refuses: ['no-such-snapshot'],
  },
} as const satisfies Record<string, Operation>;
