import type { Unit } from '../length/unit.ts';
import { randomFrom } from '../random/random.ts';
import type { Exercise, ExerciseKind, Level } from './exercise.ts';
import { elbow, straightGrain, whichDisappears, whichSquare } from './exercises/cloth.ts';
import { bindingStrips, pointsMeet, pointsOnSide, sashCount } from './exercises/counting.ts';
import { cutAllTo, sixMeasurements, verdict } from './exercises/judging.ts';
import { whichWay } from './exercises/pressing.ts';

/** Every judgement that can be practised, in the order of the work. A new one is a file beside these and a line here. */
export const EXERCISES: readonly ExerciseKind[] = [
  verdict,
  cutAllTo,
  sashCount,
  whichSquare,
  straightGrain,
  whichDisappears,
  elbow,
  whichWay,
  sixMeasurements,
  bindingStrips,
  pointsOnSide,
  pointsMeet,
];

/**
 * An exercise of a kind with fresh numbers: the same for the same seed.
 *
 * @throws Error where there is no such kind
 */
export function exerciseOf(kind: string, seed: number, unit: Unit, level: Level): Exercise {
  const made = EXERCISES.find(({ id }) => id === kind);
  if (!made) throw new Error(`There is no exercise ${kind}.`);
  return { kind, ...made.make(randomFrom(seed), unit, level) };
}
