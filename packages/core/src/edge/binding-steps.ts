import { TIPS } from '../choice/tips.ts';
import { formatLength, formatWithUnit } from '../length/format.ts';
import { ofUnit } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import type { Binding } from './binding.ts';
import { saysStrips } from './strips-as-cut.ts';

/** How a binding is cut, joined, folded and sewn on to its last stitch, with this plan's own figures (rules BD-4, BD-7, BI-3). */
export function bindingSteps(plan: Plan, binding: Binding): string[] {
  const {
    unit,
    binding: { grain },
  } = plan;
  const show = (v: number) => formatWithUnit(v, unit);
  const cut = grain === 'straight' ? straightCut(binding, show, unit) : biasCut(plan, binding, show);
  return [
    ...cut,
    binding.flange
      ? 'Press the seam along it open and fold it wrong sides together: the flange stands out at one edge.'
      : plan.binding.fold === 'double'
        ? 'Fold it in half along its length, wrong sides together.'
        : `Press one long edge under by ${show(binding.finished.value)}.`,
    ...sewnOn(plan, binding),
  ];
}

/** The corners of a binding, by the shape of the edge (common practice). */
const CORNERS: Readonly<Record<Plan['edge']['shape'], (seam: string) => string>> = {
  square: (seam) =>
    `At each corner stop ${seam} before the edge and backstitch; fold the strip straight up, then down along the next side, and begin again at the edge.`,
  clipped: (seam) =>
    `At each corner stop ${seam} before the edge and backstitch; fold the strip away along the next side’s line, then down along it, and begin again at the edge.`,
  posts: (seam) =>
    `At each outer corner stop ${seam} before the edge and backstitch; fold the strip straight up, then down along the next side, and begin again at the edge. In each inner corner clip the quilt’s edge to within a thread of the seam, stop with the needle down, pull the edge straight and go on; its fold is laid to a mitre when it is turned.`,
  rounded: () => 'Ease it round the corners without stretching it.',
  scalloped: () =>
    'Ease it round the scallops without stretching it; where two meet stop with the needle down, turn the quilt, and go on without a fold.',
};

/** From the first stitch to the last (rule BD-7): sewn on, its tails joined, turned over the edge and sewn down. */
function sewnOn(plan: Plan, binding: Binding): string[] {
  const { unit } = plan;
  const show = (v: number) => formatWithUnit(v, unit);
  const seam = show(binding.seam);
  const tail = show(ofUnit(unit, 8, 20));
  // A binding with a flange is sewn to the back first and turned to the front, so that the flange shows there.
  const [first, other] = binding.flange ? ['back', 'front'] : ['front', 'back'];
  const start = show(binding.joins.start);
  return [
    `Lay it along the ${first} of the quilt, raw edges even${binding.flange ? ', its main strip up' : ''}. Begin ${start} from the left along the bottom, leave a tail of ${tail}, sew ${seam} from the edge, and stop ${show(ofUnit(unit, 10, 25))} before you are round.`,
    CORNERS[plan.edge.shape](seam),
    `Trim the tails so that they overlap by ${show(tailOverlap(plan, binding))}, the width the strip is cut. Join them at 45°, right sides together; lay it along the gap to check its length, then trim to ${show(ofUnit(unit, 0.25, 0.6))} and press the join open.`,
    'Sew the gap.',
    `Turn the fold over the edge to the ${other} so that it just covers the seam, fold the corners, and sew it down ${binding.flange ? 'by machine, in the ditch beside the flange' : 'by hand, or by machine'}.`,
  ];
}

/**
 * How far the tails of a binding overlap before they are joined at 45° (rule BD-7): by the width of the strip as it is
 * sewn on, unfolded. A strip with a flange built in is two, less what their seam takes.
 */
const tailOverlap = (
  { seam }: Pick<Plan, 'seam'>,
  { cutWidth, flange }: Pick<Binding, 'cutWidth' | 'flange'>,
): number => (flange ? cutWidth + flange.flange.value - 2 * seam : cutWidth);

function straightCut(
  { strips, cutWidth, asCut, flange, leftovers }: Binding,
  show: (value: number) => string,
  unit: Plan['unit'],
): string[] {
  const main = saysStrips(asCut, unit, ` of ${show(cutWidth)}`);
  const beside = flange && saysStrips(flange.asCut, unit, ` of ${show(flange.flange.value)}`);
  return [
    ...(leftovers && leftovers.lengths.length > 0
      ? [`Cut the leftovers down to ${show(cutWidth)} and join long and short in turn.`]
      : []),
    ...(strips.value > 0 ? [`Cut ${main}.`] : []),
    ...(beside
      ? [
          `For the flange cut ${beside}. Each of the two is joined into one run, then both along their length.`,
        ]
      : []),
    `Join the strips at 45°, selvage ends hanging past the seam; trim to ${formatLength(unit === 'in' ? 0.25 : 0.6, unit)}${unit === 'in' ? '″' : ' cm'} and press the joins open.`,
    TIPS.joins,
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
      TIPS.starch,
      `Cut the square of ${cloth} corner to corner and join the two triangles along a straight side.`,
      `Mark ${bias!.tube!.lanes} lanes ${show(cutWidth)} wide along the bias edges; trim what is left over.`,
      'Join the two straight ends into a tube, one lane along, so that the first line meets the second.',
      'Cut along the line, round and round: one strip.',
      ...beside,
    ];
  }
  return [
    TIPS.starch,
    grain === 'bias-square'
      ? `Fold the square of ${cloth} corner to corner and again. The first cut, along the double fold, is half a strip: ${show(cutWidth / 2)}. Every other one is ${show(cutWidth)}.`
      : `Lay a 45° line from a corner across the length of ${cloth} and cut strips of ${show(cutWidth)} to both sides of it.`,
    `Join long and short in turn: ${joined.lengths.map((length) => formatLength(length, unit)).join(', ')}${unit === 'in' ? '″' : ' cm'}. Press the joins open.`,
    TIPS.joins,
    ...beside,
  ];
}
