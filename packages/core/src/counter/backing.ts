import { SEAM_NAMES } from '../choice/layers.ts';
import { planBacking } from '../layer/backing.ts';
import { numberOf } from '../figure/figure.ts';
import { USUAL } from '../usual/lengths.ts';
import type { Plan } from '../plan/shape.ts';
import {
  askFor,
  counterCut,
  lengthIn,
  shopCutJson,
  type Topic,
  wholeOfSize,
  withUsable,
  wrongFlag,
} from './topic.ts';

/** Backing from panels of a usable width, the ways compared (rule BK-1). */
export const backing: Topic = {
  name: 'backing',
  describes: 'Panels and cloth for a backing.',
  flags: [
    { key: 'width', label: 'Quilt width', type: 'length', start: null },
    { key: 'height', label: 'Quilt height', type: 'length', start: null },
    { key: 'overhang', label: 'Overhang on every side', type: 'length', start: USUAL.overhang, least: 0 },
    { key: 'usable', label: 'Usable width', type: 'length', start: USUAL.backingUsable },
    { key: 'seam', label: 'Seam between panels', type: 'length', start: USUAL.panelSeam },
  ],
  answer: (question) => {
    const { unit } = question;
    const [usable, seam] = [lengthIn(question, 'usable'), lengthIn(question, 'seam')];
    if (2 * seam >= usable) return wrongFlag('seam', 'a seam as wide as that leaves nothing of the cloth.');
    const overhang = lengthIn(question, 'overhang');
    const { width, height, options } = planBacking(
      { width: lengthIn(question, 'width'), height: lengthIn(question, 'height') },
      { overhang, cloth: { fabric: 'backing', usable, upright: false }, unit, seam, costOf: () => null },
    );
    const [best] = options;
    return {
      ok: true,
      headline: `${numberOf(best.panels, 'panel')}, ${SEAM_NAMES[best.seams]}, ${counterCut(best.fabric.value, unit).text}`,
      json: {
        options: options.map(({ seams, panels, fabric }) => ({
          seams,
          panels,
          fabric: fabric.value,
          shopCut: shopCutJson(fabric.value, unit),
        })),
      },
      drawn: { what: 'backing', width: width.value, height: height.value, overhang, slabs: best.slabs },
      said: [
        { what: 'Backing width', figure: width },
        { what: 'Backing height', figure: height },
        ...options.flatMap(({ seams, panels, fabric }) => [
          { what: `${numberOf(panels, 'panel')}, ${SEAM_NAMES[seams]}`, figure: fabric },
          askFor(fabric.value, unit),
        ]),
      ],
    };
  },
  quilt: (question) => {
    // Asked was the quilt's size; a top is measured raw edge to raw edge.
    const seams = 2 * USUAL.seam[question.unit];
    const plan = wholeOfSize(question.unit, {
      kind: 'whole-top',
      width: lengthIn(question, 'width') + seams,
      height: lengthIn(question, 'height') + seams,
    });
    const backed: Plan = {
      ...plan,
      backing: { ...plan.backing, overhang: lengthIn(question, 'overhang') },
    };
    return withUsable(backed, plan.backing.fabric, lengthIn(question, 'usable'));
  },
};
