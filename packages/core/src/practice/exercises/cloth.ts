import { differenceOf } from '../../colour/colour.ts';
import { halfSquareSide, quarterSquareSide } from '../../cutting/cut-shape.ts';
import type { Point } from '../../geometry/point.ts';
import { rectangle } from '../../geometry/shapes.ts';
import { formatWithUnit } from '../../length/format.ts';
import { fromInches } from '../../length/unit.ts';
import { layOut } from '../../layout/lay-out.ts';
import { grainMark } from '../../piece/grain.ts';
import { blankPlan } from '../../plan/start.ts';
import { settingOf } from '../../setting/registry.ts';
import { judgeContrast } from '../../wall/contrast.ts';
import { oneOf, shuffled, wholeFrom } from '../chance.ts';
import type { ExerciseKind, ExerciseShape } from '../exercise.ts';
import { TOLERANCE } from '../../length/tolerance.ts';

/** Which square a setting triangle comes from, and how it is cut (rules TR-1, TR-2). */
export const whichSquare: ExerciseKind = {
  id: 'which-square',
  name: 'Which square, cut once or twice',
  make: (random, unit, level) => {
    const block =
      level === 2
        ? fromInches(wholeFrom(random, 8, 28) / 2, unit)
        : fromInches(wholeFrom(random, 4, 14), unit);
    const seam = unit === 'in' ? 0.25 : 0.75;
    const side = quarterSquareSide(block * Math.SQRT2, seam, unit);
    const corner = halfSquareSide(block / Math.SQRT2, seam, unit);
    const ofSide = random() < 0.5;
    const show = (v: number) => formatWithUnit(v, unit);
    const choices = [
      { id: 'side-twice', text: `${show(side.value)}, cut twice corner to corner` },
      { id: 'side-once', text: `${show(side.value)}, cut once corner to corner` },
      { id: 'corner-twice', text: `${show(corner.value)}, cut twice corner to corner` },
      { id: 'corner-once', text: `${show(corner.value)}, cut once corner to corner` },
    ];
    return {
      asks: `Blocks of ${show(block)} finished, on point. What are the ${ofSide ? 'side' : 'corner'} triangles cut from?`,
      drawing: onPointDrawing(ofSide ? 'side-triangle' : 'corner-triangle').drawing,
      answer: {
        by: 'choice',
        choices: shuffled(random, choices),
        right: ofSide ? 'side-twice' : 'corner-once',
      },
      working: [
        ...(ofSide ? side : corner).working,
        ofSide
          ? 'Cut twice: the straight grain lies on the long side, along the quilt’s edge'
          : 'Cut once: the straight grain lies on both short sides, along the quilt’s edges',
      ],
    };
  },
};

/** A quilt of four blocks on point, one of its triangles in another colour, with that triangle's outline and grain. */
function onPointDrawing(role: 'side-triangle' | 'corner-triangle', at = 0) {
  const plan = {
    ...blankPlan('in'),
    grid: { across: 2, down: 2 },
    setting: settingOf('on-point').start('in'),
  };
  const { pieces, parts } = layOut(plan);
  const own = pieces.filter(({ part }) => parts[part]!.role === role);
  const asked = own[at % own.length]!;
  const all = pieces.flatMap(({ outline }) => outline);
  const shapes: ExerciseShape[] = pieces.map(({ id, part, outline }) => ({
    id,
    outline,
    fill: id === asked.id ? 'accent' : parts[part]!.role === 'block' ? 'cloth' : 'other',
  }));
  return {
    asked,
    grain: parts[asked.part]!.grain,
    drawing: {
      width: Math.max(...all.map(({ x }) => x)),
      height: Math.max(...all.map(({ y }) => y)),
      shapes,
      marks: [],
    },
  };
}

/** Where the straight grain has to lie: along the quilt's edge (rule TR-1). */
export const straightGrain: ExerciseKind = {
  id: 'grain',
  name: 'Where the straight grain lies',
  make: (random) => {
    const role = random() < 0.5 ? 'side-triangle' : 'corner-triangle';
    const { asked, grain, drawing } = onPointDrawing(role, wholeFrom(random, 0, 7));
    const { from, to } = grainMark(asked.outline, grain, 2);
    const way = { x: to.x - from.x, y: to.y - from.y };
    const across = { x: -way.y, y: way.x };
    const edges = asked.outline.map((p, i) => ({ i, p, q: asked.outline[(i + 1) % asked.outline.length]! }));
    const isAlong = (p: Point, q: Point) =>
      [way, across].some(({ x, y }) => Math.abs((q.x - p.x) * y - (q.y - p.y) * x) < TOLERANCE);
    const thick = drawing.width / 40;
    return {
      asks: `Point at a side of the coloured triangle that has to lie on the straight grain.`,
      drawing: {
        ...drawing,
        shapes: [
          ...drawing.shapes,
          ...edges.map(({ i, p, q }) => ({
            id: `edge-${i}`,
            outline: band(p, q, thick),
            fill: 'edge',
            name:
              lengthOf(p, q) > 1.2 * Math.min(...edges.map((e) => lengthOf(e.p, e.q)))
                ? 'its long side'
                : 'a short side',
          })),
        ],
      },
      answer: { by: 'point', right: edges.filter(({ p, q }) => isAlong(p, q)).map(({ i }) => `edge-${i}`) },
      working: [
        role === 'side-triangle'
          ? 'A side triangle has its long side on the quilt’s edge: there the straight grain lies. Its square is cut twice'
          : 'A corner triangle has both short sides on the quilt’s edges: there the straight grain lies. Its square is cut once',
        'The bias lies inside, where a seam holds it',
      ],
    };
  },
};

