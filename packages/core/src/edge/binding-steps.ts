import { formatLength, formatWithUnit } from '../length/format.ts';
import type { Plan } from '../plan/shape.ts';
import type { Binding } from './binding.ts';
import { saysStrips } from './strips-as-cut.ts';

/** How a binding is cut, joined and folded, in order, with this plan's own figures (rules BD-4, BI-3). */
export function bindingSteps(plan: Plan, binding: Binding): string[] {
  const {
    unit,
    binding: { grain },
  } = plan;
  const show = (v: number) => formatWithUnit(v, unit);
  const cut = grain === 'straight' ? straightCut(binding, show, unit) : biasCut(plan, binding, show);
  const tail = show(unit === 'in' ? 8 : 20);
  return [
    ...cut,
    binding.flange
      ? 'Press the seam along it open and fold it wrong sides together: the flange stands out at one edge.'
      : plan.binding.fold === 'double'
        ? 'Fold it in half along its length, wrong sides together.'
        : `Press one long edge under by ${show(binding.finished.value)}.`,
    `Begin ${show(binding.joins.start)} from the left along the bottom and leave ${tail} unsewn; sew ${show(binding.seam)} from the edge. Join the two tails at 45° where they meet.`,
  ];
}

function straightCut(
  { strips, cutWidth, asCut, flange, leftovers }: Binding,
  show: (value: number) => string,
  unit: Plan['unit'],
): string[] {
  const main = saysStrips(asCut, unit, ` of ${show(cutWidth)}`);
  const beside = flange && saysStrips(flange.asCut, unit, ` of ${show(flange.flange.value)}`);
  return [
    ...(leftovers && leftovers.lengths.length > 0
      ? [`Cut the leftovers down to ${show(cutWidth)} and join long and short by turns.`]
      : []),
    ...(strips.value > 0 ? [`Cut ${main}.`] : []),
    ...(beside
      ? [
          `For the flange cut ${beside}. Each of the two is joined into one run, then both along their length.`,
        ]
      : []),
    `Join the strips at 45°, selvage ends hanging past the seam; trim to ${formatLength(unit === 'in' ? 0.25 : 0.6, unit)}${unit === 'in' ? '″' : ' cm'} and press the joins open.`,
  ];
}

function biasCut(
  { unit, binding: { grain } }: Plan,
  { bias, joined, cutWidth, flange }: Binding,
  show: (value: number) => string,
): string[] {
  const cloth = show(bias!.cloth.value);
  const beside = flange
    ? [
        `From ${show(flange.fabric.value)} of the flange’s cloth cut strips of ${show(flange.flange.value)} in the same way, and join the two along their length.`,
      ]
    : [];
  if (grain === 'bias-tube') {
    return [
      `Cut the square of ${cloth} corner to corner and join the two triangles along a straight side.`,
      `Mark ${bias!.tube!.lanes} lanes ${show(cutWidth)} wide along the bias edges; trim what is left over.`,
      'Join the two straight ends into a tube, one lane along, so that the first line meets the second.',
      'Cut along the line, round and round: one strip.',
      ...beside,
    ];
  }
  return [
    grain === 'bias-square'
      ? `Fold the square of ${cloth} corner to corner and again. The first cut, along the double fold, is half a strip: ${show(cutWidth / 2)}. Every other one is ${show(cutWidth)}.`
      : `Lay a 45° line from a corner across the length of ${cloth} and cut strips of ${show(cutWidth)} to both sides of it.`,
    `Join long and short by turns: ${joined.lengths.map((length) => formatLength(length, unit)).join(', ')}${unit === 'in' ? '″' : ' cm'}. Press the joins open.`,
    ...beside,
  ];
}
