import type { TellsOf } from './tell.ts';
import { formatWithUnit } from '../../length/format.ts';
import { line } from '../line.ts';
import { numberOf } from '../../figure/figure.ts';

/** What happened at the machine, told. */
export const sewingTells: TellsOf<
  'sewing-chosen' | 'seams-sewn' | 'seams-ripped' | 'sewing-done' | 'part-measured'
> = {
  'sewing-chosen': (entry) => {
    const { body } = entry;
    return [line(entry, 'change', 'sew', `To be sewn ${body.method}`, { fold: 'sewing-chosen' })];
  },
  'seams-sewn': (entry) => {
    const { body } = entry;
    return [
      line(entry, 'sewn', 'sew', (count) => `${numberOf(count, 'seam')} sewn`, {
        fold: 'sewn',
        count: body.seams.length,
      }),
    ];
  },
  'seams-ripped': (entry) => {
    const { body } = entry;
    return [
      line(entry, 'sewn', 'sew', (count) => `${numberOf(count, 'seam')} taken out, or not sewn after all`, {
        fold: 'ripped',
        count: body.seams.length,
      }),
    ];
  },
  'sewing-done': (entry, { step }) => {
    const { body } = entry;
    const { what, done } = body;
    return [
      line(entry, 'sewn', 'sew', `${step(what)}: ${done ? 'done' : 'not done after all'}`, {
        about: { step: what },
      }),
    ];
  },
  'part-measured': (entry, { step }) => {
    const { body } = entry;
    const { what, length, unit } = body;
    return [
      line(entry, 'measure', 'sew', `${step(what)} measured ${formatWithUnit(length, unit)}`, {
        about: { step: what },
      }),
    ];
  },
};
