import type { EntryBody } from '../../log/kinds.ts';
import type { Names } from '../line.ts';
import type { TellsOf } from './tell.ts';
import { formatWithUnit } from '../../length/format.ts';
import { line } from '../line.ts';
import { numberOf } from '../../figure/figure.ts';

/** What happened at the cutting table, told. */
export const cuttingTells: TellsOf<'cutting-planned' | 'step-cut' | 'step-uncut' | 'cut-lost'> = {
  'cutting-planned': (entry, { cloth }) => {
    const { body } = entry;
    return [line(entry, 'cut', 'cut', `Cutting of ${cloth(body.cloth)} begun`)];
  },
  'step-cut': (entry, { cloth }) => {
    const { body } = entry;
    const of = cloth(body.cloth);
    return [
      line(entry, 'cut', 'cut', (count) => `${of}: ${numberOf(count, 'cut')} made`, {
        fold: `cut ${body.cloth}`,
      }),
    ];
  },
  'step-uncut': (entry) => {
    const { body } = entry;
    return [
      line(entry, 'cut', 'cut', `${numberOf(body.entries.length, 'cut')} taken back: not made after all`),
    ];
  },
  'cut-lost': (entry, { cloth }) => {
    const { body } = entry;
    return [line(entry, 'cut', 'cut', lostSays(body, cloth))];
  },
};

function lostSays(
  { cloth: of, why, pieces, length, unit }: EntryBody['cut-lost'],
  cloth: Names['cloth'],
): string {
  const count = pieces.reduce((sum, piece) => sum + piece.count, 0);
  if (why === 'flaw') return `${cloth(of)}: a flaw, ${formatWithUnit(length, unit)} of it cannot be used`;
  const did = why === 'miscut' ? 'miscut' : 'cut at another size';
  return `${cloth(of)}: ${numberOf(count, 'piece')} ${did}`;
}
