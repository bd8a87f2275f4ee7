import { bindingSteps } from '../edge/binding-steps.ts';
import { allowanceBeyond } from '../edge/edge.ts';
import { numberOf } from '../figure/figure.ts';
import { formatSize, formatWithUnit } from '../length/format.ts';
import type { Plan } from '../plan/shape.ts';
import type { Quilt } from '../quilt/compute.ts';
import type { SewnStep } from './bench.ts';
import { capital, listed, manyOf } from './many.ts';
import { type PartSize, partSizes } from './part-sizes.ts';
import { seamParts, type SewnPart } from './parts.ts';
import { pressedTo } from './pressed-to.ts';
import type { Pressing } from './pressing.ts';
import { howSidesLie, LONG } from './seam-lie.ts';
import { pressingOf, type Sewing, type SewingWay } from './sewing.ts';
import type { Told } from './told.ts';
import { seamWords } from './words.ts';

/** One step of the work as it is told: a sitting at the machine, or something that is done besides. */
export interface GuideStep {
  readonly id: string;
  readonly title: string;
  /** Its seams by their numbers; none for what comes after the top. */
  readonly seams: readonly number[];
  /** What to pick up, and how it lies. */
  readonly pick: string;
  readonly does: readonly string[];
  /** What the parts it makes should measure when it is done, raw edge to raw edge; empty where that says nothing. */
  readonly measures: readonly PartSize[];
  /** What usually goes wrong here, and what helps (common practice). */
  readonly wrong: readonly string[];
  readonly caution: string | null;
}

const IRON =
  'The iron is hot: lift it and set it down, keep it off fingers and synthetic batting, and turn it off when you leave it.';
const NEEDLE =
  'Take pins out before the needle reaches them; fingers clear of the foot. Makers’ instructions come first.';

/**
 * Every step of a quilt in its order: the seams of the top by one way, then layers, quilting and edge.
 *
 * @param pressing how its seams are pressed; by the rules where it is not said
 */
export function guideOf(
  plan: Plan,
  quilt: Quilt,
  sewing: Sewing,
  way: SewingWay,
  pressing: Pressing = pressingOf(plan, quilt.layout, sewing, way),
): GuideStep[] {
  const parts = seamParts(sewing.top, way);
  const words = seamWords(sewing, way);
  const told: Told = { plan, sewing, way, pressing, parts, words };
  return [...way.steps.map((step) => sewingStep(told, step)), ...finishing(plan, quilt)];
}

function sewingStep(told: Told, step: SewnStep): GuideStep {
  const { plan, sewing, way } = told;
  const { top } = sewing;
  const { seams, method } = way;
  const pieces = step.seams.flatMap((number) => seams[number]!.beside.map(({ piece }) => piece));
  const roles = new Set(pieces.map((piece) => top.pieces[piece]!.role));
  const triangles = [...roles].some((role) => role.endsWith('triangle'));
  const isBorder = step.id.startsWith('border');
  const long = !isBorder && step.seams.some((number) => seams[number]!.beside.length > LONG);
  const covered = method.id === 'covered' && !isBorder;
  const own = covered ? COVERED[step.id.startsWith('pairs') ? 'strip' : 'sash'] : null;
  const lies = [...new Set(step.seams.map((number) => howSidesLie(top, seams[number]!).short))];
  const allowance = formatWithUnit(plan.seam, plan.unit);
  const chained = step.seams.length > 1 && !long && !isBorder;
  return {
    id: step.id,
    title: step.title,
    seams: step.seams,
    pick: pickedUp(told, step),
    does: own
      ? [...own]
      : [
          ...lies,
          `Sew ${numberOf(step.seams.length, 'seam')} with ${allowance}${chained ? ', one after another without cutting the thread' : ''}.`,
          `Set the seams with the iron as they lie. ${pressSays(told, step.seams)}`,
        ],
    measures: partSizes(told, step),
    wrong: [
      ...wrongAt(step.id, triangles, long),
      // Strips stretch: what runs past several blocks is trimmed when it is on.
      ...(method.id === 'columns' && roles.has('sash') ? [TRIMMED] : []),
    ],
    caution: isBorder || long ? NEEDLE : IRON,
  };
}

