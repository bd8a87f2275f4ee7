import { atLeast, longer, shorter, TOLERANCE } from '../length/tolerance.ts';
import { fromInches } from '../length/unit.ts';
import type { Layout } from '../layout/lay-out.ts';
import type { Plan } from '../plan/shape.ts';
import type { Problem } from '../refusal/refusal.ts';
import type { Binding } from './binding.ts';
import { bestStart } from './binding-joins.ts';
import type { Edge, EdgePoints } from './edge.ts';
import { edgeWords } from './edge-words.ts';
import { pointsAtEdge } from './points-at-edge.ts';

/** A join nearer to a corner than this makes it bulky: 2" (from memory). */
const BULKY_INCHES = 2;
/** A better beginning is worth a word when it takes the nearest join so much farther off: 1/4" (from memory). */
const BETTER_BY = 0.25;
/** Scallops flatter than a sixth of their width are gentle enough for the straight grain (rule SC-2; the sixth from memory). */
const GENTLE = 1 / 6;
/** A tape and the drawing differ by more than this only where they are of two edges (from memory). */
const MEASURED_APART = 0.04;
/** The narrowest binding that can be sewn so that both sides show alike: 1/8" (from memory). */
const LEAST_FINISHED_INCHES = 1 / 8;

/** What is worth knowing of an edge that can be sewn: grain against curves, joins at corners, cloth too narrow, points that gape. */
export function edgeAdvice(plan: Plan, edge: Edge, layout: Layout): Problem[] {
  const { binding, points } = edge;
  return [
    ...measuredAdvice(plan, edge),
    ...(binding
      ? [
          ...grainAdvice(plan),
          ...foldAdvice(plan, binding),
          ...joinAdvice(plan, binding, edge),
          ...clothAdvice(plan, binding),
          ...seamAdvice(plan, binding, layout),
        ]
      : []),
    ...(points ? pointsAdvice(plan, points) : []),
  ];
}

const said = (path: string, message: string): Problem => ({ path: path.split('.'), message });

/** A tape that says another edge than the drawing has. */
function measuredAdvice({ edge: { around }, unit }: Plan, { outline: { length } }: Edge): Problem[] {
  if (around === null || Math.abs(around - length) <= MEASURED_APART * length) return [];
  return [said('edge.around', edgeWords(unit).measuredOtherwise(around, length))];
}

/** Bias for curves, straight grain for straight edges (rule SC-2). */
function grainAdvice({ edge: { shape, scallop }, binding: { grain }, unit }: Plan): Problem[] {
  const words = edgeWords(unit);
  const curved = shape === 'rounded' || shape === 'scalloped';
  const onBias = grain !== 'straight';
  if (curved === onBias) return [];
  if (onBias) return [said('binding.grain', words.biasOnStraight)];
  const gentle = shape === 'scalloped' && atLeast(GENTLE * scallop.width, scallop.depth);
  return [said('binding.grain', gentle ? words.gentleCurve : words.curve)];
}

/** How it wears, and whether it covers its own seam on the back. */
function foldAdvice({ binding: { fold, seam }, seam: usual, unit }: Plan, binding: Binding): Problem[] {
  const words = edgeWords(unit);
  const sewn = seam ?? usual;
  const { behind, finished } = binding;
  const better = finished.value >= fromInches(LEAST_FINISHED_INCHES, unit) ? finished.value : null;
  return [
    ...(fold === 'single' ? [said('binding.fold', words.singleFold)] : []),
    ...(shorter(behind.value, sewn)
      ? [said('binding.stripWidth', words.seamShowsBehind(sewn, Math.max(0, behind.value), better))]
      : []),
  ];
}

/** A join so near a corner that it is bulky, and a beginning that keeps it away. */
function joinAdvice(
  { binding: { start }, edge: { shape }, unit }: Plan,
  { joins, joined }: Binding,
  { outline, around }: Edge,
): Problem[] {
  if (shape === 'scalloped' || joins.clear >= fromInches(BULKY_INCHES, unit)) return [];
  const best = start === null ? null : bestStart(outline, joined, around.value, unit);
  const better = best && best.clear > joins.clear + BETTER_BY ? best : null;
  return [said('binding.start', edgeWords(unit).bulkyJoin(joins.clear, better))];
}

/** Cloth too narrow for its bias square, a rule that comes out short, leftovers that give nothing. */
function clothAdvice({ unit, stock }: Plan, { bias, leftovers, cutWidth }: Binding): Problem[] {
  const words = edgeWords(unit);
  const found: Problem[] = [];
  if (bias?.tooWide) found.push(said('binding.grain', words.squareTooWide(bias.cloth.value)));
  if (bias && bias.cloth.value > bias.rule.value)
    found.push(said('binding.stripWidth', words.ruleOfRootShort(bias.rule.value, bias.cloth.value)));
  const toBindWith = stock.flatMap((piece, i) => (piece.for === 'binding' ? [i] : []));
  const narrow = (leftovers?.tooNarrow ?? []).map((i) => ({
    path: ['stock', toBindWith[i]!],
    message: words.leftoverTooNarrow(cutWidth),
  }));
  return [...found, ...narrow];
}

/** A binding sewn so deep that it covers the blocks' points, and a flange too many. */
function seamAdvice(plan: Plan, { seam }: Binding, layout: Layout): Problem[] {
  const words = edgeWords(plan.unit);
  const points = seam > plan.seam + TOLERANCE ? pointsAtEdge(layout) : null;
  const twice = plan.binding.flange !== null && plan.edge.finishes.includes('flange');
  return [
    ...(points ? [said('binding.seam', words.tipsCovered(points, plan.seam, seam))] : []),
    ...(twice ? [said('binding.flange', words.twoFlanges)] : []),
  ];
}

/** Points that stand apart, gape at the seam, or crowd at the end of a side. */
function pointsAdvice({ edge, seam, unit }: Plan, { across, down, strip }: EdgePoints): Problem[] {
  const words = edgeWords(unit);
  const overlaps = [across.overlap.value, down.overlap.value];
  const [least, closest] = [Math.min(...overlaps), Math.max(...overlaps)];
  const widest = Math.max(across.gap.value, down.gap.value);
  const found: Problem[] = [];
  if (shorter(least, 0)) found.push(said('edge.points.overlap', words.pointsApart(-least)));
  else if (longer(widest, 0)) found.push(said('edge.points.overlap', words.pointsGape(widest, 2 * seam)));
  if (strip === null && longer(closest, edge.points.square / 2))
    found.push(said('edge.points.spread', words.lastPointsCrowd));
  return found;
}
