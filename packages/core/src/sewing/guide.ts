import { bindingSteps } from '../edge/binding-steps.ts';
import { allowanceBeyond } from '../edge/edge.ts';
import { numberOf } from '../figure/figure.ts';
import { formatSize, formatWithUnit } from '../length/format.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import { ROLE_NAMES } from '../piece/roles.ts';
import type { Plan } from '../plan/shape.ts';
import type { Quilt } from '../quilt/compute.ts';
import type { Seam, SewnStep } from './bench.ts';
import { isBlock } from './method.ts';
import type { Sewing, SewingWay } from './sewing.ts';
import { togetherIn } from './together.ts';
import { ACROSS } from './tree.ts';
import type { Top } from './top.ts';

/** One step of the work as it is told: a sitting at the machine, or something that is done besides. */
export interface GuideStep {
  readonly id: string;
  readonly title: string;
  /** Its seams by their numbers; none for what comes after the top. */
  readonly seams: readonly number[];
  /** What to pick up, and how it lies. */
  readonly pick: string;
  readonly does: readonly string[];
  /** What a part should measure when the step is done, raw edge to raw edge; null where that says nothing. */
  readonly measures: PartSize | null;
  /** What usually goes wrong here, and what helps (common practice). */
  readonly wrong: readonly string[];
  readonly caution: string | null;
}

/** A part when a step is done: what it should measure with its seams, and what can be eased of that. */
export interface PartSize {
  readonly what: string;
  readonly width: number;
  readonly height: number;
  readonly ease: number;
}

/** What each block can give in a row: about 1/8" (rule BL-1). */
const EASE_INCHES = 1 / 8;

const IRON =
  'The iron is hot: lift it and set it down, keep it off fingers and synthetic batting, and turn it off when you leave it.';
const NEEDLE =
  'Take pins out before the needle reaches them; fingers clear of the foot. Makers’ instructions come first.';

/** Every step of a quilt in its order: the seams of the top by one way, then layers, quilting and edge. */
export function guideOf(plan: Plan, quilt: Quilt, sewing: Sewing, way: SewingWay): GuideStep[] {
  const sizes = sizesAfter(plan, sewing.top, way);
  return [
    ...way.steps.map((step, i) => sewingStep(plan, sewing.top, way, step, sizes[i]!)),
    ...finishing(plan, quilt),
  ];
}

function sewingStep(
  { unit, seam }: Plan,
  top: Top,
  { seams, method }: SewingWay,
  step: SewnStep,
  measures: PartSize,
): GuideStep {
  const rolesOf = (side: 'a' | 'b') =>
    new Set(step.seams.map((number) => top.pieces[seams[number]![side]]!.role));
  const roles = new Set([...rolesOf('a'), ...rolesOf('b')]);
  const triangles = [...roles].some((role) => role.endsWith('triangle'));
  const long = step.seams.some((number) => seams[number]!.beside.length > LONG);
  const kinds = [...roles].map((role) => ROLE_NAMES[role].many.toLowerCase());
  const lies = long ? LIES.long : triangles ? LIES.triangle : LIES.plain;
  const own = method.id === 'covered' ? COVERED[step.id.startsWith('pairs') ? 'strip' : 'sash'] : null;
  const allowance = formatWithUnit(seam, unit);
  return {
    id: step.id,
    title: step.title,
    seams: step.seams,
    pick: long
      ? 'The rows in their order, slips pinned to their first blocks.'
      : `${capital(kinds.join(' and '))}, in piles.`,
    does: [
      ...(own ?? [lies]),
      `Sew ${numberOf(step.seams.length, 'seam')} with ${allowance}${step.seams.length > 1 && !long ? ', one after another without cutting the thread' : ''}.`,
      'Set the seams with the iron as they lie, then press each to its side, before the next seam crosses it.',
    ],
    measures,
    wrong: [
      ...wrongAt(step.id, triangles, long),
      // Strips stretch: what runs past several blocks is trimmed when it is on.
      ...(method.id === 'columns' && roles.has('sash') ? [TRIMMED] : []),
    ],
    caution: step.id.startsWith('border') || long ? NEEDLE : IRON,
  };
}

