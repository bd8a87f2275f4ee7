import { FACING_CORNER_NAMES, FACING_CORNERS, type FacingCorners } from '../choice/edge.ts';
import { facingCuts, facingLeast, planFacing } from '../edge/finish/facing.ts';
import { edgesAsTold } from '../edge/flange.ts';
import { USUAL } from '../usual/lengths.ts';
import { inStrips } from './in-strips.ts';
import {
  askFor,
  lengthIn,
  type Question,
  QUILT_FLAGS,
  quiltAsked,
  shopCutJson,
  stripsAndCut,
  stripsDrawn,
  type Topic,
  withUsable,
  wrongFlag,
} from './topic.ts';

const cornersIn = ({ given }: Question): FacingCorners => given['corners'] as FacingCorners;

/** Strips turned wholly to the back (rule FC-1). */
export const facing: Topic = {
  name: 'facing',
  describes: 'Strips for a facing, turned wholly to the back.',
  flags: [
    ...QUILT_FLAGS,
    { key: 'strip', label: 'Strips, cut', type: 'length', start: USUAL.facingStrip },
    {
      key: 'corners',
      label: 'Corners',
      type: 'choice',
      start: 'flat',
      choices: FACING_CORNERS,
      names: (corners) => FACING_CORNER_NAMES[corners as FacingCorners],
    },
    { key: 'usable', label: 'Usable width', type: 'length', start: USUAL.usable },
  ],
  answer: (question) => {
    const { unit } = question;
    const [width, height, strip, usable] = [
      lengthIn(question, 'width'),
      lengthIn(question, 'height'),
      lengthIn(question, 'strip'),
      lengthIn(question, 'usable'),
    ];
    const seam = USUAL.seam[unit];
    if (strip <= 4 * seam) return wrongFlag('strip', 'it leaves too little to turn.');
    if (facingLeast({ width: strip, corners: cornersIn(question) }, unit) > Math.min(width, height))
      return wrongFlag('strip', 'it finds no room on the shorter side.');
    if (strip > usable / 2) return wrongFlag('strip', 'a facing strip is far narrower than its cloth.');
    const planned = planFacing({
      edges: edgesAsTold({ width, height }),
      width: strip,
      corners: cornersIn(question),
      seam,
      unit,
    });
    const taken = inStrips(facingCuts(planned, ''), { usable, seam, unit });
    const [strips, needed, own] = [taken.strips.value, taken.cloth.value, taken.of(strip)];
    return {
      ok: true,
      headline: stripsAndCut(strips, needed, unit),
      json: {
        sides: planned.sides.value,
        ends: planned.ends.value,
        corner: planned.corner?.value ?? null,
        behind: planned.behind.value,
        strips,
        fabric: needed,
        shopCut: shopCutJson(needed, unit, strips),
      },
      drawn: stripsDrawn(
        2 * (planned.sides.value + planned.ends.value) + (own - 1) * strip,
        own,
        strip,
        usable,
        unit,
      ),
      said: [
        { what: 'Sides, two of', figure: planned.sides },
        { what: 'Top and bottom, two of', figure: planned.ends },
        ...(planned.corner ? [{ what: 'Squares for the corners, four of', figure: planned.corner }] : []),
        { what: 'Behind the quilt', figure: planned.behind },
        { what: 'Strips, selvage to selvage', figure: taken.strips },
        { what: 'Cloth', figure: taken.cloth },
        askFor(needed, unit, strips),
      ],
    };
  },
  quilt: (question) => {
    const plan = quiltAsked(question);
    const { edge } = plan;
    const faced = {
      ...plan,
      edge: {
        ...edge,
        finishes: ['facing' as const],
        facing: { ...edge.facing, width: lengthIn(question, 'strip'), corners: cornersIn(question) },
      },
    };
    return withUsable(faced, edge.facing.fabric, lengthIn(question, 'usable'));
  },
};
