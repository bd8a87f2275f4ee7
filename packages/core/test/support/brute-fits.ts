import type { Fit, FitRequest, Plan } from '../../src/index.ts';
import { borderSteps } from '../../src/finder/best-borders.ts';
import { clothCheck } from '../../src/finder/cloth.ts';
import { fitOf, shapesFor } from '../../src/finder/find.ts';
import { searchStep } from '../../src/finder/request.ts';
import { centreOf, costsOf, searchScale, weigh } from '../../src/finder/score.ts';

/** The best designs by trying every sash and float with every border on every grid. */
export function bruteFits(plan: Plan, request: FitRequest): { best: Fit[]; looked: number } {
  const shapes = shapesFor(plan, request);
  const scale = searchScale(plan, request, shapes);
  const step = searchStep(plan.unit);
  const { least, most, even } = borderSteps(scale, step);
  const enough = clothCheck(plan, request);
  let looked = 0;
  const fits = shapes.flatMap((shape) => {
    let best: {
      lengths: (typeof shape.lengths)[number];
      border: { sides: number; ends: number };
      score: number;
    } | null = null;
    for (const lengths of shape.lengths) {
      const centre = centreOf(shape, lengths);
      if (request.inHand.length > 0 && !enough(shape, lengths)) continue;
      const look = (sides: number, ends: number) => {
        looked++;
        const border = { sides: sides * step, ends: ends * step };
        const score = weigh(costsOf(scale, shape, lengths, centre, border), request);
        if (!best || score < best.score) best = { lengths, border, score };
      };
      look(0, 0);
      for (let sides = least; sides <= most; sides++) {
        if (even) look(sides, sides);
        else for (let ends = least; ends <= most; ends++) look(sides, ends);
      }
    }
    const found = best as {
      lengths: (typeof shape.lengths)[number];
      border: { sides: number; ends: number };
      score: number;
    } | null;
    return found ? [fitOf(scale, shape, found.lengths, found.border, step)] : [];
  });
  const { target } = request;
  const square = plan.block.width === plan.block.height && (!target || target.width === target.height);
  const sides = ({ grid: { across, down } }: Fit) =>
    square ? [across, down].sort((a, b) => a - b) : [across, down];
  const keyOf = (fit: Fit) => [fit.setting.kind, fit.blocks, ...sides(fit)].join(' ');
  const first = new Map<string, Fit>();
  for (const fit of fits.sort((a, b) => a.score - b.score))
    if (!first.has(keyOf(fit))) first.set(keyOf(fit), fit);
  return { best: [...first.values()].slice(0, 20), looked };
}
