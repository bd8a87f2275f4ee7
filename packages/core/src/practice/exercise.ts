import type { Point } from '../geometry/point.ts';
import { near } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';
import type { Random } from '../random/random.ts';

/** Something drawn of an exercise: filled with a colour of its own, or by what it is. */
export interface ExerciseShape {
  readonly id: string;
  readonly outline: readonly Point[];
  readonly fill: string;
  readonly label?: string;
  /** Where what is asked is pointed at, it can be pointed at by this name. */
  readonly name?: string;
}

/** A length marked on the drawing, written beside it. */
export interface ExerciseMark {
  readonly from: Point;
  readonly to: Point;
  readonly label: string;
}

/** What is drawn beside the question, in units of its own. */
export interface ExerciseDrawing {
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly ExerciseShape[];
  readonly marks: readonly ExerciseMark[];
}

/** How an exercise is answered. */
type ExerciseAnswer =
  | {
      readonly by: 'choice';
      readonly choices: readonly { readonly id: string; readonly text: string }[];
      readonly right: string;
    }
  | { readonly by: 'count'; readonly right: number }
  /** By pointing: any of these is right. */
  | { readonly by: 'point'; readonly right: readonly string[] };

/** A judgement of the trade to be made, with fresh numbers. */
export interface Exercise {
  readonly kind: string;
  readonly asks: string;
  readonly drawing: ExerciseDrawing | null;
  readonly answer: ExerciseAnswer;
  /** How it is come to, line by line. */
  readonly working: readonly string[];
}

/** How hard an exercise is: what is told apart at a glance, with a little care, or only by reckoning. */
export const LEVELS = [0, 1, 2] as const;
export type Level = (typeof LEVELS)[number];

/** A kind of exercise: what is practised, and how one is made. */
export interface ExerciseKind {
  readonly id: string;
  readonly name: string;
  readonly make: (random: Random, unit: Unit, level: Level) => Omit<Exercise, 'kind'>;
}

/** What somebody answered: the id of a choice or of a shape, or a number. */
export type Given = string | number;

/** Whether an answer is right. */
export function isRight({ answer }: Pick<Exercise, 'answer'>, given: Given): boolean {
  switch (answer.by) {
    case 'choice':
      return given === answer.right;
    case 'count':
      return typeof given === 'number' && near(given, answer.right);
    case 'point':
      return typeof given === 'string' && answer.right.includes(given);
  }
}

/** The right answer in words. */
export function rightSaid({ answer, drawing }: Pick<Exercise, 'answer' | 'drawing'>): string {
  switch (answer.by) {
    case 'choice':
      return answer.choices.find(({ id }) => id === answer.right)!.text;
    case 'count':
      return String(answer.right);
    case 'point':
      return answer.right
        .map((id) => drawing?.shapes.find((shape) => shape.id === id)?.name ?? id)
        .join(' or ');
  }
}