const lengthOf = (p: Point, q: Point): number => Math.hypot(q.x - p.x, q.y - p.y);

/** A stroke as something that can be pointed at. */
function band(p: Point, q: Point, thick: number): Point[] {
  const length = lengthOf(p, q);
  const across = { x: (-(q.y - p.y) / length) * thick, y: ((q.x - p.x) / length) * thick };
  const ahead = { x: (q.x - p.x) * 0.12, y: (q.y - p.y) * 0.12 };
  const [from, to] = [
    { x: p.x + ahead.x, y: p.y + ahead.y },
    { x: q.x - ahead.x, y: q.y - ahead.y },
  ];
  return [
    { x: from.x - across.x, y: from.y - across.y },
    { x: to.x - across.x, y: to.y - across.y },
    { x: to.x + across.x, y: to.y + across.y },
    { x: from.x + across.x, y: from.y + across.y },
  ];
}

/** Cloths of the exercise: told apart by lightness and hue. */
const CLOTHS = [
  '#efe1c8',
  '#c4532f',
  '#e0a93b',
  '#2e4a5f',
  '#6a7f4e',
  '#9c5a72',
  '#5f8ba0',
  '#3a2b33',
  '#b9bdbf',
  '#87936a',
];
/** Nearer than so a cloth and a block's edge look like one; farther than so nobody takes them for one (CIEDE2000). */
const CLEAR = 25;

/** Which of two sashes disappears beside the blocks (rule WL-1). */
export const whichDisappears: ExerciseKind = {
  id: 'disappears',
  name: 'Which sash disappears',
  make: (random, _unit, level) => {
    const edge = oneOf(random, CLOTHS);
    const clear = oneOf(
      random,
      CLOTHS.filter((one) => differenceOf(one, edge) > CLEAR),
    );
    const close = nudged(edge, [14, 18, 22][level]!, random);
    const block = { id: 'b', name: 'B', width: null, height: null, edge };
    const lost = judgeContrast(close, [block], 'This sash');
    const [left, right] = shuffled(random, [
      { id: 'lost', colour: close },
      { id: 'clear', colour: clear },
    ]) as [{ id: string; colour: string }, { id: string; colour: string }];
    const half = (x: number, { id, colour }: { id: string; colour: string }): ExerciseShape[] => [
      { id: `${id}-a`, outline: rectangle(x, 0, 4, 4), fill: edge },
      { id: `${id}-b`, outline: rectangle(x + 5, 0, 4, 4), fill: edge },
      {
        id,
        outline: rectangle(x + 4, 0, 1, 4),
        fill: colour,
        name: x === 0 ? 'the sash at the left' : 'the sash at the right',
      },
    ];
    return {
      asks: 'Point at the sash that disappears beside the blocks.',
      drawing: { width: 20, height: 4, shapes: [...half(0, left), ...half(11, right)], marks: [] },
      answer: { by: 'point', right: ['lost'] },
      working: [
        lost.text,
        `As the eye tells colours apart it is ${differenceOf(close, edge).toFixed(0)} from the block’s edge, the other ${differenceOf(clear, edge).toFixed(0)}; from about 10 on they part`,
      ],
    };
  },
};

/** A colour a little lighter or darker, still nearer than the eye tells apart at a distance. */
function nudged(colour: string, by: number, random: () => number): string {
  const sign = random() < 0.5 ? -1 : 1;
  for (const step of [sign * by, -sign * by, sign * 8, -sign * 8, sign * 4, 4]) {
    const parts = [1, 3, 5].map((at) =>
      Math.max(0, Math.min(255, parseInt(colour.slice(at, at + 2), 16) + step))
        .toString(16)
        .padStart(2, '0'),
    );
    const made = `#${parts.join('')}`;
    const difference = differenceOf(made, colour);
    if (difference > 0.5 && difference < 9) return made;
  }
  return colour;
}

/** Finding the elbow: a strip that was cut across a fold that did not lie square (common practice). */
export const elbow: ExerciseKind = {
  id: 'elbow',
  name: 'Find the elbow',
  make: (random, _unit, level) => {
    const strips = 4;
    const bent = wholeFrom(random, 0, strips - 1);
    const [width, high, kink] = [40, 2.5, [1.6, 0.9, 0.5][level]! * (random() < 0.5 ? -1 : 1)];
    const shapes = Array.from({ length: strips }, (_, i): ExerciseShape => {
      const y = 3 + i * 5;
      // Every strip lies a little aslant, so that lying level tells nothing.
      const tilt = (random() - 0.5) * 0.8;
      const bend = i === bent ? kink : 0;
      const edge = (down: number): Point[] => [
        { x: 1, y: y + down - tilt },
        { x: 1 + width / 2, y: y + down + bend },
        { x: 1 + width, y: y + down + tilt },
      ];
      return {
        id: `strip-${i}`,
        outline: [...edge(0), ...edge(high).reverse()],
        fill: 'cloth',
        name: `strip ${i + 1} from the top`,
      };
    });
    return {
      asks: 'Four strips, opened out of their fold. Point at the one with an elbow.',
      drawing: { width: width + 2, height: 5 * strips + 3, shapes, marks: [] },
      answer: { by: 'point', right: [`strip-${bent}`] },
      working: [
        `Strip ${bent + 1} bends where the fold was; the others run straight`,
        'Fold and edge were not square to the cut: check them again every three or four strips',
      ],
    };
  },
};
