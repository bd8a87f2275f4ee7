import { sum } from 'd3-array';
import { FACING_CORNER_NAMES, FACING_CORNERS, type FacingCorners } from '../choice/edge.ts';
import { linesOf } from '../cut/line.ts';
import { facingCuts, facingLeast, planFacing } from '../edge/finish/facing.ts';
import { edgesAsTold } from '../edge/flange.ts';
import { countOf, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWorking } from '../length/format.ts';
import { near } from '../length/tolerance.ts';
import { planStrips } from '../strip/strips.ts';
import { USUAL } from '../usual/lengths.ts';
import {
  askFor,
  lengthIn,
  type Question,
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
    { key: 'width', label: 'Quilt width', type: 'length', start: null },
    { key: 'height', label: 'Quilt height', type: 'length', start: null },
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
    const lines = linesOf(facingCuts(planned, ''), () => 'none');
    const { groups } = planStrips(lines, { usable, seam, unit });
    const strips = sum(groups, (group) => group.strips.value);
    const needed = sum(groups, (group) => group.strips.value * group.width);
    const own = groups.find((group) => near(group.width, strip))!;
    const told = groups.map(
      ({ strips: of, width: wide }) => `${numberOf(of.value, 'strip')} × ${formatWorking(wide, unit)}`,
    );
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
        2 * (planned.sides.value + planned.ends.value) + (own.strips.value - 1) * strip,
        own.strips.value,
        strip,
        usable,
        unit,
      ),
      said: [
        { what: 'Sides, two of', figure: planned.sides },
        { what: 'Top and bottom, two of', figure: planned.ends },
        ...(planned.corner ? [{ what: 'Squares for the corners, four of', figure: planned.corner }] : []),
        { what: 'Behind the quilt', figure: planned.behind },
        { what: 'Strips, selvage to selvage', figure: countOf(strips, told.join(' + ')) },
        { what: 'Cloth', figure: lengthOf(needed, `${told.join(' + ')} = ${formatExact(needed)}`) },
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
