import { PRECUT_IDS, PRECUTS, type PrecutId } from '../cloth/precuts.ts';
import { countOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatSize } from '../length/format.ts';
import { mostAlike } from '../placing/most-alike.ts';
import type { Plan } from '../plan/shape.ts';
import { USUAL } from '../usual/lengths.ts';
import { blankQuilt, lengthIn, type Question, type Topic, wrongFlag } from './topic.ts';
import { howManyFit } from '../length/tolerance.ts';

const precutIn = ({ given }: Question) => PRECUTS[given['of'] as PrecutId];

/** What a piece of cloth that is sold cut gives of one size (rule PC-1). */
export const precut: Topic = {
  name: 'precut',
  describes: 'How many pieces of a size a fat quarter, a strip or a square gives.',
  flags: [
    {
      key: 'of',
      label: 'From',
      type: 'choice',
      start: 'fat-quarter',
      choices: PRECUT_IDS,
      names: (id, unit) => {
        const { name, size } = PRECUTS[id as PrecutId];
        return `${name}: ${formatSize(size[unit][0], size[unit][1], unit)} usable`;
      },
    },
    { key: 'cut-width', label: 'Pieces, cut wide', type: 'length', start: USUAL.bindingStrip },
    { key: 'cut-length', label: 'Pieces, cut long', type: 'length', start: USUAL.bindingStrip },
    { key: 'pieces', label: 'Pieces wanted', type: 'count', start: 1 },
  ],
  answer: (question) => {
    const { unit, given } = question;
    const { name, size } = precutIn(question);
    const [width, height] = size[unit];
    const piece = { width: lengthIn(question, 'cut-width'), height: lengthIn(question, 'cut-length') };
    const { count, turned } = mostAlike({ width, height }, piece, true);
    const what = formatSize(piece.width, piece.height, unit);
    if (count === 0)
      return wrongFlag(
        'cut-width',
        `${name.toLowerCase()} is ${formatSize(width, height, unit)} usable: no piece of ${what} comes out of it.`,
      );
    const wanted = given['pieces'] as number;
    const needed = Math.ceil(wanted / count);
    const used = (count * piece.width * piece.height) / (width * height);
    const [columns, rows] = [howManyFit(width, piece.width), howManyFit(height, piece.height)];
    const lie =
      turned === 0
        ? `${columns} × ${rows} = ${count}`
        : `${count - turned} one way + ${turned} turned = ${count}`;
    return {
      ok: true,
      headline: wanted > 1 ? `${needed} × ${name.toLowerCase()}` : `${numberOf(count, 'piece')} of ${what}`,
      json: { each: count, turned, needed, usable: [width, height], used: Math.round(1000 * used) / 1000 },
      said: [
        {
          what: `Each gives`,
          figure: countOf(count, `From ${formatSize(width, height, unit)} usable, ${what} each: ${lie}`),
        },
        {
          what: `For ${numberOf(wanted, 'piece')}`,
          figure: countOf(needed, `${wanted} ÷ ${count}, up to whole ones: ${needed}`),
        },
        {
          what: 'Of its cloth used, per cent',
          figure: countOf(
            Math.round(100 * used),
            `${count} × ${formatExact(piece.width)} × ${formatExact(piece.height)} ÷ (${formatExact(width)} × ${formatExact(height)}) = ${formatExact(used)}`,
          ),
        },
      ],
    };
  },
  quilt: (question): Plan => {
    const seam = USUAL.seam[question.unit];
    // Blocks as large as the pieces are cut.
    return blankQuilt(question.unit, {
      block: {
        width: Math.max(1, lengthIn(question, 'cut-width') - 2 * seam),
        height: Math.max(1, lengthIn(question, 'cut-length') - 2 * seam),
      },
    });
  },
};
