import type { Plan } from '../plan/shape.ts';
import { startBorder } from '../plan/start.ts';
import type { Fit } from './find.ts';

/** The plan set as a found design: setting, grid and border widths; fabrics and corners of borders it had are kept. */
export function applyFit(plan: Plan, fit: Fit, target: { width: number; height: number }): Plan {
  const borders = fit.borders.map((width, i) => {
    const had = plan.borders[i];
    return had ? { ...had, sides: width, ends: width } : startBorder(width, plan.borders.at(-1)?.fabric ?? plan.binding.fabric);
  });
  return { ...plan, setting: fit.setting, grid: fit.grid, borders, target };
}
