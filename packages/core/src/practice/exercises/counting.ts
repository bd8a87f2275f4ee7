import { shorter, longer } from '../../length/tolerance.ts';
import { bindingLength } from '../../edge/schools.ts';
import { stripsOf } from '../../edge/binding-strips.ts';
import { planPrairiePoints } from '../../edge/prairie-points.ts';
import { rectangle } from '../../geometry/shapes.ts';
import { formatSize, formatWithUnit } from '../../length/format.ts';
import { fromInches } from '../../length/unit.ts';
import { layOut } from '../../layout/lay-out.ts';
import { blankPlan } from '../../plan/start.ts';
import { settingOf } from '../../setting/registry.ts';
import { oneOf, wholeFrom } from '../chance.ts';
import type { ExerciseKind, ExerciseShape } from '../exercise.ts';

/** How many sashes, how many cornerstones (rule ST-2). */
export const sashCount: ExerciseKind = {
  id: 'sash-count',
  name: 'How many sashes and cornerstones',
  make: (random, unit, level) => {
    const most = [4, 6, 9][level]!;
    const [across, down] = [wholeFrom(random, 2, most), wholeFrom(random, 2, most)];
    const outer = random() < 0.5;
    const corners = random() < 0.5;
    const start = settingOf('sashed').start(unit);
    const setting = { ...start, outerSash: outer, cornerstones: true } as typeof start;
    const { parts, pieces } = layOut({ ...blankPlan(unit), grid: { across, down }, setting });
    const role = corners ? 'cornerstone' : 'sash';
    const own = Object.values(parts).filter((part) => part.role === role);
    const shapes: ExerciseShape[] = pieces.map(({ id, part, outline }) => ({
      id,
      outline,
      fill:
        parts[part]!.role === 'block' ? 'cloth' : parts[part]!.role === 'cornerstone' ? 'accent' : 'other',
    }));
    // At the hardest it is reckoned, not counted on a drawing.
    const all = pieces.flatMap(({ outline }) => outline);
    return {
      asks: `${across} × ${down} blocks, a sash between each two${outer ? ' and all round' : ', none round the outside'}, a cornerstone at every crossing. How many ${corners ? 'cornerstones' : 'sashes'}?`,
      drawing:
        level === 2
          ? null
          : {
              width: Math.max(...all.map(({ x }) => x)),
              height: Math.max(...all.map(({ y }) => y)),
              shapes,
              marks: [],
            },
      answer: { by: 'count', right: pieces.filter(({ part }) => parts[part]!.role === role).length },
      working: own.flatMap(({ name, count }) => count.working.map((line) => `${name}: ${line}`)),
    };
  },
};

/** Strips for a binding (rules BD-1, BD-2). */
export const bindingStrips: ExerciseKind = {
  id: 'binding-strips',
  name: 'Strips for a binding',
  make: (random, unit, level) => {
    const step = level === 0 ? 10 : level === 1 ? 6 : 1;
    const side = (least: number, most: number) =>
      fromInches(step * wholeFrom(random, Math.ceil(least / step), Math.floor(most / step)), unit);
    const round = (v: number) => (unit === 'in' ? v : Math.round(v));
    const [width, height] = [round(side(36, 80)), round(side(40, 96))];
    const usable = unit === 'in' ? oneOf(random, [40, 42]) : oneOf(random, [102, 106]);
    const length = bindingLength({ width, height }, 'plus-ten', unit);
    const strips = stripsOf(length.value, usable, unit);
    const [w, h] = [6, (6 * height) / width];
    return {
      asks: `A quilt of ${formatSize(width, height, unit)}: once round, and ${unit === 'in' ? 'ten inches' : '25 cm'} for corners and tails. How many strips from cloth ${formatWithUnit(usable, unit)} wide?`,
      drawing: {
        width: w + 3,
        height: h + 2,
        shapes: [{ id: 'quilt', outline: rectangle(1, 1, w, h), fill: 'cloth' }],
        marks: [
          { from: { x: 1, y: 0.5 }, to: { x: 1 + w, y: 0.5 }, label: formatWithUnit(width, unit) },
          { from: { x: w + 1.5, y: 1 }, to: { x: w + 1.5, y: 1 + h }, label: formatWithUnit(height, unit) },
        ],
      },
      answer: { by: 'count', right: strips.value },
      working: [...length.working, ...strips.working],
    };
  },
};

