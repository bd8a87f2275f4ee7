import type { StepTime } from './by-step.ts';

/** Minutes as a maker says them: "45 min", "2 h", "1 h 20". */
export function sayMinutes(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  return rest === 0 ? `${hours} h` : `${hours} h ${String(rest).padStart(2, '0')}`;
}

/** Steps of a sitting as a maker says them; more than one each with its time. None where none was said. */
export const saySteps = (steps: readonly StepTime[]): string[] =>
  steps.length === 0
    ? []
    : [
        steps
          .map(({ step, minutes }) => (steps.length === 1 ? step : `${step} ${sayMinutes(minutes)}`))
          .join(', '),
      ];
