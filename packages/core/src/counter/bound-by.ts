import { biasFromLength } from '../edge/bias.ts';
import { BINDING_SCHOOLS, type BindingSchool, SCHOOL_NAMES } from '../choice/binding-schools.ts';
import { withAdded } from '../edge/schools.ts';
import { countOf, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatSize, formatWithUnit, formatWorking } from '../length/format.ts';
import { rulerStepDown } from '../length/rounding.ts';
import { TOLERANCE } from '../length/tolerance.ts';
import { sum } from 'd3-array';
import { USUAL } from '../usual/lengths.ts';
import type { Plan } from '../plan/shape.ts';
import { lengthIn, type Topic, wholeOfSize, withUsable, wrongFlag } from './topic.ts';

/** A quilt three by four is what most people mean by one that is not square (common practice). */
const OBLONG = 4 / 3;

/** The schools whose sum does not depend on the sides. */
type AddingSchool = Exclude<BindingSchool, 'round-up-sides'>;

/**
 * The other way round: a piece of cloth there is, a fat quarter as it is sold unless another is said, and how large a
 * quilt it binds, on the bias or straight (rules BD-1, BI-3).
 */
export const boundBy: Topic = {
  name: 'bound-by',
  describes: 'How large a quilt a piece of cloth binds: a fat quarter, or whatever there is.',
  flags: [
    { key: 'cloth-width', label: 'Cloth, wide', type: 'length', start: USUAL.fatQuarterWidth },
    { key: 'cloth-length', label: 'Cloth, long', type: 'length', start: USUAL.fatQuarterLength },
    { key: 'strip', label: 'Strip, cut', type: 'length', start: USUAL.bindingStrip },
    {
      key: 'grain',
      label: 'Grain',
      type: 'choice',
      start: 'bias',
      choices: ['bias', 'straight'],
      names: (grain) => (grain === 'bias' ? 'Bias' : 'Straight'),
    },
    {
      key: 'school',
      label: 'Allowance',
      type: 'choice',
      start: 'plus-ten',
      choices: BINDING_SCHOOLS.filter((school) => school !== 'round-up-sides'),
      names: (school, unit) => SCHOOL_NAMES[school as BindingSchool][unit],
    },
  ],
  answer: (question) => {
    const { unit, given } = question;
    const [width, length, strip] = [
      lengthIn(question, 'cloth-width'),
      lengthIn(question, 'cloth-length'),
      lengthIn(question, 'strip'),
    ];
    const seam = USUAL.seam[unit];
    if (strip >= Math.min(width, length) / 2)
      return wrongFlag('strip', 'a binding strip is far narrower than its cloth.');
    const bias = given['grain'] === 'bias';
    const cut = bias ? biasFromLength(width, length, strip, seam, unit) : straightFrom(width, length, strip);
    const strips = cut.strips.length;
    const whole = sum(cut.strips, (s) => s.length);
    const gives = lengthOf(
      cut.length,
      `${numberOf(strips, bias ? 'bias strip' : 'strip')}, ${formatExact(whole)} in all, less ${numberOf(Math.max(0, strips - 1), 'join')} × ${formatExact(strips > 1 ? (whole - cut.length) / (strips - 1) : 0)} = ${formatExact(cut.length)}`,
    );
    const school = given['school'] as AddingSchool;
    const added = withAdded(lengthOf(0), school, unit).value;
    const around = cut.length - added;
    const down = rulerStepDown(unit).apply;
    const side = Math.floor(around / 4 + TOLERANCE);
    if (side < 1)
      return wrongFlag(
        'cloth-width',
        `it gives ${formatWithUnit(down(cut.length), unit)} of binding, and ${formatWorking(added, unit)} of that is for corners and tails.`,
      );
    const short = Math.floor(around / 2 / (1 + OBLONG) + TOLERANCE);
    const long = Math.floor(around / 2 - short + TOLERANCE);
    const left = (size: number) =>
      `${formatExact(cut.length)} − ${formatExact(added)} for corners and tails = ${formatExact(around)}, all round; ${formatExact(size)}`;
    return {
      ok: true,
      headline: `Binds ${formatSize(side, side, unit)}, or ${formatSize(short, long, unit)}`,
      json: {
        strips,
        length: cut.length,
        around,
        square: side,
        oblong: { width: short, height: long },
      },
      drawn: { what: 'bias', width, height: length, fold: false, strips: cut.strips },
      said: [
        {
          what: bias ? 'Bias strips it gives' : 'Strips it gives',
          figure: countOf(strips, `Drawn to scale: ${strips}`),
        },
        { what: 'Joined, they come to', figure: gives },
        { what: 'Round the quilt', figure: lengthOf(around, left(around)) },
        {
          what: 'A square quilt of',
          figure: lengthOf(side, `${formatExact(around)} ÷ 4, down to a whole one: ${side}`),
        },
        {
          what: 'Three by four: wide',
          figure: lengthOf(
            short,
            `${formatExact(around)} ÷ 2 = ${formatExact(around / 2)}; 3 of 7 parts, down: ${short}`,
          ),
        },
        {
          what: 'Three by four: long',
          figure: lengthOf(long, `${formatExact(around / 2)} − ${short}, down: ${long}`),
        },
      ],
    };
  },
  quilt: (question) => {
    const answer = boundBy.answer(question);
    const { width, height } = answer.ok
      ? (answer.json['oblong'] as { width: number; height: number })
      : { width: 1, height: 1 };
    const plan = wholeOfSize(question.unit, { kind: 'whole-quilt', width, height });
    const bound: Plan = {
      ...plan,
      binding: {
        ...plan.binding,
        stripWidth: lengthIn(question, 'strip'),
        school: question.given['school'] as BindingSchool,
        grain: question.given['grain'] === 'bias' ? 'bias-length' : 'straight',
      },
    };
    return withUsable(bound, plan.binding.fabric, lengthIn(question, 'cloth-width'));
  },
};

/** Straight strips along the longer side, joined on the diagonal: each join takes a strip's width. */
function straightFrom(width: number, length: number, strip: number) {
  const along = Math.max(width, length);
  const count = Math.floor(Math.min(width, length) / strip + TOLERANCE);
  const level = width >= length;
  const strips = Array.from({ length: count }, (_, i) => {
    const [from, to] = [i * strip, (i + 1) * strip];
    const corner = (across: number, at: number) => (level ? { x: at, y: across } : { x: across, y: at });
    return {
      outline: [corner(from, 0), corner(from, along), corner(to, along), corner(to, 0)] as const,
      length: along,
      from: 'after' as const,
    };
  });
  return { strips, length: count * along - Math.max(0, count - 1) * strip };
}
