import { meantCut, proposedCut } from '../../block/usual-size.ts';
import { type Verdict, verdictOn } from '../../block/verdict.ts';
import { judgeTop } from '../../border/sizes.ts';
import { rectangle } from '../../geometry/shapes.ts';
import { formatFine, formatSize, formatWithUnit } from '../../length/format.ts';
import { near } from '../../length/tolerance.ts';
import { fromInches, type Unit } from '../../length/unit.ts';
import type { PileBlock } from '../../plan/shape.ts';
import { blankPlan } from '../../plan/start.ts';
import { oneOf, wholeFrom } from '../chance.ts';
import type { ExerciseKind, ExerciseMark, Level } from '../exercise.ts';
import { EASE_INCHES, TRUE_INCHES } from '../../length/ease.ts';

/** A step of the ruler blocks are measured by: a sixteenth, or a millimetre. */
const stepOf = (unit: Unit) => (unit === 'in' ? 1 / 16 : 0.1);

/** How far off a block is, in steps: at a glance, with care, or about where one verdict ends and the next begins. */
const OFF: Readonly<Record<Level, readonly number[]>> = {
  0: [-8, -6, -2, 0, 2, 6, 8],
  1: [-5, -3, -2, -1, 0, 1, 2, 3, 5],
  2: [-3, -2, -1, 1, 2, 3],
};

/** A length as it is printed: what is asked, judged and answered is reckoned with no other figure. */
const asPrinted = (length: number, unit: Unit): number =>
  unit === 'in' ? length : Math.round(length * 10) / 10;

const VERDICTS: readonly { readonly id: Exclude<Verdict['kind'], 'unmeasured'>; readonly text: string }[] = [
  { id: 'fine', text: 'Sew it as it is' },
  { id: 'ease', text: 'Ease it in' },
  { id: 'trim', text: 'Trim it' },
  { id: 'small', text: 'Remake it, or build it up' },
  { id: 'crooked', text: 'Unpick it and sew it again' },
];

/** Trim, ease, remake or unpick (rules BL-1, BL-2). */
export const verdict: ExerciseKind = {
  id: 'verdict',
  name: 'Trim, ease, remake or unpick',
  make: (random, unit, level) => {
    const finished = asPrinted(fromInches(wholeFrom(random, 6, 14), unit), unit);
    const seam = unit === 'in' ? 0.25 : 0.75;
    const meant = asPrinted(finished + 2 * seam, unit);
    const step = unit === 'in' ? stepOf(unit) : 0.15;
    const off = () => asPrinted(oneOf(random, OFF[level]) * step, unit);
    const [width, height] = [meant + off(), meant + (random() < 0.5 ? 0 : off())].map((v) =>
      asPrinted(v, unit),
    ) as [number, number];
    // One in five has sides that do not agree.
    const skew = random() < 0.2 ? oneOf(random, [3, 4, 5]) * step : 0;
    const block: PileBlock = {
      id: 'b',
      name: 'The block',
      width,
      height,
      ...(skew > 0 && {
        edges: {
          top: asPrinted(width - skew / 2, unit),
          bottom: asPrinted(width + skew / 2, unit),
          left: height,
          right: height,
        },
      }),
    };
    const said = verdictOn(block, { width: meant, height: meant }, unit, seam);
    const show = (v: number) => formatFine(v, unit);
    const square = rectangle(1, 1, 8, 8);
    const top = { from: { x: 1, y: 0.5 }, to: { x: 9, y: 0.5 }, label: show(block.edges?.top ?? width) };
    const marks: ExerciseMark[] = [
      top,
      { from: { x: 9.5, y: 1 }, to: { x: 9.5, y: 9 }, label: show(height) },
      ...(block.edges
        ? [{ from: { x: 1, y: 9.5 }, to: { x: 9, y: 9.5 }, label: show(block.edges.bottom) }]
        : []),
    ];
    return {
      asks: `All blocks are cut to ${formatWithUnit(meant, unit)} square. What is to be done with this one?`,
      drawing: { width: 11, height: 10.5, shapes: [{ id: 'block', outline: square, fill: 'cloth' }], marks },
      answer: { by: 'choice', choices: VERDICTS, right: said.kind },
      working: [
        `To ${formatFine(fromInches(TRUE_INCHES, unit), unit)} a block is fine, to ${formatFine(fromInches(EASE_INCHES, unit), unit)} it is eased in`,
        `This one: ${show(width)} × ${show(height)}, wanted ${show(meant)} both ways`,
        said.text,
      ],
    };
  },
};

