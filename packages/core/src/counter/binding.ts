import { planBias, type BiasPlan } from '../edge/bias-plan.ts';
import { countStrips } from '../edge/binding-strips.ts';
import { BINDING_SCHOOLS, type BindingSchool, SCHOOL_NAMES } from '../choice/binding-schools.ts';
import { bindingLength, withAdded } from '../edge/schools.ts';
import { type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../length/format.ts';
import type { Plan } from '../plan/shape.ts';
import { USUAL } from '../usual/lengths.ts';
import {
  type Answer,
  type FlagRefusal,
  askFor,
  counterCut,
  lengthIn,
  type Question,
  quiltAsked,
  type AnswerLine,
  shopCutJson,
  stripsAndCut,
  stripsDrawn,
  type Topic,
  wholeOfSize,
  withUsable,
  wrongFlag,
} from './topic.ts';

/** Binding by the strip, seen to that it gets round, and on the bias (rules BD-1 to BD-3, BI-1, BI-2). */
export const binding: Topic = {
  name: 'binding',
  describes: 'Strips and cloth to bind a quilt, straight or on the bias.',
  flags: [
    { key: 'width', label: 'Quilt width', type: 'length', start: null, instead: true },
    { key: 'height', label: 'Quilt height', type: 'length', start: null, instead: true },
    { key: 'perimeter', label: 'Or all round, measured', type: 'length', start: null, instead: true },
    { key: 'strip', label: 'Strip, cut', type: 'length', start: USUAL.bindingStrip },
    {
      key: 'school',
      label: 'Allowance',
      type: 'choice',
      start: 'plus-ten',
      choices: BINDING_SCHOOLS,
      names: (school, unit) => SCHOOL_NAMES[school as BindingSchool][unit],
    },
    { key: 'usable', label: 'Usable width', type: 'length', start: USUAL.usable },
    {
      key: 'grain',
      label: 'Grain',
      type: 'choice',
      start: 'straight',
      choices: ['straight', 'bias'],
      names: (grain) => (grain === 'bias' ? 'Bias, from a square' : 'Straight'),
    },
  ],
  answer: (question) => {
    const asked = edgeAsked(question);
    if (!asked.ok) return asked;
    if (lengthIn(question, 'strip') >= lengthIn(question, 'usable') / 2)
      return wrongFlag('strip', 'a binding strip is far narrower than its cloth.');
    return question.given['grain'] === 'bias' ? onTheBias(question, asked) : byStrips(question, asked);
  },
  quilt: (question) => {
    const { given, unit } = question;
    const perimeter = given['perimeter'];
    // All that was measured of it is all round: it is drawn square, and its binding goes by what was measured.
    const side = typeof perimeter === 'number' ? perimeter / 4 : null;
    const plan =
      side === null
        ? quiltAsked(question)
        : wholeOfSize(unit, { kind: 'whole-quilt', width: side, height: side });
    const bound: Plan = {
      ...plan,
      edge: { ...plan.edge, around: typeof perimeter === 'number' ? perimeter : null },
      binding: {
        ...plan.binding,
        stripWidth: lengthIn(question, 'strip'),
        school: given['school'] as BindingSchool,
        grain: given['grain'] === 'bias' ? 'bias-square' : 'straight',
      },
    };
    return withUsable(bound, plan.binding.fabric, lengthIn(question, 'usable'));
  },
};

/** The edge that is asked about: all round, and with what the school adds. */
interface EdgeAsked {
  readonly ok: true;
  readonly around: number;
  readonly length: Figure;
}

function edgeAsked({ given, unit }: Question): EdgeAsked | FlagRefusal {
  const school = given['school'] as BindingSchool;
  const [width, height, perimeter] = [given['width'], given['height'], given['perimeter']] as (
    number | null
  )[];
  if (typeof width === 'number' && typeof height === 'number' && perimeter === null)
    return { ok: true, around: 2 * (width + height), length: bindingLength({ width, height }, school, unit) };
  if (width !== null || height !== null || typeof perimeter !== 'number')
    return wrongFlag(
      'width',
      'give the two sides, or the length all round.',
      '--width and --height, or --perimeter',
    );
  if (school === 'round-up-sides')
    return wrongFlag(
      'school',
      'it rounds each side, so give --width and --height.',
      '--school round-up-sides',
    );
  return {
    ok: true,
    around: perimeter,
    length: withAdded(lengthOf(perimeter, `All round, measured: ${formatExact(perimeter)}`), school, unit),
  };
}

/** The figures every answer has, for scripts: both ways of cutting, whichever was asked for. */
function counted(question: Question, { around, length }: EdgeAsked) {
  const { unit } = question;
  const [strip, usable] = [lengthIn(question, 'strip'), lengthIn(question, 'usable')];
  const bias = (grain: 'bias-square' | 'bias-length'): BiasPlan =>
    planBias({ grain, strip, usable, seam: USUAL.seam[unit], unit }, length.value);
  return {
    strip,
    usable,
    strips: countStrips({ length: length.value, around, usable, strip, unit }),
    square: bias('bias-square'),
    rectangle: bias('bias-length'),
  };
}

const answerOf = (
  question: Question,
  asked: EdgeAsked,
  needed: number,
  counts: ReturnType<typeof counted>,
): Pick<Answer, 'json'> => ({
  json: {
    length: asked.length.value,
    strips: counts.strips.plain.value,
    strictStrips: counts.strips.strict.value,
    bought: counts.strips.cut.value,
    fabric: needed,
    shopCut: shopCutJson(needed, question.unit, counts.strips.cut.value),
    bias: {
      square: counts.square.cloth.value,
      rectangle: counts.rectangle.cloth.value,
      byRule: { square: counts.square.rule.value, rectangle: counts.rectangle.rule.value },
    },
  },
});

/** What is said of either way on the bias, geometry having seen to it that it is enough. */
const biasSaid = ({ square, rectangle }: ReturnType<typeof counted>): AnswerLine[] => [
  { what: 'On the bias, from a square of', figure: square.cloth },
  { what: 'On the bias, from a strip of cloth', figure: rectangle.cloth },
];

function byStrips(question: Question, asked: EdgeAsked): Answer {
  const { unit } = question;
  const counts = counted(question, asked);
  const {
    strip,
    usable,
    strips: { plain, strict, cut },
  } = counts;
  const needed = cut.value * strip;
  return {
    ok: true,
    headline: stripsAndCut(cut.value, needed, unit),
    ...answerOf(question, asked, needed, counts),
    drawn: stripsDrawn(asked.length.value + (cut.value - 1) * strip, cut.value, strip, usable, unit),
    said: [
      { what: 'Length with corners and tails', figure: asked.length },
      { what: 'Strips, selvage to selvage', figure: cut },
      ...(plain.value === cut.value
        ? []
        : [{ what: 'Strips by the plain count, which would not get round', figure: plain }]),
      ...(strict.value === cut.value ? [] : [{ what: 'Strips, counting every join', figure: strict }]),
      {
        what: 'Cloth',
        figure: lengthOf(
          needed,
          `${numberOf(cut.value, 'strip')} × ${formatWorking(strip, unit)} = ${formatExact(needed)}`,
        ),
      },
      askFor(needed, unit, cut.value),
      ...biasSaid(counts),
    ],
  };
}

function onTheBias(question: Question, asked: EdgeAsked): Answer {
  const { unit } = question;
  const counts = counted(question, asked);
  const { square } = counts;
  const side = square.cloth.value;
  return {
    ok: true,
    headline: `A square of ${formatWithUnit(side, unit)}, ${counterCut(side, unit).text}`,
    ...answerOf(question, asked, side, counts),
    drawn: { what: 'bias', width: side, height: side, fold: true, strips: square.cut!.strips },
    said: [
      { what: 'Length with corners and tails', figure: asked.length },
      { what: 'That square gives, joined', figure: square.gives },
      askFor(side, unit),
      ...biasSaid(counts),
    ],
  };
}
