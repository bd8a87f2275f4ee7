import { near } from '../length/tolerance.ts';
import { resetForNewTop } from '../soundness/new-top.ts';
import type { Plan } from '../plan/shape.ts';
import { addedBorder } from '../plan/start.ts';
import type { Fit } from './find.ts';
import type { FitRequest } from './request.ts';
import { targetSize } from '../target/size.ts';

/**
 * The plan set as a found design: setting, grid and border widths; fabrics and corners of borders it had
 * are kept. What was measured, booked or chosen of another top is let go. A target the plan has stays when
 * the search was for its size.
 *
 * @param newId gives an id for a border the plan did not have
 */
export function applyFit(plan: Plan, fit: Fit, target: FitRequest['target'], newId: () => string): Plan {
  const borders = fit.borders.map(({ sides, ends }, i) => {
    const had = plan.borders[i];
    return had
      ? // Units are square: a border of two widths is of whole strips.
        { ...had, sides, ends, pieced: near(sides, ends) ? had.pieced : null }
      : { ...addedBorder({ ...plan, borders: plan.borders.slice(0, i) }, newId(), sides), ends };
  });
  return resetForNewTop({
    ...plan,
    setting: fit.setting,
    grid: fit.grid,
    borders,
    target: target ? targetOf(plan, target) : plan.target,
  });
}

function targetOf(plan: Plan, target: NonNullable<FitRequest['target']>): Plan['target'] {
  if (plan.target) {
    const { width, height } = targetSize(plan.target, plan.unit);
    if (near(width.value, target.width) && near(height.value, target.height)) return plan.target;
  }
  return { of: 'size', ...target };
}
