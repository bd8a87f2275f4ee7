import { layOut } from '../../layout/lay-out.ts';
import type { Plan } from '../../plan/shape.ts';
import { blankPlan } from '../../plan/start.ts';
import { ROLE_NAMES } from '../../piece/roles.ts';
import { settingOf } from '../../setting/registry.ts';
import { PRESS_RULES } from '../../sewing/press-rules.ts';
import { pressingOf, sewingOf } from '../../sewing/sewing.ts';
import { oneOf } from '../chance.ts';
import type { ExerciseDrawing, ExerciseKind } from '../exercise.ts';

/** A seam of a small quilt, and which way it goes. */
interface Case {
  readonly drawing: ExerciseDrawing;
  readonly right: 'a' | 'b';
  readonly why: string;
}

/** Small quilts whose every seam is planned by the same rules as a large one's. */
const QUILTS: readonly (() => Plan)[] = [
  () => quilt('edge-to-edge', 3, 2),
  () => quilt('sashed', 2, 2),
  () => quilt('on-point', 2, 2),
];

const quilt = (kind: 'edge-to-edge' | 'sashed' | 'on-point', across: number, down: number): Plan => ({
  ...blankPlan('in'),
  grid: { across, down },
  setting: settingOf(kind).start('in'),
});

/** Worked out once: the quilts do not change, only which of their seams is asked for. */
const known = new Map<number, readonly Case[]>();

function casesOf(number: number): readonly Case[] {
  const had = known.get(number);
  if (had) return had;
  const plan = QUILTS[number]!();
  const layout = layOut(plan);
  const sewing = sewingOf(plan, layout);
  const way = sewing.ways.find(({ method }) => method.id === sewing.best?.id)!;
  const { press } = pressingOf(plan, layout, sewing, way);
  const context = { top: sewing.top, places: sewing.places, colourOf: () => null };
  const cases = way.seams.flatMap((seam, i): Case[] => {
    const right = press[i]!;
    // What one rule says by itself, and the whole agrees with, can be reasoned out from one seam.
    const rules = PRESS_RULES.filter((rule) => rule.prefers(seam, context) === right);
    if (right === 'open' || rules.length === 0 || seam.beside.length > 2) return [];
    if (PRESS_RULES.some((rule) => ![null, right].includes(rule.prefers(seam, context)))) return [];
    const pair = [seam.a, seam.b].map((piece) => sewing.top.pieces[piece]!);
    const all = pair.flatMap(({ outline }) => outline);
    const [x, y] = [Math.min(...all.map((p) => p.x)), Math.min(...all.map((p) => p.y))];
    // That rows alternate cannot be seen from one seam.
    if (rules.every(({ id }) => id === 'alternate-rows')) return [];
    const shapes = pair.map(({ role, outline }, at) => ({
      id: at === 0 ? 'a' : 'b',
      outline: outline.map((p) => ({ x: p.x - x, y: p.y - y })),
      fill: role === 'block' ? 'cloth' : role === 'cornerstone' ? 'accent' : 'other',
      label: ROLE_NAMES[role].one.toLowerCase(),
      name: `toward the ${ROLE_NAMES[role].one.toLowerCase()}`,
    }));
    return [
      {
        drawing: {
          width: Math.max(...all.map((p) => p.x)) - x,
          height: Math.max(...all.map((p) => p.y)) - y,
          shapes,
          marks: [],
        },
        right,
        why: rules.map(({ name }) => name).join('; '),
      },
    ];
  });
  known.set(number, cases);
  return cases;
}

/** Which way to press a seam (rule SW-3). */
export const whichWay: ExerciseKind = {
  id: 'press',
  name: 'Which way to press',
  make: (random) => {
    const cases = QUILTS.flatMap((_, i) => casesOf(i));
    const { drawing, right, why } = oneOf(random, cases);
    return {
      asks: 'Point at the side the seam is pressed toward.',
      drawing,
      answer: { by: 'point', right: [right] },
      working: [why, 'Seams then lie away from one another where they cross, and nothing is thick twice'],
    };
  },
};
