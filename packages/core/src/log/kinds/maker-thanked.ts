import { z } from 'zod';
import { line } from '../line.ts';
import { logKind } from './log-kind.ts';

const who = z.string().trim().min(1, 'A maker has a name.').max(80);

/** Somebody was thanked, or has not been after all. */
export const makerThanked = logKind({
  body: z.strictObject({ who, thanked: z.boolean() }),
  readers: ['group'],
  inCopy: 'same',
  says: (entry) => {
    const { body } = entry;
    return [
      line(entry, 'group', 'blocks', `${body.who}: ${body.thanked ? 'thanked' : 'not thanked after all'}`),
    ];
  },
});
