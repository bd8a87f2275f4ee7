import { isPieced, type PiecedBorder } from '../border/border.ts';
import { TAKEN_IN_INCHES } from '../border/pieced/advice.ts';
import type { UnitsAlong } from '../border/pieced/fit.ts';
import { makingOf } from '../border/pieced/make.ts';
import { piecedKind } from '../border/pieced/registry.ts';
import { valueOf } from '../colour/colour.ts';
import { numberOf } from '../figure/figure.ts';
import { cutByOf } from '../layout/cut-by.ts';
import { formatSize, formatWithUnit } from '../length/format.ts';
import { fromInches } from '../length/unit.ts';
import { fabricById } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import type { GuideStep } from './guide-step.ts';
import type { PartSize } from './part-sizes.ts';
import type { SewnStep } from './seam-ledger.ts';
import type { Told } from './told.ts';
import type { UnitFacts, UnitStep } from './unit-step.ts';
import { UNIT_WORDS } from './unit-words.ts';

/** What is said of a step at which the units of a pieced border are made or joined; null for every other. */
export function unitStep(
  told: Told,
  step: SewnStep,
): (UnitStep & Pick<GuideStep, 'measures' | 'inOneGo' | 'run'>) | null {
  const { plan } = told;
  const at = plan.borders.findIndex(
    (border) => isPieced(border) && step.id.startsWith(`border-${border.id}-`),
  );
  const border = plan.borders[at];
  if (!border || !isPieced(border)) return null;
  const which = step.id.slice(`border-${border.id}-`.length);
  const { seams } = piecedKind(border.pieced.kind);
  if (which === 'joined')
    return {
      ...joined(factsOf(told, border, at, ARROWS), step),
      // Keys of strips are sewn before they are cut.
      ...(border.pieced.kind === 'keys' && border.pieced.made === 'strips'
        ? runOf(told, border, at, step)
        : {}),
    };
  if (!seams(border.pieced).some(({ id }) => id === which)) return null;
  const facts = factsOf(told, border, at, pressedTo(told, step, border));
  const said = UNIT_WORDS[border.pieced.kind](facts, which);
  return (
    said && {
      ...said,
      measures: which === 'units' ? [unitSize(facts, step)] : [],
      ...(border.pieced.made === 'one' ? {} : runOf(told, border, at, step)),
    }
  );
}

/** What is sewn in one go, and how many seams are run for it: of strip sets their own, and of keys what joins the pairs too. */
function runOf(
  { plan, sizes }: Told,
  border: PiecedBorder,
  at: number,
  { seams }: SewnStep,
): Pick<GuideStep, 'inOneGo' | 'run'> {
  const { sets } = makingOf(border, sizes[at]!, cutByOf(plan));
  if (!sets) return { inOneGo: true };
  const long = sets.sets * (sets.strips - 1);
  return { inOneGo: true, run: border.pieced.kind === 'keys' ? long + seams.length - sets.pieces : long };
}

const ARROWS = 'Press them as the arrows show.';

/** How the seams within units are pressed: by the cloth they go to, for loose units have no left and right. */
function pressedTo(
  { plan, sewing: { top }, way: { seams }, pressing: { press } }: Told,
  step: SewnStep,
  border: PiecedBorder,
): string {
  const name = (id: string) => fabricById(plan, id).name;
  const sides = new Set(
    step.seams.map((number) => {
      const side = press[number]!;
      if (side === 'open') return 'open';
      const { piece } = seams[number]!.beside.find((one) => one.side === side)!;
      return `toward ${name(top.pieces[piece]!.part.endsWith('-first') ? border.fabric : border.pieced.fabric)}`;
    }),
  );
  const [only = ''] = sides;
  return sides.size === 1 ? `Press each ${only}.` : ARROWS;
}

/** What a unit should measure: it is trimmed to that, so nothing of it is eased. */
const unitSize = ({ border, making }: UnitFacts, step: SewnStep): PartSize => ({
  id: step.id,
  what: `Each ${piecedKind(border.pieced.kind).one}`,
  count: making.units.value,
  width: making.raw.along.value,
  height: making.raw.depth.value,
  ease: { width: 0, height: 0 },
});

