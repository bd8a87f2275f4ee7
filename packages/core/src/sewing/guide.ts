import { CAUTIONS } from '../choice/cautions.ts';
import { TIPS } from '../choice/tips.ts';
import { numberOf } from '../figure/figure.ts';
import { formatWithUnit } from '../length/format.ts';
import type { Plan } from '../plan/shape.ts';
import type { Quilt } from '../quilt/quilt.ts';
import type { SewnStep } from './seam-ledger.ts';
import { COVERED_STEPS } from './covered-steps.ts';
import { finishing } from './finishing.ts';
import { goesWrong, type KindOfStep } from './goes-wrong.ts';
import type { GuideStep } from './guide-step.ts';
import { capital, listed, manyOf } from '../figure/many.ts';
import { unitStep } from './pieced-steps.ts';
import { partSizes } from './part-sizes.ts';
import { seamParts, type SewnPart } from './parts.ts';
import { pressedTo } from './pressed-to.ts';
import type { Pressing } from './pressing.ts';
import { howSidesLie, LONG } from './seam-lie.ts';
import { pressingOf, type Sewing, type SewingWay } from './sewing.ts';
import type { Told } from './told.ts';
import { seamWords } from './words.ts';

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
  const told: Told = { plan, sizes: quilt.layout.sizes, sewing, way, pressing, parts, words };
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
  const units = isBorder ? unitStep(told, step) : null;
  const covered = method.id === 'covered' && !isBorder;
  const isWeb = step.id === 'web';
  const kind = { id: step.id, triangles, long: long && !isWeb };
  return {
    id: step.id,
    title: step.title,
    seams: step.seams,
    pick: isWeb ? 'The units of a column in a stack, row 1 on top.' : (units?.pick ?? pickedUp(told, step)),
    does: units
      ? [...units.does]
      : covered
        ? [...COVERED_STEPS[step.id.startsWith('pairs') ? 'strip' : 'sash']]
        : sewn(told, step, kind),
    ...(units?.inOneGo ? { inOneGo: true as const } : {}),
    ...(units?.run === undefined ? {} : { run: units.run }),
    measures: units?.measures ?? partSizes(told, step),
    wrong: [
      ...(units?.wrong ?? goesWrong(kind)),
      // Strips stretch: what runs past several blocks is trimmed when it is on.
      ...(method.id === 'columns' && roles.has('sash') ? [TRIMMED] : []),
      ...(step.id === 'corners' ? stayStitched(plan) : []),
    ],
    cautions: [CAUTIONS.needle, CAUTIONS.iron, ...(covered ? [CAUTIONS.glue] : [])],
  };
}

/** How the seams of a step are laid, sewn and pressed; a web and a mitred border by rules of their own (rules SW-5, SW-6). */
function sewn(told: Told, step: SewnStep, { id, long }: KindOfStep): string[] {
  const { plan, sewing, way } = told;
  const lies = [...new Set(step.seams.map((number) => howSidesLie(sewing.top, way.seams[number]!).short))];
  const seams = `Sew ${numberOf(step.seams.length, 'seam')} at ${formatWithUnit(plan.seam, plan.unit)}`;
  const chained = step.seams.length > 1 && !long && !id.startsWith('border') && id !== 'corners';
  if (id === 'web')
    return [
      ...lies,
      `${seams}, chained down the column: do not cut the threads between them.`,
      TIPS.faceDown,
      `Press when the web is whole, over the edge of the board: ${directions(told, step.seams)}.`,
    ];
  if (id.endsWith('-strips'))
    return [
      'Centre each strip on its side of the top, as much of it over at one end as at the other.',
      `${seams}. Begin and stop a seam’s width from each end of the top, and backstitch there.`,
      `Set the seams with the iron as they lie. ${pressSays(told, step.seams)}`,
    ];
  if (id.endsWith('-mitres'))
    return [
      ...lies,
      `${seams}, one by one, from the inner corner out; backstitch at the inner corner.`,
      `Lay each flat before it is trimmed. ${pressSays(told, step.seams)}`,
    ];
  return [
    ...lies,
    `${seams}${chained ? ', chained: do not cut the thread between them' : ''}.`,
    `Set the seams with the iron as they lie. ${pressSays(told, step.seams)}`,
  ];
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

/** How often the seams of a step are pressed which way: toward what lies there, or by its direction where both sides are alike. */
function waysPressed(
  { way: { seams }, pressing: { press }, parts, words }: Told,
  own: readonly number[],
): ReadonlyMap<string, number> {
  const ways = new Map<string, number>();
  for (const number of own) {
    const says = pressedTo(seams[number]!, press[number]!, (side) => words.part(parts[number]![side]).kind);
    ways.set(says, (ways.get(says) ?? 0) + 1);
  }
  return ways;
}

/** Those ways by themselves: "4 to the left and 4 to the right". */
function directions(told: Told, own: readonly number[]): string {
  const ways = waysPressed(told, own);
  const [only = ''] = ways.keys();
  return ways.size === 1 ? only : listed([...ways].map(([says, count]) => `${count} ${says}`));
}

/** What is done at the iron when a step is sewn. */
function pressSays(told: Told, own: readonly number[]): string {
  const says = directions(told, own);
  if (own.length === 1) return `Press it ${says}.`;
  return waysPressed(told, own).size === 1
    ? `Press each ${says}, before the next seam crosses it.`
    : `Press them as the arrows show, before the next seam crosses: ${says}.`;
}

/** On point with sashes the edge is on the bias where cornerstones end. */
const stayStitched = ({ setting }: Plan): string[] =>
  setting.kind === 'on-point-sashed'
    ? [setting.edgeStones === 'whole' ? TIPS.stayWhole : TIPS.stayHalved]
    : [];

const TRIMMED = 'A long strip is sewn on over-long, trimmed to the column, checked, and trimmed again.';
