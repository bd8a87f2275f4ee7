/** Minutes of a sitting that went to one step. */
export interface StepTime {
  readonly step: string;
  readonly minutes: number;
}

/** From when on a sitting was at a step, in minutes from its beginning. */
export interface StepMark {
  readonly after: number;
  readonly step: string | null;
}

/**
 * Minutes by step of one sitting, in the order the steps were come to; a step come back to is one. What lies before the
 * first step that was named, and after the sitting's end, goes to none.
 *
 * @param minutes how long the sitting was, whatever its clock said
 */
export function stepsOf(marks: readonly StepMark[], minutes: number): StepTime[] {
  const times = new Map<string, number>();
  marks.forEach(({ after, step }, i) => {
    const until = Math.min(minutes, marks[i + 1]?.after ?? Infinity);
    if (step !== null && until > after) times.set(step, (times.get(step) ?? 0) + until - after);
  });
  return [...times].map(([step, time]) => ({ step, minutes: time }));
}

/** Minutes by step over several sittings, the most first. */
export function timeByStep(
  sittings: readonly { readonly steps: readonly StepTime[]; readonly struck: boolean }[],
): StepTime[] {
  const times = new Map<string, number>();
  for (const { steps, struck } of sittings)
    if (!struck) for (const { step, minutes } of steps) times.set(step, (times.get(step) ?? 0) + minutes);
  return [...times]
    .map(([step, minutes]) => ({ step, minutes }))
    .sort((a, b) => b.minutes - a.minutes || (a.step < b.step ? -1 : 1));
}
