import { askCounter, type Figure, formatFine, formatWithUnit, type Unit } from '@lattice/core';
import type { Surroundings } from './open-plan.ts';

/** Answers a question at the counter, as data or in words. Answers the exit code: 0, or 2 after one line that says what is wrong. */
export function ask(
  topic: string,
  flags: Readonly<Record<string, string | undefined>>,
  { unit, json }: { readonly unit: string; readonly json: boolean },
  around: Surroundings,
): number {
  if (unit !== 'in' && unit !== 'cm') {
    around.complain(`--unit ${unit}: in or cm.`);
    return 2;
  }
  const answer = askCounter(topic, flags, unit);
  if (!answer.ok) {
    around.complain(answer.line);
    return 2;
  }
  if (json) around.out(JSON.stringify(answer.json));
  else {
    around.out(answer.headline);
    for (const { what, figure } of answer.said)
      for (const line of inWords(what, figure, unit)) around.out(line);
  }
  return 0;
}

function inWords(what: string, figure: Figure, unit: Unit): string[] {
  const value =
    figure.kind === 'count'
      ? String(figure.value)
      : Math.abs(figure.value) < 1
        ? formatFine(figure.value, unit)
        : formatWithUnit(figure.value, unit);
  return [`${value.padEnd(12)} ${what}`, ...figure.working.map((line) => `             ${line}`)];
}
