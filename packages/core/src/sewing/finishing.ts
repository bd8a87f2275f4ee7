import { CLOSING_NAMES } from '../choice/edge.ts';
import { bindingSteps } from '../edge/binding-steps.ts';
import { allowanceBeyond } from '../edge/edge.ts';
import { shapeSteps } from '../edge/shape-steps.ts';
import { finishSteps } from '../edge/finish/steps.ts';
import { hangingSteps } from '../edge/hanging-steps.ts';
import { wholeFinish } from '../edge/finish/registry.ts';
import { pointsSewn, quiltingShort } from '../edge/points-sewn.ts';
import { numberOf } from '../figure/figure.ts';
import { formatSize, formatWithUnit } from '../length/format.ts';
import type { Plan } from '../plan/shape.ts';
import type { Quilt } from '../quilt/quilt.ts';
import { CAUTIONS } from '../choice/cautions.ts';
import { TIPS } from '../choice/tips.ts';
import { isForBaby } from '../target/size.ts';
import type { GuideStep } from './guide-step.ts';

type Steps = readonly GuideStep[];
const plain = { seams: [], measures: [], cautions: [] } as const;

/**
 * What comes after the top, with this quilt's own figures, in the order it is done: by how it is quilted, and by how its
 * points are sewn on.
 */
export function finishing(plan: Plan, quilt: Quilt): GuideStep[] {
  const steps = finishedSteps(plan, quilt);
  if (!isForBaby(plan.target)) return steps;
  // Said where the quilt is done and handed on.
  return steps.map((step, i) =>
    i === steps.length - 1 ? { ...step, cautions: [...step.cautions, CAUTIONS.sleep] } : step,
  );
}

function finishedSteps(plan: Plan, quilt: Quilt): GuideStep[] {
  if (quilt.layers && quilt.edge.points && pointsSewn(plan) === 'turned')
    return [
      measureRound(plan, quilt),
      ...byThemselves(plan, quilt, false),
      ...pointsOnTop(plan, quilt),
      turned(plan, quilt),
      quilted(),
      ...hung(plan, quilt),
    ];
  return [
    ...(quilt.layers ? layered(plan, quilt) : []),
    trimmed(plan, quilt),
    ...byThemselves(plan, quilt, false),
    ...(quilt.edge.flange ? [flange] : []),
    ...pointsOnQuilt(plan, quilt),
    // The seam of a binding catches what it is hung by; else that goes on when the edge is closed.
    ...(quilt.edge.binding ? hung(plan, quilt) : []),
    ...bound(plan, quilt),
    ...byThemselves(plan, quilt, true),
    ...(quilt.edge.binding ? [] : hung(plan, quilt)),
  ];
}

/** Steps of the finishes that tell all they are by themselves: those that close the edge, or what comes before it is closed. */
const byThemselves = (plan: Plan, { edge: { finished } }: Quilt, closes: boolean): Steps =>
  finished.flatMap((one) => {
    const finish = wholeFinish(one.finish)!;
    return finish.closes === closes
      ? finishSteps(one.finish, plan).map((step): GuideStep => ({ ...plain, ...step }))
      : [];
  });

const hung = (plan: Plan, { edge: { hanging } }: Quilt): Steps =>
  hanging ? hangingSteps(hanging, plan).map((step): GuideStep => ({ ...plain, ...step })) : [];

const sizeOf = ({ finished: { width, height } }: Quilt, { unit }: Plan, beyond = 0): string =>
  formatSize(width.value + 2 * beyond, height.value + 2 * beyond, unit);

