import { z } from 'zod';
import { stageOf } from '../../choice/stages.ts';
import { line } from '../line.ts';
import { about } from './fields.ts';
import { logKind } from './log-kind.ts';

/** What was decided or measured, in words, each by the field it is about. */
export const planChanged = logKind({
  body: z.strictObject({
    changes: z
      .array(
        z.strictObject({
          key: z.string().min(1).max(300),
          kind: z.enum(['change', 'measure', 'verdict']),
          stage: z.string().max(20),
          what: z.string().max(300),
          from: z.string().max(300),
          to: z.string().max(300),
          about,
        }),
      )
      .min(1)
      .max(200),
  }),
  readers: ['journal', 'sittings'],
  inCopy: 'same',
  says: (entry) => {
    const { body } = entry;
    return body.changes.map(({ key, kind, stage, what, from, to, about }, i) =>
      line({ ...entry, id: `${entry.id}.${i}` }, kind, stageOf(stage), '', {
        about,
        fold: `plan ${key}`,
        change: { what, from, to },
      }),
    );
  },
});