/** Every kind of part a step takes up, as they are before it: "Rows and sash rows". */
function pickedUp({ parts, words, way: { seams } }: Told, { seams: own }: SewnStep): string {
  const made = new Set(own.map((number) => parts[number]!.made));
  const kinds = new Map<string, Set<SewnPart>>();
  for (const number of own) {
    if (seams[number]!.mitre) continue;
    const { a, b } = parts[number]!;
    for (const part of [a, b]) {
      // What this very step has made is in hand already.
      if (made.has(part)) continue;
      const { kind } = words.part(part);
      kinds.set(kind, (kinds.get(kind) ?? new Set()).add(part));
    }
  }
  if (kinds.size === 0) return 'The quilt with its strips on, corner by corner.';
  const said = [...kinds].map(([kind, some]) => (some.size === 1 ? `the ${kind}` : manyOf(kind)));
  return `${capital(listed(said))}.`;
}

/** Which way the seams of a step are pressed, in words: toward what lies on that side, or by its direction where both sides are alike. */
function pressSays(
  { way: { seams }, pressing: { press }, parts, words }: Told,
  own: readonly number[],
): string {
  const ways = new Map<string, number>();
  for (const number of own) {
    const says = pressedTo(seams[number]!, press[number]!, (side) => words.part(parts[number]![side]).kind);
    ways.set(says, (ways.get(says) ?? 0) + 1);
  }
  if (ways.size === 1) {
    const [says] = ways.keys();
    return own.length === 1 ? `Press it ${says}.` : `Press each ${says}, before the next seam crosses it.`;
  }
  const each = [...ways].map(([says, count]) => `${count} ${says}`);
  return `Press them as the arrows show, before the next seam crosses: ${listed(each)}.`;
}

const TRIMMED = 'A long strip is sewn on over-long, trimmed to the column, checked, and trimmed again.';

/** Three layers at every seam of blocks that are quilted already (rule ST-8). */
const COVERED = {
  sash: [
    'The back strip to both blocks, right sides together, on the back; press it flat.',
    'Lay the batting in the gap, cut back before the ends; glue the folded strip over it from the front and set the glue with the iron.',
    'Stitch both edges of the strip down through all layers.',
  ],
  strip: [
    'The back strip to both rows, marks of the strip to the sashes of both; press it flat.',
    'Batting into the gap, the folded strip glued over it, its marks on the sashes; set the glue with the iron.',
    'Stitch both edges down; begin the crosses of the quilting grid in the middle of each crossing.',
  ],
} as const;

/** What the trade says goes wrong, by the kind of step (common practice). */
function wrongAt(id: string, triangles: boolean, long: boolean): string[] {
  if (id === 'web')
    return [
      'Mark the first block of each row with a pin. When the bobbin runs out, the last seam that is whole is the place.',
      'Press over the edge of the board, odd rows one way, even rows the other; a crossing that can be felt to gap does not nest.',
    ];
  if (id === 'corners')
    return [
      'Crease triangle and row in half and match the creases; a corner that reaches past both ends alike is right.',
    ];
  if (id.endsWith('-mitres'))
    return [
      'Begin a seam’s width from the inner corner, never in it; fold the quilt so that both strips lie on one another.',
    ];
  if (id.startsWith('border'))
    return [
      'A long border drags: fold the quilt like a fan beside the machine.',
      'Pin both ends and the middle, then between; ease the quilt to the border, never the border to the quilt.',
    ];
  if (id.startsWith('pairs'))
    return [
      'A strip that comes out short is eased, not replaced. Cut batting ends back before sewing; marks on the strip meet the sashes of both rows.',
    ];
  if (triangles)
    return [
      'Triangles stretch: handle them little, press straight down. One that reaches past both ends by the seam is right.',
    ];
  if (long)
    return [
      'A pin on both sides of every crossing; every block along a long sash gets one, for strips stretch.',
      'Where rows do not meet their sash, take slack up by lifting the piece, not by pulling.',
    ];
  return [
    'A scrap as leader and ender keeps threads from being swallowed.',
    'Lay the pieces out in their order before you sew; a block turned the wrong way shows here for the last time.',
  ];
}