function layered(plan: Plan, { layers, edge }: Quilt): Steps {
  const short = shortOfEdge(plan, edge);
  if (plan.quilting.by === 'long-arm') return [sentAway(short)];
  const { width, height } = layers!.backing;
  return [
    {
      ...plain,
      id: 'layer',
      title: 'Layer it: backing, batting, top',
      pick: `The backing, right side down, ${formatSize(width.value, height.value, plan.unit)}; the batting on it; the top, right side up.`,
      does: [
        'Tape the backing flat, not stretched. Smooth each layer from the middle out.',
        'Baste with safety pins a hand apart, or with thread; straight pins work loose and scratch.',
        TIPS.topEdge,
      ],
      wrong: ['A pleat in the backing shows only when it is quilted in: look underneath before you go on.'],
      cautions: [CAUTIONS.spray, CAUTIONS.pins, CAUTIONS.floor],
    },
    quilted(short),
  ];
}

/** What the quilting leaves free along the edge, and for what. */
function shortOfEdge(plan: Plan, { points, finished }: Quilt['edge']): string[] {
  const says = (short: number, why: string) =>
    `The quilting stops ${formatWithUnit(short, plan.unit)} short of the edge all round: ${why}.`;
  if (points) return [says(quiltingShort(plan.unit), 'the points are sewn there')];
  return finished.flatMap(({ finish }) => {
    const short = wholeFinish(finish)!.quiltingShort(plan);
    return short > 0 ? [says(short, 'top and backing are turned in there')] : [];
  });
}

const quilted = (besides: readonly string[] = []): GuideStep => ({
  ...plain,
  id: 'quilt',
  title: 'Quilt it',
  pick: 'The layered quilt, rolled from both sides.',
  does: ['From the middle outwards; long lines first, they hold everything.', ...besides],
  wrong: [
    'A quilt draws in as it is quilted: measure it again before anything for its edge is cut.',
    TIPS.walking,
  ],
  cautions: [CAUTIONS.needle, CAUTIONS.rest],
});

/** A long-arm has a frame of its own: nothing is layered at home. */
const sentAway = (besides: readonly string[]): GuideStep => ({
  ...plain,
  id: 'quilt',
  title: 'Have it quilted',
  pick: 'Top, backing and batting, apart and pressed, the top edge of each marked.',
  does: [
    'Book it, and send the three as the service asks: not layered, and not pinned together.',
    ...besides,
  ],
  wrong: [
    'A dark thread left under light cloth shows for good: trim them before the top is sent.',
    'A quilt draws in as it is quilted: measure it again before anything for its edge is cut.',
  ],
});

const ROUND = 'Measure all round with a tape: what goes round the edge is cut to that.';
const SQUARE = ['Corners are square when both diagonals measure alike.'];

const measureRound = (plan: Plan, quilt: Quilt): GuideStep => ({
  ...plain,
  id: 'measure-round',
  title: 'Measure round',
  pick: `${quilt.layers ? 'The top' : 'The quilt as it is trimmed'}, ${sizeOf(quilt, plan, quilt.layers ? allowanceBeyond(plan) : 0)}, flat on a table.`,
  does: [...shapeSteps(plan), ROUND],
  wrong: SQUARE,
});

function trimmed(plan: Plan, quilt: Quilt): GuideStep {
  const beyond = allowanceBeyond(plan);
  if (beyond === 0) return measureRound(plan, quilt);
  const otherwise = quilt.edge.finished.flatMap(({ finish }) => wholeFinish(finish)!.trim(plan) ?? []);
  const even =
    otherwise[0]?.says ?? (quilt.layers ? 'batting and backing even with the top' : 'the edges straight');
  return {
    ...plain,
    id: 'trim',
    title: 'Square it up and measure round',
    pick: `The quilted ${quilt.layers ? 'top' : 'blocks, joined,'} on the mat, a square ruler at the corners.`,
    does: [
      `Trim ${even}, corners first and square, then the sides to them.`,
      `Planned was ${sizeOf(quilt, plan, beyond)}. Quilting usually draws in 1 to 3 in a hundred, dense quilting 3 to 5: the edge is made to what it measures now.`,
      ...shapeSteps(plan),
      ROUND,
    ],
    wrong: SQUARE,
    cautions: [CAUTIONS.blade],
  };
}