/** Which size to cut all to (rule BL-3). */
export const cutAllTo: ExerciseKind = {
  id: 'cut-all-to',
  name: 'Which size to cut all to',
  make: (random, unit, level) => {
    const finished = asPrinted(fromInches(wholeFrom(random, 6, 12), unit), unit);
    const plan = { ...blankPlan(unit), block: { width: finished, height: finished } };
    const meant = meantCut(plan).width;
    const step = unit === 'in' ? 1 / 8 : 0.3;
    const count = wholeFrom(random, 12, 30);
    // Few short: they are remade. Many: all go down to them.
    const share = oneOf(random, level === 0 ? [0.03, 0.5] : [0.03, 0.08, 0.2, 0.4]);
    const few = Math.max(1, Math.round(share * count));
    const off = asPrinted(oneOf(random, level === 2 ? [-2, -3] : [-2, -4]) * step, unit);
    const sizes = [
      { size: meant, many: count - few },
      { size: meant + off, many: few },
    ];
    const pile: PileBlock[] = sizes.flatMap(({ size, many }, kind) =>
      Array.from({ length: many }, (_, i) => ({
        id: `b${kind}-${i}`,
        name: `B ${i}`,
        width: size,
        height: size,
      })),
    );
    const right = proposedCut({ ...plan, pile, grid: { across: count, down: 1 } }).width;
    const show = (v: number) => formatWithUnit(v, unit);
    const all = [...new Set([meant, meant + off, right])].sort((a, b) => a - b);
    const shapes = sizes.map(({ size, many }, i) => ({
      id: `pile-${i}`,
      outline: rectangle(1 + 6 * i, 6 - (5 * many) / count, 4, (5 * many) / count),
      fill: i === 0 ? 'cloth' : 'other',
      label: `${many} of ${show(size)}`,
    }));
    return {
      asks: `Of ${count} blocks ${count - few} measure ${show(meant)}, as the pattern wants them, and ${few} ${show(meant + off)}. What are all cut to?`,
      drawing: { width: 12, height: 7.5, shapes, marks: [] },
      answer: {
        by: 'choice',
        choices: all.map((size) => ({ id: idOf(size), text: show(size) })),
        right: idOf(all.find((size) => near(size, right))!),
      },
      working: [
        'All are trimmed to the smallest, unless few are short: one, or one in ten. Then those are remade',
        `${few} of ${count} are short: ${near(right, meant) ? 'few, so they are remade' : 'too many to remake'}`,
        `All to ${show(right)}`,
      ],
    };
  },
};

const idOf = (size: number): string => size.toFixed(4);

const TOPS = [
  { id: 'true', text: 'It lies true: cut the border' },
  { id: 'ease', text: 'Cut the border to the measurement and ease the edge to it' },
  { id: 'square-up', text: 'Square the top up first' },
] as const;

/** Reading the six measurements of a top (rule BO-6). */
export const sixMeasurements: ExerciseKind = {
  id: 'six',
  name: 'The six measurements',
  make: (random, unit, level) => {
    const [width, height] = [
      asPrinted(fromInches(wholeFrom(random, 36, 70), unit), unit),
      asPrinted(fromInches(wholeFrom(random, 40, 84), unit), unit),
    ];
    const eighth = unit === 'in' ? 1 / 8 : 0.3;
    const worst = oneOf(random, level === 0 ? [0, 3, 10] : level === 1 ? [1, 2, 4, 7] : [1, 2, 5, 6, 7]);
    const three = (middle: number, off: number): [number, number, number] => [
      asPrinted(middle + (off > 0 ? Math.ceil(off / 2) * eighth : 0), unit),
      middle,
      asPrinted(middle - (off > 0 ? Math.floor(off / 2) * eighth : 0), unit),
    ];
    const wide = random() < 0.5;
    const raw = {
      borders: 0,
      width: three(width, wide ? worst : 0),
      height: three(height, wide ? 0 : worst),
    };
    const said = judgeTop(raw, unit);
    const show = (v: number) => formatFine(v, unit);
    const [w, h] = [8, (8 * height) / width];
    const marks: ExerciseMark[] = [
      ...raw.width.map((value, i) => {
        const y = 1 + [0.02, 0.5, 0.98][i]! * h;
        return { from: { x: 1, y }, to: { x: 1 + w, y }, label: show(value) };
      }),
      ...raw.height.map((value, i) => {
        const x = 1 + [0.02, 0.5, 0.98][i]! * w;
        return { from: { x, y: 1 }, to: { x, y: 1 + h }, label: show(value) };
      }),
    ];
    return {
      asks: 'The top was measured in three places each way. What now?',
      drawing: {
        width: w + 2,
        height: h + 2,
        shapes: [{ id: 'top', outline: rectangle(1, 1, w, h), fill: 'cloth' }],
        marks,
      },
      answer: { by: 'choice', choices: TOPS, right: said.kind },
      working: [
        `Widths ${raw.width.map(show).join(', ')}; heights ${raw.height.map(show).join(', ')}: ${formatSize(width, height, unit)} across the middle`,
        said.text,
      ],
    };
  },
};
