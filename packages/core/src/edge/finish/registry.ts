import { CLOSING_STEPS, type ClosingStep, EDGE_FINISHES, type EdgeFinish } from '../../choice/edge.ts';
import type { Plan } from '../../plan/shape.ts';
import { facing } from './facing.ts';
import type { Finish, FinishedEdge, WholeFinish } from './finish.ts';
import { binding, flange, prairiePoints } from './of-their-own.ts';
import { piping } from './piping.ts';
import { selfBinding } from './self-binding.ts';
import { turnedEdge } from './turned-edge.ts';

/** Finishes that tell all they are by themselves, by their words in a plan. A new one is a file beside this and a line here. */
const WHOLE: Readonly<Partial<Record<EdgeFinish, WholeFinish>>> = {
  facing,
  'self-binding': selfBinding,
  'turned-edge': turnedEdge,
  piping,
};

/** Every finish there is. */
const FINISHES = {
  binding,
  flange,
  'prairie-points': prairiePoints,
  facing,
  'self-binding': selfBinding,
  'turned-edge': turnedEdge,
  piping,
} as const satisfies Readonly<Record<EdgeFinish, Finish>>;

/** The finish of this word. */
export const finishOf = (finish: EdgeFinish): Finish => FINISHES[finish];

/** A finish that tells all it is by itself; undefined for those with a place of their own in a plan's edge. */
export const wholeFinish = (finish: EdgeFinish): WholeFinish | undefined => WHOLE[finish];

/**
 * How far the finished edge lies outside the finished size: a seam's width where the raw edge is bound over, nothing where
 * the seam itself is turned and becomes the edge, or where a shaped edge is cut along its line.
 */
export const edgeBeyond = ({ edge, seam }: Pick<Plan, 'edge' | 'seam'>): number =>
  edge.shape !== 'square' || edge.finishes.some((finish) => FINISHES[finish].ends === 'seam') ? 0 : seam;

/** The step that closes an edge; null of a top whose edge has no finish. */
export const closingStep = ({
  binding: bound,
  points,
  finished,
}: {
  readonly binding: unknown;
  readonly points: unknown;
  readonly finished: readonly Pick<FinishedEdge, 'finish'>[];
}): ClosingStep | null => {
  if (bound) return 'binding';
  if (points) return 'points';
  // Of the others the step has the finish's own word.
  return CLOSING_STEPS.find((step) => finished.some(({ finish }) => finish === step)) ?? null;
};

/** The finishes of an edge that tell all they are by themselves, each with its word, in the order they are put on. */
export const wholeFinishesIn = (finishes: readonly EdgeFinish[]): (readonly [EdgeFinish, WholeFinish])[] =>
  EDGE_FINISHES.flatMap((finish) => {
    const whole = WHOLE[finish];
    return whole && finishes.includes(finish) ? [[finish, whole] as const] : [];
  });
