import { formatLength, formatWithUnit } from '../length/format.ts';
import { fromInches } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import type { Edge } from './edge.ts';
import type { Layout } from '../layout/lay-out.ts';
import { TOLERANCE } from '../length/tolerance.ts';
import { bestStart } from './binding-joins.ts';
import { pointsTouchEdge } from './points-at-edge.ts';

/** A join nearer to a corner than this makes it bulky: 2" (from memory). */
const BULKY_INCHES = 2;
/** Scallops flatter than a sixth of their width are gentle enough for the straight grain (rule SC-2; the sixth from memory). */
const GENTLE = 1 / 6;

/** A tape and the drawing differ by more than this only where they are of two edges (from memory). */
const MEASURED_APART = 0.04;

/** What is worth knowing of an edge that can be sewn: grain against curves, joins at corners, cloth too narrow, points that gape. */
export function edgeAdvice(
  plan: Plan,
  { binding, outline, points, around }: Edge,
  layout: Layout,
): { readonly path: readonly (string | number)[]; readonly message: string }[] {
  const said: { path: readonly (string | number)[]; message: string }[] = [];
  const say = (path: string, message: string) => said.push({ path: path.split('.'), message });
  const { edge, unit } = plan;
  const show = (v: number) => formatWithUnit(v, unit);
  if (edge.around !== null && Math.abs(edge.around - outline.length) > MEASURED_APART * outline.length) {
    say(
      'edge.around',
      `The edge was measured ${show(edge.around)} and comes to ${show(outline.length)} now. If the quilt or its edge was changed since, measure again, or forget the measurement.`,
    );
  }
  if (binding) {
    const { grain, fold, start } = plan.binding;
    const curved = edge.shape === 'rounded' || edge.shape === 'scalloped';
    if (curved && grain === 'straight') {
      const gentle = edge.shape === 'scalloped' && edge.scallop.depth <= GENTLE * edge.scallop.width + 1e-9;
      say(
        'binding.grain',
        gentle
          ? 'Scallops as gentle as these take a straight-grain binding pulled taut through the valleys; bias lies flatter.'
          : 'Curves need a bias binding: straight grain puckers round them.',
      );
    }
    if (!curved && grain !== 'straight')
      say(
        'binding.grain',
        'Straight edges do not need bias: it takes more cloth and stretches. It does show stripes and checks on the slant.',
      );
    if (fold === 'single')
      say(
        'binding.fold',
        'A single fold wears through first: good for small hangings and tight curves, not for a quilt in use.',
      );
    const sewn = plan.binding.seam ?? plan.seam;
    if (binding.behind.value < sewn - 1e-6)
      say(
        'binding.stripWidth',
        `Sewn ${show(sewn)} from the edge, this strip leaves ${show(Math.max(0, binding.behind.value))} behind and does not cover its seam there${binding.finished.value >= fromInches(1 / 8, unit) ? `: sew it at ${show(binding.finished.value)}` : ''}, or cut it wider.`,
      );
    const bulky = fromInches(BULKY_INCHES, unit);
    if (binding.joins.clear < bulky && edge.shape !== 'scalloped') {
      const better = start === null ? null : bestStart(outline, binding.joined, around.value, unit);
      say(
        'binding.start',
        `A join falls ${show(binding.joins.clear)} from a corner. ${better && better.clear > binding.joins.clear + 0.25 ? `Begin ${show(better.start)} from the left and the nearest is ${show(better.clear)} away.` : 'Shorten the first strip, or cut one strip more.'}`,
      );
    }
    if (binding.bias?.tooWide)
      say(
        'binding.grain',
        `A square of ${show(binding.bias.cloth.value)} is wider than this cloth. Cut the bias from a length of fabric instead.`,
      );
    if (binding.bias && binding.bias.cloth.value > binding.bias.rule.value)
      say(
        'binding.stripWidth',
        `The rule of the root says ${formatLength(binding.bias.rule.value, unit)}, which comes out short; ${show(binding.bias.cloth.value)} is enough.`,
      );
    for (const i of binding.leftovers?.tooNarrow ?? [])
      said.push({
        path: ['binding', 'leftovers', i],
        message: `This one is narrower than the strip of ${show(binding.cutWidth)} and gives nothing.`,
      });
    if (binding.seam > plan.seam + TOLERANCE && pointsTouchEdge(layout)) {
      say(
        'binding.seam',
        `Points of the blocks reach the quilt’s edge, a seam of ${show(plan.seam)} inside the raw one, and the binding is sewn ${show(binding.seam)} deep: it covers their tips by ${show(binding.seam - plan.seam)}. Sew it at ${show(plan.seam)} with a narrower strip, or float the blocks, or add a border.`,
      );
    }
    if (plan.binding.flange && plan.edge.finishes.includes('flange'))
      say(
        'binding.flange',
        'There is a flange built into this binding and another beside it: two will show.',
      );
  }
  if (points) {
    const widest = Math.max(points.across.gap.value, points.down.gap.value);
    const closest = Math.max(points.across.overlap.value, points.down.overlap.value);
    const least = Math.min(points.across.overlap.value, points.down.overlap.value);
    if (least < -1e-6)
      say(
        'edge.points.overlap',
        `Spread over the side, points stand ${show(-least)} apart at their raw edges. Choose another square or overlap.`,
      );
    else if (widest > 1e-6)
      say(
        'edge.points.overlap',
        `At the seam a gap of up to ${show(widest)} lies between two points. With an overlap of ${show(2 * plan.seam)} they just meet; with this one, slide the two at a corner out until they touch.`,
      );
    if (points.strip === null && closest > plan.edge.points.square / 2 + 1e-6)
      say(
        'edge.points.spread',
        'The last three lie more than half over one another: spread the difference over all.',
      );
  }
  return said;
}
