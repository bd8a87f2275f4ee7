import { z } from 'zod';
import { formatWithUnit } from '../../length/format.ts';
import { numberOf } from '../../figure/figure.ts';
import { line, type Names } from '../line.ts';
import { cloth, made, size, unit } from './fields.ts';
import { logKind } from './log-kind.ts';

const body = z.strictObject({
  cloth,
  unit,
  why: z.enum(['miscut', 'flaw', 'other-size']),
  pieces: z.array(made).max(1000),
  /** They are of use all the same, at the size they were really cut. */
  instead: z.array(made).max(1000),
  length: z.number().min(0).max(100_000),
  /** What is good of that length: pieces before a flaw and beside it. */
  leaves: z
    .array(z.strictObject({ w: size, h: size }))
    .max(10)
    .optional(),
});

/** Something went wrong: pieces that are spoiled, or a length of cloth that cannot be used. */
export const cutLost = logKind({
  body,
  readers: ['cut record'],
  inCopy: 'same',
  says: (entry, names) => [line(entry, 'cut', 'cut', lostSays(entry.body, names.cloth))],
});

function lostSays(
  { cloth: of, why, pieces, length, unit: inUnit }: z.infer<typeof body>,
  nameOf: Names['cloth'],
): string {
  const count = pieces.reduce((sum, piece) => sum + piece.count, 0);
  if (why === 'flaw') return `${nameOf(of)}: a flaw, ${formatWithUnit(length, inUnit)} of it cannot be used`;
  const did = why === 'miscut' ? 'miscut' : 'cut at another size';
  return `${nameOf(of)}: ${numberOf(count, 'piece')} ${did}`;
}
