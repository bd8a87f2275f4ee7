import type { TellsOf } from './tell.ts';
import { formatSize } from '../../length/format.ts';
import { line } from '../line.ts';
import { numberOf } from '../../figure/figure.ts';
import { sayDay } from '../../moment/moment.ts';

/** What was bought, booked, and taken from the stash, told. */
export const shopTells: TellsOf<
  | 'bought'
  | 'bought-not'
  | 'shop-held'
  | 'shop-let-go'
  | 'booked'
  | 'booking-cancelled'
  | 'stash-moved'
  | 'stash-put'
> = {
  bought: (entry, { cloth }) => {
    const { body } = entry;
    const size = formatSize(body.width, body.length, body.unit);
    return [line(entry, 'bought', 'cut', `Bought: ${cloth(body.cloth)}, ${size} usable`)];
  },
  'bought-not': (entry, { cloth }) => {
    const { body } = entry;
    return [line(entry, 'bought', 'cut', `${cloth(body.cloth)}: not bought after all`)];
  },
  'shop-held': (entry) => {
    const { body } = entry;
    const { number, total, until } = body;
    return [
      line(
        entry,
        'bought',
        'cut',
        `Order ${number} laid aside in the shop until ${sayDay(until)}, ${total.toFixed(2)}`,
      ),
    ];
  },
  'shop-let-go': (entry) => {
    const { body } = entry;
    return [line(entry, 'bought', 'cut', `Order ${body.number} let go`)];
  },
  booked: (entry) => {
    const { body } = entry;
    const { number, starts, ready, price } = body;
    return [
      line(
        entry,
        'booked',
        'layers',
        `Quilting booked, ${number}: from ${sayDay(starts)}, ready ${sayDay(ready)}, ${price.toFixed(2)}`,
      ),
    ];
  },
  'booking-cancelled': (entry) => {
    const { body } = entry;
    return [line(entry, 'booked', 'layers', `Booking ${body.number} taken back`)];
  },
  'stash-moved': (entry, { cloth }) => {
    const { body } = entry;
    const { count, to, cloth: of } = body;
    const did =
      to === 'aside' ? 'set aside from the stash' : to === 'back' ? 'given back to the stash' : 'gone';
    return [
      line(
        entry,
        'bought',
        'cut',
        `${numberOf(count, 'piece')} ${did}${of === null ? '' : ` for ${cloth(of)}`}`,
      ),
    ];
  },
  // Putting cloth into the stash is of no quilt.
  'stash-put': null,
};
