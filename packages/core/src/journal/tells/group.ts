import type { TellsOf } from './tell.ts';
import { line } from '../line.ts';
import { numberOf } from '../../figure/figure.ts';
import { sayDay } from '../../moment/moment.ts';

/** What was asked of others and given by them, told. */
export const groupTells: TellsOf<'blocks-asked' | 'maker-thanked'> = {
  'blocks-asked': (entry) => {
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
  'maker-thanked': (entry) => {
    const { body } = entry;
    return [
      line(entry, 'group', 'blocks', `${body.who}: ${body.thanked ? 'thanked' : 'not thanked after all'}`),
    ];
  },
};