/** Prairie points along a side (rule PP-1). */
export const pointsOnSide: ExerciseKind = {
  id: 'points',
  name: 'Prairie points along a side',
  make: (random, unit, level) => {
    const square = unit === 'in' ? oneOf(random, [3, 4, 5]) : oneOf(random, [8, 10]);
    const overlap =
      unit === 'in' ? oneOf(random, level === 0 ? [0.5] : [0.25, 0.5, 1]) : oneOf(random, [1, 2]);
    const seam = unit === 'in' ? 0.25 : 0.75;
    const width = fromInches(wholeFrom(random, 5, 20) * (level === 2 ? 3 : 4), unit);
    const side = unit === 'in' ? width : Math.round(width);
    const { across, pitch } = planPrairiePoints(
      { width: side, height: side },
      { square, overlap, seam, usable: fromInches(40, unit), unit },
    );
    const show = (v: number) => formatWithUnit(v, unit);
    return {
      asks: `Squares of ${show(square)}, each slipped ${show(overlap)} under the next, seam ${show(seam)}. How many points along a side of ${show(side)}?`,
      drawing: null,
      answer: { by: 'count', right: across.count.value },
      working: [...pitch.working, ...across.count.working],
    };
  },
};

const MEETING = [
  { id: 'gap', text: 'There is a gap between them' },
  { id: 'meet', text: 'They just meet' },
  { id: 'over', text: 'They lie over one another' },
] as const;

/** Whether points meet at the sewing line: they do at an overlap of two seams (rule PP-1). */
export const pointsMeet: ExerciseKind = {
  id: 'points-meet',
  name: 'Overlap of points',
  make: (random, unit, level) => {
    const square = unit === 'in' ? oneOf(random, [3, 4, 5]) : oneOf(random, [8, 10]);
    const seam =
      unit === 'in'
        ? oneOf(random, level === 0 ? [0.25] : [0.25, 0.375])
        : oneOf(random, level === 0 ? [0.75] : [0.75, 1]);
    const overlap = seam * oneOf(random, [1, 2, 3]);
    // A side that takes them without spreading: what is asked is about the pitch alone.
    const count = 10;
    const pitch = square - overlap;
    const base = square - 2 * seam;
    const side = overlap <= 2 * seam ? count * pitch : (count - 1) * pitch + base;
    const { across } = planPrairiePoints(
      { width: side, height: side },
      { square, overlap, seam, usable: fromInches(40, unit), unit },
    );
    const gap = across.gap.value;
    const show = (v: number) => formatWithUnit(v, unit);
    const height = base / 2;
    const shapes = [0, 1, 2].map((i) => ({
      id: `point-${i}`,
      outline: [
        { x: i * base * 1.02, y: height + 0.2 },
        { x: i * base * 1.02 + base / 2, y: 0.2 },
        { x: i * base * 1.02 + base, y: height + 0.2 },
      ],
      fill: i === 1 ? 'other' : 'cloth',
    }));
    return {
      asks: `Squares of ${show(square)}, folded to points and sewn with ${show(seam)}; each overlaps the next by ${show(overlap)}. How do they stand at the sewing line?`,
      // Drawn without saying: all three cases begin so.
      drawing: { width: 3.1 * base, height: height + 0.4, shapes, marks: [] },
      answer: {
        by: 'choice',
        choices: MEETING,
        right: longer(gap, 0) ? 'gap' : shorter(gap, 0) ? 'over' : 'meet',
      },
      working: [
        `At the sewing line a point is ${show(square)} − 2 × ${show(seam)} = ${show(base)} wide`,
        `One every ${show(square)} − ${show(overlap)} = ${show(pitch)}`,
        `${show(pitch)} against ${show(base)}: ${MEETING.find(({ id }) => id === (longer(gap, 0) ? 'gap' : shorter(gap, 0) ? 'over' : 'meet'))!.text.toLowerCase()}`,
      ],
    };
  },
};