function factsOf({ plan, sizes }: Told, border: PiecedBorder, at: number, pressed: string): UnitFacts {
  const making = makingOf(border, sizes[at]!, cutByOf(plan));
  const [one, other] = [border.fabric, border.pieced.fabric].map((id) => fabricById(plan, id)) as [
    Plan['fabrics'][number],
    Plan['fabrics'][number],
  ];
  const [lighter, darker] = valueOf(one.colour) >= valueOf(other.colour) ? [one, other] : [other, one];
  return {
    border,
    making,
    first: one.name,
    second: other.name,
    lighter: lighter.name,
    darker: darker.name,
    seam: formatWithUnit(plan.seam, plan.unit),
    trim: formatSize(making.raw.along.value, making.raw.depth.value, plan.unit),
    pressed,
    unit: plan.unit,
    show: (length) => formatWithUnit(length, plan.unit),
  };
}

/** Units laid out and joined to strips, and what to do where they do not come out. */
function joined(facts: UnitFacts, step: SewnStep): UnitStep & Pick<GuideStep, 'measures'> {
  const { border, making, pressed, seam, show } = facts;
  const { across, down } = making;
  const { many } = piecedKind(border.pieced.kind);
  const counts =
    across.count === down.count
      ? `${across.count} to each of the four strips`
      : `${across.count} each to top and bottom, ${down.count} each to the sides`;
  const off = (side: UnitsAlong, where: string) =>
    Math.abs(side.over) <= fromInches(TAKEN_IN_INCHES, facts.unit)
      ? []
      : [
          `${where} the units come to ${show(side.comesTo)} finished, ${show(Math.abs(side.over))} ${side.over > 0 ? 'longer' : 'shorter'} than the side: a spacer inside it makes them fit, or ${side.over > 0 ? 'take in' : 'let out'} a thread at every seam.`,
        ];
  return {
    pick: border.pieced.kind === 'keys' ? KEYS_PICKED[making.sets ? 'strips' : 'one'] : `The ${many}.`,
    does: [
      ...(border.pieced.kind === 'keys' ? keysFromStrips(facts) : []),
      `Lay them out round the quilt in their order: ${counts}.`,
      `Sew them together in pairs, the pairs in fours, until a strip is whole, at ${seam}.`,
      pressed,
    ],
    wrong: [
      ...off(across, 'At top and bottom'),
      ...off(down, 'At the sides'),
      'Measure the strip before it goes on. A thread more or less at some of its seams brings it to length; cutting an end unit does not. A spacer is cut wide and trimmed to the strips.',
    ],
    measures: [
      { ...stripSize(facts, across), id: step.id, what: 'Each strip for top and bottom' },
      { ...stripSize(facts, down), id: `${step.id}#2`, what: 'Each strip for the sides' },
    ],
  };
}

/** What a strip of units comes to, raw edge to raw edge; a thread at each seam is what it can give (rule SW-7). */
function stripSize(
  { making: { raw }, border, unit }: UnitFacts,
  { comesTo, count }: UnitsAlong,
): Omit<PartSize, 'id' | 'what'> {
  const seams = raw.depth.value - border.ends;
  const ease = fromInches(Math.min(1 / 2, count / 32), unit);
  return {
    count: 2,
    width: comesTo + seams,
    height: raw.depth.value,
    ease: { width: ease, height: fromInches(TAKEN_IN_INCHES, unit) },
  };
}

const KEYS_PICKED = { strips: 'The strips of both cloths.', one: 'The keys of both cloths.' };

/** How piano keys come of strips, with what a side with an odd number has over. */
function keysFromStrips({ making: { sets, across, down }, first, second, seam, show }: UnitFacts): string[] {
  if (!sets) return [];
  const odd = [across, down].some(({ count }) => count % 2 === 1);
  return [
    `Sew ${numberOf(sets.sets, 'pair')} of strips, ${first} to ${second}, at ${seam}; press toward the darker. Square one end.`,
    `Crosscut every ${show(sets.crosscut.value)}: ${numberOf(sets.pieces, 'pair')} of keys${odd ? '; where a side has an odd number, one key of its last pair is taken off' : ''}.`,
  ];
}