const flange: GuideStep = {
  ...plain,
  id: 'flange',
  title: 'Baste the flange on',
  pick: 'The flange strips, folded and pressed, raw edges to the quilt’s edge.',
  does: ['Cut it to length and pin it: a slight pull is right. Sides first, then top and bottom over them.'],
  wrong: ['A flange left long ripples.'],
};

const pointsPick = ({ edge: { points } }: Quilt): string =>
  `${numberOf(points!.colours.length, 'point')}, folded, their tips to the middle of the quilt.`;
const CORNERS_FIRST =
  'Corners first, two points edge to edge at each; then spread the others evenly between them.';

/** Rule PP-4, first school: once it is quilted, the backing turned in over the seam. */
function pointsOnQuilt(plan: Plan, quilt: Quilt): Steps {
  if (!quilt.edge.points) return [];
  return [
    {
      ...plain,
      id: 'points',
      title: CLOSING_NAMES.points,
      pick: pointsPick(quilt),
      does: [
        'Fold the backing out of the way. Lay the points on the top, raw edges even.',
        CORNERS_FIRST,
        `Sew them through top and batting only, ${formatWithUnit(plan.seam, plan.unit)} from the edge; trim the batting back to the seam.`,
        'Turn the points out and the backing’s edge in over the seam, and sew it down by hand.',
      ],
      wrong: ['A backing sewn in with the points shows only from behind: look before you turn them.'],
      cautions: [CAUTIONS.needle, CAUTIONS.baby],
    },
  ];
}

/** Rule PP-4, second school: to the top alone, before there are layers. */
function pointsOnTop(plan: Plan, quilt: Quilt): Steps {
  return [
    {
      ...plain,
      id: 'points',
      title: 'Sew the prairie points to the top',
      pick: pointsPick(quilt),
      does: [
        'To the top alone, before it is layered: raw edges even, on its right side.',
        CORNERS_FIRST,
        `Sew them ${formatWithUnit(plan.seam, plan.unit)} from the edge.`,
      ],
      wrong: [
        'A point that lies the wrong way up is seen now, and not when it is turned: look along every side.',
      ],
      cautions: [CAUTIONS.needle, CAUTIONS.baby],
    },
  ];
}

function turned(plan: Plan, { edge, layers }: Quilt): GuideStep {
  const { unit } = plan;
  const { width, height } = layers!.backing;
  const opening = formatWithUnit(plan.edge.points.opening, unit);
  return {
    ...plain,
    id: 'turn',
    title: 'Layer it inside out, and turn it',
    pick: `The batting; on it the backing, right side up, ${formatSize(width.value, height.value, unit)}; on it the top, right side down, its points inside.`,
    does: [
      'Smooth each layer from the middle out and pin all round.',
      `Sew round on the line the points are sewn by, and leave ${opening} of the bottom open, over ${numberOf(edge.points!.openOver.value, 'point')}.`,
      'Trim batting and backing even with the top, the corners across. Turn it through the opening, push the corners out, and sew the opening shut by hand.',
      'Baste it with safety pins a hand apart, or with thread.',
    ],
    wrong: ['An opening at a corner never closes well: keep it in the middle of a side.'],
    cautions: [CAUTIONS.pins],
  };
}

function bound(plan: Plan, { edge }: Quilt): Steps {
  if (!edge.binding) return [];
  return [
    {
      ...plain,
      id: 'binding',
      title: CLOSING_NAMES.binding,
      pick: 'The binding in one length, and the quilt, its edge sewn down once all round.',
      does: bindingSteps(plan, edge.binding),
      wrong: [
        'Tails cut too short lose a binding: cut one, lay the other over it, measure the overlap, then cut.',
        TIPS.walking,
        TIPS.label,
      ],
      cautions: [CAUTIONS.iron, CAUTIONS.needle],
    },
  ];
}
