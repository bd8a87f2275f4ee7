import { planPiping } from '../edge/finish/piping.ts';
import { formatWithUnit } from '../length/format.ts';
import { USUAL } from '../usual/lengths.ts';
import {
  askFor,
  counterCut,
  lengthIn,
  QUILT_FLAGS,
  quiltAsked,
  shopCutJson,
  type Topic,
  withUsable,
  wrongFlag,
} from './topic.ts';

/** A cord in a bias strip (rule PI-1). */
export const piping: Topic = {
  name: 'piping',
  describes: 'Bias strips for a cord along the edge.',
  flags: [
    ...QUILT_FLAGS,
    { key: 'cord', label: 'Cord, thick', type: 'length', start: USUAL.cord },
    { key: 'usable', label: 'Usable width', type: 'length', start: USUAL.usable },
  ],
  answer: (question) => {
    const { unit } = question;
    const [cord, usable] = [lengthIn(question, 'cord'), lengthIn(question, 'usable')];
    const seam = USUAL.seam[unit];
    if (cord > 2 * seam) return wrongFlag('cord', `too thick for a seam of ${formatWithUnit(seam, unit)}.`);
    const around = 2 * (lengthIn(question, 'width') + lengthIn(question, 'height'));
    const { strip, length, bias } = planPiping({ around, cord, seam, usable, unit });
    const cloth = bias.cloth.value;
    return {
      ok: true,
      headline: `Bias strips of ${formatWithUnit(strip.value, unit)}, ${counterCut(cloth, unit).text}`,
      json: {
        strip: strip.value,
        length: length.value,
        fabric: cloth,
        shopCut: shopCutJson(cloth, unit),
      },
      drawn: { what: 'bias', width: usable, height: cloth, fold: false, strips: bias.cut!.strips },
      said: [
        { what: 'Bias strips, cut wide', figure: strip },
        { what: 'Strip and cord, in all', figure: length },
        { what: 'Length of cloth for the strips', figure: bias.cloth },
        askFor(cloth, unit),
      ],
    };
  },
  quilt: (question) => {
    const plan = quiltAsked(question);
    const { edge } = plan;
    const piped = {
      ...plan,
      edge: {
        ...edge,
        finishes: ['piping' as const, 'binding' as const],
        piping: { ...edge.piping, cord: lengthIn(question, 'cord') },
      },
    };
    return withUsable(piped, edge.piping.fabric, lengthIn(question, 'usable'));
  },
};
