import { planHanging } from '../edge/hanging.ts';
import { USUAL } from '../usual/lengths.ts';
import { inStrips } from './in-strips.ts';
import {
  askFor,
  lengthIn,
  QUILT_FLAGS,
  quiltAsked,
  shopCutJson,
  stripsAndCut,
  stripsDrawn,
  type Topic,
  withUsable,
  wrongFlag,
} from './topic.ts';

/** A sleeve to hang a quilt by (rule SL-1). */
export const sleeve: Topic = {
  name: 'sleeve',
  describes: 'A sleeve along the top of the back, to hang a quilt by.',
  flags: [
    ...QUILT_FLAGS,
    { key: 'depth', label: 'Deep, finished', type: 'length', start: USUAL.sleeve },
    { key: 'usable', label: 'Usable width', type: 'length', start: USUAL.usable },
  ],
  answer: (question) => {
    const { unit } = question;
    const [width, depth, usable] = [
      lengthIn(question, 'width'),
      lengthIn(question, 'depth'),
      lengthIn(question, 'usable'),
    ];
    const seam = USUAL.seam[unit];
    if (depth > lengthIn(question, 'height') / 2)
      return wrongFlag('depth', 'it would be deeper than half of the quilt.');
    if (2 * depth + 2 * seam > usable) return wrongFlag('depth', 'its strip is wider than the cloth.');
    const { lines, cuts } = planHanging({ as: 'sleeve', width, depth, seam, fabric: '', unit });
    const [cutWidth, length] = [lines[0]!.figure, lines[1]!.figure];
    const pieces = cuts[0]!.count.value;
    const taken = inStrips(cuts, { usable, seam, unit });
    const [strips, needed] = [taken.strips.value, taken.cloth.value];
    return {
      ok: true,
      headline: stripsAndCut(strips, needed, unit),
      json: {
        cutWidth: cutWidth.value,
        length: length.value,
        pieces,
        strips,
        fabric: needed,
        shopCut: shopCutJson(needed, unit, strips),
      },
      drawn: stripsDrawn(pieces * length.value, strips, cutWidth.value, usable, unit),
      said: [
        ...lines.map(({ name, figure }) => ({ what: name, figure })),
        { what: 'Strips, selvage to selvage', figure: taken.strips },
        { what: 'Cloth', figure: taken.cloth },
        askFor(needed, unit, strips),
      ],
    };
  },
  quilt: (question) => {
    const plan = quiltAsked(question);
    const hung = {
      ...plan,
      hanging: { ...plan.hanging, as: 'sleeve' as const, depth: lengthIn(question, 'depth') },
    };
    return withUsable(hung, hung.hanging.fabric, lengthIn(question, 'usable'));
  },
};
