import { capital } from '../figure/many.ts';
import { numberOf } from '../figure/figure.ts';
import { TIPS } from '../choice/tips.ts';
import { formatLength, formatWithUnit } from '../length/format.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { CuttingStep, Made, SubCut } from './steps.ts';

/** A fat quarter's side: what is cut off wider is a length of cloth, not a strip (common practice). */
const WIDEST_STRIP = 18;

/** How the cloth lies: open, folded once or folded twice; so many layers lie under the blade. */
export const FOLDS = { open: 1, once: 2, twice: 4 } as const;
export type Fold = keyof typeof FOLDS;

/** One step as it is said at the table, in a sentence. */
export function stepSays(step: CuttingStep, unit: Unit): string {
  const { kind, strips, box, cuts, makes, offcuts } = step;
  const show = (v: number) => formatWithUnit(v, unit);
  if (kind === 'square') return 'Square the end.';
  if (kind === 'strip') {
    const [made] = makes;
    // What fills the width of the cloth and is longer than any strip is cut off as a length.
    if (made && !made.joined && made.count === 1 && box.h > fromInches(WIDEST_STRIP, unit))
      return `Cut a length of ${show(box.h)}: the ${made.name.toLowerCase()}.`;
    return `Cut a strip ${show(box.h)} wide${made ? `: ${madeSays(made)}` : ''}.`;
  }
  if (kind === 'leftover' && cuts.length === 0)
    return `Take ${pieceSays(step, unit)} as it is: ${makes.map(madeSays).join(', ')}.`;
  const from = kind === 'leftover' ? pieceSays(step, unit) : null;
  const of = strips.length > 1 ? `each of the ${strips.length} strips` : 'the strip';
  const left = offcuts.length > 0 ? ` Left: ${leftSays(offcuts, unit)}.` : '';
  const corners = makes.flatMap(cornersSay).map((says) => ` ${says}`);
  return `Cut ${from ?? `${of} of ${show(box.h)}`}: ${cuts.map((cut) => subCutSays(cut, unit)).join('; ')}.${corners.join('')}${left}`;
}

/** A step as it stands in large type, with what the hands do. */
export function stepInHand(
  step: CuttingStep,
  fold: Fold,
  unit: Unit,
): { readonly title: string; readonly does: readonly string[] } {
  const show = (v: number) => formatWithUnit(v, unit);
  const { kind, box, strips, cuts, makes } = step;
  const folded = fold !== 'open';
  if (kind === 'square')
    return {
      title: 'Square the end',
      does: [
        folded
          ? 'Lay one ruler’s level line on the fold, a second against it along the ragged end; take the first away and cut.'
          : 'Lay the ruler’s level line on the selvage and cut a straight end across it.',
        'See that the fold has no kink. It is done again after every fourth strip.',
        TIPS.ruler,
      ],
    };
  if (kind === 'strip') {
    const whole = makes[0] ? `It stays whole: ${madeSays(makes[0])}.` : 'It is cut up afterwards.';
    const line = folded ? 'the fold' : 'the selvage';
    return {
      title: `${show(box.h)} strip`,
      does: [
        `Lay the ${formatLength(box.h, unit)} line on the cut end, a level line on ${line}.`,
        whole,
        ...(folded ? [TIPS.elbow] : []),
      ],
    };
  }
  if (cuts.length === 0) return { title: 'Take it as it is', does: [stepSays(step, unit)] };
  const what =
    kind === 'leftover'
      ? `From ${pieceSays(step, unit)}.`
      : strips.length > 1
        ? `All ${strips.length} strips of ${show(box.h)}, one after another.`
        : `The strip of ${show(box.h)}, opened out and turned.`;
  return {
    title: cuts[0]!.times > 1 ? `Every ${show(cuts[0]!.size)}` : show(cuts[0]!.size),
    does: [
      what,
      ...cuts.map((cut) => `${capital(subCutSays(cut, unit))}${layersSay(cut, fold)}.`),
      ...makes.flatMap(cornersSay),
    ],
  };
}

/** "every 2″, 11 times across: Sashes" */
function subCutSays({ way, size, times, gives }: SubCut, unit: Unit): string {
  const how =
    times === 1 ? formatWithUnit(size, unit) : `every ${formatWithUnit(size, unit)}, ${times} times`;
  return `${how} ${way === 'x' ? 'across' : 'along'}${gives === null ? ', to be cut again' : `: ${gives}`}`;
}

/**
 * How often the blade goes through where layers lie on one another: pieces come out in pairs or fours, what is left of
 * the count is cut with the strip opened out.
 */
function bladePasses(times: number, fold: Fold): { readonly folded: number; readonly open: number } {
  const layers = FOLDS[fold];
  return { folded: Math.floor(times / layers), open: layers === 1 ? 0 : times % layers };
}

function layersSay({ way, times }: SubCut, fold: Fold): string {
  const { folded, open } = bladePasses(times, fold);
  if (fold === 'open' || way !== 'x' || folded === 0) return '';
  const rest = open > 0 ? `, and ${open} opened out` : '';
  return ` (${numberOf(folded, 'cut')} through ${FOLDS[fold]} layers${rest})`;
}

/** "11 Sashes", "a strip for Binding". */
const madeSays = ({ name, count, joined }: Made): string =>
  joined ? `${numberOf(count, 'strip')} to join for ${name.toLowerCase()}` : `${count} ${name.toLowerCase()}`;

/** Squares on their way to triangles: the blade goes from corner to corner, the square not moved between (common practice). */
function cornersSay({ name, count, corners }: Made): string[] {
  if (corners === 0) return [];
  const of = name.toLowerCase().replace(/^squares for /, '');
  const how = corners === 1 ? 'once' : 'twice, without moving it between';
  return [`Then each corner to corner, ${how}: ${count * 2 * corners} ${of}.`];
}

/** Leftovers alike are told once: "9 pieces of 3 × 2 7/8″". */
function leftSays(offcuts: CuttingStep['offcuts'], unit: Unit): string {
  const counts = new Map<string, number>();
  for (const { w, h } of offcuts) {
    const size = sizeSays(w, h, unit);
    counts.set(size, (counts.get(size) ?? 0) + 1);
  }
  return [...counts].map(([size, n]) => (n === 1 ? size : `${n} pieces of ${size}`)).join(', ');
}

/** A piece that is there already, by its name and size. */
const pieceSays = ({ from, box }: CuttingStep, unit: Unit): string =>
  `${from ?? 'the piece left over'}, ${sizeSays(box.w, box.h, unit)}`;

const sizeSays = (w: number, h: number, unit: Unit): string =>
  `${formatLength(w, unit)} × ${formatWithUnit(h, unit)}`;
