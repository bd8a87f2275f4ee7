import type { EdgeFinish } from '../../choice/edge.ts';
import type { Plan } from '../../plan/shape.ts';
import { facingSteps } from './facing-steps.ts';
import type { EdgeStep } from './finish.ts';
import { pipingSteps } from './piping-steps.ts';
import { selfBindingSteps } from './self-binding-steps.ts';
import { turnedEdgeSteps } from './turned-edge-steps.ts';

/**
 * How each finish that tells all it is by itself is told to a maker. Apart from what it is, for whoever only asks whether a
 * plan is sound need not fetch how it is sewn.
 */
const STEPS: Readonly<Partial<Record<EdgeFinish, (plan: Plan) => EdgeStep[]>>> = {
  facing: facingSteps,
  'self-binding': selfBindingSteps,
  'turned-edge': turnedEdgeSteps,
  piping: pipingSteps,
};

/** The steps of a finish; none of one that has a place of its own in a plan's edge. */
export const finishSteps = (finish: EdgeFinish, plan: Plan): EdgeStep[] => STEPS[finish]?.(plan) ?? [];