/** How the two sides of a seam lie on one another. */
export function howItLies(top: Top, { a, b, beside }: Seam): string {
  const triangle = [a, b].some((piece) => top.pieces[piece]!.role.endsWith('triangle'));
  if (beside.length > LONG) return LIES.long;
  return triangle ? LIES.triangle : LIES.plain;
}

/** A seam with more pieces along it than this is a long one. */
const LONG = 4;
const LIES = {
  triangle: 'Right sides together, the triangle underneath and the block on top; begin at the right angle.',
  long: 'Right sides together, the part with more seams on top, so that you see them and can hold each the way it was pressed.',
  plain: 'Right sides together, edge to edge; the part that has seams already on top.',
} as const;

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
  const plain = { seams: [], measures: null, caution: null } as const;
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

/** Of the part that the last seam of each step made: its size with its seams, square to the way it was sewn. */
function sizesAfter({ seam, unit }: Plan, top: Top, { seams, steps }: SewingWay): PartSize[] {
  const joined = togetherIn(top.pieces.length);
  const members = top.pieces.map((_, i) => [i]);
  return steps.map((step) => {
    for (const number of step.seams) {
      const { a, b, mitre } = seams[number]!;
      if (mitre) continue;
      const [A, B] = [joined.root(a), joined.root(b)];
      joined.join(a, b);
      members[A] = [...members[A]!, ...members[B]!];
    }
    const last = seams[step.seams.at(-1)!]!;
    const part = members[joined.root(last.a)]!;
    const [from, to] = last.line;
    const isSlanting =
      Math.abs(from.x - to.x) > 100 * top.tolerance && Math.abs(from.y - to.y) > 100 * top.tolerance;
    // With its corners on, what slants is a level whole.
    const slanting = isSlanting && !part.some((piece) => top.pieces[piece]!.role === 'corner-triangle');
    const [across, down] = slanting ? [ACROSS.falling, ACROSS.rising] : [ACROSS.columns, ACROSS.rows];
    const extent = ({ x, y }: { x: number; y: number }) => {
      const at = part.flatMap((piece) => top.pieces[piece]!.outline.map((p) => p.x * x + p.y * y));
      return Math.max(...at) - Math.min(...at) + 2 * seam;
    };
    const blocks = part.filter((piece) => isBlock(top, piece)).length;
    return {
      what: part.length === top.pieces.length ? 'The top' : blocks > 1 ? 'What is sewn last' : 'Each',
      width: extent(across),
      height: extent(down),
      ease: fromInches(EASE_INCHES, unit) * Math.max(1, Math.round(Math.sqrt(blocks))),
    };
  });
}

const capital = (text: string) => (text === '' ? text : text[0]!.toUpperCase() + text.slice(1));

/** What a part measured against what it should: go on, ease it, or take the seam again. */
export function judgePart(
  { width, ease }: Pick<PartSize, 'width' | 'ease'>,
  measured: number,
  unit: Unit,
): { readonly kind: 'true' | 'ease' | 'again'; readonly text: string } {
  const off = measured - width;
  const show = formatWithUnit(Math.abs(off), unit);
  const which = off > 0 ? 'long' : 'short';
  if (Math.abs(off) <= fromInches(1 / 16, unit) + 1e-9)
    return { kind: 'true', text: 'As it should be: go on.' };
  if (Math.abs(off) <= ease + 1e-9)
    return { kind: 'ease', text: `${show} too ${which}: ease it in, the longer one underneath, pins close.` };
  return {
    kind: 'again',
    text: `${show} too ${which}, more than ${formatWithUnit(ease, unit)} that can be eased: ${off > 0 ? 'the seams are scant' : 'the seams are fat'}. Take the last ones again before you go on.`,
  };
}