/** What comes after the top, with this quilt's own figures. */
function finishing(plan: Plan, { layers, edge, finished }: Quilt): GuideStep[] {
  const { unit } = plan;
  const plain = { seams: [], measures: [], caution: null } as const;
  const steps: GuideStep[] = [];
  if (layers) {
    const backing = layers.backing;
    steps.push({
      ...plain,
      id: 'layer',
      title: 'Layer it: backing, batting, top',
      pick: `The backing, right side down, ${formatSize(backing.width.value, backing.height.value, unit)}; the batting on it; the top, right side up.`,
      does: [
        'Tape the backing flat, not stretched. Smooth each layer from the middle out.',
        'Baste with pins a hand apart, or thread.',
      ],
      wrong: ['A pleat in the backing shows only when it is quilted in: look underneath before you go on.'],
      caution: 'Basting spray only with a window open and no flame near; keep count of the pins.',
    });
    steps.push({
      ...plain,
      id: 'quilt',
      title: plan.quilting.by === 'home' ? 'Quilt it' : 'Have it quilted',
      pick:
        plan.quilting.by === 'home'
          ? 'The layered quilt, rolled from both sides.'
          : 'Top and backing, apart and pressed, for the long-arm.',
      does: [
        plan.quilting.by === 'home'
          ? 'From the middle outwards; long lines first, they hold everything.'
          : 'Book it, and send top and backing as the service asks.',
      ],
      wrong: ['A quilt draws in as it is quilted: measure it again before the binding is cut.'],
    });
  }
  const beyond = allowanceBeyond(plan);
  const measureRound = 'Measure all round with a tape: the binding is cut to that.';
  const square = ['Corners are square when both diagonals measure alike.'];
  if (beyond === 0)
    steps.push({
      ...plain,
      id: 'measure-round',
      title: 'Measure round',
      pick: `The quilt as it is trimmed, ${formatSize(finished.width.value, finished.height.value, unit)}, flat on a table.`,
      does: [measureRound],
      wrong: square,
    });
  else
    steps.push({
      ...plain,
      id: 'trim',
      title: 'Square it up and measure round',
      pick: 'The quilted top on the mat, a square ruler at the corners.',
      does: [
        `Trim to about ${formatSize(finished.width.value + 2 * beyond, finished.height.value + 2 * beyond, unit)}, corners first, then the sides to them.`,
        measureRound,
      ],
      wrong: square,
      caution: 'Close the blade whenever you put it down; cut away from yourself.',
    });
  if (edge.flange)
    steps.push({
      ...plain,
      id: 'flange',
      title: 'Baste the flange on',
      pick: 'The flange strips, folded and pressed, raw edges to the quilt’s edge.',
      does: [
        'Cut it to length and pin it: a slight pull is right. Sides first, then top and bottom over them.',
      ],
      wrong: ['A flange left long ripples.'],
    });
  if (edge.points)
    steps.push({
      ...plain,
      id: 'points',
      title: 'Sew the prairie points on',
      pick: `${numberOf(edge.points.colours.length, 'point')}, folded, their points to the middle of the quilt.`,
      does: [
        'Corners first, then spread the others evenly; sew through the top and batting only, then turn the backing in and close it by hand.',
      ],
      wrong: ['Fold the backing out of the way before you sew.'],
    });
  if (edge.binding)
    steps.push({
      ...plain,
      id: 'binding',
      title: 'Bind it',
      pick: 'The binding in one length, and the quilt, its edge sewn down once all round.',
      does: bindingSteps(plan, edge.binding),
      wrong: ['Stop a seam’s width before every corner, fold up and back, and begin at the edge again.'],
      caution: IRON,
    });
  return steps;
}
