import { z } from 'zod';
import { numberOf } from '../../figure/figure.ts';
import { sayDay } from '../../moment/moment.ts';
import { line } from '../line.ts';
import { logKind } from './log-kind.ts';

const who = z.string().trim().min(1, 'A maker has a name.').max(80);

/** Somebody was asked for blocks: so many, by a day. A later word takes its place; none asked is asked no more. */
export const blocksAsked = logKind({
  body: z.strictObject({
    who,
    count: z.number().int().min(0).max(500),
    by: z.iso.date().nullable(),
  }),
  readers: ['group'],
  inCopy: 'same',
  says: (entry) => {
    const { body } = entry;
    const { who, count, by } = body;
    const asked = count === 0 ? 'asked no more' : `asked for ${numberOf(count, 'block')}`;
    return [
      line(
        entry,
        'group',
        'blocks',
        `${who}: ${asked}${by === null || count === 0 ? '' : `, by ${sayDay(by)}`}`,
      ),
    ];
  },
});
