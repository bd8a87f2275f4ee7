import { numberOf } from '../figure/figure.ts';
import { formatLength, formatWithUnit } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import type { CuttingStep, Made, SubCut } from './steps.ts';

/** One step as it is said at the table, in a sentence. */
export function stepSays({ kind, strips, box, cuts, makes, offcuts }: CuttingStep, unit: Unit): string {
  const show = (v: number) => formatWithUnit(v, unit);
  if (kind === 'square') return 'Square the end.';
  if (kind === 'strip') {
    const [made] = makes;
    return `Cut a strip ${show(box.h)} wide${made ? `: ${madeSays(made)}` : ''}.`;
  }
  const of = strips.length > 1 ? `each of the ${strips.length} strips` : 'the strip';
  const left =
    offcuts.length > 0 ? ` Left: ${offcuts.map(({ w, h }) => sizeSays(w, h, unit)).join(', ')}.` : '';
  return `Cut ${of} of ${show(box.h)}: ${cuts.map((cut) => subCutSays(cut, unit)).join('; ')}.${left}`;
}

/** "every 2″ across, 11 times: Sashes" */
export function subCutSays({ way, size, times, gives }: SubCut, unit: Unit): string {
  const how =
    times === 1 ? formatWithUnit(size, unit) : `every ${formatWithUnit(size, unit)}, ${times} times`;
  return `${how} ${way === 'x' ? 'across' : 'along'}${gives === null ? ', to be cut again' : `: ${gives}`}`;
}

/** "11 Sashes", "a strip for Binding". */
export const madeSays = ({ name, count, joined }: Made): string =>
  joined ? `${numberOf(count, 'strip')} to join for ${name}` : `${count} ${name}`;

const sizeSays = (w: number, h: number, unit: Unit): string =>
  `${formatLength(w, unit)} × ${formatWithUnit(h, unit)}`;
