import type { Fit, FitRequest, Plan } from '../../src/index.ts';
import { fitOf, mostBorderSteps, sashesFor, shapesFor } from '../../src/target/find.ts';
import { searchStep } from '../../src/target/request.ts';
import { centreOf, costsOf, groundOf, weigh } from '../../src/target/score.ts';

/** The best designs by trying every sash with every border on every grid, in the same order of ties. */
export function bruteFits(plan: Plan, request: FitRequest): { best: Fit[]; looked: number } {
  const ground = groundOf(plan, request);
  const step = searchStep(plan.unit);
  const most = mostBorderSteps(request, step);
  let looked = 0;
  const fits = shapesFor(plan, request).map((shape) => {
    let least = { sash: 0, border: 0, score: Infinity };
    for (const sash of sashesFor(shape, request, step)) {
      const centre = centreOf(ground, shape, sash);
      for (let steps = 0; steps <= most; steps++) {
        looked++;
        const score = weigh(costsOf(ground, shape, sash, centre, steps * step), request);
        if (score < least.score) least = { sash, border: steps * step, score };
      }
    }
    return fitOf(ground, shape, least.sash, least.border, step);
  });
  return { best: fits.sort((a, b) => a.score - b.score).slice(0, 20), looked };
}
