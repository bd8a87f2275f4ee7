import { biasFromSquare } from '../edge/bias.ts';
import { givenBy } from '../edge/bias-plan.ts';
import { strictStripsOf, stripsOf } from '../edge/binding-strips.ts';
import { biasRectangle, biasSquare, BINDING_SCHOOLS, bindingLength, type BindingSchool, SCHOOL_NAMES, withAdded } from '../edge/schools.ts';
import { lengthOf } from '../figure/figure.ts';
import { formatExact, formatLength, formatWithUnit } from '../length/format.ts';
import { USUAL_SEAM } from '../plan/start.ts';
import { shopCut } from '../shopping/shop-cut.ts';
import { lengthIn, quiltOfSize, shopCutJson, stripsAndCut, stripsDrawn, type Topic } from './topic.ts';

/** Binding by the strip, strictly by its joins, and on the bias (handbook 7). */
export const binding: Topic = {
  name: 'binding',
  describes: 'Strips and fabric to bind a quilt, straight or on the bias.',
  flags: [
    { key: 'width', label: 'Quilt width', type: 'length', start: null, instead: true },
    { key: 'height', label: 'Quilt height', type: 'length', start: null, instead: true },
    { key: 'perimeter', label: 'Or all round, measured', type: 'length', start: null, instead: true },
    { key: 'strip', label: 'Strip, cut', type: 'length', start: 2.5 },
    { key: 'school', label: 'Allowance', type: 'choice', start: 'plus-ten', choices: BINDING_SCHOOLS, names: (school, unit) => SCHOOL_NAMES[school as BindingSchool][unit] },
    { key: 'usable', label: 'Usable width', type: 'length', start: 40 },
    { key: 'grain', label: 'Grain', type: 'choice', start: 'straight', choices: ['straight', 'bias'], names: (grain) => (grain === 'bias' ? 'Bias, from a square' : 'Straight') },
  ],
  answer: (question) => {
    const { given, unit } = question;
    const school = given['school'] as BindingSchool;
    const [width, height, perimeter] = [given['width'], given['height'], given['perimeter']] as (number | null)[];
    const sided = typeof width === 'number' && typeof height === 'number';
    if (sided === (typeof perimeter === 'number')) return '--width and --height, or --perimeter: give the two sides, or the length all round.';
    if (!sided && school === 'round-up-sides') return '--school round-up-sides: it rounds each side, so give --width and --height.';
    const length = sided
      ? bindingLength({ width, height }, school, unit)
      : withAdded(lengthOf(perimeter as number, `All round, measured: ${formatExact(perimeter as number)}`), school as 'plus-ten', unit);
    const [strip, usable] = [lengthIn(question, 'strip'), lengthIn(question, 'usable')];
    if (strip >= usable / 2) return '--strip: a binding strip is far narrower than its fabric.';
    const strips = stripsOf(length.value, usable, unit);
    const strict = strictStripsOf(length.value, usable, strip, unit);
    const { root, square } = biasSquare(length.value, strip, unit);
    const rectangle = biasRectangle(root, usable);
    const bias = given['grain'] === 'bias';
    const cut = biasFromSquare(square.value, strip, USUAL_SEAM[unit], unit);
    const needed = bias ? square.value : strips.value * strip;
    const fabric = lengthOf(needed, `${strips.value} strips × ${formatLength(strip, unit)} = ${formatExact(needed)}`);
    return {
      headline: bias ? `A square of ${formatWithUnit(square.value, unit)}, ${shopCut(needed, unit).text}` : stripsAndCut(strips.value, needed, unit),
      json: {
        length: length.value, strips: strips.value, strictStrips: strict.value, fabric: needed, shopCut: shopCutJson(needed, unit),
        bias: { square: square.value, rectangle: rectangle.value },
      },
      drawn: bias ? { what: 'bias', side: square.value, strips: cut.strips } : stripsDrawn(length.value, strips.value, strip, usable, unit),
      said: [
        { what: 'Length with corners and tails', figure: length },
        ...(bias
          ? [{ what: 'That square gives, joined', figure: givenBy(cut, USUAL_SEAM[unit], length.value) }]
          : [
            { what: 'Strips, selvage to selvage', figure: strips },
            ...(strict.value === strips.value ? [] : [{ what: 'Strips, counting every join', figure: strict }]),
            { what: 'Fabric', figure: fabric },
          ]),
        { what: 'Ask for', figure: shopCut(needed, unit).length },
        { what: 'On the bias, from a square of', figure: square },
        { what: 'On the bias, from a strip of fabric', figure: rectangle },
      ],
    };
  },
  quilt: quiltOfSize,
};
